import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import {
  anyMorning,
  bestMorning,
  canBeGiven,
  exerciseLevels,
  type Given,
  makeMorning,
  markMorning,
  type MorningTask,
  reallyOf,
  runMorning,
} from './index.ts'

const seeds = Array.from({ length: 67 }, (_, i) => 7919 * i + 13)
const mean = (shares: readonly number[]) => shares.reduce((sum, share) => sum + share, 0) / shares.length
const spentMs = () => performance.now()

/** Nobody stands at two works, the gun is in one hand, and every wait is kept. */
function expectKept(task: MorningTask, given: readonly Given[], really = reallyOf(task, 1)) {
  const { done, endsAt } = runMorning(task, given, really)
  const by = new Map(done.map((one) => [one.work, one]))
  const apart = (some: readonly { from: number; to: number }[]) => {
    const sorted = [...some].sort((a, b) => a.from - b.from)
    sorted.slice(1).forEach((one, i) => {
      expect(one.from).toBeGreaterThanOrEqual(sorted[i]?.to ?? 0)
    })
  }
  for (const hands of [0, 1]) apart(done.filter((one) => one.hands === hands))
  apart(done.filter((one) => one.work.endsWith('heat')))
  for (const work of task.works) {
    const before = work.after === null ? undefined : by.get(work.after)
    if (before !== undefined)
      expect(by.get(work.id)?.from).toBeGreaterThanOrEqual(before.to + (really.waits.get(work.id) ?? 0))
  }
  expect(endsAt).toBe(Math.max(...done.map((one) => one.to)))
}

describe.each(exerciseLevels)('plan the morning, level %i', (level) => {
  test("the scheduler's plan is worth all, work given at random little; the same seed makes the same", () => {
    const shares = seeds.map((seed) => {
      const task = makeMorning(seed, level)
      expect(makeMorning(seed, level)).toEqual(task)
      const best = bestMorning(task, spentMs, 0.05)
      expect(best).toHaveLength(task.works.length)
      const verdict = markMorning(task, seed, best, best)
      expect(verdict.share).toBe(1)
      expect(english(verdict.says[0] ?? { text: '', with: [] })).toContain('would not have been sooner')
      const chance = seededRandom(seed + 1)
      return markMorning(task, seed, anyMorning(task, chance), best).share
    })
    expect(mean(shares)).toBeLessThan(0.2)
  })
  test('whatever is given in whatever order: hands, gun and waits are kept', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), fc.integer({ min: 0, max: 1e6 }), (seed, play) => {
        const task = makeMorning(seed, level)
        const given = anyMorning(task, seededRandom(play))
        expect(given).toHaveLength(task.works.length)
        expectKept(task, given, reallyOf(task, seed))
      }),
      { numRuns: 40 },
    )
  })
})

describe('one morning', () => {
  const task = makeMorning(3, 1)
  test('a step can be given once what it follows was given', () => {
    const next = (given: readonly Given[]) => canBeGiven(task, given).map((work) => work.id)
    expect(next([])).toEqual(['0-0-wash', '1-0-wash', '2-0-wash'])
    expect(next([{ work: '1-0-wash', hands: 0 }])).toEqual(['0-0-wash', '1-0-lay', '2-0-wash'])
  })
  test('whoever stands beside drying film is told, with how long and before what', () => {
    const inTurn = task.works.map((work): Given => ({ work: work.id, hands: 0 }))
    const best = bestMorning(task, spentMs, 0.2)
    const { share, says, mine, planner } = markMorning(task, 3, inTurn, best)
    expect(share).toBe(0)
    expect(mine.endsAt).toBeGreaterThan(planner.endsAt)
    const text = says.map(english).join(' ')
    expect(text).toMatch(/People stood for .* beside film that dried/)
    expect(text).toMatch(/The longest stand was before this: (trim|heat) at vehicle/)
    const stood = mine.done.reduce((sum, one) => sum + one.idleMinutes, 0)
    expect(mine.endsAt).toBe(stood + mine.done.reduce((sum, one) => sum + one.to - one.from, 0))
  })
  test('whoever waits for the gun is told', () => {
    const given = (['wash', 'lay', 'trim', 'heat'] as const).flatMap((step) =>
      ([0, 1, 2] as const).map((vehicle): Given => ({ work: `${vehicle}-0-${step}`, hands: vehicle === 1 ? 1 : 0 })),
    )
    const same = {
      minutes: new Map(task.works.map((work) => [work.id, 20])),
      waits: new Map(task.works.map((work) => [work.id, 0])),
    }
    const { done } = runMorning(task, given, same)
    expect(done.filter((one) => one.idleFor === 'gun').map((one) => one.idleMinutes)).toContain(20)
  })
  test('a morning that is not all given is worth nothing', () => {
    const best = bestMorning(task, spentMs, 0.2)
    expect(markMorning(task, 3, best.slice(1), best).share).toBe(0)
  })
  test('waits never run short, work takes longer or shorter', () => {
    for (const seed of seeds.slice(0, 20)) {
      const one = makeMorning(seed, 2)
      const really = reallyOf(one, seed)
      for (const work of one.works) expect(really.waits.get(work.id)).toBeGreaterThanOrEqual(work.waitMinutes)
      const ratios = one.works.map((work) => (really.minutes.get(work.id) ?? 0) / work.minutes)
      expect(Math.min(...ratios)).toBeLessThan(1)
      expect(Math.max(...ratios)).toBeGreaterThan(1)
    }
  })
})

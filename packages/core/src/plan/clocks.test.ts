import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { minutesOf } from './stepsOf.ts'
import { planOf, stepOf, testPart } from './testParts.ts'

const door = testPart('pipit-door-left', 'clearcoat-hull-180', 'pipit-door-left', 400)
const tail = testPart('skua-tail-outer-left', 'weir-smoke-wet', 'skua-tail-outer-left', 400)
const dome = testPart('pipit-fog-left', 'clear-dome-dry', 'pipit-fog-left', 300)
const bar = testPart('skua-trim-left', 'ebony-cast-dry', 'skua-trim-left', 400)

const wait = (leastMinutes: number, since?: string) => ({
  kind: 'initialGrab' as const,
  label: { text: 'grab', with: [] },
  leastMinutes,
  usualMinutes: leastMinutes,
  factor: 1,
  ...(since === undefined ? {} : { since }),
})

describe('how long the steps take', () => {
  test('without waits: their sum', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 20 }), (minutes) => {
        const steps = minutes.map((m, i) => ({ id: `s${i}`, minutes: m }))
        expect(minutesOf(steps)).toBe(minutes.reduce((a, b) => a + b, 0))
      }),
    )
  })
  test('waits from one wetting run together: the longest counts, less what was worked meanwhile', () => {
    const steps = [
      { id: 'flush', minutes: 5 },
      { id: 'grab', minutes: 1, wait: wait(18, 'flush') },
      { id: 'cut', minutes: 5, wait: wait(15, 'flush') },
      { id: 'turn', minutes: 4, wait: wait(20, 'flush') },
      { id: 'seal', minutes: 5 },
    ]
    // 5, then cut not before 23, done 28; the turn may follow at once, done 32; the grab was over at 25.
    expect(minutesOf(steps)).toBe(37)
  })
  test('a wait of its own begins when its step is done', () => {
    expect(
      minutesOf([
        { id: 'heat', minutes: 5, wait: wait(3) },
        { id: 'cut', minutes: 5 },
      ]),
    ).toBe(13)
  })
  test('never shorter than the work, never longer than the work and all waits one after the other', () => {
    const step = fc.record({
      minutes: fc.integer({ min: 0, max: 30 }),
      least: fc.option(fc.integer({ min: 0, max: 60 })),
    })
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (drafts) => {
        const steps = drafts.map(({ minutes, least }, i) => ({
          id: `s${i}`,
          minutes,
          wait: least === null ? undefined : wait(least, 's0'),
        }))
        const work = steps.reduce((sum, s) => sum + s.minutes, 0)
        const waits = steps.reduce((sum, s) => sum + (s.wait?.leastMinutes ?? 0), 0)
        expect(minutesOf(steps)).toBeGreaterThanOrEqual(work)
        expect(minutesOf(steps)).toBeLessThanOrEqual(work + waits)
      }),
    )
  })
})

describe('least and greatest waits of a plan', () => {
  test('cold damp air moves everything on the one clock, and the greatest wait with it', () => {
    const cold = { room: { temperatureC: 12, humidityPercent: 85 } }
    const [usual, raw] = [planOf(door), planOf(door, cold)]
    const least = (plan: typeof usual, id: string) => stepOf(plan, id)?.wait?.leastMinutes ?? 0
    for (const id of ['tuck', 'gap-cut', 'turn-wrap']) expect(least(raw, id)).toBeGreaterThan(1.5 * least(usual, id))
    const most = (plan: typeof usual) => stepOf(plan, 'seal-edges')?.within?.[0]?.mostMinutes ?? 0
    expect(most(raw) - most(usual)).toBeCloseTo(least(raw, 'turn-wrap') - least(usual, 'turn-wrap'), 6)
  })
  test('the soaked part is peeled onto, the peeled film laid, before they dry', () => {
    const plan = planOf(door)
    const limits = (id: string) => stepOf(plan, id)?.within?.map(({ since, mostMinutes }) => [since, mostMinutes])
    expect(limits('soak')).toEqual([
      ['clean', 420],
      ['degrease', 60],
    ])
    expect(limits('back-roll')).toEqual([['soak', 5]])
    const floated = planOf(tail).steps.flatMap((s) =>
      (s.within ?? []).map(({ since, mostMinutes }) => [s.id, since, mostMinutes]),
    )
    expect(floated).toContainEqual(['peel', 'soak', 5])
    expect(floated).toContainEqual(['float', 'peel', 2])
    expect(limits('turn-wrap')).toEqual([['trim-wrap', 45]])
  })
  test('dry film has five minutes from its liner to its place; a bar keeps its liner and has time', () => {
    expect(stepOf(planOf(dome), 'anchor-1')?.within).toMatchObject([{ since: 'peel', mostMinutes: 5 }])
    expect(stepOf(planOf(bar), 'anchor-1')?.within).toBeUndefined()
  })
  test('a wet lens is cut when its edge is dry, not when it is cured', () => {
    const plan = planOf(tail)
    expect(stepOf(plan, 'tuck')?.wait).toMatchObject({ kind: 'beforeTrim', since: 'flush-edges', leastMinutes: 18 })
    expect(plan.steps.every((s) => s.wait?.kind !== 'waterLaid')).toBe(true)
    expect(plan.waits.find((w) => w.kind === 'waterLaid')?.minutes).toBe(1440)
  })
  test('what a step must not come before is waited for after the one before it, whatever that is', () => {
    const plan = planOf(door, {
      form: { ...door.facts.form, edges: door.facts.form.edges.map((e) => ({ ...e, code: 'stop-short' as const })) },
    })
    const seal = plan.steps.findIndex((s) => s.id === 'seal-edges')
    expect(plan.steps[seal - 1]).toMatchObject({ id: 'grab', wait: { kind: 'initialGrab', since: 'flush-edges' } })
  })
})

import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { canBeDone, cureWays, faultGroup, judgeFault } from '../judge/index.ts'
import { usualHandling } from '../lay/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { practiceWith } from '../practice/index.ts'
import { castingMark, faultPicture, type Pictured, picturedFaults } from './faultPicture.ts'
import { faultPlace } from './faultPlace.ts'
import { bestWhat, cureWords, exerciseLevels, makeWhat, markWhat, picturedLooks, type WhatTask } from './index.ts'

const practice = practiceWith()
const seeds = Array.from({ length: 67 }, (_, i) => 7919 * i + 13)
const mean = (shares: readonly number[]) => shares.reduce((sum, share) => sum + share, 0) / shares.length
const tasks = new Map(exerciseLevels.map((level) => [level, seeds.map((seed) => makeWhat(seed, level, practice))]))

describe.each(exerciseLevels)('what is this, level %i', (level) => {
  const all = tasks.get(level) ?? []
  test('four names, causes and cures, no two alike, with the right one among them; and that is worth all', () => {
    for (const task of all) {
      const best = bestWhat(task, practice)
      for (const [offered, right] of [
        [task.names, best.name],
        [task.causes, best.cause],
        [task.cures, best.cure],
      ] as const) {
        const texts = offered.map((one) => JSON.stringify(one))
        expect(new Set(texts).size).toBe(4)
        expect(texts).toContain(JSON.stringify(right))
      }
      expect(new Set(task.cures.map((cure) => english(cureWords(cure)))).size).toBe(4)
      const { share, says } = markWhat(task, best, practice)
      expect(share).toBeCloseTo(1, 9)
      expect(says).toHaveLength(1)
    }
  })
  test('of the ways that are closed by then one at most is offered: the others are ways of other faults', () => {
    const closed = all.map(({ shown, film, stage, cures }) => {
      const own = shown === castingMark ? [] : cureWays[shown].map(({ steps }) => JSON.stringify(steps))
      const place = { film, stage, delicate: false, takesHeat: true }
      return cures.filter(
        (cure) =>
          cure !== 'too late' && own.includes(JSON.stringify(cure)) && !cure.every((id) => canBeDone(id, place)),
      ).length
    })
    expect(Math.max(...closed)).toBe(1)
  })
  test('what is named at random is worth little, and the right one is not always at the same place', () => {
    const random = all.map((task, i) => {
      const chance = seededRandom(i + 1)
      const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)] as T
      return markWhat(task, { name: pick(task.names), cause: pick(task.causes), cure: pick(task.cures) }, practice)
        .share
    })
    expect(mean(random)).toBeLessThan(0.4)
    const places = all.map((task) => task.names.indexOf(task.shown))
    for (const place of [0, 1, 2, 3]) expect(places.filter((one) => one === place).length).toBeGreaterThan(5)
  })
})

test('the same seed makes the same; every kind of fault comes, and the casting mark among the hard ones only', () => {
  expect(makeWhat(5, 2, practice)).toEqual(makeWhat(5, 2, practice))
  const shown = (level: 1 | 2 | 3) => new Set((tasks.get(level) ?? []).map((task) => task.shown))
  const come = exerciseLevels.flatMap((level) => [...shown(level)])
  for (const kind of picturedFaults) expect(come).toContain(kind)
  expect([...shown(1), ...shown(2)]).not.toContain(castingMark)
  expect([...shown(3)]).toContain(castingMark)
})

test('the easy ones are offered among faults of other kinds, the harder ones among what is taken for them', () => {
  const group = (one: Pictured) => (one === castingMark ? null : faultGroup(one))
  const ofOwnKind = (level: 1 | 2 | 3) =>
    (tasks.get(level) ?? []).map(
      ({ shown, names }) => names.filter((one) => one !== shown && group(one) === group(shown)).length,
    )
  expect(Math.max(...ofOwnKind(1))).toBe(0)
  for (const level of [2, 3] as const) expect(mean(ofOwnKind(level))).toBeGreaterThan(0.5)
})

test('the easy ones can still be lifted; among the hard ones some are too late', () => {
  const cures = (level: 1 | 2 | 3) => (tasks.get(level) ?? []).map((task) => bestWhat(task, practice).cure)
  expect(cures(1)).not.toContain('too late')
  expect(cures(3)).toContain('too late')
})

test('what was missed is told: the name with its looks, the cause with what to mind, and a way that is closed', () => {
  const all = [...tasks.values()].flat()
  const told = (task: WhatTask, answer: Partial<ReturnType<typeof bestWhat>>) =>
    markWhat(task, { ...bestWhat(task, practice), ...answer }, practice)
  const [task] = all
  if (task === undefined) throw new Error('no task')
  const other = task.names.find((one) => one !== task.shown) as Pictured
  const wrongName = told(task, { name: other })
  expect(wrongName.share).toBeCloseTo(0.6, 9)
  expect(wrongName.says.map(english).join(' ')).toContain(english(picturedLooks(task.shown)))
  const cause = task.causes.find((one) => one !== bestWhat(task, practice).cause)
  const wrongCause = told(task, cause === undefined ? {} : { cause })
  expect(wrongCause.share).toBeLessThan(0.86)
  expect(wrongCause.says.map(english).join(' ')).toContain('Most likely it was this')
  const closed = all.flatMap((one) =>
    one.cures.flatMap((cure) => {
      const { says } = told(one, { cure })
      return says.map(english).filter((text) => text.includes('it is closed'))
    }),
  )
  expect(closed.length).toBeGreaterThan(5)
  expect(closed.join(' ')).toContain('once it has bonded it is closed')
})

describe('the picture', () => {
  const place = faultPlace(seededRandom(4), usualHandling)
  const of = (kind: Pictured, seed = 9) => faultPicture(kind, seed, place)
  const plain = faultPicture('fingers', 9, { ...place, excessAt: () => 0 })
  /** By how much brightness differs from that of sound film within rows from the top. */
  const variation = ({ across, bright }: ReturnType<typeof of>, from: number, to: number) => {
    let sum = 0
    for (let i = across * from; i < across * to; i++) sum += ((bright[i] ?? 0) - (plain.bright[i] ?? 0)) ** 2
    return Math.sqrt(sum / (across * (to - from)))
  }
  test('every kind is drawn, otherwise than every other and than plain film', () => {
    const kinds: Pictured[] = [...picturedFaults, castingMark]
    for (const kind of kinds) {
      const { across, down, bright } = of(kind)
      expect(bright).toHaveLength(across * down)
      expect(variation(of(kind), 0, down)).toBeGreaterThan(0.005)
      for (const one of bright) if (!(one >= 0 && one <= 1)) throw new Error(`${kind}: ${one}`)
    }
    expect(new Set(kinds.map((kind) => of(kind).bright.join())).size).toBe(kinds.length)
  })
  test('fingers and silvering stand at the edge and not away from it', () => {
    for (const kind of ['fingers', 'silvering'] as const)
      expect(variation(of(kind), 170, 200)).toBeGreaterThan(8 * variation(of(kind), 0, 30))
  })
  test('bridging is seen over the hollow, and beside it film looks as it does anywhere', () => {
    const over = variation(of('bridging'), 80, 120)
    expect(over).toBeGreaterThan(0.02)
    for (const [from, to] of [
      [0, 30],
      [170, 200],
    ] as const)
      expect(variation(of('bridging'), from, to)).toBeLessThan(over / 20)
  })
  test('film over a hollow is darker within it and nowhere else, and glints at its shoulders', () => {
    const { across, down, bright } = of('bridging')
    const more = (j: number) => (bright[across * j] ?? 0) - (plain.bright[across * j] ?? 0)
    const rows = Array.from({ length: down }, (_, j) => j)
    const dark = rows.filter((j) => more(j) < -0.002)
    const [first = 0, last = 0] = [dark[0], dark.at(-1)]
    expect(dark).toHaveLength(last - first + 1)
    // A picture of 100 mm from top to bottom.
    expect((dark.length * 100) / down).toBeLessThanOrEqual(place.hollow.widthMm)
    const [above, below] = [more(first - 2), more(last + 2)]
    expect(Math.min(above, below)).toBeGreaterThan(0.05)
    expect(Math.max(...rows.map(more))).toBeLessThan(0.3)
  })
  test('fingers grow with the film that the solver leaves there', () => {
    expect(variation(of('fingers'), 150, 200)).toBeGreaterThan(0.05)
    const less = { ...place, excessAt: (x: number) => place.excessAt(x) / 4 }
    expect(variation(faultPicture('fingers', 9, less), 150, 200)).toBeLessThan(variation(of('fingers'), 150, 200))
  })
  test('a pattern on film that is not stretched keeps its lines straight, seven millimetres apart', () => {
    const straight = faultPicture('pattern warped', 9, { ...place, filmAt: (p) => p })
    const dark = (j: number) =>
      straight.bright
        .slice(j * straight.across, (j + 1) * straight.across)
        .map((b, i) => (b < (plain.bright[j * straight.across + i] ?? 0) - 0.1 ? 1 : 0))
    // All rows between two lines are dark at the same spots.
    const rows = Array.from({ length: straight.down }, (_, j) => dark(j).join('')).filter((row) => row.includes('0'))
    expect(new Set(rows).size).toBe(1)
  })
  test('what is known of the place comes from the lay', () => {
    expect(place.mostExcess).toBeGreaterThan(2)
    expect(place.pulled.stretch).toBeGreaterThan(0.03)
    expect(Math.hypot(...place.pulled.way)).toBeCloseTo(1, 9)
    const judged = judgeFault(
      {
        fault: 'fingers',
        stage: 'tacked',
        film: { type: 'paint film', laid: 'wet' },
        evidence: { excessMmPer100: place.mostExcess },
      },
      practice,
    )
    expect(judged.ok && judged.value.causes[0]?.id).toBe('too much film')
  })
})

import { describe, expect, test } from 'vitest'
import { smallChecks, smallFit, smallPlan, smallStep } from '../testing/index.ts'
import { taughtBy } from './taughtBy.ts'

const steps = ['wash', 'gaps', 'lay', 'heat', 'trim', 'look'].map((id) => smallStep(id, { minutes: 4 }))
const plan = smallPlan(steps, { checks: smallChecks })
const id = (n: number) => `10000000-0000-4000-8000-00000000000${n}`
const seen = (n: number, problem: string, place = 'nose') => ({
  kind: 'problemSeen',
  stepId: 'lay',
  id: id(n),
  problem,
  place,
  comeBack: true,
})
const settled = (n: number, outcome: string) => ({
  kind: 'problemSettled',
  stepId: 'lay',
  problemId: id(n),
  outcome,
})
const taught = (...events: Parameters<typeof smallFit> extends [unknown, ...infer R] ? R : never) =>
  taughtBy(smallFit(plan, ...events))

describe('what was wrong', () => {
  test('fingers by their place, all else by its kind, each kind once', () => {
    const fit = taught(
      seen(1, 'fingers', 'nose'),
      seen(2, 'fingers', 'tail'),
      seen(3, 'air bubble'),
      seen(4, 'air bubble'),
    )
    expect(fit.fingersAt).toEqual(['nose', 'tail'])
    expect(fit.faults).toEqual(['air bubble'])
  })
  test('what was put right is told by its kind; what the customer took as it was is not', () => {
    const fit = taught(
      seen(1, 'fingers'),
      seen(2, 'air bubble'),
      seen(3, 'air bubble'),
      settled(1, 'put right'),
      settled(2, 'put right'),
      settled(3, 'customer takes it'),
    )
    expect(fit.cured).toEqual(['fingers', 'air bubble'])
    expect(taught(seen(1, 'fingers'), settled(1, 'customer takes it')).cured).toEqual([])
  })
  test('a piece laid again counts as often as one was spoilt and another laid', () => {
    const again = { kind: 'spoilSettled', stepId: 'lay', outcome: 'laid again', from: 'spare' }
    expect(taught(seen(1, 'torn piece'), again).laidAgain).toBe(1)
    expect(taught(seen(1, 'torn piece')).laidAgain).toBe(0)
    expect(taught(seen(1, 'air bubble'), again).laidAgain).toBe(0)
  })
})

describe('where the piece was off', () => {
  const gaps = (...measured: [string, number][]) => ({
    kind: 'gapsMeasured',
    stepId: 'gaps',
    readings: measured.map(([checkId, measuredMm]) => ({ checkId, measuredMm })),
  })
  test('by the first round of gaps: both at the top 1 mm wide, the film goes up by that', () => {
    const { offset } = taught(gaps(['P', 3.5], ['Q', 3.5], ['R', 2.5]))
    expect(offset?.yMm?.value).toBeCloseTo(1, 1)
    expect(offset?.xMm?.value).toBeCloseTo(0, 1)
    expect(offset?.yMm?.sigma).toBeGreaterThan(0)
  })
  test('a later round does not count: the film was moved by then', () => {
    const first = taught(gaps(['P', 3.5], ['Q', 3.5], ['R', 2.5])).offset
    expect(taught(gaps(['P', 3.5], ['Q', 3.5], ['R', 2.5]), gaps(['P', 2.5], ['Q', 2.5], ['R', 2.5])).offset).toEqual(
      first,
    )
  })
  test('nothing without gaps, and nothing of film from the roll', () => {
    expect(taught().offset).toBeNull()
    const rolled = smallPlan(steps, { checks: smallChecks, cut: { way: 'from the roll', enlarged: [], sheet: null } })
    expect(taughtBy(smallFit(rolled, gaps(['P', 3.5], ['Q', 3.5], ['R', 2.5]))).offset).toBeNull()
  })
})

describe('how long it took', () => {
  const done = (...minutes: number[]) => {
    let after = 0
    return minutes.map((m, i) => {
      after += m
      return { kind: 'stepDone', stepId: steps[i]?.id ?? '', after }
    })
  }
  test('the middle of real over planned, of an odd and of an even number of steps', () => {
    expect(taught(...done(4, 8, 6, 4, 12)).pace).toBeCloseTo(6 / 4, 9)
    expect(taught(...done(4, 8, 6, 4, 12, 5)).pace).toBeCloseTo((5 / 4 + 6 / 4) / 2, 9)
  })
  test('fewer than four steps tell nothing', () => {
    expect(taught(...done(4, 8, 6)).pace).toBeNull()
    expect(taught(...done(4, 8, 6, 4)).pace).not.toBeNull()
  })
})

test('heat is told as how far the reading was off, pulls by the last word on each place', () => {
  const fit = taught(
    { kind: 'heatRead', stepId: 'heat', use: 'soften', readC: 58, wantedC: 63 },
    { kind: 'pullMade', stepId: 'lay', place: 'nose', needed: 'less' },
    { kind: 'pullMade', stepId: 'lay', place: 'tail', needed: 'as planned' },
    { kind: 'pullMade', stepId: 'lay', place: 'nose', needed: 'more' },
  )
  expect(fit.heat).toEqual([{ use: 'soften', offC: -5 }])
  expect(fit.pulls).toEqual([
    { place: 'nose', needed: 'more' },
    { place: 'tail', needed: 'as planned' },
  ])
})

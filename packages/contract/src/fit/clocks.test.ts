import { say, verbatim } from '@truelay/core/say'
import { describe, expect, test } from 'vitest'
import { minutesIn, type SmallEvent, smallFit, smallPlan, smallStep } from '../testing/index.ts'
import { dueLater, mustBeginBy, tightestLimit, unsettledSpoils, wettedAt } from './clocks.ts'
import { runningWait } from './fitState.ts'

const wait = (leastMinutes: number, since?: string) => ({
  kind: 'initialGrab',
  label: say`grab`,
  leastMinutes,
  usualMinutes: leastMinutes,
  factor: 1,
  ...(since === undefined ? {} : { since }),
})
const steps = [
  smallStep('float', { wets: true }),
  smallStep('tack', { driesInMinutes: 6 }),
  smallStep('flush'),
  smallStep('grab', { wait: wait(18, 'flush') }),
  smallStep('cut', { wait: wait(15, 'flush'), within: [{ since: 'flush', mostMinutes: 78, says: say`it bonds` }] }),
  smallStep('turn', {
    wait: wait(20, 'flush'),
    within: [
      { since: 'flush', mostMinutes: 60, says: say`it lifts` },
      { since: 'cut', mostMinutes: 10, says: say`dust` },
    ],
  }),
  smallStep('seal'),
]
const plan = smallPlan(steps)
const done = (stepId: string, after: number): SmallEvent => ({ kind: 'stepDone', stepId, after })
const upTo = (...at: readonly number[]) => at.map((after, i) => done(plan.steps[i]?.id ?? '', after))

describe('waits from one wetting share one clock', () => {
  test('each is counted from the flush, not from the step that it follows', () => {
    const state = smallFit(plan, ...upTo(1, 5, 10, 12))
    expect(runningWait(state)).toEqual({ label: say`grab`, from: minutesIn(10), until: minutesIn(28) })
  })
  test('what was over before its step was done is no wait any more', () => {
    expect(runningWait(smallFit(plan, ...upTo(1, 5, 10, 12, 29)))).toBeNull()
    expect(runningWait(smallFit(plan, ...upTo(1, 5, 10, 12, 29, 29.5)))).toMatchObject({ until: minutesIn(30) })
    expect(runningWait(smallFit(plan, ...upTo(1, 5, 10, 12, 29, 31)))).toBeNull()
  })
  test('the air of the moment sets its length, the clock stays where it began', () => {
    const set = { kind: 'waitSet', stepId: 'grab', minutes: 30, roomC: 12, humidityPercent: 85, source: 'entered' }
    const state = smallFit(plan, ...upTo(1, 5, 10, 12), set)
    expect(runningWait(state)).toMatchObject({ from: minutesIn(10), until: minutesIn(40) })
  })
  test('where the step is not in the log, the wait begins at its own', () => {
    const odd = smallPlan([smallStep('a', { wait: wait(9, 'elsewhere') }), smallStep('b')])
    expect(runningWait(smallFit(odd, done('a', 4)))).toMatchObject({ from: minutesIn(4), until: minutesIn(13) })
  })
  test('while one is waited for, the others are told with their times', () => {
    const state = smallFit(plan, ...upTo(1, 5, 10, 12))
    expect(dueLater(state)).toEqual([
      { headline: verbatim('turn'), at: minutesIn(25) },
      { headline: verbatim('seal'), at: minutesIn(30) },
    ])
    expect(dueLater(smallFit(plan, ...upTo(1, 5)))).toEqual([])
  })
})

describe('film that floats dries from its last wetting', () => {
  const tack = plan.steps[1] ?? smallStep('tack')
  const float = plan.steps[0] ?? smallStep('float')
  test('pressing Done wets nothing', () => {
    const [, , flush] = plan.steps
    const state = smallFit(plan, ...upTo(1, 5))
    expect(wettedAt(state, tack, minutesIn(6))).toEqual(minutesIn(1))
    expect(wettedAt(state, flush ?? tack, minutesIn(6))).toEqual(minutesIn(1))
  })
  test('wetted again, it begins anew; going back over that step takes it back', () => {
    const again = { kind: 'filmWetted', stepId: 'tack', after: 4 }
    const state = smallFit(plan, done('float', 1), again)
    expect(wettedAt(state, tack, minutesIn(6))).toEqual(minutesIn(4))
    const back = smallFit(plan, done('float', 1), again, done('tack', 5), {
      kind: 'stepReopened',
      stepId: 'tack',
      after: 6,
    })
    expect(wettedAt(back, tack, minutesIn(7))).toEqual(minutesIn(1))
  })
  test('in the step that wets it, it begins with that step', () => {
    expect(wettedAt(smallFit(plan), float, minutesIn(3))).toEqual(minutesIn(0))
  })
  test('film that nothing has wetted does not dry', () => {
    const dry = smallPlan([smallStep('a'), smallStep('b')])
    expect(wettedAt(smallFit(dry, done('a', 2)), smallStep('b'), minutesIn(9))).toEqual(minutesIn(9))
  })
})

describe('greatest waits', () => {
  const [, , , , cut, turn, seal] = plan.steps
  test('the one that is over first counts', () => {
    const state = smallFit(plan, ...upTo(1, 5, 10, 12, 30))
    expect(tightestLimit(state, turn ?? smallStep('turn'))).toMatchObject({
      over: minutesIn(40),
      limit: { since: 'cut' },
    })
    const late = smallFit(plan, ...upTo(1, 5, 10, 12, 65))
    expect(tightestLimit(late, turn ?? smallStep('turn'))).toMatchObject({
      over: minutesIn(70),
      limit: { since: 'flush' },
    })
  })
  test('a clock that has not begun is none, nor is a step without one', () => {
    expect(tightestLimit(smallFit(plan), cut ?? smallStep('cut'))).toBeNull()
    expect(tightestLimit(smallFit(plan, ...upTo(1, 5, 10)), seal ?? smallStep('seal'))).toBeNull()
  })
})

describe('a spoilt piece has to be settled', () => {
  const seen = (problem: string, after: number): SmallEvent => ({
    kind: 'problemSeen',
    stepId: 'tack',
    problem,
    place: 'rear edge',
    comeBack: true,
    after,
  })
  const settled = (after: number): SmallEvent => ({
    kind: 'spoilSettled',
    stepId: 'seal',
    outcome: 'laid again',
    after,
  })
  test('torn and burnt pieces wait for a word; fingers do not', () => {
    const state = smallFit(plan, done('float', 1), seen('torn piece', 2), seen('fingers', 3), seen('burnt film', 4))
    expect(unsettledSpoils(state).map((s) => s.problem)).toEqual(['torn piece', 'burnt film'])
  })
  test('once said it is settled; what tears later is not', () => {
    expect(unsettledSpoils(smallFit(plan, done('float', 1), seen('torn piece', 2), settled(3)))).toEqual([])
    const later = smallFit(plan, done('float', 1), seen('torn piece', 2), settled(3), seen('torn piece', 4))
    expect(unsettledSpoils(later).length).toBe(1)
  })
})

describe('until when what comes next has to begin', () => {
  test('by the tightest greatest wait before it', () => {
    expect(mustBeginBy(smallFit(plan, ...upTo(1, 5, 10, 12)))).toEqual(minutesIn(88))
    expect(mustBeginBy(smallFit(plan, ...upTo(1, 5, 10, 12, 29)))).toEqual(minutesIn(39))
  })
  test('before the film that was left floating is dry; wetted again it counts from then', () => {
    const left = upTo(1, 5)
    expect(mustBeginBy(smallFit(plan, ...left))).toEqual(minutesIn(11))
    expect(mustBeginBy(smallFit(plan, ...left, { kind: 'filmWetted', stepId: 'flush', after: 9 } as never))).toEqual(
      minutesIn(15),
    )
  })
  test('nothing hurries where no greatest wait runs, before the first step and after the last', () => {
    expect(mustBeginBy(smallFit(plan, ...upTo(1)))).toBeNull()
    expect(mustBeginBy(smallFit(plan))).toBeNull()
    expect(mustBeginBy(smallFit(plan, ...upTo(1, 5, 10, 12, 29, 31, 33)))).toBeNull()
  })
})

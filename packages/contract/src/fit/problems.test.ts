import { type FaultKind, judgeFault } from '@truelay/core/judge'
import { practiceWith } from '@truelay/core/practice'
import { required } from '@truelay/core/result'
import { describe, expect, test } from 'vitest'
import { minutesIn, smallFit, smallPlan, smallStep } from '../testing/index.ts'
import { faultStageOf, isDue, openProblems, stopsPart } from './problems.ts'
import { whatIsKnown } from './whatIsKnown.ts'

const wait = (kind: string) => ({
  label: { text: 'grab', with: [] },
  leastMinutes: 20,
  kind,
  usualMinutes: 20,
  factor: 1,
})
const plan = smallPlan(
  [
    smallStep('wash', { phase: 'prepare' }),
    smallStep('cut-sheet', { phase: 'place', cutMm: 400 }),
    smallStep('anchor-1', { phase: 'lay' }),
    smallStep('grab', { phase: 'lay', wait: wait('initialGrab') }),
    smallStep('soften', { phase: 'heat', heat: 'soften' }),
    smallStep('post-heat', { phase: 'heat', heat: 'post-heat' }),
    smallStep('gap-cut', { phase: 'edges', cutMm: 900 }),
    smallStep('look', { phase: 'look' }),
  ],
  { film: { id: 'f', name: 'F', type: 'paint film', laid: 'wet' } },
)
const done = (count: number) =>
  plan.steps.slice(0, count).map((step, i) => ({ kind: 'stepDone', stepId: step.id, after: i + 1 }))
const at = (count: number, ...more: { kind: string; stepId: string; [field: string]: unknown }[]) =>
  smallFit(plan, ...done(count), ...more)
const seen = (id: string, problem: FaultKind, when?: string) => ({
  kind: 'problemSeen',
  stepId: 'grab',
  id,
  problem,
  place: 'nose',
  comeBack: true,
  ...(when === undefined ? {} : { when }),
})
const [one, two] = ['10000000-0000-4000-8000-000000000001', '10000000-0000-4000-8000-000000000002']

describe('how far the work has come', () => {
  test.each([
    [0, 'wet'],
    [2, 'wet'],
    [3, 'tacked'],
    [4, 'bonded'],
    [5, 'bonded'],
    [6, 'heated'],
    [7, 'cut'],
  ])('after %i steps: %s', (count, stage) => {
    expect(faultStageOf(at(count))).toBe(stage)
  })
  test('dry film is never wet', () => {
    const dry = { ...plan, film: { ...plan.film, laid: 'dry' as const } }
    expect(faultStageOf(smallFit(dry))).toBe('tacked')
  })
})

describe('what was wrong', () => {
  test('is open until it is settled; what was noted without a time stands for the record only', () => {
    const state = at(4, seen(one, 'fingers', 'at post-heat'), seen(two, 'crease'))
    expect(openProblems(state).map((p) => p.id)).toEqual([one])
    const settled = at(4, seen(one, 'fingers', 'at post-heat'), {
      kind: 'problemSettled',
      stepId: 'grab',
      problemId: one,
      outcome: 'put right',
    })
    expect(openProblems(settled)).toEqual([])
  })
  test('a spoilt piece is settled by what becomes of it', () => {
    const torn = seen(one, 'torn piece', 'at hand-over')
    expect(openProblems(at(4, { ...torn, after: 5 })).map((p) => p.id)).toEqual([one])
    const laidAgain = { kind: 'spoilSettled', stepId: 'soften', outcome: 'laid again', after: 6 }
    expect(openProblems(at(4, { ...torn, after: 5 }, laidAgain))).toEqual([])
  })
  test('stays settled when the step is gone back to', () => {
    const state = at(
      4,
      seen(one, 'fingers', 'now'),
      { kind: 'problemSettled', stepId: 'grab', problemId: one, outcome: 'put right' },
      { kind: 'stepReopened', stepId: 'grab' },
    )
    expect(openProblems(state)).toEqual([])
  })
  test.each([
    ['now', 0, true],
    ['at post-heat', 4, false],
    ['at post-heat', 5, true],
    ['before the cut', 5, false],
    ['before the cut', 6, true],
    ['at hand-over', 6, false],
    ['at hand-over', 7, true],
    ['at the edge look', 7, false],
  ] as const)('come back to %s, after %i steps: %s', (when, count, due) => {
    expect(isDue(when, at(count))).toBe(due)
  })
  test('film that lifts or hangs on a thread keeps the part from being done; a speck does not', () => {
    const stops = (problem: FaultKind) => {
      const [found] = openProblems(at(4, seen(one, problem, 'now')))
      return found !== undefined && stopsPart(found)
    }
    expect(['lifting edge', 'uncut bridge', 'will not grab'].map((p) => stops(p as FaultKind))).toEqual([
      true,
      true,
      true,
    ])
    expect(['dirt or hair', 'haze', 'torn piece'].map((p) => stops(p as FaultKind))).toEqual([false, false, false])
  })
})

describe('what is known of a place', () => {
  const air = { temperatureC: 21, humidityPercent: 45 }
  const edge = { name: 'nose', label: 'nose edge', code: 'gap', unpulledMmPer100: 1.8, leftMmPer100: 0.2 } as never
  const asked = (state: ReturnType<typeof at>, place = { edge }) =>
    whatIsKnown({
      state,
      step: plan.steps[4] ?? smallStep('none'),
      place,
      air,
      found: [],
      answers: {},
      now: minutesIn(30),
    })
  test('a wait that was cut short is known by its minutes, and judged', () => {
    const state = at(4, { kind: 'waitEnded', stepId: 'grab', earlySeconds: 360 })
    const evidence = asked(state)
    expect(evidence).toMatchObject({ minutesEarly: 6, excessMmPer100: 1.8, roomC: 21 })
    const film = { type: 'paint film', laid: 'wet' } as const
    const { causes } = required(judgeFault({ fault: 'lifting edge', stage: 'bonded', film, evidence }, practiceWith()))
    expect(
      causes
        .slice(0, 2)
        .map((c) => c.id)
        .sort(),
    ).toEqual(['too much film', 'wait cut short'])
  })
  test('what is not known is left out', () => {
    expect(asked(at(2), { edge: null as never })).toEqual({ roomC: 21, humidityPercent: 45, found: [], answers: {} })
  })
  describe('at the very spot, of the gun, the blade and the past', () => {
    const film = { glueLineStretch: 0.02, damageC: 110 }
    const drawing = {
      ...plan.drawing,
      part: [
        [0, 0],
        [1600, 0],
        [1600, 800],
        [0, 800],
      ] as [number, number][],
    }
    const spotted = {
      ...plan,
      drawing,
      stretched: [
        { at: [200, 200] as [number, number], stretch: 0.031 },
        { at: [900, 400] as [number, number], stretch: 0.012 },
      ],
      heat: [{ use: 'post-heat', leastC: 80 }] as never,
    }
    const known = (more: Partial<Parameters<typeof whatIsKnown>[0]>, count = 4, ...events: never[]) =>
      whatIsKnown({
        state: smallFit({ ...plan }, ...done(count), ...events),
        step: plan.steps[4] ?? smallStep('none'),
        place: { edge: null },
        air,
        found: [],
        answers: {},
        now: minutesIn(30),
        ...more,
      })
    const spot = (at: readonly [number, number]) =>
      known({ state: { ...smallFit(plan, ...done(4)), plan: spotted }, at, film })
    test('the stretch of the nearest spot, and none away from all of them', () => {
      expect(spot([210, 190])).toMatchObject({ stretch: 0.031, glueLineStretch: 0.02 })
      expect(spot([900, 420])).toMatchObject({ stretch: 0.012 })
      expect(spot([1500, 700])).toMatchObject({ stretch: 0 })
      expect(known({ at: [1, 1], film })).not.toHaveProperty('stretch')
      expect(known({ film })).not.toHaveProperty('stretch')
    })
    test('a hollow that lies there', () => {
      const hollow = smallStep('hollow', {
        references: [{ kind: 'hollow', name: 'duct' }],
        picture: { film: 'laid', marks: [{ kind: 'zone', at: [300, 300], radiusMm: 40 }] },
      })
      const into = { ...spotted, steps: [...plan.steps, hollow] }
      const at = (place: readonly [number, number]) =>
        known({ state: { ...smallFit(plan, ...done(4)), plan: into }, at: place, film }).hollow
      expect(at([320, 310])).toBe(true)
      expect(at([1200, 700])).toBeUndefined()
    })
    test('what the thermometer showed, against the heat that was given last', () => {
      const heated = { ...smallFit(plan, ...done(6)), plan: spotted }
      expect(known({ state: heated, readC: 62, film })).toMatchObject({ hottestC: 62, leastC: 80, damageC: 110 })
      expect(known({ readC: 62, film })).not.toHaveProperty('leastC')
      expect(known({ film })).not.toHaveProperty('hottestC')
      // Film that is being softened has not been post-heated yet; a step on, it is being.
      const heating = (count: number) => ({ ...smallFit(plan, ...done(count)), plan: spotted })
      expect(known({ state: heating(4), readC: 62, film })).not.toHaveProperty('leastC')
      expect(known({ state: heating(5), readC: 62, film })).toMatchObject({ leastC: 80 })
      const shown = { kind: 'heatRead', stepId: 'soften', use: 'soften', readC: 58, wantedC: 60 } as never
      expect(known({ film }, 4, shown)).toMatchObject({ hottestC: 58 })
      expect(known({ film, readC: 91 }, 4, shown)).toMatchObject({ hottestC: 91 })
    })
    test('the age of the segment in the knife, where it was put in during this fit', () => {
      const used = (fresh: boolean, cutMm: number) => ({ kind: 'bladeUsed', stepId: 'soften', fresh, cutMm }) as never
      expect(known({ bladeLastsMm: 3000 }, 4, used(false, 900))).not.toHaveProperty('bladeCutMm')
      const cut = known({ bladeLastsMm: 3000 }, 4, used(true, 900), used(false, 400))
      expect(cut).toMatchObject({ bladeCutMm: 1300, bladeLastsMm: 3000 })
    })
    test('earlier fits of the piece', () => {
      expect(known({ earlier: { fits: 4, same: 3 } })).toMatchObject({ earlierFits: 4, earlierSame: 3 })
      expect(known({ earlier: { fits: 0, same: 0 } })).not.toHaveProperty('earlierFits')
    })
  })
  test('of bottles the last that was in hand counts', () => {
    const bottle = (soapMlPerL: number) => ({
      kind: 'bottleTaken',
      stepId: 'soften',
      use: 'slip',
      batchId: null,
      batchNumber: '1',
      says: { text: 'slip', with: [] },
      alcoholPercent: 0,
      soapMlPerL,
      asPlanned: false,
    })
    expect(asked(at(4, bottle(1.3), bottle(0.2))).slipSoapMlPerL).toBe(0.2)
  })
})

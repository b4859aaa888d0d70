import { describe, expect, test } from 'vitest'
import { smallFit, smallPlan, smallStep } from '../testing/index.ts'
import { againFrom, awaitedPiece, pieceSince, sparesUsed } from './anotherPiece.ts'
import { openProblems } from './problems.ts'

const steps = [
  smallStep('wash', { phase: 'prepare' }),
  smallStep('hold up', { phase: 'prepare', tools: ['piece'] }),
  smallStep('lay', { phase: 'lay' }),
  smallStep('look', { phase: 'look' }),
]
const plan = smallPlan(steps)
const done = (id: string, after: number) => ({ kind: 'stepDone', stepId: id, after })
const seen = (problem: string, after: number, more: object = {}) => ({
  kind: 'problemSeen',
  stepId: 'lay',
  id: `00000000-0000-4000-9000-0000000000${String(after).padStart(2, '0')}`,
  problem,
  place: 'nose',
  comeBack: true,
  when: 'at hand-over',
  after,
  ...more,
})
const again = (from: string, after: number) => [
  { kind: 'stepReopened', stepId: 'lay', after },
  { kind: 'stepReopened', stepId: 'hold up', after },
  { kind: 'spoilSettled', stepId: 'hold up', outcome: 'laid again', from, after },
]
const laid = [done('wash', 1), done('hold up', 2), done('lay', 3)]

describe('where the work begins again', () => {
  test('at the step that takes the piece in hand', () => {
    expect(againFrom(plan)).toBe(1)
  })
  test('a look that the part is dry comes before it again', () => {
    const gate = smallStep('dry', { gate: { text: 'Dry.', with: [] } })
    expect(againFrom(smallPlan([gate, ...steps.slice(1)]))).toBe(0)
  })
  test('off the roll it is cut again', () => {
    const cut = { way: 'from the roll' as const, enlarged: [], sheet: null }
    expect(againFrom(smallPlan([smallStep('wash'), smallStep('cut-sheet'), ...steps.slice(1)], { cut }))).toBe(1)
    expect(againFrom(smallPlan([smallStep('wash'), smallStep('lay')]))).toBe(0)
  })
})

describe('another piece in the place of a torn one', () => {
  const state = smallFit(plan, ...laid, seen('fingers', 4), seen('torn piece', 5), ...again('spare', 6))
  test('takes the fit back to it, and the spare is counted', () => {
    expect(state.done.map(({ stepId }) => stepId)).toEqual(['wash'])
    expect(sparesUsed(state)).toBe(1)
    expect(pieceSince(state)).not.toBeNull()
  })
  test('what was wrong with the old piece is gone with it', () => {
    expect(openProblems(state)).toEqual([])
  })
  test('what is wrong with the part itself is not', () => {
    const cut = smallFit(plan, ...laid, seen('knife mark', 4), seen('torn piece', 5), ...again('roll', 6))
    expect(openProblems(cut).map(({ problem }) => problem)).toEqual(['knife mark'])
  })
  test('what is seen on the new one stands', () => {
    const more = smallFit(plan, ...laid, seen('torn piece', 5), ...again('spare', 6), seen('fingers', 7))
    expect(openProblems(more).map(({ problem }) => problem)).toEqual(['fingers'])
  })
  test('is waited for until it was held up', () => {
    expect(awaitedPiece(smallFit(plan, ...laid))).toBeNull()
    expect(awaitedPiece(state)).toBe('spare')
    const held = smallFit(plan, ...laid, seen('torn piece', 5), ...again('roll', 6), done('hold up', 7))
    expect(awaitedPiece(held)).toBeNull()
  })
  test('stays taken when a step is gone back to, and may be torn as well', () => {
    const back = smallFit(plan, ...laid, seen('torn piece', 5), ...again('spare', 6), {
      kind: 'stepReopened',
      stepId: 'wash',
      after: 7,
    })
    expect(sparesUsed(back)).toBe(1)
    const twice = smallFit(
      plan,
      ...laid,
      seen('torn piece', 5),
      ...again('spare', 6),
      done('hold up', 7),
      done('lay', 8),
      seen('burnt film', 9),
      ...again('roll', 10),
    )
    expect(sparesUsed(twice)).toBe(1)
    expect(awaitedPiece(twice)).toBe('roll')
  })
})

import { batch, type Job, type Part } from '@truelay/contract'
import { type SmallEvent, smallFit, smallPlan, smallStep } from '@truelay/contract/testing'
import { say } from '@truelay/core/say'
import { expect, test } from 'vitest'
import { doneEvents } from './doneEvents.ts'

const solution = (use: 'slip' | 'tack', says: 'light slip' | 'weak tack') => ({
  use,
  school: says,
  says: say`${{ kind: 'name', name: says }}`,
  needMl: 400,
  batchMl: 500,
  strength: { alcoholPercent: use === 'tack' ? 10 : 0, soapMlPerL: use === 'slip' ? 1.3 : 0 },
  add: [{ what: 'water' as const, ml: 500 }],
  warnings: [],
})
const parts = [{ id: 'a' }, { id: 'b' }] as Part[]
const job = { number: '0412' } as Job
const bottle = batch.parse({
  id: 'x',
  number: '1123-1',
  says: say`weak tack`,
  school: 'weak tack',
  strength: { alcoholPercent: 10, soapMlPerL: 0 },
  bottleMl: 1000,
  leftMl: 800,
  waterKind: 'distilled',
  add: [],
  mixedAt: '2030-04-30T09:00:00.000Z',
  personId: 'ines',
  emptiedAt: null,
  history: [],
})

interface Otherwise {
  readonly fresh?: boolean
  readonly before?: readonly SmallEvent[]
  /** The bottle of the shop is offered, and taken or not. */
  readonly taken?: boolean
  /** How much tack is mixed where it is for other parts too. */
  readonly tackMl?: number
}
const doing = (fields: object, { fresh = true, before = [], taken, tackMl }: Otherwise = {}) => {
  const step = smallStep('s', fields)
  const plan = smallPlan([step, smallStep('t')])
  const [slip, tack] = [solution('slip', 'light slip'), solution('tack', 'weak tack')]
  const liquids = [slip, tackMl === undefined ? tack : { ...tack, batchMl: tackMl }]
  const state = smallFit(plan, ...before)
  const standIns = new Map(taken === undefined ? [] : [['tack', { bottle, taken }]])
  const part = { id: parts[1]?.id ?? 'b' } as Part
  return doneEvents({ bundle: { job, parts }, part, state, step, liquids, standIns, fresh })
}

test('a plain step is only done', () => {
  expect(doing({})).toEqual([{ kind: 'stepDone', stepId: 's' }])
})
test('what is mixed is numbered by job, part and turn, and the step is done last', () => {
  const events = doing({ records: 'batches' })
  expect(events.map((e) => e.kind)).toEqual(['batchMixed', 'batchMixed', 'stepDone'])
  expect(events.flatMap((e) => (e.kind === 'batchMixed' ? [e.batchNumber] : []))).toEqual(['0412.2-1', '0412.2-2'])
})
test('what was mixed before at this part counts on; what was gone back to does not', () => {
  const mixed = (stepId: string) => ({
    kind: 'batchMixed',
    stepId,
    batchNumber: '0412.2-1',
    school: null,
    says: say`slip`,
    batchMl: 500,
    alcoholPercent: 0,
    soapMlPerL: 1.3,
    add: [],
  })
  const numbers = (...before: SmallEvent[]) =>
    doing({ records: 'batches' }, { before }).flatMap((e) => (e.kind === 'batchMixed' ? [e.batchNumber] : []))
  expect(numbers(mixed('s'))).toEqual(['0412.2-2', '0412.2-3'])
  expect(numbers(mixed('s'), { kind: 'stepDone', stepId: 's' }, { kind: 'stepReopened', stepId: 's' })).toEqual([
    '0412.2-1',
    '0412.2-2',
  ])
})
test('a bottle for the other parts too is kept as it was poured', () => {
  const volumes = (fields: Otherwise) =>
    doing({ records: 'batches' }, fields).flatMap((e) => (e.kind === 'batchMixed' ? [e.batchMl] : []))
  const [slip, tack] = volumes({})
  expect(tack).not.toBe(1300)
  expect(volumes({ tackMl: 1300 })).toEqual([slip, 1300])
})
test('a bottle that stands in is taken in place of mixing, but only when it was taken', () => {
  expect(doing({ records: 'batches' }, { taken: true }).map((e) => e.kind)).toEqual([
    'batchMixed',
    'bottleTaken',
    'stepDone',
  ])
  expect(doing({ records: 'batches' }, { taken: true })[1]).toMatchObject({ batchNumber: '1123-1', asPlanned: true })
  expect(doing({ records: 'batches' }, { taken: false }).map((e) => e.kind)).toEqual([
    'batchMixed',
    'batchMixed',
    'stepDone',
  ])
})
test('a cut goes into the blade book with its length and segment', () => {
  expect(doing({ records: 'blade', cutMm: 866 }, { fresh: false })[0]).toEqual({
    kind: 'bladeUsed',
    stepId: 's',
    fresh: false,
    cutMm: 866,
  })
})

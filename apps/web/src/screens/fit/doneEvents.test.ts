import type { LiquidBatch } from '@truelay/contract'
import type { PlanStep } from '@truelay/core/plan'
import { expect, test } from 'vitest'
import { doneEvents } from './doneEvents.ts'

const solution = (use: 'slip' | 'tack', says: string) => ({
  use,
  says,
  batchMl: 500,
  strength: { alcoholPercent: use === 'tack' ? 10 : 0, soapMlPerL: use === 'slip' ? 1.3 : 0 },
  add: [{ what: 'water', ml: 500 }],
})
const doing = (step: Partial<PlanStep>, more: object = {}) =>
  doneEvents({
    bundle: { job: { number: '0412' }, parts: [{ id: 'a' }, { id: 'b' }] },
    part: { id: 'b' },
    state: { plan: { solutions: [solution('slip', 'light slip'), solution('tack', 'weak tack')] }, logged: [] },
    step: { id: 's', ...step },
    standIns: new Map(),
    fresh: true,
    ...more,
  } as unknown as Parameters<typeof doneEvents>[0])

test('a plain step is only done', () => {
  expect(doing({})).toEqual([{ kind: 'stepDone', stepId: 's' }])
})
test('what is mixed is numbered by job, part and turn, and the step is done last', () => {
  const events = doing({ records: 'batches' })
  expect(events.map((e) => e.kind)).toEqual(['batchMixed', 'batchMixed', 'stepDone'])
  expect(events.flatMap((e) => (e.kind === 'batchMixed' ? [e.batchNumber] : []))).toEqual(['0412.2-1', '0412.2-2'])
})
test('a bottle that stands in is taken in place of mixing', () => {
  const bottle = { id: 'x', number: '1123-1', says: 'weak tack', strength: { alcoholPercent: 10, soapMlPerL: 0 } }
  const standIns = new Map([['tack', { bottle: bottle as unknown as LiquidBatch, taken: true }]])
  const events = doing({ records: 'batches' }, { standIns })
  expect(events.map((e) => e.kind)).toEqual(['batchMixed', 'bottleTaken', 'stepDone'])
})
test('a cut goes into the blade book with its length and segment', () => {
  expect(doing({ records: 'blade', cutMm: 866 }, { fresh: false })[0]).toEqual({
    kind: 'bladeUsed',
    stepId: 's',
    fresh: false,
    cutMm: 866,
  })
})

import type { JobBundle, Liquids, Part } from '@truelay/contract'
import type { PlannedBatch } from '@truelay/core/plan'
import { say } from '@truelay/core/say'
import { expect, test } from 'vitest'
import { bottlesForMore } from './useTogether.ts'

const planned = (use: 'slip' | 'tack', school: 'light slip' | 'weak tack', needMl: number): PlannedBatch => ({
  use,
  school,
  says: say`liquid`,
  needMl,
  batchMl: needMl,
  add: [],
  strength: { alcoholPercent: 0, soapMlPerL: 0 },
  warnings: [],
})
const taking = (partId: string, slipMl: number, tackMl: number) => ({
  partId,
  solutions: [
    { use: 'slip', school: 'light slip', needMl: slipMl },
    { use: 'tack', school: 'weak tack', needMl: tackMl },
  ],
})
const own = [planned('slip', 'light slip', 100), planned('tack', 'weak tack', 50)]
const bottles = (parts: readonly object[], sets: readonly object[] = [], stockAlcoholPercent = 70) =>
  bottlesForMore(
    { job: { id: '0412' }, shop: { stockAlcoholPercent, practice: {} }, sets } as unknown as JobBundle,
    { id: 'bonnet' } as Part,
    own,
    [{ jobId: '0412', parts }] as unknown as Liquids['needs'],
  )

test('bottles for all that is left of the vehicle hold what its parts take together', () => {
  const more = bottles([taking('bonnet', 100, 50), taking('wing', 200, 80), taking('door', 300, 90)])
  expect(more?.others).toBe(2)
  expect(more?.batches.map(({ needMl }) => needMl)).toEqual([600, 220])
  for (const { needMl, batchMl, add } of more?.batches ?? []) {
    expect(batchMl).toBeGreaterThanOrEqual(needMl)
    expect(add.reduce((sum, { ml }) => sum + ml, 0)).toBeCloseTo(batchMl, 6)
  }
})

test('a part that takes other liquids is left out, one that shares a bottle counts for that one', () => {
  const rinsed = {
    partId: 'lamp',
    solutions: [{ use: 'slip', school: 'water only', needMl: 30 }, ...taking('', 0, 40).solutions.slice(1)],
  }
  const dry = { partId: 'roof', solutions: [] }
  const more = bottles([rinsed, dry])
  expect(more?.others).toBe(1)
  expect(more?.batches.map(({ needMl }) => needMl)).toEqual([100, 90])
})

test('the parts of its own set are in its bottles already', () => {
  const sets = [{ partIds: ['bonnet', 'wing'] }]
  expect(bottles([taking('wing', 200, 80)], sets)).toBeNull()
  expect(bottles([taking('wing', 200, 80), taking('door', 300, 90)], sets)?.batches[0]?.needMl).toBe(400)
})

test('nothing is offered where no other part waits, or where the stock is too weak for it', () => {
  expect(bottles([taking('bonnet', 100, 50)])).toBeNull()
  expect(bottles([taking('door', 300, 90)], [], 2)).toBeNull()
})

import { say } from '@truelay/core/say'
import { expect, test } from 'vitest'
import { becameOf, curedBy } from './lines/becameOf.ts'

const at = (minute: number) => `2030-05-01T09:${String(minute).padStart(2, '0')}:00.000Z`
const id = '10000000-0000-4000-8000-000000000001'
const other = '10000000-0000-4000-8000-000000000002'
type Seen = Parameters<typeof becameOf>[0]
type Settlings = Parameters<typeof becameOf>[1]
const seen = (problem: string, more: object = {}) =>
  ({ id, at: at(10), by: 'Ines', problem, place: say`nose`, comeBack: false, ...more }) as unknown as Seen
const settlings = (problemSettled: object[] = [], spoilSettled: object[] = []) =>
  ({ problemSettled, spoilSettled }) as unknown as Settlings
const settled = (outcome: string, minute: number, problemId = id, more: object = {}) => ({
  problemId,
  outcome,
  by: 'Bo',
  at: at(minute),
  ...more,
})
const spoil = (minute: number, more: object = {}) => ({ outcome: 'laid again', by: 'Bo', at: at(minute), ...more })

test('the last word on it counts, and only a word on this one', () => {
  const words = [settled('was there', 20), settled('put right', 30), settled('customer takes it', 40, other)]
  expect(becameOf(seen('haze'), settlings(words))).toSay(/^put right, Bo, /)
  expect(becameOf(seen('haze'), settlings([settled('put right', 30, other)]))).toSay('seen')
})
test('a spoilt piece: what became of it, where another came from; nothing that was said before it was seen', () => {
  expect(becameOf(seen('torn piece'), settlings([], [spoil(20)]))).toSay(/^.+, Bo, /)
  expect(becameOf(seen('torn piece'), settlings([], [spoil(20, { from: 'spare' })]))).toSay(/spare of the kit, Bo, /)
  expect(becameOf(seen('torn piece'), settlings([], [spoil(5, { from: 'spare' })]))).toSay('seen')
})
test('what was wrong with a piece that came off is gone with it; a spoil without another piece takes nothing off', () => {
  expect(becameOf(seen('haze'), settlings([], [spoil(20, { from: 'spare' })]))).toSay(/^gone with the piece/)
  expect(becameOf(seen('haze'), settlings([], [spoil(20)]))).toSay('seen')
})
test('else it is come back to, when somebody has said so', () => {
  expect(becameOf(seen('haze'), settlings())).toSay('seen')
  expect(becameOf(seen('haze', { comeBack: true }), settlings())).toSay('on the come-back list')
})
test('the steps of a cure are those of the last word', () => {
  const first = settled('put right', 20, id, { cure: ['a'] })
  expect(curedBy(seen('haze'), settlings([first, settled('put right', 30, id, { cure: ['b'] })]))).toEqual(['b'])
  expect(curedBy(seen('haze'), settlings([settled('put right', 30, other, { cure: ['b'] })]))).toBeNull()
})

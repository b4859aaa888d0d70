import { describe, expect, test } from 'vitest'
import { blocksByTightness } from './blocks.ts'
import { shapeOf } from './blockShape.ts'
import { type Net, netOf } from './net.ts'
import { jigsawDay, shopDay } from './testDays.ts'
import { kitDay } from './testKitDays.ts'

/** How much of a resource the tasks of a block take in a minute, counted task by task. */
function takenAt(net: Net, block: readonly number[], offset: Int32Array, resource: number, minute: number): number {
  return block
    .filter((task) => {
      const from = offset[task] ?? 0
      return from <= minute && minute < from + (net.minutes[task] ?? 0)
    })
    .flatMap((task) => net.needs[task] ?? [])
    .filter(({ of }) => of === resource)
    .reduce((sum, { amount }) => sum + amount, 0)
}

const days = [
  ['vehicles through a wash bay', shopDay({ seed: 4, vehicles: 3, parts: 3, people: 2 })],
  ['kits with parts of several kinds', kitDay({ seed: 3, vehicles: 2, parts: 4, people: 3 })],
  ['a full day cut into pieces', jigsawDay({ seed: 3, people: 2, minutes: 200, slack: 20 })],
] as const

describe.each(days)('%s', (_, day) => {
  test('in every minute a block takes what its tasks take together, and each minute is told once', () => {
    const net = netOf(day)
    let several = 0
    for (const { members, offset } of blocksByTightness(net, [0, 20]))
      for (const block of members) {
        if (block.length > 1) several++
        const shape = shapeOf(net, block, offset)
        const rows = Array.from({ length: shape.length / 4 }, (_row, k) => shape.subarray(4 * k, 4 * k + 4))
        const last = Math.max(...block.map((task) => (offset[task] ?? 0) + (net.minutes[task] ?? 0)))
        for (let resource = 0; resource < net.capacity.length; resource++)
          for (let minute = 0; minute <= last; minute++) {
            const told = rows.filter(([of, from = 0, to = 0]) => of === resource && from <= minute && minute < to)
            const expected = takenAt(net, block, offset, resource, minute)
            expect(told.map(([, , , amount]) => amount)).toEqual(expected === 0 ? [] : [expected])
          }
      }
    expect(several).toBeGreaterThan(0)
  })
})

test('what takes no time takes nothing', () => {
  const net = netOf({
    people: [{ id: 'Ines' }],
    tools: [{ id: 'bench', count: 1 }],
    tasks: [{ id: 'ready', minutes: 0, people: 0, tools: ['bench'], after: [] }],
  })
  expect([...shapeOf(net, [0], Int32Array.of(0))]).toEqual([])
})

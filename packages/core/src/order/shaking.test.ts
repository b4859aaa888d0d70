import { afterEach, describe, expect, test, vi } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { blocksByTightness } from './blocks.ts'
import { ListDecoder } from './listDecoder.ts'
import { netOf, reversed } from './net.ts'
import { type Found, search } from './search.ts'
import { ontoFromEnd, ontoFromFront, Shaking } from './shaking.ts'
import { kitDay } from './testKitDays.ts'

const day = kitDay({ seed: 2, vehicles: 3, parts: 4, people: 2 })
const net = netOf(day)
const orders = (most: number) => {
  let asked = 0
  return () => 1 - asked++ / most
}
const plan = ((): Found => {
  const { best } = search(net, { bound: 0, left: orders(60) })
  if (best === null) throw new Error('no plan')
  return best
})()

afterEach(() => {
  vi.restoreAllMocks()
})

describe.each(blocksByTightness(net, [0, 10, 45]).map((blocks, k) => [k, blocks] as const))(
  'lists near a plan, blocks %i',
  (_, blocks) => {
    const shaking = new Shaking(net, seededRandom(5))
    const lists = Array.from({ length: 60 }, () => shaking.of(plan, blocks))
    const begins = (b: number) => {
      const task = blocks.members[b]?.[0] ?? 0
      return (plan.start[task] ?? 0) - (blocks.offset[task] ?? 0)
    }
    const movedBy = (keys: Float64Array, b: number) => {
      const task = blocks.members[b]?.[0] ?? 0
      return (keys[task] ?? 0) - (plan.start[task] ?? 0)
    }

    test('move blocks as one, and none outside the minutes that they tell', () => {
      for (const { keys, from, to } of lists)
        blocks.members.forEach((tasks, b) => {
          const by = movedBy(keys, b)
          for (const task of tasks) expect((keys[task] ?? 0) - (plan.start[task] ?? 0)).toBeCloseTo(by, 9)
          if (by === 0) return
          expect(Math.min(begins(b), begins(b) + by)).toBeGreaterThanOrEqual(from - 1e-9)
          expect(Math.max(begins(b), begins(b) + by)).toBeLessThanOrEqual(to + 1e-9)
        })
    })

    test('move something nearly always, and rarely everything', () => {
      const moved = lists.map(({ keys }) => blocks.members.filter((_, b) => movedBy(keys, b) !== 0).length)
      expect(moved.filter((count) => count > 0).length).toBeGreaterThan(45)
      expect(moved.filter((count) => count === blocks.members.length).length).toBeLessThan(30)
    })

    test('turned round, the plan keeps all waits of the day seen from its end, and no block that is moved stands', () => {
      const back = reversed(net)
      for (const list of lists) {
        const { start, until } = ontoFromEnd(net, plan, list, false)
        back.out.forEach((arcs, i) => {
          for (const { to, lag } of arcs) expect((start[to] ?? 0) - (start[i] ?? 0)).toBeGreaterThanOrEqual(lag)
        })
        blocks.members.forEach((tasks, b) => {
          if (movedBy(list.keys, b) !== 0)
            expect(Math.max(...tasks.map((task) => start[task] ?? 0))).toBeGreaterThanOrEqual(until)
        })
      }
    })
  },
)

test('a list that has to meet its plan does so after the last that is moved, from either side; else it never has to', () => {
  const list = { keys: Float64Array.from(plan.start), from: 40, to: 90 }
  expect(ontoFromFront(plan, list, true).until).toBe(40)
  expect(ontoFromFront(plan, list, true).metBy).toBeGreaterThan(90)
  expect(ontoFromEnd(net, plan, list, true).metBy).toBeGreaterThan(plan.minutes - 40)
  expect(ontoFromFront(plan, list, false).metBy).toBe(Number.POSITIVE_INFINITY)
  expect(ontoFromEnd(net, plan, list, false).metBy).toBe(Number.POSITIVE_INFINITY)
})

/** By when lists had to meet the plan that they were made from, in a search on a day. */
function meetings(notAfter: number): number[] {
  const decode = vi.spyOn(ListDecoder.prototype, 'decode')
  const due = { ...day, tasks: day.tasks.map((task) => (task.id.endsWith('out') ? { ...task, notAfter } : task)) }
  search(netOf(due), { bound: 0, left: orders(400) })
  return decode.mock.calls.flatMap(([, onto]) => (onto == null ? [] : [onto.metBy]))
}

test('where a promise is missed, a list that does less early is not given up: it may be the better one', () => {
  const late = meetings(30)
  expect(late.length).toBeGreaterThan(20)
  expect(new Set(late)).toEqual(new Set([Number.POSITIVE_INFINITY]))
  vi.restoreAllMocks()
  expect(meetings(10_000).some((minute) => minute < 10_000)).toBe(true)
})

import { usualHours, type WeekHours } from '@truelay/contract'
import { expect, test } from 'vitest'
import { usualStay } from './usualStay.ts'

/** Day 3 of this month is a Monday. */
const at = (day: number, hour: number, minute = 0) => new Date(2030, 5, day, hour, minute)
const thursdayToSaturday: WeekHours = [
  ...[null, null, null],
  ...Array.from({ length: 3 }, () => ({ from: '09:30', to: '13:00' })),
  null,
]

test.each([
  ['early, it comes this morning', at(3, 5), at(3, 8), at(4, 16)],
  ['in the middle of the day it stands here since the morning', at(3, 14, 20), at(3, 8), at(4, 16)],
  ['once the shop has closed it comes tomorrow', at(3, 22, 40), at(4, 8), at(5, 16)],
  ['after the last day of the week, on the first of the next', at(7, 18), at(10, 8), at(11, 16)],
  ['on the last day it leaves on the first of the next week', at(7, 9), at(7, 8), at(10, 16)],
])('%s', (_, now, arrivesAt, dueAt) => {
  expect(usualStay(now, usualHours)).toEqual({ arrivesAt, dueAt })
})

test('by the hours of this shop', () => {
  expect(usualStay(at(3, 10), thursdayToSaturday)).toEqual({ arrivesAt: at(6, 9, 30), dueAt: at(7, 12) })
})

test('a shop that is never open takes the usual hours; one that closes at once keeps nobody after', () => {
  const never: WeekHours = Array.from({ length: 7 }, () => null)
  expect(usualStay(at(3, 14), never)).toEqual(usualStay(at(3, 14), usualHours))
  const short: WeekHours = Array.from({ length: 7 }, () => ({ from: '10:00', to: '10:30' }))
  expect(usualStay(at(3, 9), short)).toEqual({ arrivesAt: at(3, 10), dueAt: at(4, 10) })
})

import { describe, expect, test } from 'vitest'
import { english } from '@truelay/words'
import { sayProblem } from './failure.ts'
import { closedTimes, openOn, usualHours, type WeekHours, weekHours, whenOpen } from './hours.ts'

const at = (day: number, hour: number, minute = 0) => new Date(2030, 4, day, hour, minute)

describe('when the shop is open (1 May 2030 is a Wednesday)', () => {
  test.each([
    ['while it is open nothing moves', at(1, 10), at(1, 10)],
    ['before it opens: at its opening', at(1, 5), at(1, 8)],
    ['after it has closed: the next morning', at(1, 19, 30), at(2, 8)],
    ['on a Friday evening: on Monday', at(3, 18), at(6, 8)],
    ['on a Sunday: on Monday', at(5, 12), at(6, 8)],
    ['at the very end it is still open', at(1, 17), at(1, 17)],
  ])('%s', (_, asked, wanted) => {
    expect(whenOpen(asked, usualHours)).toEqual(wanted)
  })
  test('from when to when on one day; not at all at the weekend', () => {
    expect(openOn(at(3, 23), usualHours)).toEqual([at(3, 8), at(3, 17)])
    expect([4, 5].map((day) => openOn(at(day, 12), usualHours))).toEqual([null, null])
  })
  test('over the end of a month', () => {
    expect(whenOpen(at(31, 20), usualHours)).toEqual(new Date(2030, 5, 3, 8))
  })
  test('one day a week is found from any other', () => {
    const sundays: WeekHours = [null, null, null, null, null, null, { from: '09:00', to: '12:00' }]
    for (let day = 6; day <= 12; day++)
      expect(whenOpen(at(day, 13), sundays)).toEqual(day === 12 ? at(19, 9) : at(12, 9))
  })
  test('a shop that never opens leaves the moment as it is', () => {
    const closed = usualHours.map(() => null)
    expect(whenOpen(at(1, 3), closed)).toEqual(at(1, 3))
  })
})

describe('when the shop is closed', () => {
  const closed = (from: Date, until: Date, hours: WeekHours = usualHours) => closedTimes(hours, from, until)
  test('the nights between working days', () => {
    expect(closed(at(1, 10), at(3, 9))).toEqual([
      [at(1, 17), at(2, 8)],
      [at(2, 17), at(3, 8)],
    ])
  })
  test('from before it opens, and over a weekend to the very end', () => {
    expect(closed(at(3, 6), at(5, 12))).toEqual([
      [at(3, 6), at(3, 8)],
      [at(3, 17), at(5, 12)],
    ])
  })
  test('nothing while it is open', () => {
    expect(closed(at(1, 9), at(1, 16))).toEqual([])
  })
  test('after hours it begins at once', () => {
    expect(closed(at(1, 19), at(2, 9))).toEqual([[at(1, 19), at(2, 8)]])
  })
  describe('with a break', () => {
    const withBreak: WeekHours = usualHours.map((day) =>
      day === null ? null : { ...day, pause: { from: '12:00', to: '12:30' } },
    )
    test('nobody works in it; what of it is over is left out', () => {
      expect(closed(at(1, 9), at(1, 16), withBreak)).toEqual([[at(1, 12), at(1, 12, 30)]])
      expect(closed(at(1, 12, 10), at(1, 16), withBreak)).toEqual([[at(1, 12, 10), at(1, 12, 30)]])
      expect(closed(at(1, 13), at(1, 16), withBreak)).toEqual([])
      expect(closed(at(1, 16), at(2, 13), withBreak)).toEqual([
        [at(1, 17), at(2, 8)],
        [at(2, 12), at(2, 12, 30)],
      ])
    })
    test('outside the hours, or ended before it begins, it is refused', () => {
      const day = (pause: object) =>
        weekHours.safeParse(usualHours.map((one) => (one === null ? null : { ...one, pause })))
      expect(day({ from: '12:00', to: '12:30' }).success).toBe(true)
      expect(day({ from: '16:30', to: '17:30' }).success).toBe(false)
      expect(day({ from: '12:30', to: '12:00' }).success).toBe(false)
    })
  })
  test.each([
    [{ from: '18:00', to: '17:00' }, 'On Monday the shop must close after it opens.'],
    [
      { from: '08:00', to: '17:00', pause: { from: '12:30', to: '12:00' } },
      'On Monday the break must end after it begins.',
    ],
    [
      { from: '08:00', to: '17:00', pause: { from: '07:00', to: '07:30' } },
      'On Monday the break must lie within the opening hours.',
    ],
  ])('what is wrong is told with its day: %j', (day, told) => {
    const week = weekHours.safeParse([day, ...usualHours.slice(1)])
    expect(week.success ? '' : english(sayProblem(week.error).sentence)).toBe(told)
    const later = weekHours.safeParse([...usualHours.slice(0, 6), day])
    expect(later.success ? '' : english(sayProblem(later.error).sentence)).toBe(told.replace('Monday', 'Sunday'))
  })
  test('hours that never open close nothing', () => {
    const none = usualHours.map(() => null)
    expect(closed(at(1, 0), at(9, 0), none)).toEqual([])
  })
})

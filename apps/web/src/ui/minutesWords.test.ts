import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { ageWords } from './ageWords.ts'
import { minutesWords, whenWords } from './minutesWords.ts'

test('lengths of time as one says them', () => {
  expect([18, 99, 210, 1300, 2880, 4320, 5200].map((minutes) => english(minutesWords(minutes)))).toEqual([
    '18 min',
    '99 min',
    '3.5 h',
    '22 h',
    '2 days',
    '3 days',
    '3.6 days',
  ])
})

test('a moment of today has no date', () => {
  const now = new Date(2030, 4, 1, 9, 0)
  expect(whenWords(new Date(2030, 4, 1, 14, 5), now)).toBe('14:05')
  expect(whenWords(new Date(2030, 4, 3, 8, 30), now)).toBe('Fri 3 May, 08:30')
})

test('how long ago', () => {
  const now = new Date('2030-05-01T12:00:00Z')
  expect(
    ['2030-05-01T11:59:50Z', '2030-05-01T11:20:00Z', '2030-05-01T07:00:00Z', '2030-04-27T12:00:00Z'].map((at) =>
      english(ageWords(at, now)),
    ),
  ).toEqual(['just now', '40 min ago', '5 h ago', '4 days ago'])
})

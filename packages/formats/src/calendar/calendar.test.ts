import { expect, test } from 'vitest'
import { writeCalendar } from './index.ts'

test('entries become events that any calendar reads', () => {
  const text = writeCalendar(
    [
      {
        id: '0412-bonnet-1',
        at: new Date('2030-05-01T16:05:00Z'),
        minutes: 10,
        title: 'Edges of the bonnet, first look',
        says: 'Press and look; note what lifts.',
      },
    ],
    new Date('2030-05-01T12:00:00Z'),
  )
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/)
  expect(text).toContain('UID:0412-bonnet-1@true-lay')
  expect(text).toContain('DTSTART:20300501T160500Z')
  expect(text).toContain('DURATION:PT10M')
  expect(text).toContain('TRIGGER:-PT15M')
  expect(text).toMatch(/SEQUENCE:\d+/)
  expect(text.trim().endsWith('END:VCALENDAR')).toBe(true)
})

test('what was made later is the later revision', () => {
  const entry = { id: 'a', at: new Date('2030-05-01T16:05:00Z'), minutes: 10, title: 'Look', says: '' }
  const revision = (madeAt: string) => Number(/SEQUENCE:(\d+)/.exec(writeCalendar([entry], new Date(madeAt)))?.[1])
  expect(revision('2030-05-01T12:00:01Z')).toBe(revision('2030-05-01T12:00:00Z') + 1)
  expect(revision('2080-01-01T00:00:00Z')).toBeLessThan(2 ** 31)
})

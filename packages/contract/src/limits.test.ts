import { describe, expect, test } from 'vitest'
import { cutDraft } from './cut.ts'
import { impossible } from './devices/defineDevice.ts'
import { forecast } from './devices/forecast.ts'
import { room } from './devices/room.ts'
import { formVersions } from './formDoc.ts'
import { usualHours, weekHours } from './hours.ts'

describe('a measurement that cannot be', () => {
  test('lies beyond the ends, which can be themselves', () => {
    expect(impossible('K', 5, 5, 9)).toBeNull()
    expect(impossible('K', 9, 5, 9)).toBeNull()
    expect(impossible('K', 4.99, 5, 9)).toSay('It measures 4.99 K: that cannot be.')
    expect(impossible('K', 9.01, 5, 9)).not.toBeNull()
    expect(impossible('K', Number.NaN, 5, 9)).not.toBeNull()
  })
  test.each([
    [{ temperatureC: -20, humidityPercent: 0 }, true],
    [{ temperatureC: 60, humidityPercent: 100 }, true],
    [{ temperatureC: -21, humidityPercent: 50 }, false],
    [{ temperatureC: 61, humidityPercent: 50 }, false],
    [{ temperatureC: 20, humidityPercent: 101 }, false],
    [{ temperatureC: 20, humidityPercent: -1 }, false],
  ])('in a room: %j', (air, can) => {
    expect(room.oddity({ at: '2030-05-01T09:00:00.000Z', ...air }) === null).toBe(can)
  })
})

describe('a forecast outside', () => {
  const hour = (temperatureC: number) => ({ at: '2030-05-01T09:00:00.000Z', temperatureC })
  const issuedAt = '2030-05-01T06:00:00.000Z'
  test('of hundreds of hours at most', () => {
    const of = (count: number) => forecast.answer.safeParse({ issuedAt, hours: Array(count).fill(hour(4)) }).success
    expect([0, 1, 400, 401].map(of)).toEqual([true, true, true, false])
  })
  test('is odd where any of its hours is, ends included', () => {
    const odd = (...temperatures: number[]) => forecast.oddity({ issuedAt, hours: temperatures.map(hour) })
    expect(odd(-50, 12, 60)).toBeNull()
    expect(odd(12, 61)).not.toBeNull()
    expect(odd(-51, 12)).not.toBeNull()
  })
})

describe('hours of a day', () => {
  const with0 = (day: object) => weekHours.safeParse([day, ...usualHours.slice(1)]).success
  test.each([
    [{ from: '08:00', to: '17:00' }, true],
    [{ from: '08:00', to: '08:00' }, false],
    [{ from: '09:00', to: '08:00' }, false],
    [{ from: '08:00', to: '17:00', pause: { from: '08:00', to: '17:00' } }, true],
    [{ from: '08:00', to: '17:00', pause: { from: '07:59', to: '09:00' } }, false],
    [{ from: '08:00', to: '17:00', pause: { from: '16:00', to: '17:01' } }, false],
    [{ from: '08:00', to: '17:00', pause: { from: '12:00', to: '12:00' } }, false],
    [{ from: '8:00', to: '17:00' }, false],
    [{ from: '08:00', to: '24:00' }, false],
  ])('%j: %s', (day, taken) => {
    expect(with0(day)).toBe(taken)
  })
  test('there are seven of them', () => {
    expect(weekHours.safeParse(usualHours.slice(1)).success).toBe(false)
    expect(weekHours.safeParse([...usualHours, null]).success).toBe(false)
  })
})

describe('versions of forms as an address names them', () => {
  test('none, one, several; the last sign before the number counts', () => {
    expect(formVersions.parse(undefined)).toEqual([])
    expect(formVersions.parse('bonnet@2')).toEqual([{ id: 'bonnet', version: 2 }])
    expect(formVersions.parse(['a@1', 'b@c@30'])).toEqual([
      { id: 'a', version: 1 },
      { id: 'b@c', version: 30 },
    ])
  })
  test.each(['bonnet', 'bonnet@', 'bonnet@0', '@1', 'bonnet@1x'])('%s names none', (named) => {
    expect(formVersions.safeParse(named).success).toBe(false)
  })
})

test('a cut of nothing is no cut', () => {
  const piece = { pieceId: 'p', count: 1 }
  const draft = (pieces: object[], sheets?: string[]) =>
    cutDraft.safeParse({
      id: '10000000-0000-4000-8000-000000000001',
      filmId: 'f',
      lot: 'DG-1',
      personId: 'ines',
      rollWidthMm: 600,
      usedLengthMm: 1000,
      pieces,
      ...(sheets === undefined ? {} : { sheets }),
      file: null,
    })
  expect(draft([piece]).success).toBe(true)
  expect(draft([], ['0412-bonnet']).success).toBe(true)
  for (const nothing of [draft([]), draft([], [])]) {
    expect(nothing.success).toBe(false)
    expect(nothing.error?.issues.map((issue) => issue.path)).toEqual([['pieces']])
  }
})

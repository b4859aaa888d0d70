import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readNumber } from './index.ts'

describe('a number as people type it', () => {
  test.each([
    ['2.5', 2.5],
    ['2,5', 2.5],
    [' 2,5 ', 2.5],
    ['-2.5', -2.5],
    ['−2,5', -2.5],
    ['+3', 3],
    ['.5', 0.5],
    [',5', 0.5],
    ['2.', 2],
    ['0', 0],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['1 234,5', 1234.5],
    ['1 234.5', 1234.5],
    ['1\u202f234,5', 1234.5],
    ['12’345.5', 12345.5],
    ["12'345", 12345],
    ['1,234,567', 1234567],
    ['3/8', 0.375],
    ['1 1/16', 1.0625],
    ['1-1/16', 1.0625],
    ['-1 1/2', -1.5],
    ['½', 0.5],
    ['3½', 3.5],
    ['3 ½', 3.5],
  ])('%s', (typed, number) => {
    expect(readNumber(typed)).toBeCloseTo(number, 12)
  })
  test.each([
    ['12 mm', 'mm', 12],
    ['12mm', 'mm', 12],
    ['1 1/16 in', 'in', 1.0625],
    ['1 1/16"', 'in', 1.0625],
    ['3½ inches', 'in', 3.5],
    ['68 °F', '°F', 68],
    ['20,5 C', '°C', 20.5],
    ['4 oz', 'fl oz', 4],
    ['48 %', '%', 48],
    ['4.5 mL/L', 'mL/L', 4.5],
  ])('%s where %s is asked for', (typed, unit, number) => {
    expect(readNumber(typed, { unit })).toBeCloseTo(number, 12)
  })
  test.each([
    '',
    ' ',
    '-',
    '.',
    '1.2.3',
    '1,2,3',
    '1.23,456.7',
    '12,34.5',
    '1 23',
    '1/0',
    '1//2',
    'abc',
    '12 mmm',
    '1e3',
    '0x10',
    'Infinity',
    '2-3',
    '1 2/3/4',
    '--2',
  ])('"%s" is none', (typed) => {
    expect(readNumber(typed)).toBeNull()
  })
  test('another unit than the one that is asked for is not taken for it', () => {
    expect(readNumber('12 mm', { unit: 'in' })).toBeNull()
    expect(readNumber('68 °F', { unit: '°C' })).toBeNull()
  })
  test('"2,500" is 2.5, or 2 500 where only that can be meant', () => {
    expect(readNumber('2,500')).toBe(2.5)
    expect(readNumber('2,500', { fits: (n) => n >= 100 })).toBe(2500)
    expect(readNumber('2.500', { fits: (n) => n >= 100 })).toBe(2500)
    expect(readNumber('2,500', { fits: (n) => n > 9000 })).toBe(2.5)
  })
  test('any number comes back from either way of writing it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -99_999_999, max: 99_999_999 }),
        fc.integer({ min: 0, max: 999 }),
        (whole, thousandths) => {
          const value = Math.sign(whole || 1) * (Math.abs(whole) + thousandths / 1000)
          for (const locale of ['en-GB', 'de-DE', 'fr-FR', 'de-CH']) {
            const typed = value.toLocaleString(locale, { minimumFractionDigits: 3, maximumFractionDigits: 3 })
            expect(readNumber(typed, { fits: (n) => Math.abs(n - value) < 1e-6 }), typed).toBeCloseTo(value, 6)
          }
        },
      ),
    )
  })
  test('whatever is typed is a number or none, never something else', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme', maxLength: 30 }),
        fc.constantFrom('', 'mm', 'in', '°C'),
        (typed, unit) => {
          const read = readNumber(typed, { unit })
          expect(read === null || Number.isFinite(read)).toBe(true)
        },
      ),
    )
  })
})

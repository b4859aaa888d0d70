import fc from 'fast-check'
import { expect, test } from 'vitest'
import { cFromFahrenheit, fahrenheitFromC, inchFromMm, mlFromFluidOunce, mmFromInch } from './index.ts'

test('conversions are exact', () => {
  expect(mmFromInch(1)).toBe(25.4)
  expect(inchFromMm(25.4)).toBe(1)
  expect(fahrenheitFromC(100)).toBe(212)
  expect(cFromFahrenheit(32)).toBe(0)
  expect(mlFromFluidOunce(1)).toBeCloseTo(29.5735, 4)
})

test('and come back', () => {
  fc.assert(
    fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (x) => {
      expect(inchFromMm(mmFromInch(x))).toBeCloseTo(x, 9)
      expect(cFromFahrenheit(fahrenheitFromC(x))).toBeCloseTo(x, 9)
    }),
  )
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  cFromFahrenheit,
  degFromRad,
  fahrenheitFromC,
  fluidOunceFromMl,
  footFromMm,
  inchFromMm,
  mlFromFluidOunce,
  mmFromFoot,
  mmFromInch,
  radFromDeg,
  spanMm,
} from './index.ts'

describe('conversions', () => {
  test('are exact', () => {
    expect(mmFromInch(1)).toBe(25.4)
    expect(inchFromMm(25.4)).toBe(1)
    expect(footFromMm(304.8)).toBeCloseTo(1, 12)
    expect(mmFromFoot(2)).toBeCloseTo(609.6, 9)
    expect(fahrenheitFromC(100)).toBe(212)
    expect(cFromFahrenheit(32)).toBe(0)
    expect(mlFromFluidOunce(1)).toBeCloseTo(29.5735, 4)
    expect(fluidOunceFromMl(29.5735295625)).toBe(1)
    expect(radFromDeg(180)).toBe(Math.PI)
    expect(degFromRad(Math.PI / 2)).toBe(90)
  })
  test.each([
    ['inches', mmFromInch, inchFromMm],
    ['degrees Fahrenheit', cFromFahrenheit, fahrenheitFromC],
    ['fluid ounces', mlFromFluidOunce, fluidOunceFromMl],
    ['degrees', radFromDeg, degFromRad],
  ])('%s come back', (_, there, back) => {
    fc.assert(
      fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (x) => {
        expect(back(there(x))).toBeCloseTo(x, 9)
      }),
    )
  })
  test('a span is about 100 mm and round in its own unit', () => {
    expect(spanMm.mm).toBe(100)
    expect(inchFromMm(spanMm.in)).toBe(4)
    expect(Math.abs(spanMm.in - spanMm.mm)).toBeLessThan(2)
  })
})

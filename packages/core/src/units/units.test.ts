import { expect, test } from 'vitest'
import {
  cFromFahrenheit,
  fahrenheitFromC,
  inchFromMm,
  inWords,
  mlFromFluidOunce,
  mmFromInch,
  showLength,
  showTemperature,
  showVolume,
} from './index.ts'

test('conversions are exact and come back', () => {
  expect(mmFromInch(1)).toBe(25.4)
  expect(inchFromMm(25.4)).toBe(1)
  expect(fahrenheitFromC(100)).toBe(212)
  expect(cFromFahrenheit(32)).toBe(0)
  expect(mlFromFluidOunce(1)).toBeCloseTo(29.5735, 4)
})

test('quantities as a shop reads them', () => {
  expect(inWords(showLength(2.54, 'mm'))).toBe('2.5 mm')
  expect(inWords(showLength(-0.26, 'mm'))).toBe('−0.3 mm')
  expect(inWords(showLength(100, 'mm'))).toBe('100 mm')
  expect(inWords(showLength(2.54, 'in'))).toBe('0.100 in')
  expect(inWords(showTemperature(21.4, 'C', 1))).toBe('21.4 °C')
  expect(inWords(showTemperature(100, 'F'))).toBe('212 °F')
  expect(inWords(showVolume(1.8, 'mL'))).toBe('1.8 mL')
  expect(inWords(showVolume(450, 'mL'))).toBe('450 mL')
  expect(inWords(showVolume(1400, 'mL'))).toBe('1.4 L')
  expect(inWords(showVolume(1140, 'mL'))).toBe('1.14 L')
  expect(inWords(showVolume(29.5735295625, 'fl oz'))).toBe('1.00 fl oz')
})

import { fahrenheitFromC, fluidOunceFromMl, inchFromMm } from './units.ts'

export interface UnitChoice {
  readonly length: 'mm' | 'in'
  readonly temperature: 'C' | 'F'
  readonly volume: 'mL' | 'fl oz'
}

export const metricUnits: UnitChoice = { length: 'mm', temperature: 'C', volume: 'mL' }

/** A quantity as a shop reads it: the figure apart from its unit, so that each can be set in its own size. */
export interface Shown {
  readonly figure: string
  readonly unit: string
}

const minus = (text: string) => text.replace('-', '−')

/** A length: tenths of a mm (whole ones from 100 on), or hundredths of an inch (thousandths where the length is small). */
export function showLength(lengthMm: number, unit: UnitChoice['length'], digits?: number): Shown {
  if (unit === 'mm')
    return { figure: minus(lengthMm.toFixed(digits ?? (Math.abs(lengthMm) >= 100 ? 0 : 1))), unit: 'mm' }
  const inches = inchFromMm(lengthMm)
  return { figure: minus(inches.toFixed(Math.abs(inches) < 1 ? 3 : 2)), unit: 'in' }
}

export function showTemperature(temperatureC: number, unit: UnitChoice['temperature'], digits = 0): Shown {
  return unit === 'C'
    ? { figure: minus(temperatureC.toFixed(digits)), unit: '°C' }
    : { figure: minus(fahrenheitFromC(temperatureC).toFixed(digits)), unit: '°F' }
}

/** A volume: whole mL (tenths below 20), litres from one litre on, or fluid ounces. */
export function showVolume(volumeMl: number, unit: UnitChoice['volume']): Shown {
  if (unit === 'fl oz') {
    const ounces = fluidOunceFromMl(volumeMl)
    return { figure: ounces.toFixed(ounces < 1 ? 3 : ounces < 10 ? 2 : 1), unit: 'fl oz' }
  }
  if (volumeMl >= 1000) return { figure: (volumeMl / 1000).toFixed(volumeMl % 100 === 0 ? 1 : 2), unit: 'L' }
  return { figure: volumeMl.toFixed(volumeMl < 20 ? 1 : 0), unit: 'mL' }
}

export const inWords = ({ figure, unit }: Shown) => `${figure} ${unit}`

import { fahrenheitFromC, fluidOunceFromMl, inchFromMm, mm2PerM2, type UnitChoice } from '@truelay/core/units'

/** A quantity as a shop reads it: the figure apart from its unit, so that each can be set in its own size. */
export interface Shown {
  readonly figure: string
  readonly unit: string
}

/** Writes figures in the number format of a language, with a true minus sign. */
export const figureIn =
  (locale: string) =>
  (value: number, least: number, most: number = least): string => {
    // A zero that rounding has made negative is a zero.
    const rounded = Number(value.toFixed(most))
    return formatOf(locale, least, most)
      .format(rounded === 0 ? 0 : rounded)
      .replace('-', '−')
  }
export type Figure = ReturnType<typeof figureIn>

const formats = new Map<string, Intl.NumberFormat>()
function formatOf(locale: string, least: number, most: number): Intl.NumberFormat {
  const key = `${locale} ${least} ${most}`
  const known = formats.get(key)
  if (known !== undefined) return known
  const made = new Intl.NumberFormat(locale, {
    minimumFractionDigits: least,
    maximumFractionDigits: most,
    useGrouping: false,
  })
  formats.set(key, made)
  return made
}

const english = figureIn('en-GB')

/** A length: tenths of a mm (whole ones from 100 on), or hundredths of an inch (thousandths where the length is small). */
export function showLength(
  lengthMm: number,
  unit: UnitChoice['length'],
  digits?: number,
  figure: Figure = english,
): Shown {
  if (unit === 'mm') return { figure: figure(lengthMm, digits ?? (Math.abs(lengthMm) >= 100 ? 0 : 1)), unit: 'mm' }
  return inInches(lengthMm, figure)
}

const inInches = (lengthMm: number, figure: Figure): Shown => {
  const inches = inchFromMm(lengthMm)
  return { figure: figure(inches, Math.abs(inches) < 1 ? 3 : 2), unit: 'in' }
}

/** A length within a sentence: "12 mm" where a screen's figure would be "12.0". */
export function sayLength(
  lengthMm: number,
  unit: UnitChoice['length'],
  digits?: number,
  figure: Figure = english,
): Shown {
  if (unit === 'in') return inInches(lengthMm, figure)
  if (digits !== undefined) return { figure: figure(lengthMm, 0, digits), unit: 'mm' }
  return { figure: figure(lengthMm, 0, Math.abs(lengthMm) >= 100 ? 0 : 1), unit: 'mm' }
}

export function showTemperature(
  temperatureC: number,
  unit: UnitChoice['temperature'],
  digits = 0,
  figure: Figure = english,
): Shown {
  return unit === 'C'
    ? { figure: figure(temperatureC, digits), unit: '°C' }
    : { figure: figure(fahrenheitFromC(temperatureC), digits), unit: '°F' }
}

/** A difference of two temperatures: 10 °C are 18 °F. */
export const showWarmer = (c: number, unit: UnitChoice['temperature'], figure: Figure = english): Shown =>
  unit === 'C' ? { figure: figure(c, 0), unit: '°C' } : { figure: figure(1.8 * c, 0), unit: '°F' }

/** A volume: whole mL (tenths below 20), litres from one litre on, or fluid ounces. */
export function showVolume(volumeMl: number, unit: UnitChoice['volume'], figure: Figure = english): Shown {
  if (unit === 'fl oz') {
    const ounces = fluidOunceFromMl(volumeMl)
    return { figure: figure(ounces, ounces < 1 ? 3 : ounces < 10 ? 2 : 1), unit: 'fl oz' }
  }
  if (volumeMl >= 1000) return { figure: figure(volumeMl / 1000, volumeMl % 100 === 0 ? 1 : 2), unit: 'L' }
  return { figure: figure(volumeMl, volumeMl < 1 ? 2 : volumeMl < 20 ? 1 : 0), unit: 'mL' }
}

/** A volume within a sentence: "8 mL" where a screen's figure would be "8.0". */
export function sayVolume(volumeMl: number, unit: UnitChoice['volume'], figure: Figure = english): Shown {
  if (unit === 'fl oz') return showVolume(volumeMl, unit, figure)
  if (volumeMl >= 1000) return { figure: figure(volumeMl / 1000, 0, 2), unit: 'L' }
  return { figure: figure(volumeMl, 0, volumeMl < 1 ? 2 : volumeMl < 20 ? 1 : 0), unit: 'mL' }
}

/** Soap in a liquid: mL in a litre, or fluid ounces in a gallon of 128. */
export function showPerLitre(mlPerL: number, unit: UnitChoice['volume'], figure: Figure = english): Shown {
  return unit === 'mL'
    ? { figure: figure(mlPerL, 0, 1), unit: 'mL/L' }
    : { figure: figure((mlPerL / 1000) * 128, 0, 2), unit: 'fl oz/gal' }
}

export const showArea = (mm2: number, unit: UnitChoice['length'], figure: Figure = english): Shown =>
  unit === 'mm'
    ? mm2 >= 0.1 * mm2PerM2
      ? { figure: figure(mm2 / mm2PerM2, 0, 2), unit: 'm²' }
      : { figure: figure(mm2, 0), unit: 'mm²' }
    : { figure: figure(inchFromMm(inchFromMm(mm2)), 0, 1), unit: 'in²' }

export const showSpeed = (mmPerS: number, unit: UnitChoice['length'], figure: Figure = english): Shown =>
  unit === 'mm'
    ? { figure: figure(mmPerS, 0), unit: 'mm/s' }
    : { figure: figure(inchFromMm(mmPerS), 0, 1), unit: 'in/s' }

export const inWords = ({ figure, unit }: Shown) => `${figure} ${unit}`

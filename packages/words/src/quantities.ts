import type { Measure } from '@truelay/core/say'
import {
  fahrenheitFromC,
  fluidOunceFromMl,
  footFromMm,
  inchFromMm,
  mm2PerM2,
  spanMm,
  type UnitChoice,
} from '@truelay/core/units'

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
    const toDigits = Number(value.toFixed(most))
    const rounded = toDigits === 0 ? 0 : toDigits
    // The first number format costs forty milliseconds, and English writes a whole number as it stands.
    const written =
      least === 0 && Number.isSafeInteger(rounded) && /^en\b/.test(locale)
        ? String(rounded)
        : formatOf(locale, least, most).format(rounded)
    return written.replace('-', '−')
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

/** A screen's figures keep their digits ("12.0"), so that columns stand; within a sentence zeros at the end are left out ("12"). */
export type Style = 'screen' | 'sentence'

/** Shows what is measured in the units and the number format of a shop. */
export const measuresIn =
  (units: UnitChoice, figure: Figure) =>
  (measure: Measure, style: Style = 'screen'): Shown => {
    const kept = (value: number, digits: number) => figure(value, style === 'screen' ? digits : 0, digits)
    switch (measure.kind) {
      case 'length':
        return units.length === 'in' ? inInches(measure.mm, figure) : inMm(measure.mm, measure.digits, kept)
      case 'film length':
        return units.length === 'in'
          ? { figure: kept(footFromMm(measure.mm), 1), unit: 'ft' }
          : { figure: kept(measure.mm / 1000, 2), unit: 'm' }
      case 'in span': {
        const mm = (measure.mmPer100 * spanMm[units.length]) / 100
        return units.length === 'in' ? inInches(mm, figure) : inMm(mm, undefined, kept)
      }
      case 'area':
        return units.length === 'in'
          ? { figure: figure(inchFromMm(inchFromMm(measure.mm2)), 0, 1), unit: 'in²' }
          : measure.mm2 >= 0.1 * mm2PerM2
            ? { figure: figure(measure.mm2 / mm2PerM2, 0, 2), unit: 'm²' }
            : { figure: figure(measure.mm2, 0), unit: 'mm²' }
      case 'temperature': {
        const { c, digits = 0 } = measure
        return units.temperature === 'C'
          ? { figure: figure(c, digits), unit: '°C' }
          : { figure: figure(fahrenheitFromC(c), digits), unit: '°F' }
      }
      case 'warmer':
        return units.temperature === 'C'
          ? { figure: figure(measure.c, 0), unit: '°C' }
          : { figure: figure(1.8 * measure.c, 0), unit: '°F' }
      case 'volume':
        return units.volume === 'fl oz' ? inOunces(measure.ml, kept) : inMl(measure.ml, style, kept)
      case 'per litre':
        return units.volume === 'mL'
          ? { figure: figure(measure.mlPerL, 0, 1), unit: 'mL/L' }
          : { figure: figure((measure.mlPerL / 1000) * 128, 0, 2), unit: 'fl oz/gal' }
      case 'speed':
        return units.length === 'mm'
          ? { figure: figure(measure.mmPerS, 0), unit: 'mm/s' }
          : { figure: figure(inchFromMm(measure.mmPerS), 0, 1), unit: 'in/s' }
      case 'force':
        return { figure: figure(measure.n, 0), unit: 'N' }
      case 'percent':
        return { figure: kept(measure.percent, measure.digits ?? 0), unit: '%' }
      case 'angle':
        return { figure: kept(measure.deg, measure.digits ?? 0), unit: '°' }
    }
  }

/** The round length along an edge on which excess film is counted: 100 mm, or 4 in. */
export const spanIn = ({ length }: UnitChoice): Shown =>
  length === 'mm' ? { figure: '100', unit: 'mm' } : { figure: '4', unit: 'in' }

/** Tenths of a millimetre; whole ones from 100 on. */
const inMm = (mm: number, digits: number | undefined, kept: Kept): Shown => ({
  figure: kept(mm, digits ?? (Math.abs(mm) >= 100 ? 0 : 1)),
  unit: 'mm',
})

/** Hundredths of an inch; thousandths where the length is small. */
function inInches(mm: number, figure: Figure): Shown {
  const inches = inchFromMm(mm)
  return { figure: figure(inches, Math.abs(inches) < 1 ? 3 : 2), unit: 'in' }
}

/** Whole mL (tenths below 20, hundredths below one), litres from one on. */
function inMl(ml: number, style: Style, kept: Kept): Shown {
  if (ml >= 1000) return { figure: kept(ml / 1000, style === 'screen' && ml % 100 === 0 ? 1 : 2), unit: 'L' }
  return { figure: kept(ml, ml < 1 ? 2 : ml < 20 ? 1 : 0), unit: 'mL' }
}

function inOunces(ml: number, kept: Kept): Shown {
  const ounces = fluidOunceFromMl(ml)
  return { figure: kept(ounces, ounces < 1 ? 3 : ounces < 10 ? 2 : 1), unit: 'fl oz' }
}

type Kept = (value: number, digits: number) => string

/** A degree stands at its figure, every other unit a space apart from it. */
export const inWords = ({ figure, unit }: Shown, space = ' ') =>
  unit === '°' ? `${figure}°` : `${figure}${space}${unit}`

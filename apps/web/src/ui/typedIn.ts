import {
  cFromFahrenheit,
  fahrenheitFromC,
  fluidOunceFromMl,
  footFromMm,
  inchFromMm,
  mlFromFluidOunce,
  mmFromFoot,
  mmFromInch,
  type UnitChoice,
} from '@truelay/core/units'

/** How a number of the core is typed and read in a shop's unit. */
export interface Typed {
  readonly unit: string
  /** Decimals that it is shown with. */
  readonly digits: number
  readonly shown: (metric: number) => number
  readonly toMetric: (shown: number) => number
}

interface Conversion {
  readonly of: keyof UnitChoice
  readonly unit: string
  /** Decimals more than the metric figure has. */
  readonly moreDigits: number
  readonly shown: (metric: number) => number
  readonly toMetric: (shown: number) => number
}

const mlPerLPerOuncePerGallon = 1000 / 128
const squareFeetPerM2 = footFromMm(1000) ** 2

/** By the metric unit; what is not listed is the same everywhere. */
const imperial: Readonly<Record<string, Conversion>> = {
  mm: { of: 'length', unit: 'in', moreDigits: 2, shown: inchFromMm, toMetric: mmFromInch },
  m: {
    of: 'length',
    unit: 'ft',
    moreDigits: 0,
    shown: (m) => footFromMm(1000 * m),
    toMetric: (ft) => mmFromFoot(ft) / 1000,
  },
  'm²': {
    of: 'length',
    unit: 'ft²',
    moreDigits: 0,
    shown: (m2) => m2 * squareFeetPerM2,
    toMetric: (ft2) => ft2 / squareFeetPerM2,
  },
  'min/m²': {
    of: 'length',
    unit: 'min/ft²',
    moreDigits: 1,
    shown: (perM2) => perM2 / squareFeetPerM2,
    toMetric: (perFt2) => perFt2 * squareFeetPerM2,
  },
  '°C': { of: 'temperature', unit: '°F', moreDigits: 0, shown: fahrenheitFromC, toMetric: cFromFahrenheit },
  K: { of: 'temperature', unit: '°F', moreDigits: 0, shown: (k) => 1.8 * k, toMetric: (f) => f / 1.8 },
  mL: { of: 'volume', unit: 'fl oz', moreDigits: 2, shown: fluidOunceFromMl, toMetric: mlFromFluidOunce },
  'mL/L': {
    of: 'volume',
    unit: 'fl oz/gal',
    moreDigits: 1,
    shown: (mlPerL) => mlPerL / mlPerLPerOuncePerGallon,
    toMetric: (shown) => shown * mlPerLPerOuncePerGallon,
  },
}

const asIs = (x: number) => x

/** For a metric unit ("mm", "m", "m²", "min/m²", "°C", "K", "mL", "mL/L"), how it is typed in the shop; any other unit stays as it is. */
export function typedIn(units: UnitChoice, metricUnit: string, digits: number): Typed {
  const other = imperial[metricUnit]
  if (other === undefined || ['mm', 'C', 'mL'].includes(units[other.of]))
    return { unit: metricUnit === 'K' ? '°C' : metricUnit, digits, shown: asIs, toMetric: asIs }
  return { unit: other.unit, digits: digits + other.moreDigits, shown: other.shown, toMetric: other.toMetric }
}

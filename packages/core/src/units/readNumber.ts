/** What one unit may be written as besides its sign. */
const alsoWritten: Readonly<Record<string, readonly string[]>> = {
  in: ['in', 'inch', 'inches', '"', '″', '”'],
  'fl oz': ['fl oz', 'floz', 'oz'],
  '°C': ['°C', 'C'],
  '°F': ['°F', 'F'],
}

const parts: Readonly<Record<string, string>> = {
  '¼': ' 1/4',
  '½': ' 1/2',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
}

interface ReadOptions {
  /** The unit in which the number is asked for; it may be typed along, another one may not. */
  readonly unit?: string
  /** Tells "2,500" as 2.5 from 2 500 where one of them only can be meant; the decimal comes first. */
  readonly fits?: (number: number) => boolean
}

/**
 * A number as people type it: "2.5", "2,5", "−2.5 mm", "1.234,5", "1,234.5", "1 234,5", "1 1/16 in", "3½". Null for anything else, so that a slip of
 * the finger never becomes another number.
 */
export function readNumber(typed: string, { unit = '', fits = () => true }: ReadOptions = {}): number | null {
  const written = withoutUnit(
    typed
      .replace(/[\u00a0\u2009\u202f]/g, ' ')
      .replaceAll('−', '-')
      .trim(),
    unit,
  )
  const text = [...written]
    .map((sign) => parts[sign] ?? sign)
    .join('')
    .trim()
  return fraction(text) ?? decimal(text, fits)
}

function withoutUnit(text: string, unit: string): string {
  const signs = [...(alsoWritten[unit] ?? []), unit].filter((sign) => sign !== '').sort((a, b) => b.length - a.length)
  const sign = signs.find((one) => text.toLowerCase().endsWith(one.toLowerCase()))
  return sign === undefined ? text : text.slice(0, text.length - sign.length).trim()
}

/** "1 1/16", "-3/8", and a whole number with a part of one. */
function fraction(text: string): number | null {
  const [all, minus, whole, above, below] = /^([-+]?)(?:(\d{1,6})[ -])?\s*(\d{1,4})\/(\d{1,4})$/.exec(text) ?? []
  if (all === undefined || Number(below) === 0) return null
  const size = Number(whole ?? 0) + Number(above) / Number(below)
  return minus === '-' ? -size : size
}

function decimal(text: string, fits: (number: number) => boolean): number | null {
  const readings = [
    // One sign only, or none: it is the decimal one.
    /^[-+]?(\d+([.,]\d*)?|[.,]\d+)$/.test(text) ? text.replace(',', '.') : null,
    // Groups of three, then the other sign.
    ...groups.map(({ pattern, group, point }) =>
      pattern.test(text) ? text.replaceAll(group, '').replace(point, '.') : null,
    ),
  ]
    .filter((reading) => reading !== null)
    .map(Number)
    .filter(Number.isFinite)
  return readings.find(fits) ?? readings[0] ?? null
}

const groups = [
  { pattern: /^[-+]?\d{1,3}(,\d{3})+(\.\d*)?$/, group: ',', point: '.' },
  { pattern: /^[-+]?\d{1,3}(\.\d{3})+(,\d*)?$/, group: '.', point: ',' },
  { pattern: /^[-+]?\d{1,3}( \d{3})+([.,]\d*)?$/, group: ' ', point: ',' },
  { pattern: /^[-+]?\d{1,3}(['’]\d{3})+([.,]\d*)?$/, group: /['’]/g, point: ',' },
] as const

import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { create } from 'fontkit'
import subsetFont from 'subset-font'

/** A typeface of the papers, for the signs that it has. */
export interface Face {
  readonly name: string
  /** TrueType. */
  readonly bytes: Buffer
  readonly has: (sign: string) => boolean
}

export type Weight = 'regular' | 'bold'
export type Faces = Readonly<Record<Weight, readonly Face[]>>

/** The typeface of the screens first, and one that goes on where it ends: Greek, Cyrillic, Vietnamese. */
const shipped = [
  ...['latin', 'latin-ext'].map((part) => ({
    file: `@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${part}-wght-normal.woff2`,
    variable: true,
  })),
  ...['latin', 'latin-ext', 'greek', 'greek-ext', 'cyrillic', 'cyrillic-ext', 'vietnamese'].map((part) => ({
    file: `@fontsource/noto-sans/files/noto-sans-${part}-{weight}-normal.woff2`,
    variable: false,
  })),
]
const weights = { regular: 400, bold: 700 } as const

/** First and last code points of what the papers can be written in: Latin, Greek, Cyrillic, and the signs between words and figures. */
const blocks = [
  [0x20, 0x7e],
  [0xa0, 0x24f],
  [0x2b0, 0x52f],
  [0x1c80, 0x1c8f],
  [0x1d00, 0x1dbf],
  [0x1e00, 0x1fff],
  [0x2000, 0x206f],
  [0x20a0, 0x20cf],
  [0x2100, 0x218f],
  [0x2190, 0x22ff],
  [0x25a0, 0x25ff],
  [0xfffd, 0xfffd],
] as const
const wanted = blocks
  .map(([first, last]) => Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)).join(''))
  .join('')

const { resolve } = createRequire(import.meta.url)

async function faceOf(file: string, variable: boolean, weight: Weight, name: string): Promise<Face> {
  const packed = readFileSync(resolve(file.replace('{weight}', String(weights[weight]))))
  const bytes = await subsetFont(packed, wanted, {
    targetFormat: 'truetype',
    ...(variable ? { variationAxes: { wght: weights[weight] } } : {}),
  })
  const font = create(bytes)
  if (!('characterSet' in font)) throw new Error(`${file} holds several typefaces`)
  const signs = new Set(font.characterSet)
  return { name, bytes, has: (sign) => signs.has(sign.codePointAt(0) ?? 0) }
}

let made: Promise<Faces> | null = null

/** The typefaces of the papers as files that a PDF can hold; unpacked once. */
export function paperFaces(): Promise<Faces> {
  const of = (weight: Weight) =>
    Promise.all(shipped.map(({ file, variable }, i) => faceOf(file, variable, weight, `${weight}-${i}`)))
  made ??= Promise.all([of('regular'), of('bold')]).then(([regular, bold]) => ({ regular, bold }))
  return made
}

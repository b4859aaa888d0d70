import type { Vec2 } from '../geometry/index.ts'
import { ringBits, rings } from './codes.ts'
import { targetRadii } from './target.ts'

/** Targets with a part of their own: six on the start plate, two at the ends of each bar. All others are stuck on the part. */
export const plateTargets = [114, 115, 116, 117, 118, 119] as const
export const barTargets = [
  [110, 111],
  [112, 113],
] as const
export const partTargets = 110

/** A sheet of paper lying down, mm. */
export const sheetMm: Vec2 = [297, 210]
const edgeMm = 12

/** Half the size of a dot as it is printed: for parts up to about half a metre, up to one and a half, and larger ones, mm. */
export const dotSizesMm = [3, 5, 8] as const
export type DotSize = (typeof dotSizesMm)[number]

/** A target on a sheet; x to the right, y up, from the lower left corner. */
export interface PrintedTarget {
  readonly target: number
  readonly atMm: Vec2
  readonly dotMm: number
}

/** Where the plate's targets lie on it, mm: not in a line, not in a regular figure. */
export const plateMm: ReadonlyMap<number, Vec2> = new Map([
  [114, [40, 40]],
  [115, [257, 40]],
  [116, [257, 170]],
  [117, [40, 170]],
  [118, [120, 60]],
  [119, [190, 150]],
])

const plateDotMm = 8

/** The start plate. */
export const plateSheet = (): PrintedTarget[] =>
  [...plateMm].map(([target, atMm]) => ({ target, atMm, dotMm: plateDotMm }))

/** Targets to be stuck on a part and on bars, sheet by sheet, as many as lie beside each other. */
export function targetSheets(dotMm: DotSize, count: number): PrintedTarget[][] {
  const pitch = 2 * targetRadii.margin * dotMm + 4
  const columns = Math.floor((sheetMm[0] - 2 * edgeMm) / pitch)
  // Room for its number below each.
  const high = pitch + 4
  const rows = Math.floor((sheetMm[1] - 2 * edgeMm) / high)
  const all = [...barTargets.flat(), ...Array.from({ length: Math.min(partTargets, count) }, (_, i) => i)]
  return Array.from({ length: Math.ceil(all.length / (columns * rows)) }, (_, sheet) =>
    all.slice(sheet * columns * rows, (sheet + 1) * columns * rows).map((target, i) => ({
      target,
      atMm: [edgeMm + pitch * ((i % columns) + 0.5), sheetMm[1] - edgeMm - high * Math.floor(i / columns) - pitch / 2],
      dotMm,
    })),
  )
}

/** Black stretches of a target's ring, as shares of a turn from its x axis; neighbours are one. */
export function blackOfRing(target: number): { readonly from: number; readonly to: number }[] {
  const ring = rings[target] ?? 0
  const isBlack = (bit: number) => ((ring >>> (bit % ringBits)) & 1) === 0
  const stretches: { from: number; to: number }[] = []
  for (let bit = 0; bit < ringBits; bit++) {
    if (!isBlack(bit) || isBlack(bit + ringBits - 1)) continue
    let last = bit
    while (isBlack(last + 1) && last - bit < ringBits) last++
    stretches.push({ from: bit / ringBits, to: (last + 1) / ringBits })
  }
  return stretches
}

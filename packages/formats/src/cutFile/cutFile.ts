import type { Vec2 } from '@truelay/core/geometry'

/** A line that the knife cuts without being lifted, as it stands on the roll; mm, x along the roll. */
export interface CutLine {
  readonly kind: 'cut-out' | 'outline'
  /** Open: its end stands where the knife is lifted. */
  readonly line: readonly Vec2[]
}

/** What one cut file says: lines in the order in which they are cut. */
export interface Cut {
  readonly title: string
  readonly lengthMm: number
  readonly widthMm: number
  readonly lines: readonly CutLine[]
  /** Where the pieces meet their parts: drawn beside the lines, never cut. */
  readonly marks?: readonly Vec2[]
}

/** Arms of the cross at a mark, mm. */
const markArmMm = 3

/** The two strokes of a cross at a mark. */
export const crossAt = ([x, y]: Vec2): readonly [from: Vec2, to: Vec2][] => [
  [
    [x - markArmMm, y],
    [x + markArmMm, y],
  ],
  [
    [x, y - markArmMm],
    [x, y + markArmMm],
  ],
]

export const plain = (x: number) => Number(x.toFixed(4))

import type { Vec2 } from '@truelay/core/geometry'
import { count, name, say, type Sentence } from '@truelay/core/say'
import type { LeftOut } from './leftOut.ts'

/** What a drawing file says, curves made into fine lines, in the file's own unit, y up. */
export interface Drawing {
  readonly lines: readonly DrawnLine[]
  readonly points: readonly DrawnPoint[]
  /** Millimetres in one unit of the file; null where the file does not say. */
  readonly mmPerUnit: number | null
  /** What programs that write such a file mean by its unit, where it does not say. */
  readonly likelyMmPerUnit?: number
  /** The sheet it is drawn on, in the file's unit; null where that is not known. */
  readonly page?: { readonly x: number; readonly y: number; readonly width: number; readonly height: number } | null
  /** What was in the file and is not used, with how many of it. */
  readonly leftOut: readonly Sentence[]
}

export interface DrawnLine {
  readonly points: readonly Vec2[]
  readonly closed: boolean
  /** Layer, group or class names around it, the innermost last. */
  readonly layers: readonly string[]
  /** The edge of a filled area, which may be drawn as a line besides. */
  readonly ofArea?: boolean
}

export interface DrawnPoint {
  readonly at: Vec2
  readonly name: string | null
  readonly layers: readonly string[]
}

/** Beyond these a file is no pattern: it is refused before it can tie up the machine. */
export const drawingLimits = {
  bytes: 12_000_000,
  elements: 60_000,
  points: 400_000,
  /** Furthest coordinate, in the file's unit. */
  coordinate: 1e7,
  depth: 24,
} as const

/** Collects lines and points while a file is read, and counts what is left out. */
export function drawingCollector() {
  const lines: DrawnLine[] = []
  const points: DrawnPoint[] = []
  const leftOut = new Map<string, { readonly says: LeftOut; many: number }>()
  let total = 0
  return {
    line(line: DrawnLine) {
      if (line.points.length < 2) return
      total += line.points.length
      if (total > drawingLimits.points) throw new TooMuch(say`more than ${count(drawingLimits.points)} points`)
      for (const [x, y] of line.points) checked(x, y)
      lines.push(line)
    },
    point(point: DrawnPoint) {
      checked(...point.at)
      points.push(point)
    },
    leave(says: LeftOut, many = 1) {
      const key = JSON.stringify(says(1))
      leftOut.set(key, { says, many: (leftOut.get(key)?.many ?? 0) + many })
    },
    finish: (mmPerUnit: number | null): Drawing => ({
      lines,
      points,
      mmPerUnit,
      leftOut: [...leftOut.values()].map(({ says, many }) => says(many)),
    }),
  }
}
export type DrawingCollector = ReturnType<typeof drawingCollector>

/** A file that asks for more than any pattern needs. */
export class TooMuch extends Error {
  constructor(readonly says: Sentence) {
    super(says.text)
  }
}

function checked(x: number, y: number) {
  if (!Number.isFinite(x) || !Number.isFinite(y)) throw new TooMuch(say`a coordinate that is no number`)
  if (Math.max(Math.abs(x), Math.abs(y)) > drawingLimits.coordinate)
    throw new TooMuch(say`a coordinate of ${name(Math.max(Math.abs(x), Math.abs(y)).toExponential(1))}`)
}

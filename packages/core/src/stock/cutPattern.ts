import type { PieceMark, PiecePattern } from '../align/index.ts'
import { thinOutline, type Vec2 } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import { type GrowthByEdge, growByEdges } from './growByEdges.ts'

export interface PatternWish {
  readonly name: string
  /** How far the film passes each edge, mm; negative = stops short. Holes by their own edge name, seen from the film. */
  readonly growth: GrowthByEdge
  /** Marks on the form's drawing that the pattern carries. */
  readonly marks: readonly PieceMark[]
}

const thinnedByMm = 0.02
const longestSideMm = 40

/**
 * A pattern for a part, from how it lies flat: each edge grown or drawn in by its own distance, holes likewise, marks
 * carried over. This is what is cut from the roll where no pattern is at hand.
 */
export function cutPattern(part: FlatPart, { name, growth, marks }: PatternWish): PiecePattern {
  const thin = (polygon: readonly Vec2[]) => thinOutline(polygon, thinnedByMm, longestSideMm)
  return {
    name,
    outline: thin(growByEdges(part.outline, growth)),
    // Film that stops short of a hole's edge leaves a wider cut-out.
    cutOuts: part.holes.map((hole) =>
      thin(growByEdges(hole, Object.fromEntries(hole.edgeOfSide.map((edge) => [edge, -(growth[edge] ?? 0)])))),
    ),
    marks: marks.map((mark) => ({ name: mark.name, at: part.toFlat(mark.at) })),
  }
}

import { applyRigid, centroid, distance } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import type { EdgeRules, EdgeSpots } from './edgeMargins.ts'
import { type PiecePattern, registerPiece, type TargetMark } from './registerPiece.ts'

/**
 * The pattern with its cut-outs in the order of the part's holes, as everything else expects them: each hole takes the
 * nearest cut-out when the piece lies by its outline. Drawings from elsewhere list them as they like. A pattern that
 * cannot be placed, or that has fewer cut-outs than the part has holes, comes back as it is, nearest ones first.
 */
export function matchCutOuts(
  part: Pick<FlatPart, 'outline' | 'holes'>,
  targets: readonly TargetMark[],
  pattern: PiecePattern,
  spots: EdgeSpots,
  rules: EdgeRules,
): PiecePattern {
  if (part.holes.length === 0 || pattern.cutOuts.length < 2) return pattern
  const outlineOnly: EdgeSpots = { ...spots, holes: [], spots: spots.spots.filter((spot) => spot.hole < 0) }
  const registered = registerPiece({ outline: part.outline, holes: [] }, targets, pattern, outlineOnly, rules)
  if (!registered.ok) return pattern
  const left = pattern.cutOuts.map((cutOut) => ({ cutOut, at: applyRigid(registered.value, centroid(cutOut)) }))
  const ordered = part.holes.flatMap((hole) => {
    const middle = centroid(hole.polygon)
    const nearest = left.sort((a, b) => distance(a.at, middle) - distance(b.at, middle)).shift()
    return nearest === undefined ? [] : [nearest.cutOut]
  })
  return { ...pattern, cutOuts: [...ordered, ...left.map((rest) => rest.cutOut)] }
}

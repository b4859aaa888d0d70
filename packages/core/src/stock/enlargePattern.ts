import type { PiecePattern } from '../align/index.ts'
import { applyRigid, outlineGauge, type RigidMove, type Vec2 } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import { type GrowthByEdge, growByEdges } from './growByEdges.ts'

/**
 * A pattern enlarged along chosen edges only, as for a wrap. Each side of the pattern belongs to the part's edge that
 * is nearest to its middle when the piece lies where `registered` puts it; the other edges stay as they are.
 */
export function enlargePattern(
  pattern: PiecePattern,
  part: Pick<FlatPart, 'outline'>,
  registered: RigidMove,
  growth: GrowthByEdge,
): PiecePattern {
  const gauge = outlineGauge(part.outline.polygon)
  const placed = pattern.outline.map((p) => applyRigid(registered, p))
  let likely = 0
  const edgeOfSide = placed.map((a, i) => {
    const b = placed[(i + 1) % placed.length] ?? a
    const middle: Vec2 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
    const { side } = gauge.nearest(middle, likely)
    likely = side
    return part.outline.edgeOfSide[side] ?? ''
  })
  return { ...pattern, outline: growByEdges({ polygon: pattern.outline, edgeOfSide }, growth) }
}

import { boundsOf, distance, distanceToLine, type Vec2 } from '../geometry/index.ts'
import { say, type Sentence, verbatim } from '../say/index.ts'
import type { PartPlan, PlannedEdge } from './partPlan.ts'

/** A spot on the part as installers call it. */
export interface NamedPlace {
  /** The edge that it belongs to; null away from all edges. */
  readonly edge: PlannedEdge | null
  readonly says: Sentence
}

/** Nearer to an edge than this share of the part's longer side, a spot belongs to it. */
const edgeShare = 0.08
/** Nearer to an anchor than this share, it is called by it. */
const anchorShare = 0.06

/** What a spot in the film plane is called: by its anchor, by its edge, or the middle. */
export function namedPlace(plan: Pick<PartPlan, 'drawing' | 'edges' | 'anchors'>, at: Vec2): NamedPlace {
  const { min, max } = boundsOf(plan.drawing.part)
  const size = Math.max(max[0] - min[0], max[1] - min[1])
  const near = plan.drawing.edges
    .map(({ name, line }) => ({ name, mm: distanceToLine(line, at) }))
    .sort((a, b) => a.mm - b.mm)[0]
  const edge =
    near !== undefined && near.mm <= edgeShare * size ? (plan.edges.find((e) => e.name === near.name) ?? null) : null
  const anchor = [...plan.anchors].sort((a, b) => distance(a.at, at) - distance(b.at, at))[0]
  if (anchor !== undefined && distance(anchor.at, at) <= anchorShare * size) return { edge, says: anchor.label }
  return { edge, says: edge === null ? say`in the middle` : say`${verbatim(edge.label)}` }
}

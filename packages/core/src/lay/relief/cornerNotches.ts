import { cross2, distance, dot2, subtract, unit, type Vec2 } from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'

/** How film is notched where two turned-under edges meet, so that its flaps do not lie on each other. */
export interface CornerNotch {
  /** The corner on the drawing, mm. */
  readonly at: Vec2
  readonly edges: readonly [string, string]
  /** Inside the part. */
  readonly angleDeg: number
  /** notch = a piece is cut out by two cuts; slit = one cut along the bisector, since the flaps part by themselves. */
  readonly kind: 'notch' | 'slit'
  /** Of each cut against its edge. */
  readonly cutDeg: number
  readonly cutMm: number
  /** Width of what falls out at the film's edge. */
  readonly mouthMm: number
  /** The cuts end this far from the corner itself. */
  readonly clearMm: number
}

/** Corners flatter than this need no notch. */
const flattestDeg = 160

/**
 * Notches by geometry: flaps of the overhang's width turned under two edges that meet at an inside angle t overlap up to the
 * bisector, so each is cut along t / 2 from its own edge, mirrored to the outside: 45 degrees at a square corner. At a
 * corner that turns inward (t over 180 degrees) the flaps part, and one slit lets them.
 *
 * @param overhangMm film beyond the edge that is turned under
 * @param clearMm left uncut at the corner, so that the corner itself stays covered
 */
export function cornerNotches(
  form: Pick<FormDoc, 'edges'>,
  surface: Pick<PartSurface, 'outline'>,
  overhangMm: number,
  clearMm: number,
): CornerNotch[] {
  const { polygon, edgeOfSide } = surface.outline
  const count = polygon.length
  const wraps = new Set(form.edges.filter((e) => e.code === 'wrap' || e.code === 'tuck').map((e) => e.name))
  return polygon.flatMap((at, i): CornerNotch[] => {
    const before = edgeOfSide[(i + count - 1) % count] ?? ''
    const after = edgeOfSide[i] ?? ''
    if (before === after || !wraps.has(before) || !wraps.has(after)) return []
    const back = unit(subtract(along(polygon, i, -1), at))
    const ahead = unit(subtract(along(polygon, i, 1), at))
    const turn = Math.atan2(cross2(ahead, back), dot2(ahead, back))
    const angleDeg = ((turn * 180) / Math.PI + 360) % 360
    if (angleDeg > flattestDeg && angleDeg < 360 - flattestDeg) return []
    const half = (angleDeg * Math.PI) / 360
    if (angleDeg > 180)
      return [
        {
          at,
          edges: [before, after],
          angleDeg,
          kind: 'slit',
          cutDeg: angleDeg / 2,
          cutMm: overhangMm - clearMm,
          mouthMm: 0,
          clearMm,
        },
      ]
    const cutMm = overhangMm / Math.sin(half) - clearMm
    // Between the two cuts at the film's edge: along both edges back from the corner of the turned-out film.
    const mouthMm = (2 * overhangMm) / Math.tan(half)
    return [{ at, edges: [before, after], angleDeg, kind: 'notch', cutDeg: angleDeg / 2, cutMm, mouthMm, clearMm }]
  })
}

/** A point of the outline about 20 mm from corner `i`. */
function along(polygon: readonly Vec2[], i: number, way: 1 | -1): Vec2 {
  const count = polygon.length
  const from = polygon[i]!
  let k = i
  for (let n = 0; n < count; n++) {
    k = (k + way + count) % count
    if (distance(polygon[k]!, from) >= 20) break
  }
  return polygon[k]!
}

import { add, distance, type Vec2 } from '../geometry/index.ts'
import type { PartSurface } from '../form/index.ts'
import { locatorOf } from './internal/locatorOf.ts'
import type { Lay } from './layTypes.ts'

/** One pull from side to side over a bulge, film held by its bleed at both ends. */
export interface PullAcross {
  /** Where the hands are, on the outline of the drawing. */
  readonly from: Vec2
  readonly to: Vec2
  /** By how much the film gets longer between them, mm and per cent of its length there. */
  readonly mm: number
  readonly percent: number
}

const angles = 24
const samples = 40

/**
 * The line over a part along which its film gets longest: between two places of the outline, through `through`, the length of the surface
 * against the length of the film that comes to lie there (both measured along the drawn line, in `samples` pieces). Null where no
 * line gets longer.
 */
export function pullAcross(surface: PartSurface, { flat }: Pick<Lay, 'flat'>, through: Vec2): PullAcross | null {
  const locate = locatorOf(surface)
  const { triangle, position } = surface.mesh
  const carried = (p: Vec2) => {
    const { triangle: t, weight } = locate.nearest(p)
    const spot = [0, 0, 0, 0, 0]
    weight.forEach((w, c) => {
      const v = triangle[3 * t + c]!
      for (let k = 0; k < 3; k++) spot[k]! += w * position[3 * v + k]!
      for (let k = 0; k < 2; k++) spot[3 + k]! += w * flat[2 * v + k]!
    })
    return spot as [number, number, number, number, number]
  }
  let best: PullAcross | null = null
  for (let i = 0; i < angles; i++) {
    const turn = (Math.PI * i) / angles
    const ends = chord(surface.outline.polygon, through, [Math.cos(turn), Math.sin(turn)])
    if (ends === null) continue
    const [from, to] = ends
    let onSurfaceMm = 0
    let inFilmMm = 0
    let last = carried(from)
    for (let k = 1; k <= samples; k++) {
      const share = k / samples
      const next = carried([from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])])
      onSurfaceMm += Math.hypot(next[0] - last[0], next[1] - last[1], next[2] - last[2])
      inFilmMm += Math.hypot(next[3] - last[3], next[4] - last[4])
      last = next
    }
    const mm = onSurfaceMm - inFilmMm
    if (mm > (best?.mm ?? 0)) best = { from, to, mm, percent: (100 * mm) / inFilmMm }
  }
  return best
}

/** Where a line through a place leaves an outline: the nearest crossing each way; null where there is none. */
function chord(polygon: readonly Vec2[], through: Vec2, way: Vec2): readonly [Vec2, Vec2] | null {
  let [before, after] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY]
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length] ?? a
    const side: Vec2 = [b[0] - a[0], b[1] - a[1]]
    const turned = way[0] * side[1] - way[1] * side[0]
    if (Math.abs(turned) < 1e-12) return
    const off: Vec2 = [a[0] - through[0], a[1] - through[1]]
    const along = (off[0] * side[1] - off[1] * side[0]) / turned
    const onSide = (off[0] * way[1] - off[1] * way[0]) / turned
    if (onSide < 0 || onSide > 1) return
    if (along < 0) before = Math.max(before, along)
    else after = Math.min(after, along)
  })
  if (!Number.isFinite(before) || !Number.isFinite(after)) return null
  const at = (mm: number): Vec2 => add(through, [mm * way[0], mm * way[1]])
  return distance(at(before), at(after)) > 1 ? [at(before), at(after)] : null
}

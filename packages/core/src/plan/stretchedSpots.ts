import type { PartSurface } from '../form/index.ts'
import { boundsOf, triangleArea, type Vec2 } from '../geometry/index.ts'
import type { Lay } from '../lay/index.ts'

/** A spot where the film is stretched by the lay. */
export interface StretchedSpot {
  /** In the film plane, mm. */
  readonly at: Vec2
  /** The larger stretch there, a share: 0.02 is 2 %. */
  readonly stretch: number
}

/** Squares along the part's longer side. */
const squares = 16
/** Less shows nowhere. */
const leastStretch = 0.003
/** More are not kept with a plan. */
const mostSpots = 80

/** How wide a square is: what a spot stands for, mm. */
export const spotMm = (polygon: readonly Vec2[]): number => {
  const { min, max } = boundsOf(polygon)
  return Math.max(max[0] - min[0], max[1] - min[1]) / squares
}

/**
 * The stretch of a lay by squares of the form's drawing: of each the mean over the film's area, so that no single sliver of a triangle speaks for
 * it; the most stretched are kept.
 */
export function stretchedSpots(
  surface: PartSurface,
  { stretch }: Pick<Lay, 'stretch'>,
  toFlat: (onForm: Vec2) => Vec2,
): StretchedSpot[] {
  const { mesh, plan } = surface
  const side = spotMm(surface.outline.polygon)
  const cells = new Map<string, { area: number; weighed: number; x: number; y: number }>()
  for (let t = 0; t < stretch.length / 2; t++) {
    const corners = [0, 1, 2].map((c) => mesh.triangle[3 * t + c] ?? 0)
    const mean = (k: 0 | 1) => corners.reduce((sum, v) => sum + (plan[2 * v + k] ?? 0), 0) / 3
    const [x, y] = [mean(0), mean(1)]
    const key = `${Math.floor(x / side)} ${Math.floor(y / side)}`
    const cell = cells.get(key) ?? { area: 0, weighed: 0, x: 0, y: 0 }
    const area = triangleArea(mesh, t)
    cell.area += area
    cell.weighed += area * Math.max(0, (stretch[2 * t] ?? 1) - 1)
    cell.x += area * x
    cell.y += area * y
    cells.set(key, cell)
  }
  return [...cells.values()]
    .map(({ area, weighed, x, y }) => ({ onForm: [x / area, y / area] as Vec2, stretch: weighed / area }))
    .filter((spot) => spot.stretch >= leastStretch)
    .sort((a, b) => b.stretch - a.stretch)
    .slice(0, mostSpots)
    .map(({ onForm, stretch: share }) => {
      const [x, y] = toFlat(onForm)
      return { at: [Math.round(10 * x) / 10, Math.round(10 * y) / 10], stretch: Math.round(1e4 * share) / 1e4 }
    })
}

import type { PartSurface, TracedOutline } from '../form/index.ts'
import type { Polygon, Vec2 } from '../geometry/index.ts'
import { locatorOf } from './internal/locatorOf.ts'
import type { Lay } from './layTypes.ts'

/** The part's outline and holes as they lie in the flat film. */
export interface FlatPart {
  readonly outline: FlatOutline
  readonly holes: readonly FlatOutline[]
  /** Carries any spot of the drawing into the flat film; spots just outside follow the nearest triangle. */
  toFlat(p: Vec2): Vec2
}

export interface FlatOutline {
  readonly polygon: Polygon
  readonly edgeOfSide: readonly string[]
  readonly corners: readonly number[]
}

/** Outline, holes and marks of a part carried into the film by a lay, linear in each triangle; finer than the mesh. */
export function flatPart(surface: PartSurface, { flat }: Pick<Lay, 'flat'>): FlatPart {
  const { triangle } = surface.mesh
  const locator = locatorOf(surface)
  const toFlat = (p: Vec2): Vec2 => {
    const place = locator.nearest(p)
    let x = 0
    let y = 0
    place.weight.forEach((weight, c) => {
      const v = triangle[3 * place.triangle + c]!
      x += weight * flat[2 * v]!
      y += weight * flat[2 * v + 1]!
    })
    return [x, y]
  }
  const carry = (o: TracedOutline): FlatOutline => ({
    polygon: o.polygon.map(toFlat),
    edgeOfSide: o.edgeOfSide,
    corners: o.corners,
  })
  return { outline: carry(surface.outline), holes: surface.holes.map(carry), toFlat }
}

import type { PartSurface } from '@truelay/core/form'
import type { PlaceOnMesh, Vec2 } from '@truelay/core/geometry'

/** A place on a part in space, mm. */
export function inSpace(
  surface: Pick<PartSurface, 'mesh'>,
  { triangle, weight }: PlaceOnMesh,
): [number, number, number] {
  const at: [number, number, number] = [0, 0, 0]
  weight.forEach((w, c) => {
    const v = surface.mesh.triangle[3 * triangle + c] ?? 0
    for (let k = 0; k < 3; k++) at[k] = (at[k] ?? 0) + w * (surface.mesh.position[3 * v + k] ?? 0)
  })
  return at
}

/** The same place in plane coordinates `[x0, y0, …]` of the vertices: in the film, or on the drawing. */
export function inPlane(surface: Pick<PartSurface, 'mesh'>, xy: Float64Array, { triangle, weight }: PlaceOnMesh): Vec2 {
  let x = 0
  let y = 0
  weight.forEach((w, c) => {
    const v = surface.mesh.triangle[3 * triangle + c] ?? 0
    x += w * (xy[2 * v] ?? 0)
    y += w * (xy[2 * v + 1] ?? 0)
  })
  return [x, y]
}

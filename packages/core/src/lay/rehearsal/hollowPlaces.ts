import { type FormDoc, type PartSurface, wallRunMm } from '../../form/index.ts'
import { distanceToLine, insideOf, nearestOnOutline, type Vec2 } from '../../geometry/index.ts'

/** Where a hollow lies on the mesh. */
export interface HollowPlace {
  readonly name: string
  /** Vertices of its bottom, and of the surface round its shoulder. */
  readonly floor: readonly number[]
  readonly rim: readonly number[]
  /** Triangles that reach into it. */
  readonly within: readonly number[]
}

/** From this share of a wall's run inward a hollow's bottom begins. */
const bottomShare = 0.6
/** Film this near to a shoulder is laid round the hollow, mm; or as near as its wall runs. */
const roundMm = 15

/** The hollows of a form on its mesh: recesses and channels. */
export function hollowPlaces(form: FormDoc, { plan, mesh }: PartSurface): HollowPlace[] {
  const vertices = plan.length / 2
  return depthsOf(form).map(({ name, depthMm, wallMm }) => {
    const depth = Float64Array.from({ length: vertices }, (_, v) => depthMm([plan[2 * v]!, plan[2 * v + 1]!]))
    const floor: number[] = []
    const rim: number[] = []
    depth.forEach((mm, v) => {
      if (mm > bottomShare * wallMm) floor.push(v)
      else if (mm < 0 && mm > -Math.max(roundMm, wallMm)) rim.push(v)
    })
    const within: number[] = []
    for (let t = 0; 3 * t < mesh.triangle.length; t++)
      if ([0, 1, 2].some((c) => depth[mesh.triangle[3 * t + c]!]! > 0)) within.push(t)
    return { name, floor, rim, within }
  })
}

/** How far inside its shoulder a spot lies, mm; negative outside. */
function depthsOf(form: FormDoc): { name: string; depthMm: (p: Vec2) => number; wallMm: number }[] {
  const recesses = form.recesses.map((recess) => {
    const inside = insideOf(recess.outline)
    return {
      name: recess.name,
      depthMm: (p: Vec2) => (inside(p) ? 1 : -1) * nearestOnOutline(recess.outline, p).distanceMm,
      wallMm: wallRunMm(recess),
    }
  })
  const channels = (form.channels ?? []).map((channel) => ({
    name: channel.name,
    depthMm: (p: Vec2) => channel.widthMm / 2 - distanceToLine(channel.along, p),
    wallMm: wallRunMm(channel),
  }))
  return [...recesses, ...channels]
}

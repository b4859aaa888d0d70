import { type Vec2, distance, lerp, triangleLocator, vertexNormals } from '../../geometry/index.ts'
import type { PartSurface } from '../../form/index.ts'
import type { FilmMesh } from '../internal/filmMesh.ts'
import { type Beginning, marchedWays } from './marchedWays.ts'
import type { LayOrder } from './orderTypes.ts'

/** How many times its length a place counts that turns as much in a stroke as a quarter circle. */
const turnDelay = 12

/**
 * When the front reaches each vertex, as a length in mm: the shortest way over the surface from where it starts, longer
 * over places that turn if the flats go first; round and round if it winds.
 */
export function frontTimes(film: FilmMesh, surface: PartSurface, order: LayOrder): Float64Array {
  const slowness = order.flatFirst > 0 ? slownessOf(film, surface, order) : undefined
  const away = marchedWays(film, beginningAt(film, surface, order.from, slowness), { slowness })
  if (!order.spiral) return away
  const [cx, cy] = order.from[0] ?? [0, 0]
  const hand = windingOf(surface, [cx, cy])
  return away.map((r, v) => {
    const angle = Math.atan2(surface.plan[2 * v + 1]! - cy, surface.plan[2 * v]! - cx) - hand.beginsRad
    const share = hand.sign * (angle / (2 * Math.PI))
    const turned = share - Math.floor(share)
    const turns = Math.max(0, Math.ceil(r / order.strokeMm - turned))
    return (turns + turned) * order.strokeMm
  })
}

/** How much slower the front runs over each triangle, as it turns between its corners; 1 = as over a flat one. */
function slownessOf(film: FilmMesh, surface: PartSurface, order: LayOrder): Float64Array {
  const normals = vertexNormals(surface.mesh)
  const { position: p, corner } = film
  return Float64Array.from({ length: film.triangles }, (_, t) => {
    let turnRad = 0
    let lengthMm = 0
    for (let c = 0; c < 3; c++) {
      const a = corner[3 * t + c]!
      const b = corner[3 * t + ((c + 1) % 3)]!
      let agree = 0
      for (let k = 0; k < 3; k++) agree += normals[3 * a + k]! * normals[3 * b + k]!
      turnRad += Math.acos(Math.min(1, Math.max(-1, agree)))
      lengthMm += Math.hypot(p[3 * a]! - p[3 * b]!, p[3 * a + 1]! - p[3 * b + 1]!, p[3 * a + 2]! - p[3 * b + 2]!)
    }
    return 1 + (order.flatFirst * turnDelay * (turnRad / lengthMm) * order.strokeMm * 2) / Math.PI
  })
}

/**
 * Where a front that winds begins its first turn, and which way it winds (1 = anticlockwise on the drawing): towards the
 * outline's farthest place, and over the wider side of the part first. A mirrored part is wound the other way round.
 */
function windingOf({ outline }: PartSurface, centre: Vec2): { beginsRad: number; sign: 1 | -1 } {
  let farthest: Vec2 = centre
  for (const p of outline.polygon) if (distance(p, centre) > distance(farthest, centre) + 1e-6) farthest = p
  const way: Vec2 = [farthest[0] - centre[0], farthest[1] - centre[1]]
  let lean = 0
  outline.polygon.forEach((p, i) => {
    const q = outline.polygon[(i + 1) % outline.polygon.length]!
    const [ax, ay] = [p[0] - centre[0], p[1] - centre[1]]
    const [bx, by] = [q[0] - centre[0], q[1] - centre[1]]
    const area = (ax * by - ay * bx) / 2
    lean += area * (way[0] * (ay + by) - way[1] * (ax + bx))
  })
  return { beginsRad: Math.atan2(way[1], way[0]), sign: lean < 0 ? -1 : 1 }
}

/** How near a spot vertices are told their distance to it outright, in mean sides of the mesh. */
const nearSides = 2

/**
 * Spots of the drawing, or the line through them, as the beginning of a front: what lies near is told its straight
 * distance, mm, so that it does not matter where vertices happen to be.
 */
export function beginningAt(
  film: FilmMesh,
  surface: PartSurface,
  spots: readonly Vec2[],
  slowness?: Float64Array,
): Beginning {
  const { plan, mesh } = surface
  const sideMm = Math.sqrt((4 * surface.figures.areaMm2) / (Math.sqrt(3) * film.triangles))
  const locate = triangleLocator(plan, mesh.triangle)
  const known = new Map<number, number>()
  for (const spot of alongLine(spots, sideMm / 3)) {
    const { triangle, weight } = locate.nearest(spot)
    const at = [0, 0, 0]
    // Beyond the rim the nearest place of the rim counts.
    const inside = weight.map((w) => Math.max(0, w))
    const sum = inside[0]! + inside[1]! + inside[2]!
    for (let c = 0; c < 3; c++)
      for (let k = 0; k < 3; k++) at[k]! += (inside[c]! / sum) * film.position[3 * film.corner[3 * triangle + c]! + k]!
    for (const v of around(film, triangle, at, nearSides * sideMm)) {
      const mm = away(film, v, at) * (slowness?.[triangle] ?? 1)
      if (mm < (known.get(v) ?? Number.POSITIVE_INFINITY)) known.set(v, mm)
    }
  }
  return known
}

const away = ({ position: p }: FilmMesh, v: number, at: readonly number[]) =>
  Math.hypot(p[3 * v]! - at[0]!, p[3 * v + 1]! - at[1]!, p[3 * v + 2]! - at[2]!)

/** The corners of a triangle and all vertices linked with them that are near. */
function around(film: FilmMesh, triangle: number, at: readonly number[], nearMm: number): Set<number> {
  const found = new Set<number>()
  const open: number[] = []
  for (let c = 0; c < 3; c++) {
    found.add(film.corner[3 * triangle + c]!)
    open.push(film.corner[3 * triangle + c]!)
  }
  for (let v = open.pop(); v !== undefined; v = open.pop()) {
    for (let q = film.graph.start[v]!; q < film.graph.start[v + 1]!; q++) {
      const w = film.graph.column[q]!
      if (found.has(w) || away(film, w, at) > nearMm) continue
      found.add(w)
      open.push(w)
    }
  }
  return found
}

/** The spots, and where they lie further apart than `stepMm` as a line, points between them. */
function alongLine(spots: readonly Vec2[], stepMm: number): Vec2[] {
  return spots.flatMap((p, i) => {
    const before = spots[i - 1]
    if (before === undefined) return [p]
    const pieces = Math.max(1, Math.ceil(distance(before, p) / stepMm))
    return Array.from({ length: pieces }, (_, k) => lerp(before, p, (k + 1) / pieces))
  })
}

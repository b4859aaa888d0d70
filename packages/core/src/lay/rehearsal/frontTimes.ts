import { type Vec2, distance, lerp, triangleLocator } from '../../geometry/index.ts'
import { middleOfTriangle, type PartSurface } from '../../form/index.ts'
import type { FilmMesh } from '../internal/filmMesh.ts'
import { type Beginning, marchedWays } from './marchedWays.ts'
import type { LayOrder } from './orderTypes.ts'
import { type SpotOnPart, spotsOver, turnAround } from './spotsOver.ts'

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

/** How far around a place its turning is looked at, as a share of the part's size. */
const turnReachShare = 1 / 12

/** How much slower the front runs over each triangle, as the part turns round it; 1 = as over a flat one. */
function slownessOf(film: FilmMesh, surface: PartSurface, order: LayOrder): Float64Array {
  const over = spotsOver(surface)
  const reachMm = turnReachShare * Math.sqrt(surface.figures.areaMm2)
  const turns = new Map<SpotOnPart, number>()
  return Float64Array.from({ length: film.triangles }, (_, t) => {
    const spot = over.nearest(middleOfTriangle(surface, t))
    if (spot === null) return 1
    let turnRad = turns.get(spot)
    if (turnRad === undefined) {
      turnRad = turnAround(spot, over.near(spot, reachMm))
      turns.set(spot, turnRad)
    }
    // On a ball the normals within a reach turn by 0.71 of what they turn over the whole of it (root of the mean square).
    const perMm = (Math.SQRT2 * turnRad) / reachMm
    return 1 + (order.flatFirst * turnDelay * perMm * order.strokeMm * 2) / Math.PI
  })
}

/**
 * Where a front that winds begins its first turn, and which way it winds (1 = anticlockwise on the drawing): towards the
 * outline's farthest place, and over the side first on which the part reaches farther. A mirrored part is wound the other way round.
 */
function windingOf({ outline }: PartSurface, centre: Vec2): { beginsRad: number; sign: 1 | -1 } {
  let farthest: Vec2 = centre
  for (const p of outline.polygon) if (distance(p, centre) > distance(farthest, centre) + 1e-6) farthest = p
  const way: Vec2 = [farthest[0] - centre[0], farthest[1] - centre[1]]
  let lean = 0
  let whole = 0
  outline.polygon.forEach((p, i) => {
    const q = outline.polygon[(i + 1) % outline.polygon.length]!
    const [ax, ay] = [p[0] - centre[0], p[1] - centre[1]]
    const [bx, by] = [q[0] - centre[0], q[1] - centre[1]]
    const area = (ax * by - ay * bx) / 2
    whole += area
    // What is far to one side tells the sides apart: about its middle a part weighs the same on both.
    lean += area * (way[0] * (ay + by) - way[1] * (ax + bx)) ** 3
  })
  return { beginsRad: Math.atan2(way[1], way[0]), sign: lean * whole < 0 ? -1 : 1 }
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

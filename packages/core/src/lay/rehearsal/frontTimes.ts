import { type Vec2, distance, lerp } from '../../geometry/index.ts'
import { middleOfTriangle, type PartSurface } from '../../form/index.ts'
import type { FilmMesh } from '../internal/filmMesh.ts'
import { locatorOf } from '../internal/locatorOf.ts'
import { onceFor } from '../internal/onceFor.ts'
import { type Beginning, marchedWays } from './marchedWays.ts'
import type { LayOrder } from './orderTypes.ts'
import { type SpotOnPart, spotsOver, turnAround } from './spotsOver.ts'

/** How many times its length a place counts that turns as much in a stroke as a quarter circle. */
const turnDelay = 12

/** When the front comes where, as a length in mm. */
export interface Front {
  /** By vertices. */
  readonly time: Float64Array
  /** At spots that stand for equal shares of a triangle's area, `spotsPerTriangle` for each. */
  readonly within: Float64Array
}

/**
 * When the front reaches the part, as a length in mm: the shortest way over the surface from where it starts, longer
 * over places that turn if the flats go first; round and round if it winds.
 */
export function frontOver(film: FilmMesh, surface: PartSurface, order: LayOrder): Front {
  const slowness = order.flatFirst > 0 ? slownessOf(surface, order) : undefined
  const away = marchedWays(film, beginningAt(film, surface, order.from, slowness), { slowness })
  const timeAt = order.spiral ? winding(surface, order) : (mm: number) => mm
  const { plan } = surface
  const within = new Float64Array(spotsPerTriangle * film.triangles)
  for (let t = 0; t < film.triangles; t++) {
    const [a, b, c] = [film.corner[3 * t]!, film.corner[3 * t + 1]!, film.corner[3 * t + 2]!]
    for (let i = 0; i < spotsPerTriangle; i++) {
      const [u, v, w] = spots[i]!
      within[spotsPerTriangle * t + i] = timeAt(
        u * away[a]! + v * away[b]! + w * away[c]!,
        u * plan[2 * a]! + v * plan[2 * b]! + w * plan[2 * c]!,
        u * plan[2 * a + 1]! + v * plan[2 * b + 1]! + w * plan[2 * c + 1]!,
      )
    }
  }
  return { time: away.map((mm, v) => timeAt(mm, plan[2 * v]!, plan[2 * v + 1]!)), within }
}

/** Middles of the triangles into which a triangle falls when each side is cut into four, as shares of its corners. */
const spots = ((): readonly (readonly [number, number, number])[] => {
  const cuts = 4
  const found: [number, number, number][] = []
  for (let i = 0; i < cuts; i++)
    for (let j = 0; i + j < cuts; j++) {
      const [u, v] = [(i + 1 / 3) / cuts, (j + 1 / 3) / cuts]
      found.push([u, v, 1 - u - v])
      if (i + j < cuts - 1) found.push([u + 1 / 3 / cuts, v + 1 / 3 / cuts, 1 - u - v - 2 / 3 / cuts])
    }
  return found
})()
export const spotsPerTriangle = spots.length

/** The time of a front that winds, at a spot of the drawing so far from its middle over the surface. */
function winding(surface: PartSurface, { from, strokeMm }: LayOrder): (mm: number, x: number, y: number) => number {
  const [cx, cy] = from[0] ?? [0, 0]
  const hand = windingOf(surface, [cx, cy])
  return (mm, x, y) => {
    const share = (hand.sign * (Math.atan2(y - cy, x - cx) - hand.beginsRad)) / (2 * Math.PI)
    const turned = share - Math.floor(share)
    const turns = Math.max(0, Math.ceil(mm / strokeMm - turned))
    return (turns + turned) * strokeMm
  }
}

/** How far around a place its turning is looked at, as a share of the part's size. */
const turnReachShare = 1 / 12

/** How much slower the front runs over each triangle, as the part turns round it; 1 = as over a flat one. */
function slownessOf(surface: PartSurface, { flatFirst, strokeMm }: LayOrder): Float64Array {
  const perTurn = (flatFirst * turnDelay * strokeMm * 2) / Math.PI
  return turningOf(surface).map((radPerMm) => 1 + perTurn * radPerMm)
}

/** How much the part turns round the middle of each triangle, rad per mm; made once for a surface. */
const turningOf = onceFor((surface: PartSurface): Float64Array => {
  const over = spotsOver(surface)
  const reachMm = turnReachShare * Math.sqrt(surface.figures.areaMm2)
  const turns = new Map<SpotOnPart, number>()
  return Float64Array.from({ length: surface.mesh.triangle.length / 3 }, (_, t) => {
    const spot = over.nearest(middleOfTriangle(surface, t))
    if (spot === null) return 0
    let turnRad = turns.get(spot)
    if (turnRad === undefined) {
      turnRad = turnAround(spot, over.near(spot, reachMm))
      turns.set(spot, turnRad)
    }
    // On a ball the normals within a reach turn by 0.71 of what they turn over the whole of it (root of the mean square).
    return (Math.SQRT2 * turnRad) / reachMm
  })
})

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
  const sideMm = Math.sqrt((4 * surface.figures.areaMm2) / (Math.sqrt(3) * film.triangles))
  const locate = locatorOf(surface)
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

import { boundsOf, contains, distance, type Vec2, vertexNormals } from '../../geometry/index.ts'
import type { PartSurface } from '../../form/index.ts'
import { locatorOf } from '../internal/locatorOf.ts'
import { onceFor } from '../internal/onceFor.ts'

/** A spot of the part, on the drawing and in space, mm, with the direction in which its surface faces. */
export interface SpotOnPart {
  readonly at: Vec2
  readonly position: readonly [number, number, number]
  readonly normal: readonly [number, number, number]
}

/** Spots all over a part, at places that do not depend on its mesh. */
export interface SpotsOver {
  readonly spots: readonly SpotOnPart[]
  /** All spots within a distance of one, itself included. */
  near(spot: SpotOnPart, reachMm: number): readonly SpotOnPart[]
  /** The spot nearest to a place of the part; null where none is within two rows. */
  nearest(p: Vec2): SpotOnPart | null
}

/** Fine enough that a place is found to a few centimetres on a bonnet. */
const spotsOnPart = 900

/** Spots in rows and columns, about `spotsOnPart` over the box of the part; made once for a surface. */
export const spotsOver = onceFor(inRows)

function inRows(surface: PartSurface): SpotsOver {
  const { mesh, outline, holes } = surface
  const { min, max } = boundsOf(outline.polygon)
  const [wide, high] = [max[0] - min[0], max[1] - min[1]]
  const stepMm = Math.sqrt((wide * high) / spotsOnPart)
  const [columns, rows] = [Math.max(3, Math.round(wide / stepMm)), Math.max(3, Math.round(high / stepMm))]
  const locate = locatorOf(surface)
  const normals = vertexNormals(mesh)
  const inRow: (SpotOnPart | null)[][] = []
  for (let row = 0; row < rows; row++) {
    inRow.push(
      Array.from({ length: columns }, (_, column) => {
        const at: Vec2 = [min[0] + ((column + 0.5) * wide) / columns, min[1] + ((row + 0.5) * high) / rows]
        if (!contains(outline.polygon, at) || holes.some((hole) => contains(hole.polygon, at))) return null
        const { triangle, weight } = locate.nearest(at)
        const between = (of: Float64Array): [number, number, number] => {
          const sum: [number, number, number] = [0, 0, 0]
          for (let c = 0; c < 3; c++)
            for (let k = 0; k < 3; k++) sum[k]! += weight[c]! * of[3 * mesh.triangle[3 * triangle + c]! + k]!
          return sum
        }
        const normal = between(normals)
        const length = Math.hypot(...normal) || 1
        const facing: [number, number, number] = [normal[0] / length, normal[1] / length, normal[2] / length]
        return { at, position: between(mesh.position), normal: facing }
      }),
    )
  }
  const rowOf = (y: number) => ((y - min[1]) / high) * rows - 0.5
  const columnOf = (x: number) => ((x - min[0]) / wide) * columns - 0.5
  return {
    spots: inRow.flat().filter((spot) => spot !== null),
    near({ at }, reachMm) {
      const found: SpotOnPart[] = []
      for (
        let r = Math.max(0, Math.ceil(rowOf(at[1] - reachMm) - 1e-9));
        r <= Math.min(rows - 1, rowOf(at[1] + reachMm));
        r++
      ) {
        const row = inRow[r]!
        const first = Math.max(0, Math.ceil(columnOf(at[0] - reachMm) - 1e-9))
        for (let c = first; c <= Math.min(columns - 1, columnOf(at[0] + reachMm)); c++) {
          const other = row[c]
          if (other != null && distance(other.at, at) <= reachMm) found.push(other)
        }
      }
      return found
    },
    nearest(p) {
      let best: SpotOnPart | null = null
      const [r, c] = [Math.round(rowOf(p[1])), Math.round(columnOf(p[0]))]
      for (let row = r - 2; row <= r + 2; row++) {
        for (let column = c - 2; column <= c + 2; column++) {
          const spot = inRow[row]?.[column]
          if (spot != null && (best === null || distance(spot.at, p) < distance(best.at, p))) best = spot
        }
      }
      return best
    },
  }
}

/** How much the normals of spots turn against that of one of them, rad (root of the mean square). */
export function turnAround({ normal }: SpotOnPart, near: readonly SpotOnPart[]): number {
  let agree = 0
  for (const other of near)
    agree += normal[0] * other.normal[0] + normal[1] * other.normal[1] + normal[2] * other.normal[2]
  return Math.sqrt(Math.max(0, 2 * (1 - agree / near.length)))
}

/** How far a spot stands out of others, square to its own surface, mm (mean); negative where it lies deeper. */
export function outOf({ normal, position }: SpotOnPart, near: readonly SpotOnPart[]): number {
  let sum = 0
  for (const other of near) for (let k = 0; k < 3; k++) sum += normal[k]! * (position[k]! - other.position[k]!)
  return sum / near.length
}

/** What a spot is worth as a place of some kind, more being better. */
export interface Worth {
  readonly at: Vec2
  readonly worth: number
}

/** How far round a place spots count at all, in reaches: less and less the farther off they are. */
const windowReaches = 1.75
/** A place is settled when it moves by less than this share of the reach; far fewer rounds are ever needed. */
const settledShare = 0.001
const mostRounds = 50

/**
 * The place that is worth most: from the best spot the mean of those round it, those counting that are near and worth as much to within
 * `alike`, and from there again until it stays (mean shift: Fukunaga and Hostetler 1975). So the place does not jump when spots are nearly
 * worth the same, nor on a ridge from one end to the other.
 */
export function bestPlace(spots: readonly Worth[], reachMm: number, alike: number): Vec2 | null {
  const best = spots.reduce<Worth | null>(
    (most, spot) => (most === null || spot.worth > most.worth ? spot : most),
    null,
  )
  if (best === null) return null
  let place = best.at
  for (let round = 0; round < mostRounds; round++) {
    let [x, y, sum] = [0, 0, 0]
    for (const { at, worth } of spots) {
      const away = distance(at, place) / (windowReaches * reachMm)
      if (away > 1) continue
      const weight = (1 - away ** 2) ** 2 * Math.exp((worth - best.worth) / alike)
      x += weight * at[0]
      y += weight * at[1]
      sum += weight
    }
    const next: Vec2 = [x / sum, y / sum]
    const movedMm = distance(next, place)
    place = next
    if (movedMm < settledShare * reachMm) break
  }
  return place
}

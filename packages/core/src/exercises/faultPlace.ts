import { buildSurface, type PartSurface } from '../form/index.ts'
import { triangleLocator, type Vec2 } from '../geometry/index.ts'
import {
  bridging,
  type FilmHandling,
  fingerProfile,
  type HollowSection,
  naturalLay,
  workedLay,
  workedOptions,
} from '../lay/index.ts'
import { required } from '../result/index.ts'
import { makeCap } from './makePart.ts'

/** What the solver says of film on a small cap, read off wherever a picture needs it. Coordinates of the drawing, mm. */
export interface FaultPlace {
  readonly surface: PartSurface
  /** Film left over along the front edge, mm per 100 mm, as film lies by itself. */
  readonly excessAt: (x: number) => number
  readonly mostExcess: number
  /** Where the drawn film of that spot was before it was laid, mm; outside the part the nearest spot's. */
  readonly filmAt: (p: Vec2) => Vec2
  /** Where drawn film is stretched most, by how much (a share), and the direction of that stretch. */
  readonly pulled: { readonly at: Vec2; readonly stretch: number; readonly way: Vec2 }
  readonly stretchAt: (p: Vec2) => number
  readonly hollow: HollowSection
  /** What film needs that spans it. */
  readonly hollowStretch: number
  /** Front edge of the part. */
  readonly frontY: number
}

const triangles = 700

/** Film laid on a cap that nobody has seen. */
export function faultPlace(chance: () => number, handling: FilmHandling): FaultPlace {
  const form = makeCap(chance)
  const surface = required(buildSurface(form, { triangles }))
  const natural = required(naturalLay(surface.mesh))
  const worked = required(workedLay(surface.mesh, workedOptions(handling)))
  const frontY = Math.min(...surface.outline.polygon.map(([, y]) => y))
  const spots = fingerProfile(
    surface,
    { flat: natural.flat, stepOfVertex: new Int32Array(natural.flat.length / 2) },
    handling.take,
  )
    .filter((spot) => Math.abs(spot.at[1] - frontY) < 5)
    .sort((a, b) => a.at[0] - b.at[0])
  const { plan } = surface
  const { triangle } = surface.mesh
  const locate = triangleLocator(plan, triangle)
  const corners = (t: number): Vec2[] =>
    [0, 1, 2].map((k) => {
      const v = triangle[3 * t + k] ?? 0
      return [worked.flat[2 * v] ?? 0, worked.flat[2 * v + 1] ?? 0]
    })
  const stretchOf = (t: number) => Math.max(0, (worked.stretch[2 * t] ?? 1) - 1)
  const most = Array.from({ length: triangle.length / 3 }, (_, t) => t).reduce((a, b) =>
    stretchOf(b) > stretchOf(a) ? b : a,
  )
  const hollow: HollowSection = {
    widthMm: 24 + 16 * chance(),
    depthMm: 5 + 5 * chance(),
    wallDeg: 30 + 15 * chance(),
    long: true,
  }
  return {
    surface,
    frontY,
    hollow,
    hollowStretch: bridging(hollow, handling).stretch,
    mostExcess: Math.max(0, ...spots.map((spot) => spot.mmPer100)),
    excessAt: (x) => {
      const i = spots.findIndex((spot) => spot.at[0] >= x)
      const [a, b] = [spots[Math.max(0, i - 1)], spots[i]]
      if (a === undefined || b === undefined) return 0
      const share = b.at[0] === a.at[0] ? 0 : Math.min(1, Math.max(0, (x - a.at[0]) / (b.at[0] - a.at[0])))
      return a.mmPer100 + share * (b.mmPer100 - a.mmPer100)
    },
    filmAt: (p) => {
      const { triangle: t, weight } = locate.nearest(p)
      const [a, b, c] = corners(t)
      if (a === undefined || b === undefined || c === undefined) return p
      const along = (k: 0 | 1) => weight[0] * a[k] + weight[1] * b[k] + weight[2] * c[k]
      return [along(0), along(1)]
    },
    pulled: { at: middleOf(surface, most), stretch: stretchOf(most), way: wayOfPull(surface, worked.flat, most) },
    stretchAt: (p) => stretchOf(locate.nearest(p).triangle),
  }
}

function middleOf({ plan, mesh }: PartSurface, t: number): Vec2 {
  const sum = (k: 0 | 1) => [0, 1, 2].reduce((all, i) => all + (plan[2 * (mesh.triangle[3 * t + i] ?? 0) + k] ?? 0), 0)
  return [sum(0) / 3, sum(1) / 3]
}

/** Direction on the drawing in which a triangle of film is stretched most, as a unit: the greatest of a fan of directions. */
function wayOfPull({ plan, mesh }: PartSurface, flat: Float64Array, t: number): Vec2 {
  const [i, j, k] = [0, 1, 2].map((n) => mesh.triangle[3 * t + n] ?? 0) as [number, number, number]
  const side = (of: ArrayLike<number>, a: number, b: number, d: number): number[] =>
    Array.from({ length: d }, (_, n) => (of[d * b + n] ?? 0) - (of[d * a + n] ?? 0))
  const long = (v: readonly number[]) => Math.hypot(...v)
  const [p1, p2] = [side(plan, i, j, 2), side(plan, i, k, 2)]
  const [s1, s2] = [side(mesh.position, i, j, 3), side(mesh.position, i, k, 3)]
  const [f1, f2] = [side(flat, i, j, 2), side(flat, i, k, 2)]
  let best: { stretch: number; way: Vec2 } = { stretch: 0, way: [1, 0] }
  for (let step = 0; step < 24; step++) {
    const [u, v] = [Math.cos((step * Math.PI) / 24), Math.sin((step * Math.PI) / 24)]
    const along = (a: readonly number[], b: readonly number[]) => a.map((x, n) => u * x + v * (b[n] ?? 0))
    const stretch = long(along(s1, s2)) / long(along(f1, f2))
    const way = along(p1, p2)
    const size = long(way)
    if (stretch > best.stretch) best = { stretch, way: [(way[0] ?? 0) / size, (way[1] ?? 0) / size] }
  }
  return best.way
}

import { cross2, dot2, nearestOnOutline, subtract, unit, type Vec2 } from '../geometry/index.ts'
import type { PartSurface } from '../form/index.ts'
import { edgeAt } from './fingerForecast.ts'
import type { Lay } from './layTypes.ts'

/** What a film can do, as ratios: 0.03 = 3 %. */
export interface FilmHandling {
  /** Compression it takes up without a finger. */
  readonly take: number
  /** Stretch that a hand reaches without heat. */
  readonly coldStretch: number
  /** Most it can be stretched warm. */
  readonly warmStretch: number
  /** Stretch beyond which a glue line shows when it is laid at once. */
  readonly glueLineStretch: number
}

export interface Pull {
  /** A, B, C … in order of need. */
  readonly letter: string
  /** Edge towards which or beside which the film is pulled. */
  readonly edge: string
  /** Middle of the stretched place on the drawing. */
  readonly at: Vec2
  /** Direction of the pull on the drawing, length 1. */
  readonly direction: Vec2
  /** Towards the edge, or along it to both sides. */
  readonly way: 'towards' | 'along'
  /** Stretch wanted there, per cent, above nothing. */
  readonly percent: number
  readonly areaMm2: number
  readonly heat: 'cold' | 'warm'
  /** Beyond the threshold at which a stretch shows as a glue line if laid at once. */
  readonly glueLineRisk: boolean
}

/** Places with less stretch than this share of the largest one need no pull of their own. */
const worthPullingShare = 0.5
const leastPercent = 0.5
const leastAreaShare = 0.01

/**
 * Where to pull, which way and how much: the stretched places of a worked lay, gathered by the edge they lie next to.
 * Each pull takes the area-weighted mean direction of the larger stretch. Pulls of less than 0.5 % are left out.
 */
export function stretchPlan(surface: PartSurface, lay: Pick<Lay, 'flat' | 'stretch'>, film: FilmHandling): Pull[] {
  const triangles = lay.stretch.length / 2
  let most = 0
  for (let t = 0; t < triangles; t++) most = Math.max(most, lay.stretch[2 * t]! - 1)
  const worth = Math.max(leastPercent / 100, worthPullingShare * most)
  const zones = new Map<string, Zone>()
  for (let t = 0; t < triangles; t++) {
    const excess = lay.stretch[2 * t]! - 1
    if (excess < worth) continue
    const shape = triangleShape(surface, lay.flat, t)
    const edge = edgeAt(surface, shape.at)
    const zone = zones.get(edge) ?? { weight: 0, area: 0, x: 0, y: 0, xx: 0, xy: 0, yy: 0, stretches: [] }
    const w = shape.areaMm2 * excess
    zone.weight += w
    zone.area += shape.areaMm2
    zone.x += w * shape.at[0]
    zone.y += w * shape.at[1]
    zone.xx += w * shape.direction[0] ** 2
    zone.xy += w * shape.direction[0] * shape.direction[1]
    zone.yy += w * shape.direction[1] ** 2
    zone.stretches.push(excess)
    zones.set(edge, zone)
  }
  const pulls = [...zones]
    .filter(([, zone]) => zone.area > leastAreaShare * surface.figures.areaMm2)
    .map(([edge, zone]) => toPull(surface, edge, zone, film))
    .sort((a, b) => b.percent * b.areaMm2 - a.percent * a.areaMm2)
  return pulls.map((pull, i) => ({ ...pull, letter: String.fromCharCode(65 + i) }))
}

interface Zone {
  weight: number
  area: number
  x: number
  y: number
  xx: number
  xy: number
  yy: number
  readonly stretches: number[]
}

function toPull(surface: PartSurface, edge: string, zone: Zone, film: FilmHandling): Pull {
  const at: Vec2 = [zone.x / zone.weight, zone.y / zone.weight]
  const angle = Math.atan2(2 * zone.xy, zone.xx - zone.yy) / 2
  const axis: Vec2 = [Math.cos(angle), Math.sin(angle)]
  const outward = unit(subtract(nearestOnOutline(surface.outline.polygon, at).point, at))
  const along = dot2(axis, outward)
  const stretches = zone.stretches.sort((a, b) => a - b)
  const percent = 100 * (stretches[Math.floor(0.9 * (stretches.length - 1))] ?? 0)
  const towards = Math.abs(along) >= Math.SQRT1_2
  return {
    letter: '',
    edge,
    at,
    direction: towards && along < 0 ? [-axis[0], -axis[1]] : axis,
    way: towards ? 'towards' : 'along',
    percent,
    areaMm2: zone.area,
    heat: percent / 100 > film.coldStretch ? 'warm' : 'cold',
    glueLineRisk: percent / 100 > film.glueLineStretch,
  }
}

/** Middle, area and direction of the larger stretch of one triangle, on the drawing. */
function triangleShape(surface: PartSurface, flat: Float64Array, t: number) {
  const { plan } = surface
  const [a, b, c] = [0, 1, 2].map((k) => surface.mesh.triangle[3 * t + k]!) as [number, number, number]
  const on = (xy: Float64Array, v: number): Vec2 => [xy[2 * v]!, xy[2 * v + 1]!]
  const p = surface.mesh.position
  const space = (v: number) => [p[3 * v]!, p[3 * v + 1]!, p[3 * v + 2]!] as const
  const [pa, pb, pc] = [space(a), space(b), space(c)]
  const e = [pb[0] - pa[0], pb[1] - pa[1], pb[2] - pa[2]] as const
  const f = [pc[0] - pa[0], pc[1] - pa[1], pc[2] - pa[2]] as const
  const ee = e[0] ** 2 + e[1] ** 2 + e[2] ** 2
  const ff = f[0] ** 2 + f[1] ** 2 + f[2] ** 2
  const ef = e[0] * f[0] + e[1] * f[1] + e[2] * f[2]
  // Metric of the surface in film coordinates: its larger direction is where the film is stretched most.
  const u = subtract(on(flat, b), on(flat, a))
  const v = subtract(on(flat, c), on(flat, a))
  const d = cross2(u, v)
  const i = [v[1] / d, -v[0] / d, -u[1] / d, u[0] / d] as const
  const mxx = i[0] * i[0] * ee + 2 * i[0] * i[2] * ef + i[2] * i[2] * ff
  const mxy = i[0] * i[1] * ee + (i[0] * i[3] + i[1] * i[2]) * ef + i[2] * i[3] * ff
  const myy = i[1] * i[1] * ee + 2 * i[1] * i[3] * ef + i[3] * i[3] * ff
  const angle = Math.atan2(2 * mxy, mxx - myy) / 2
  const inFilm: Vec2 = [Math.cos(angle), Math.sin(angle)]
  // Back to the drawing: the same combination of the two sides.
  const s = i[0] * inFilm[0] + i[1] * inFilm[1]
  const r = i[2] * inFilm[0] + i[3] * inFilm[1]
  const sides = [subtract(on(plan, b), on(plan, a)), subtract(on(plan, c), on(plan, a))] as const
  const direction = unit([s * sides[0][0] + r * sides[1][0], s * sides[0][1] + r * sides[1][1]])
  const at: Vec2 = [
    (plan[2 * a]! + plan[2 * b]! + plan[2 * c]!) / 3,
    (plan[2 * a + 1]! + plan[2 * b + 1]! + plan[2 * c + 1]!) / 3,
  ]
  return { at, direction, areaMm2: Math.sqrt(Math.max(0, ee * ff - ef * ef)) / 2 }
}

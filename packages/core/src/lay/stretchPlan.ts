import { contains, distanceToLine, dot2, nearestOnOutline, subtract, unit, type Vec2 } from '../geometry/index.ts'
import { type FormDoc, middleOfTriangle, type PartSurface } from '../form/index.ts'
import { edgeFinder } from './fingerForecast.ts'
import type { FilmHandling } from './handling/filmHandling.ts'
import { triangleShape } from './internal/triangleShape.ts'
import type { Lay } from './layTypes.ts'

export const pullWays = ['towards', 'along'] as const
export const pullHeats = ['cold', 'warm'] as const

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
  readonly way: (typeof pullWays)[number]
  /** Stretch wanted there, per cent, above nothing. */
  readonly percent: number
  readonly areaMm2: number
  readonly heat: (typeof pullHeats)[number]
  /** Beyond the threshold at which a stretch shows as a glue line if laid at once. */
  readonly glueLineRisk: boolean
}

/** Places with less stretch than this share of the largest one need no pull of their own. */
const worthPullingShare = 0.5
const leastPercent = 0.5
const leastAreaShare = 0.01

/**
 * Where to pull, which way and how much: the stretched places of a worked lay, gathered by the edge they lie next to.
 * Each pull takes the area-weighted mean direction of the larger stretch. Pulls of less than 0.5 % are left out, and so is
 * what lies on a raised feature, in a recess or in a channel: that is stretched where it is pressed on or in, by its own step.
 */
export function stretchPlan(
  surface: PartSurface,
  lay: Pick<Lay, 'flat' | 'stretch'>,
  film: FilmHandling,
  features: Features,
): Pull[] {
  const drawn: number[] = []
  let most = 0
  for (let t = 0; t < lay.stretch.length / 2; t++) {
    most = Math.max(most, lay.stretch[2 * t]! - 1)
    if (!onFeature(features, middleOfTriangle(surface, t))) drawn.push(t)
  }
  const worth = Math.max(leastPercent / 100, worthPullingShare * most)
  const zones = new Map<string, Zone>()
  const nearestEdge = edgeFinder(surface)
  for (const t of drawn) {
    const excess = lay.stretch[2 * t]! - 1
    if (excess < worth) continue
    const shape = triangleShape(surface, lay.flat, t)
    const edge = nearestEdge(shape.at)
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

type Features = Pick<FormDoc, 'recesses' | 'raised' | 'channels'>

const onFeature = ({ recesses, raised = [], channels = [] }: Features, p: Vec2): boolean =>
  [...recesses, ...raised].some(({ outline }) => contains(outline, p)) ||
  channels.some(({ along, widthMm }) => distanceToLine(along, p) < widthMm / 2)

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

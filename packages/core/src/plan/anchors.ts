import {
  boundsOf,
  centroid,
  distance,
  subtract,
  unit,
  type Vec2,
  vertexCount,
  vertexNormals,
} from '../geometry/index.ts'
import { type EdgeMargin, type EdgeRules, endOfEdge, ruleAt } from '../align/index.ts'
import type { FormDoc, PartSurface } from '../form/index.ts'
import type { FlatPart } from '../lay/index.ts'
import type { Anchor, BeginSchool, CheckPoint, GapMark } from './planTypes.ts'

interface AnchorInput {
  readonly form: FormDoc
  readonly surface: PartSurface
  readonly part: FlatPart
  readonly rules: EdgeRules
  /** Margins of the placed piece: say what each check point should read. */
  readonly margins: readonly EdgeMargin[]
}

/** Where the film is fixed first, in order, as the school says. */
export function anchorsFor(school: BeginSchool, input: AnchorInput): Anchor[] {
  if (school === 'corners first') return cornerAnchors(input)
  return [school === 'one end and follow' ? endAnchor(input) : flattestAnchor(input)]
}

/** The corners at which two edges meet, the one with the least room first, then each the neighbour of the last. */
function cornerAnchors({ form, part, surface, rules, margins }: AnchorInput): Anchor[] {
  const { polygon, edgeOfSide } = part.outline
  const count = polygon.length
  const corners = polygon.flatMap((at, i) => {
    const before = edgeOfSide[(i + count - 1) % count] ?? ''
    const after = edgeOfSide[i] ?? ''
    if (before === after) return []
    return [{ index: i, at, before, after, onForm: surface.outline.polygon[i] ?? at }]
  })
  if (corners.length === 0) return [flattestAnchor({ form, part, surface, rules, margins })]
  const tightest = corners
    .map((corner, k) => ({ k, room: roomNear(corner.at, margins, rules) }))
    .sort((a, b) => a.room - b.room)[0]
  const first = tightest?.k ?? 0
  const order = corners.map((_, k) => corners[(first + k) % corners.length]).filter((c) => c !== undefined)
  return order.map((corner, k) => ({
    number: k + 1,
    label: cornerLabel(form, corner),
    at: corner.at,
    onForm: corner.onForm,
    gaps: [-1, 1].flatMap((way) => gapBeside(corner.index, way, part, rules)),
  }))
}

function roomNear(at: Vec2, margins: readonly EdgeMargin[], rules: EdgeRules): number {
  let least = Number.POSITIVE_INFINITY
  for (const m of margins) {
    const rule = ruleAt(m, rules)
    if (rule === undefined || distance(m.at, at) > 120) continue
    least = Math.min(least, m.marginMm - rule.minMm, rule.maxMm - m.marginMm)
  }
  return least
}

/** The name of the reference mark there, or of the two edges that meet. */
function cornerLabel(form: FormDoc, corner: { onForm: Vec2; before: string; after: string }): string {
  const mark = form.marks.find((m) => distance(m.at, corner.onForm) < 30)
  if (mark) return mark.label
  const label = (name: string) => (form.edges.find((e) => e.name === name)?.label ?? name).replace(/ edge$/, '')
  return `corner of ${label(corner.before)} and ${label(corner.after)}`
}

/** The gap to set on one side of a corner, about 70 mm from it. */
function gapBeside(corner: number, way: number, part: FlatPart, rules: EdgeRules): GapMark[] {
  const { polygon, edgeOfSide } = part.outline
  const count = polygon.length
  let length = 0
  let i = corner
  while (length < 70) {
    const next = (i + way + count) % count
    const [a, b] = [polygon[i], polygon[next]]
    if (a === undefined || b === undefined) return []
    length += distance(a, b)
    i = next
  }
  const at = polygon[i]
  const after = polygon[(i + 1) % count]
  if (at === undefined || after === undefined) return []
  const rule = rules[edgeOfSide[i] ?? '']
  if (rule === undefined) return []
  const [dx, dy] = unit(subtract(after, at))
  return [{ at, normal: [-dy, dx], wantedMm: (rule.minMm + rule.maxMm) / 2 }]
}

/** The middle of one end of a long part: the one with a reference mark, else the left one of the drawing. */
function endAnchor({ form, surface, part }: AnchorInput): Anchor {
  const { min, max } = boundsOf(surface.outline.polygon)
  const wide = max[0] - min[0] >= max[1] - min[1]
  const middle: Vec2 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  const end: Vec2 = wide ? [min[0], middle[1]] : [middle[0], min[1]]
  const mark = [...form.marks].sort((a, b) => distance(a.at, end) - distance(b.at, end))[0]
  const edge = mark?.at ?? end
  const inward = unit(subtract(middle, edge))
  const onForm: Vec2 = [edge[0] + 25 * inward[0], edge[1] + 25 * inward[1]]
  return { number: 1, label: mark?.label ?? 'one end', at: part.toFlat(onForm), onForm, gaps: [] }
}

/** The place whose surroundings turn least: where normals within a sixth of the part agree best. */
function flattestAnchor({ surface, part, form }: AnchorInput): Anchor {
  const normals = vertexNormals(surface.mesh)
  const { plan } = surface
  const count = vertexCount(surface.mesh)
  const reach = Math.sqrt(surface.figures.areaMm2) / 6
  const stride = Math.max(1, Math.floor(count / 1200))
  const rim = part.outline.polygon
  let best = 0
  let least = Number.POSITIVE_INFINITY
  for (let v = 0; v < count; v += stride) {
    const at: Vec2 = [plan[2 * v] ?? 0, plan[2 * v + 1] ?? 0]
    const flat = part.toFlat(at)
    if (rim.some((p) => distance(p, flat) < reach * 0.6)) continue
    let turn = 0
    let near = 0
    for (let w = 0; w < count; w += stride) {
      const dx = (plan[2 * w] ?? 0) - at[0]
      const dy = (plan[2 * w + 1] ?? 0) - at[1]
      if (dx * dx + dy * dy > reach * reach) continue
      let agree = 0
      for (let k = 0; k < 3; k++) agree += (normals[3 * v + k] ?? 0) * (normals[3 * w + k] ?? 0)
      turn += 1 - agree
      near++
    }
    if (near > 3 && turn / near < least) {
      least = turn / near
      best = v
    }
  }
  const onForm: Vec2 = [plan[2 * best] ?? 0, plan[2 * best + 1] ?? 0]
  return {
    number: 1,
    label: `flattest place${whereOnForm(form, surface, onForm)}`,
    at: part.toFlat(onForm),
    onForm,
    gaps: [],
  }
}

function whereOnForm(form: FormDoc, surface: PartSurface, [x, y]: Vec2): string {
  const xs = surface.outline.polygon.map((p) => p[0])
  const ys = surface.outline.polygon.map((p) => p[1])
  const sx = (x - Math.min(...xs)) / (Math.max(...xs) - Math.min(...xs))
  const sy = (y - Math.min(...ys)) / (Math.max(...ys) - Math.min(...ys))
  const across = sx < 0.4 ? form.directions.left : sx > 0.6 ? form.directions.right : null
  const up = sy < 0.4 ? form.directions.down : sy > 0.6 ? form.directions.up : null
  const words = [up, across].filter((w) => w !== null)
  return words.length === 0 ? ', in the middle' : `, towards ${words.join(' and ')}`
}

/** Two places on each long edge and one on each short one: enough for a move and a turn, few enough to be read. */
export function checkPointsFor({
  form,
  rules,
  margins,
}: Pick<AnchorInput, 'form' | 'rules' | 'margins'>): CheckPoint[] {
  const stretches = form.edges.flatMap((edge) => {
    const spots = margins.filter((m) => m.hole < 0 && m.edge === edge.name)
    return spots.length > 0 ? [{ edge, spots: inOrder(spots) }] : []
  })
  const mean = stretches.reduce((sum, s) => sum + s.spots.length, 0) / Math.max(1, stretches.length)
  const checks = stretches.flatMap(({ edge, spots }) =>
    (spots.length > 0.8 * mean ? [0.18, 0.82] : [0.5]).flatMap((share) => {
      const spot = spots[Math.floor(share * (spots.length - 1))]
      const rule = rules[edge.name]
      if (spot === undefined || rule === undefined) return []
      const passes = rule.maxMm < 0
      return [
        {
          at: spot.at,
          normal: spot.inward,
          wantedMm: passes ? Math.round(spot.marginMm * 2) / 2 : (rule.minMm + rule.maxMm) / 2,
          edge: edge.name,
          label: `${edge.label}, ${endOfEdge(form.directions, spots, spot)?.replace(/^the /, '') ?? 'middle'}`,
          reads: passes ? ('film past the edge' as const) : ('gap' as const),
        },
      ]
    }),
  )
  return inWalkingOrder(checks, form.edges[0]?.name ?? '')
    .slice(0, 8)
    .map((check, i) => ({ id: String.fromCharCode(80 + i), ...check }))
}

/** Clockwise, as one walks round the part, beginning where the form's first edge begins. */
function inWalkingOrder<C extends { readonly at: Vec2; readonly edge: string }>(
  checks: readonly C[],
  firstEdge: string,
): C[] {
  if (checks.length < 3) return [...checks]
  const middle = centroid(checks.map((c) => c.at))
  const angleOf = ({ at }: C) => Math.atan2(at[1] - middle[1], at[0] - middle[0])
  const round = [...checks].sort((a, b) => angleOf(b) - angleOf(a))
  const begin = round.findIndex(
    (c, i) => c.edge === firstEdge && round[(i + round.length - 1) % round.length]?.edge !== firstEdge,
  )
  return begin < 0 ? round : [...round.slice(begin), ...round.slice(0, begin)]
}

/** Spots of one edge in the order in which the outline runs, even when the edge crosses the outline's start. */
function inOrder(spots: EdgeMargin[]): EdgeMargin[] {
  const meanStep = 12
  const gapAt = spots.findIndex((s, i) => i > 0 && distance(s.at, spots[i - 1]?.at ?? s.at) > 8 * meanStep)
  return gapAt > 0 ? [...spots.slice(gapAt), ...spots.slice(0, gapAt)] : spots
}

import { centroid, distance, subtract, unit, type Vec2 } from '../geometry/index.ts'
import { type EdgeMargin, type EdgeRules, endOfEdge, ruleAt } from '../align/index.ts'
import type { FormDoc, PartSurface } from '../form/index.ts'
import { type FlatPart, type LayOrder, orderBySchool, type SchoolName } from '../lay/index.ts'
import { name, say, type Sentence, verbatim } from '../say/index.ts'
import type { Anchor, CheckPoint, GapMark } from './partPlan.ts'

interface AnchorInput {
  readonly form: FormDoc
  readonly surface: PartSurface
  readonly part: FlatPart
  readonly rules: EdgeRules
  /** Margins of the placed piece: say what each check point should read. */
  readonly margins: readonly EdgeMargin[]
}

/** Where the film is fixed first, in order, as the chosen order or else the school says. */
export function anchorsFor(school: SchoolName, input: AnchorInput, order: LayOrder | null = null): Anchor[] {
  if (order === null && school === 'corners first') return cornerAnchors(input)
  const { anchors } = order ?? orderBySchool(school, input.form, input.surface)
  return anchors.map(({ label, at, pullShare }, i) => ({
    number: i + 1,
    label,
    at: input.part.toFlat(at),
    onForm: at,
    gaps: gapsNear(at, input),
    drawn: pullShare > 0.25,
  }))
}

/** The gaps to set where an anchor is a corner of the part. */
function gapsNear(at: Vec2, { part, surface, rules }: AnchorInput): GapMark[] {
  const { polygon, edgeOfSide } = surface.outline
  const count = polygon.length
  const corner = polygon.findIndex(
    (p, i) => distance(p, at) < 30 && edgeOfSide[(i + count - 1) % count] !== edgeOfSide[i],
  )
  return corner < 0 ? [] : [-1, 1].flatMap((way) => gapBeside(corner, way, part, rules))
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
  if (corners.length === 0) return anchorsFor('flattest first', { form, part, surface, rules, margins })
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
    drawn: false,
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
function cornerLabel(form: FormDoc, corner: { onForm: Vec2; before: string; after: string }): Sentence {
  const mark = form.marks.find((m) => distance(m.at, corner.onForm) < 30)
  if (mark) return verbatim(mark.label)
  const label = (edge: string) => name((form.edges.find((e) => e.name === edge)?.label ?? edge).replace(/ edge$/, ''))
  return say`corner of ${label(corner.before)} and ${label(corner.after)}`
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
          label: placeOnEdge(edge.label, endOfEdge(form.directions, spots, spot)),
          reads: passes ? ('film past the edge' as const) : ('gap' as const),
        },
      ]
    }),
  )
  return inWalkingOrder(checks, form.edges[0]?.name ?? '')
    .slice(0, 8)
    .map((check, i) => ({ id: String.fromCharCode(80 + i), ...check }))
}

/** "rear edge, driver’s side"; `end` is null in the middle of the edge. */
const placeOnEdge = (edge: string, end: string | null): Sentence =>
  end === null ? say`${name(edge)}, middle` : say`${name(edge)}, ${name(end.replace(/^the /, ''))}`

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

import { centroid, distance, dot2, lerp, subtract, unit, type Vec2 } from '../geometry/index.ts'
import { type EdgeMargin, type EdgeRules, endOfEdge, ruleAt } from '../align/index.ts'
import type { FormDoc, PartSurface } from '../form/index.ts'
import { type FlatPart, type LayOrder, orderBySchool, type SchoolName } from '../lay/index.ts'
import { name, say, type Sentence, verbatim } from '../say/index.ts'
import type { Anchor, AnchorGap as GapMark, CheckPoint } from './partPlan.ts'

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
    // Only an order that was rehearsed fixes corners here: a flat place has no gap of its own.
    gaps: order === null ? [] : gapsNear(at, input),
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
  return corner < 0 ? [] : ways.flatMap((way) => gapBeside(corner, way, part, rules))
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
    gaps: ways.flatMap((way) => gapBeside(corner.index, way, part, rules)),
    drawn: false,
  }))
}

/** The two corners at one end of a part, by which a piece is held before it is drawn over the rest. */
export function endAnchors({ form, part, surface }: AnchorInput, end: Vec2): Anchor[] {
  const { polygon, edgeOfSide } = surface.outline
  const count = polygon.length
  return polygon
    .flatMap((onForm, i) => {
      const before = edgeOfSide[(i + count - 1) % count] ?? ''
      const after = edgeOfSide[i] ?? ''
      return before === after ? [] : [{ at: part.toFlat(onForm), onForm, before, after, awayMm: distance(onForm, end) }]
    })
    .sort((a, b) => a.awayMm - b.awayMm)
    .slice(0, 2)
    .map((corner, i) => ({
      number: i + 1,
      label: cornerLabel(form, corner),
      at: corner.at,
      onForm: corner.onForm,
      gaps: [],
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

/** Against the run of the outline, and with it. */
const ways = [-1, 1] as const

/** How far from a corner a gap is set with a rule, mm. */
const besideCornerMm = 70

/** The gap to set on one side of a corner, on the edge that leaves it there: some way along it, or in the middle of a short one. */
function gapBeside(corner: number, way: 1 | -1, part: FlatPart, rules: EdgeRules): GapMark[] {
  const { polygon, edgeOfSide } = part.outline
  const count = polygon.length
  const at = (i: number): Vec2 => polygon[(i + count) % count] ?? [0, 0]
  const edgeFrom = (i: number) => edgeOfSide[((way > 0 ? i : i - 1) + count) % count] ?? ''
  const edge = edgeFrom(corner)
  const rule = rules[edge]
  if (rule === undefined) return []
  const sides: { from: Vec2; to: Vec2; mm: number }[] = []
  for (let i = corner; sides.length < count && edgeFrom(i) === edge; i = (i + way + count) % count)
    sides.push({ from: at(i), to: at(i + way), mm: distance(at(i), at(i + way)) })
  let leftMm = Math.min(besideCornerMm, sides.reduce((sum, side) => sum + side.mm, 0) / 2)
  for (const { from, to, mm } of sides) {
    if (leftMm > mm) {
      leftMm -= mm
      continue
    }
    const [dx, dy] = unit(subtract(to, from))
    return [
      {
        at: lerp(from, to, leftMm / Math.max(mm, 1e-9)),
        normal: way > 0 ? [-dy, dx] : [dy, -dx],
        wantedMm: (rule.minMm + rule.maxMm) / 2,
        edge,
      },
    ]
  }
  return []
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
    placesOn(spots, stretches.length === 1 ? 'all sides' : spots.length > 0.8 * mean ? 'both ends' : 'middle').flatMap(
      (spot) => {
        const rule = rules[edge.name]
        if (rule === undefined) return []
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
      },
    ),
  )
  return inWalkingOrder(checks, form.edges[0]?.name ?? '')
    .slice(0, 8)
    .map((check, i) => ({ id: String.fromCharCode(80 + i), ...check }))
}

/** The spots of an edge at which its gap is read: a rim that goes all round is read at its four sides. */
function placesOn(spots: readonly EdgeMargin[], where: 'all sides' | 'both ends' | 'middle'): EdgeMargin[] {
  const along = (share: number) => spots.slice(Math.floor(share * (spots.length - 1)))[0]
  const most = (way: Vec2) =>
    spots.reduce<EdgeMargin | undefined>(
      (best, s) => (best === undefined || dot2(s.at, way) > dot2(best.at, way) ? s : best),
      undefined,
    )
  const places =
    where === 'all sides'
      ? [most([0, 1]), most([1, 0]), most([0, -1]), most([-1, 0])]
      : where === 'both ends'
        ? [along(0.18), along(0.82)]
        : [along(0.5)]
  return places.filter((spot) => spot !== undefined)
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

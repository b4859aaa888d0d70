import {
  edgeMargins,
  edgeSpots,
  type EdgeRules,
  type EdgeSpots,
  matchCutOuts,
  type PiecePattern,
  place,
  registerPiece,
  thenPlaced,
} from '../align/index.ts'
import type { FormDoc, PartSurface } from '../form/index.ts'
import type { Polygon, RigidMove, Vec2 } from '../geometry/index.ts'
import {
  type FlatPart,
  fingerForecast,
  flatPart,
  gradePart,
  type Lay,
  layFigures,
  orderWords,
  pullsOfRehearsal,
  type Rehearsal,
  stretchPlan,
} from '../lay/index.ts'
import { lampLight } from '../light/index.ts'
import type { Stock } from '../mix/index.ts'
import type { Practice } from '../practice/index.ts'
import { done, type Result } from '../result/index.ts'
import { cutPattern } from '../stock/index.ts'
import { anchorsFor, checkPointsFor } from './anchors.ts'
import { edgeAdvice, edgeRulesOf } from './edgeRules.ts'
import { type CalibratedGun, usualGun } from '../heat/index.ts'
import { edgePlan } from '../edges/index.ts'
import { heatPlan } from './heatPlan.ts'
import { type LearnedWaits, waitPlan, wetMinutes } from './waitPlan.ts'
import type { FilmDoc, PartPlan, PlanContext, PlannedEdge, Schools } from './planTypes.ts'
import { explainSchools } from './schools.ts'
import { solutionsFor } from './solutionsFor.ts'
import type { FoundOnPart, RoomClimate } from './findings.ts'
import { notesOf } from './notesOf.ts'
import { barsHeat } from './rules/rule.ts'
import { stepsOf } from './stepsOf.ts'
import { usualClimate } from '../wait/index.ts'

export interface PlanRequest {
  readonly partId: string
  readonly partName: string
  readonly form: FormDoc
  readonly film: FilmDoc
  /** Null where no pattern is at hand: the film is cut from the roll, to the middle of each edge's rule. */
  readonly pattern: PiecePattern | null
  readonly schools: Schools
  readonly stock: Stock
  readonly practice: Practice
  readonly surface: PartSurface
  readonly natural: Lay
  /** The worked lay; while it is still being worked out, the natural one. */
  readonly worked: Lay
  /** The installer's own shift of the piece from where it was registered. */
  readonly shift: PieceShift
  /** What the walk-round found on this part. */
  readonly found?: readonly FoundOnPart[]
  readonly room?: RoomClimate
  /** The gun of the shop; left out = any variable gun. */
  readonly gun?: CalibratedGun | undefined
  readonly learned?: LearnedWaits | undefined
  /** The part sits so low that the vehicle has to be raised. */
  readonly low?: boolean
  /** The order that was chosen for it, rehearsed. */
  readonly rehearsed?: { readonly rehearsal: Rehearsal; readonly because: string } | undefined
  readonly words?: Partial<Pick<PlanContext, 'length' | 'temperature' | 'volume'>>
}

/** A shift of the piece by hand: a turn about its own middle, then a move. */
export interface PieceShift {
  readonly xMm: number
  readonly yMm: number
  readonly turnDeg: number
}

export const unshifted: PieceShift = { xMm: 0, yMm: 0, turnDeg: 0 }

/** Spots for margins are no further apart than this, mm. */
export const spotStepMm = 8

/** The flat part, its spots and rules, and where the piece belongs on it. */
export interface PlacedPart {
  readonly part: FlatPart
  readonly spots: EdgeSpots
  readonly rules: EdgeRules
  readonly registered: RigidMove
  /** The pattern that is placed: the piece's own, or one cut to the rules. */
  readonly pattern: PiecePattern
}

/** Carries the part into the film and registers the piece on it. Can be refused: what `registerPiece` finds. */
export function placePart(
  form: FormDoc,
  surface: PartSurface,
  lay: Pick<Lay, 'flat'>,
  given: PiecePattern | null,
  practice: Practice,
  found: readonly FoundOnPart[] = [],
): Result<PlacedPart> {
  const part = flatPart(surface, lay)
  const spots = edgeSpots(part, spotStepMm)
  const rules = edgeRulesOf(form, practice, found)
  const targets = form.marks.map((m) => ({ name: m.name, at: part.toFlat(m.at), weight: m.weight }))
  const pattern = given === null ? patternToRules(form, part, rules) : matchCutOuts(part, targets, given, spots, rules)
  const registered = registerPiece(part, targets, pattern, spots, rules)
  return registered.ok ? done({ part, spots, rules, registered: registered.value, pattern }) : registered
}

/** A pattern that ends every edge in the middle of its rule. */
const patternToRules = (form: FormDoc, part: FlatPart, rules: EdgeRules): PiecePattern =>
  cutPattern(part, {
    name: form.name,
    growth: Object.fromEntries(Object.entries(rules).map(([edge, r]) => [edge, -(r.minMm + r.maxMm) / 2])),
    marks: form.marks,
  })

const defaultWords = {
  length: (lengthMm: number) =>
    `${Math.abs(lengthMm) < 0.995 && lengthMm !== 0 ? lengthMm.toFixed(1) : Number(lengthMm.toFixed(1))} mm`,
  temperature: (temperatureC: number) => `${Math.round(temperatureC)} °C`,
  volume: (volumeMl: number) => (volumeMl >= 1000 ? `${(volumeMl / 1000).toFixed(1)} L` : `${Math.round(volumeMl)} mL`),
}

/**
 * The whole plan of one part from its lays: solutions, anchors, pulls, edges, checks and steps. What differs from part
 * to part comes from film, form, schools and edge codes through the rules; there is no script per part.
 * Can be refused: what `placePart` and `mixBatch` find.
 */
export function workOutPart(request: PlanRequest): Result<PartPlan> {
  const { form, film, surface, natural, worked, practice, schools, shift } = request
  const found = request.found ?? []
  const placed = placePart(form, surface, worked, request.pattern, practice, found)
  if (!placed.ok) return placed
  const { part, spots, rules, registered, pattern } = placed.value
  const piece = thenPlaced(place(pattern, registered), shift)
  const margins = edgeMargins(spots, piece)
  const solutions = solutionsFor(schools, surface.figures.areaMm2, surface.figures.outlineMm, request.stock, practice)
  if (!solutions.ok) return solutions

  const handling = { ...film.handling }
  const rehearsal = request.rehearsed?.rehearsal ?? null
  const inOrder = rehearsal === null ? [] : pullsOfRehearsal(surface, rehearsal, handling)
  const pulls =
    rehearsal === null ? stretchPlan(surface, worked, handling) : inOrder.map(({ steps: _, ...pull }) => pull)
  const fingers = fingerForecast(surface, natural, handling.take)
  const left =
    rehearsal === null
      ? fingerForecast(surface, worked, handling.take)
      : rehearsal.figures.edges.map((e) => ({ edge: e.edge, excessMmPer100: e.fingersMmPer100 }))
  const excess = (list: readonly { edge: string; excessMmPer100: number }[], edge: string) =>
    list.find((f) => f.edge === edge)?.excessMmPer100 ?? 0
  const edges: PlannedEdge[] = form.edges.map((edge) => ({
    name: edge.name,
    label: edge.label,
    code: edge.code,
    rule: rules[edge.name] ?? { minMm: 0, maxMm: 0 },
    advice: edgeAdvice(edge.code),
    unpulledMmPer100: excess(fingers, edge.name),
    leftMmPer100: excess(left, edge.name),
  }))
  const anchorInput = { form, surface, part, rules, margins }
  const chosen =
    request.rehearsed === undefined
      ? null
      : { order: request.rehearsed.rehearsal.order, because: request.rehearsed.because }
  const anchors = anchorsFor(schools.begin, anchorInput, chosen?.order)
  const checks = checkPointsFor(anchorInput)
  const drawing = {
    part: thinned(part.outline.polygon),
    holes: part.holes.map((h) => thinned(h.polygon)),
    piece: thinned(piece.outline),
    cutOuts: piece.cutOuts.map(thinned),
    edges: edgeLines(part),
  }
  const waits = waitPlan(request.room, solutions.value, practice, request.learned)
  if (!waits.ok) return waits
  const heat = heatPlan({
    form,
    film,
    practice,
    toFlat: part.toFlat,
    outlineOnForm: surface.outline.polygon,
    pulls,
    edges,
    gun: request.gun ?? usualGun,
    ambientC: request.room?.temperatureC ?? usualClimate.roomC,
    temperature: request.words?.temperature ?? defaultWords.temperature,
  })
  if (!heat.ok) return heat
  const context: PlanContext = {
    heat: heat.value,
    waits: waits.value,
    wetMinutes: wetMinutes(request.room, solutions.value, practice),
    edgePlan: edgePlan(form, surface, rules, practice, request.words?.temperature ?? defaultWords.temperature),
    found,
    room: request.room,
    low: request.low ?? false,
    outlineOnForm: surface.outline.polygon,
    form,
    film,
    schools,
    areaMm2: surface.figures.areaMm2,
    edges,
    anchors,
    pulls,
    rehearsed:
      rehearsal === null
        ? null
        : {
            order: rehearsal.order,
            steps: rehearsal.steps,
            letterOfStep: new Map(inOrder.flatMap((p) => p.steps.map((number) => [number, p.letter] as const))),
          },
    checks,
    solutions: solutions.value,
    fingers,
    drawing,
    practice,
    toFlat: part.toFlat,
    ...defaultWords,
    ...request.words,
  }
  const steps = stepsOf(context)
  const graded = gradePart(form, surface, layFigures(surface.mesh, natural), handling)
  const light = film.transmission === undefined ? null : lampLight({ layers: [{ transmission: film.transmission }] })
  if (light !== null && !light.ok) return light
  return done({
    partId: request.partId,
    partName: request.partName,
    film: { id: film.id, name: film.name, type: film.type, laid: film.laid },
    material: form.material,
    grade: graded.grade,
    gradeWords: `${graded.reasons.slice(0, 3).join('; ')}.`,
    schools: explainSchools(schools, film, chosen),
    solutions: solutions.value,
    anchors,
    pulls,
    edges,
    checks,
    gapToleranceMm: gapTolerance(edges, checks),
    directions: form.directions,
    ...(chosen === null
      ? {}
      : { order: { name: chosen.order.name, words: orderWords(chosen.order), because: chosen.because } }),
    ...(light === null ? {} : { light: { outputRatio: light.value.outputRatio, words: light.value.words } }),
    heat: barsHeat(context) ? [] : heat.value,
    waits: waits.value,
    drawing,
    notes: notesOf(context),
    steps,
    minutes: steps.reduce((sum, s) => sum + s.minutes + (s.wait?.leastMinutes ?? 0), 0),
  })
}

/** How far a measured gap may be off its wish: half the width of the tightest rule among the checks, at most 3 mm. */
function gapTolerance(edges: readonly PlannedEdge[], checks: PartPlan['checks']): number {
  const halves = checks.map((check) => {
    const rule = edges.find((e) => e.name === check.edge)?.rule
    return rule ? (rule.maxMm - rule.minMm) / 2 : 1
  })
  return Math.min(3, ...halves)
}

/** Leaves out points that change the outline by less than 0.05 mm, for drawing only. */
function thinned(polygon: Polygon): Vec2[] {
  const kept: Vec2[] = []
  for (let i = 0; i < polygon.length; i++) {
    const before = kept[kept.length - 1]
    const at = polygon[i]
    const after = polygon[(i + 1) % polygon.length]
    if (at === undefined || after === undefined) continue
    if (before !== undefined) {
      const dx = after[0] - before[0]
      const dy = after[1] - before[1]
      const off = Math.abs(dx * (at[1] - before[1]) - dy * (at[0] - before[0])) / (Math.hypot(dx, dy) || 1)
      if (off < 0.05 && Math.hypot(at[0] - before[0], at[1] - before[1]) < 60) continue
    }
    kept.push(at)
  }
  return kept
}

function edgeLines(part: FlatPart): { name: string; line: Vec2[] }[] {
  const { polygon, edgeOfSide } = part.outline
  const lines: { name: string; line: Vec2[] }[] = []
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i]
    const b = polygon[(i + 1) % polygon.length]
    const name = edgeOfSide[i]
    if (a === undefined || b === undefined || name === undefined) continue
    const last = lines[lines.length - 1]
    if (last?.name === name) last.line.push(b)
    else lines.push({ name, line: [a, b] })
  }
  const [first, last] = [lines[0], lines[lines.length - 1]]
  if (first && last && first !== last && first.name === last.name) {
    lines.pop()
    lines[0] = { name: first.name, line: [...last.line, ...first.line.slice(1)] }
  }
  return lines
}

import { edgeMargins, thenPlaced } from '../align/index.ts'
import { edgePlan } from '../edges/index.ts'
import { type CalibratedGun, usualGun } from '../heat/index.ts'
import {
  fingerForecast,
  gradePart,
  layFigures,
  orderName,
  orderWords,
  pullsOfRehearsal,
  stretchPlan,
} from '../lay/index.ts'
import { lampLight } from '../light/index.ts'
import type { Stock } from '../mix/index.ts'
import type { Practice } from '../practice/index.ts'
import { done, type Result } from '../result/index.ts'
import { clauses, say } from '../say/index.ts'
import { usualClimate } from '../wait/index.ts'
import { anchorsFor, checkPointsFor } from './anchors.ts'
import { edgeAdvice } from './edgeRules.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { FoundOnPart, RoomClimate } from './findings.ts'
import { heatPlan } from './heatPlan.ts'
import { notesOf } from './notesOf.ts'
import type { CheckPoint, PartPlan, PlannedEdge } from './partPlan.ts'
import { drawingOf } from './planDrawing.ts'
import type { PlanContext } from './planContext.ts'
import type { PlacedPart } from './placeOn.ts'
import { barsHeat } from './rules/rule.ts'
import { type ChosenOrder, explainSchools, type Schools } from './schools.ts'
import { solutionsFor } from './solutionsFor.ts'
import { stepsOf } from './stepsOf.ts'
import { type LearnedWaits, waitPlan, wetMinutes } from './waitPlan.ts'

/** What the work on a part hangs on besides its placing, and that stays for the job. */
export interface WorkInput {
  readonly partId: string
  readonly partName: string
  readonly film: FilmDoc
  readonly schools: Schools
  readonly stock: Stock
  readonly practice: Practice
  /** What the walk-round found on this part. */
  readonly found: readonly FoundOnPart[]
  /** The part sits so low that the vehicle has to be raised. */
  readonly low: boolean
  /** Why the order with which the part was laid was chosen; null where the usual school is followed. */
  readonly chosen: ChosenOrder | null
}

/** What changes from hour to hour. */
export interface Today {
  /** The installer's own shift of the piece from where it was registered. */
  readonly shift: PieceShift
  /** Left out = ordinary air. */
  readonly room?: RoomClimate | undefined
  /** The gun of the shop; null = any variable gun. */
  readonly gun: CalibratedGun | null
  readonly learned: LearnedWaits
}

export type Conditions = WorkInput & Today

/** A shift of the piece by hand: a turn about its own middle, then a move. */
export interface PieceShift {
  readonly xMm: number
  readonly yMm: number
  readonly turnDeg: number
}

export const unshifted: PieceShift = { xMm: 0, yMm: 0, turnDeg: 0 }

/** A day of which nothing particular is known. */
export const anyDay: Today = { shift: unshifted, gun: null, learned: {} }

/**
 * The third storey: the whole plan of one part from its placing: solutions, anchors, pulls, edges, checks and steps. What differs from part
 * to part comes from film, form, schools and edge codes through the rules; there is no script per part.
 * Can be refused: what `mixBatch`, `waitNow`, `gunOnPart` and `lampLight` find.
 */
export function planWork(placed: PlacedPart, conditions: Conditions): Result<PartPlan> {
  const { laid, part, rules } = placed
  const { form, surface, natural, rehearsal } = laid
  const { film, practice, schools, found, chosen, room } = conditions
  const piece = thenPlaced(placed.piece, conditions.shift)
  const margins = edgeMargins(placed.spots, piece)
  const solutions = solutionsFor(
    schools,
    surface.figures.areaMm2,
    surface.figures.outlineMm,
    conditions.stock,
    practice,
  )
  if (!solutions.ok) return solutions
  const inOrder = rehearsal === null ? [] : pullsOfRehearsal(surface, rehearsal, film.handling)
  const pulls =
    rehearsal === null ? stretchPlan(surface, laid.worked, film.handling) : inOrder.map(({ steps: _, ...pull }) => pull)
  const edges = plannedEdges(placed, film)
  const anchorInput = { form, surface, part, rules, margins }
  const anchors = anchorsFor(schools.begin, anchorInput, rehearsal?.order ?? null)
  const checks = checkPointsFor(anchorInput)
  const drawing = drawingOf(part, piece)
  const waits = waitPlan(room, solutions.value, practice, conditions.learned)
  if (!waits.ok) return waits
  const heat = heatPlan({
    form,
    film,
    practice,
    toFlat: part.toFlat,
    outlineOnForm: surface.outline.polygon,
    pulls,
    edges,
    gun: conditions.gun ?? usualGun,
    ambientC: room?.temperatureC ?? usualClimate.roomC,
  })
  if (!heat.ok) return heat
  const light = film.transmission === undefined ? null : lampLight({ layers: [{ transmission: film.transmission }] })
  if (light !== null && !light.ok) return light
  const context: PlanContext = {
    found,
    room,
    low: conditions.low,
    outlineOnForm: surface.outline.polygon,
    form,
    film,
    schools,
    areaMm2: surface.figures.areaMm2,
    heat: heat.value,
    waits: waits.value,
    wetMinutes: wetMinutes(room, solutions.value, practice),
    edgePlan: edgePlan(form, surface, rules, practice),
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
    fingers: fingerForecast(surface, natural, film.handling.take),
    drawing,
    practice,
    toFlat: part.toFlat,
  }
  const steps = stepsOf(context)
  const graded = gradePart(form, surface, layFigures(surface.mesh, natural), film.handling)
  return done({
    partId: conditions.partId,
    partName: conditions.partName,
    film: { id: film.id, name: film.name, type: film.type, laid: film.laid },
    material: form.material,
    grade: graded.grade,
    gradeWords: say`${clauses(graded.reasons.slice(0, 3))}.`,
    schools: explainSchools(schools, film, chosen),
    solutions: solutions.value,
    anchors,
    pulls,
    edges,
    checks,
    gapToleranceMm: gapTolerance(edges, checks),
    gapSigmaMm: practice.gapReading,
    directions: form.directions,
    order:
      rehearsal === null || chosen === null
        ? null
        : { name: orderName(rehearsal.order), words: orderWords(rehearsal.order), because: chosen.because },
    light: light === null ? null : { outputRatio: light.value.outputRatio, words: light.value.words },
    heat: barsHeat(context) ? [] : heat.value,
    waits: waits.value,
    drawing,
    notes: notesOf(context),
    steps,
    minutes: steps.reduce((sum, s) => sum + s.minutes + (s.wait?.leastMinutes ?? 0), 0),
  })
}

/** Each edge with its rule, and film left over at it when nobody pulls and after the pulls. */
function plannedEdges({ laid, rules }: PlacedPart, film: FilmDoc): PlannedEdge[] {
  const { form, surface, natural, worked, rehearsal } = laid
  const { take } = film.handling
  const unpulled = fingerForecast(surface, natural, take)
  const left =
    rehearsal === null
      ? fingerForecast(surface, worked, take)
      : rehearsal.figures.edges.map((e) => ({ edge: e.edge, excessMmPer100: e.fingersMmPer100 }))
  const excess = (of: readonly { edge: string; excessMmPer100: number }[], edge: string) =>
    of.find((f) => f.edge === edge)?.excessMmPer100 ?? 0
  return form.edges.map((edge) => ({
    name: edge.name,
    label: edge.label,
    code: edge.code,
    rule: rules[edge.name] ?? { minMm: 0, maxMm: 0 },
    advice: edgeAdvice(edge.code),
    unpulledMmPer100: excess(unpulled, edge.name),
    leftMmPer100: excess(left, edge.name),
  }))
}

/** How far a measured gap may be off its wish: half the width of the tightest rule among the checks, at most 3 mm. */
function gapTolerance(edges: readonly PlannedEdge[], checks: readonly CheckPoint[]): number {
  const halves = checks.map((check) => {
    const rule = edges.find((e) => e.name === check.edge)?.rule
    return rule ? (rule.maxMm - rule.minMm) / 2 : 1
  })
  return Math.min(3, ...halves)
}

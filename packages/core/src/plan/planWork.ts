import { gradePart, layFigures, orderName, orderWords } from '../lay/index.ts'
import { done, type Result } from '../result/index.ts'
import { clauses, say } from '../say/index.ts'
import type { Conditions } from './conditions.ts'
import { notesOf } from './notesOf.ts'
import type { CheckPoint, PartPlan, PlannedEdge } from './partPlan.ts'
import type { PlacedPart } from './placeOn.ts'
import { planContextOf } from './planContextOf.ts'
import { barsHeat } from './rules/rule.ts'
import { explainSchools } from './schools.ts'
import { stretchedSpots } from './stretchedSpots.ts'
import { minutesOf, stepsOf } from './stepsOf.ts'

/**
 * The third storey: the whole plan of one part from its placing: solutions, anchors, pulls, edges, checks and steps. What differs from part
 * to part comes from film, form, schools and edge codes through the rules; there is no script per part.
 * Can be refused: what `planContextOf` finds.
 */
export function planWork(placed: PlacedPart, conditions: Conditions): Result<PartPlan> {
  const found = planContextOf(placed, conditions)
  if (!found.ok) return found
  const context = found.value
  const { form } = placed
  const { surface, natural, worked, rehearsal } = placed.laid
  const { film, practice, schools, chosen } = conditions
  const steps = stepsOf(context)
  const checks = [...context.checks, ...context.openings.flat().flatMap((opening) => opening.checks)]
  const graded = gradePart(form, surface, layFigures(surface.mesh, natural), film.handling)
  return done({
    partId: conditions.partId,
    partName: conditions.partName,
    film: { id: film.id, name: film.name, type: film.type, laid: film.laid },
    material: form.material,
    grade: graded.grade,
    gradeWords: conditions.measured
      ? say`${clauses(graded.reasons.slice(0, 3))}.`
      : say`Nobody has measured it: how hard it is will be known with the first readings.`,
    schools: explainSchools(schools, form, film, practice, { chosen, cut: context.cut }),
    solutions: context.solutions,
    cut: context.cut,
    hands: context.hands,
    anchors: context.anchors,
    pulls: context.pulls,
    begin: schools.begin,
    stretched: stretchedSpots(surface, worked, context.toFlat),
    edges: context.edges,
    checks,
    gapToleranceMm: gapTolerance(context.edges, checks),
    gapSigmaMm: practice.gapReading,
    directions: form.directions,
    order:
      rehearsal === null || chosen === null
        ? null
        : { name: orderName(rehearsal.order), words: orderWords(rehearsal.order), because: chosen.because },
    light: context.light === null ? null : { outputRatio: context.light.outputRatio, words: context.light.words },
    heat: barsHeat(context) ? [] : context.heat,
    waits: context.waits,
    drawing: context.drawing,
    notes: notesOf(context),
    steps,
    minutes: minutesOf(steps),
  })
}

/** How far a measured gap may be off its wish: half the width of the tightest rule among the checks, at most 3 mm. */
function gapTolerance(edges: readonly PlannedEdge[], checks: readonly CheckPoint[]): number {
  const halves = checks.map((check) => {
    const rule = edges.find((e) => e.name === check.edge)?.rule
    return rule ? (rule.maxMm - rule.minMm) / 2 : 1
  })
  return Math.min(3, ...halves)
}

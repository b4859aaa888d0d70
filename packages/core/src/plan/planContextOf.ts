import { edgeMargins, thenPlaced, tolerance } from '../align/index.ts'
import { edgePlan } from '../edges/index.ts'
import { usualGun } from '../heat/index.ts'
import { fingerForecast, orderBySchool, pullAcross, pullsOfRehearsal, stretchPlan } from '../lay/index.ts'
import { lensLight } from '../light/index.ts'
import { done, type Result } from '../result/index.ts'
import { usualClimate } from '../wait/index.ts'
import { anchorsFor, checkPointsFor, endAnchors } from './anchors.ts'
import { isTint } from './filmDoc.ts'
import { edgeAdvice } from './edgeRules.ts'
import { centroid, distance, type Vec2 } from '../geometry/index.ts'
import type { EdgeMargin, EdgeRules } from '../align/index.ts'
import type { FormDoc, PartSurface } from '../form/index.ts'
import type { Pull, PullAcross } from '../lay/index.ts'
import type { Practice } from '../practice/index.ts'
import { drawnAcross, liesAsDome, hardSpotsOf, patternWarps, takesItsOwnFilm } from './lying.ts'
import type { PlanDrawing } from './partPlan.ts'
import type { FilmDoc } from './filmDoc.ts'
import { heatPlan } from './heatPlan.ts'
import type { PlannedEdge } from './partPlan.ts'
import { openingChain } from './openings.ts'
import type { PlacedPart } from './placeOn.ts'
import type { PlanContext } from './planContext.ts'
import { drawingOf } from './planDrawing.ts'
import type { Conditions } from './conditions.ts'
import { solutionsFor } from './solutionsFor.ts'
import { waitPlan, wetMinutes } from './waitPlan.ts'

/** Everything that the rules look at, from a placing and the conditions of the work. Can be refused: what `mixBatch`, `waitNow`, `gunOnPart` and `lensLight` find. */
export function planContextOf(placed: PlacedPart, conditions: Conditions): Result<PlanContext> {
  const { form, laid, part, rules } = placed
  const { surface, natural, rehearsal } = laid
  const { film, practice, schools, found, room } = conditions
  const piece = thenPlaced(placed.piece, conditions.shift)
  const margins = edgeMargins(placed.spots, piece)
  // What is mixed once is mixed with the first of a set, for all of it.
  const mixedHere = conditions.set?.place === 1
  const others = conditions.set?.others ?? { areaMm2: 0, edgeMm: 0 }
  const solutions = solutionsFor(
    schools,
    surface.figures.areaMm2 + (mixedHere ? others.areaMm2 : 0),
    surface.figures.outlineMm + (mixedHere ? others.edgeMm : 0),
    conditions.stock,
    practice,
  )
  if (!solutions.ok) return solutions
  const inOrder = rehearsal === null ? [] : pullsOfRehearsal(surface, rehearsal, film.handling)
  const edges = plannedEdges(placed, film)
  const pulls =
    rehearsal !== null
      ? inOrder.map(({ steps: _, ...pull }) => pull)
      : liesAsDome(form, film) || takesItsOwnFilm(form, film)
        ? []
        : worthPulling(stretchPlan(surface, laid.worked, film.handling, form), edges, practice)
  const across =
    rehearsal === null && drawnAcross(form, film, placed.cut, found) && pulls[0] !== undefined
      ? pullAcross(surface, laid.worked, pulls[0].at)
      : null
  const anchorInput = { form, surface, part, rules, margins }
  const held =
    across === null
      ? anchorsFor(schools.begin, anchorInput, rehearsal?.order ?? null)
      : endAnchors(anchorInput, flatterEnd(across, form, surface))
  // A sheet off the roll has no gap to set: its surplus goes past every edge.
  const anchors = placed.cut.way === 'from the roll' ? held.map((anchor) => ({ ...anchor, gaps: [] })) : held
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
  const light =
    film.transmission === undefined || !isTint(film, practice) || form.material !== 'lens plastic'
      ? null
      : lensLight({
          film: { name: film.name, transmission: film.transmission },
          use: conditions.lampUse,
          choice: conditions.light,
          grades: conditions.grades,
          leastAlone: practice.lightAlone / 100,
        })
  if (light !== null && !light.ok) return light
  return done({
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
    across,
    warps: patternWarps(surface, laid.worked, film),
    hardSpots: hardSpotsOf(surface, laid.worked),
    rehearsed:
      rehearsal === null
        ? null
        : {
            order: rehearsal.order,
            steps: rehearsal.steps,
            letterOfStep: new Map(inOrder.flatMap((p) => p.steps.map((number) => [number, p.letter] as const))),
          },
    checks,
    openings: openingChain(form, part, margins, rules),
    roomMm: roomOf(margins, rules, drawing),
    cut: placed.cut,
    measured: conditions.measured,
    set: conditions.set,
    line: conditions.line,
    hands: conditions.hands ?? (surface.figures.areaMm2 > 1e6 * practice.twoHandsFrom ? 2 : 1),
    solutions: solutions.value,
    light: light?.value ?? null,
    liquidRefused: conditions.liquidRefused,
    fingers: fingerForecast(surface, natural, film.handling.take),
    drawing,
    practice,
    toFlat: part.toFlat,
  })
}

/** The end of a pull at which nothing has to stretch: the one nearer to the flattest place of the part. */
function flatterEnd({ from, to }: PullAcross, form: FormDoc, surface: PartSurface): Vec2 {
  const flattest = orderBySchool('flattest first', form, surface).anchors[0]?.at ?? from
  return distance(from, flattest) <= distance(to, flattest) ? from : to
}

function roomOf(margins: readonly EdgeMargin[], rules: EdgeRules, drawing: PlanDrawing): PlanContext['roomMm'] {
  const { sideMm, upMm } = tolerance(margins, rules, centroid(drawing.part))
  return { left: sideMm.minus, right: sideMm.plus, up: upMm.plus, down: upMm.minus }
}

/** Pulls that are worth a hand: where a little is left over it lies down, and a pull would only mark the film. */
function worthPulling(pulls: readonly Pull[], edges: readonly PlannedEdge[], practice: Practice): Pull[] {
  const left = (edge: string) => edges.find((e) => e.name === edge)?.unpulledMmPer100 ?? 0
  return pulls
    .filter((pull) => left(pull.edge) >= practice.pullFrom)
    .map((pull, i) => ({ ...pull, letter: String.fromCharCode(65 + i) }))
}

/** Each edge with its rule, and film left over at it when nobody pulls and after the pulls. */
function plannedEdges({ form, laid, rules }: PlacedPart, film: FilmDoc): PlannedEdge[] {
  const { surface, natural, worked, rehearsal } = laid
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

import { dryCheck, type PiecePattern, place } from '@truelay/core/align'
import { usualGun } from '@truelay/core/heat'
import { buildSurface, type PartSurface } from '@truelay/core/form'
import {
  fingerForecast,
  fingerProfile,
  gradePart,
  type Lay,
  layFigures,
  naturalLay,
  orderBySchool,
  type Rehearsal,
  rehearse,
  reliefCuts,
  setStage,
  splitPart,
  stageTriangles,
  stretchPlan,
  type WorkedLay,
  workedLay,
} from '@truelay/core/lay'
import {
  type HeatCourseOfUse,
  type HeatUse,
  heatCourses,
  type PartPlan,
  placePart,
  orderPractice,
  rehearsalOptions,
  workOutPart,
} from '@truelay/core/plan'
import { done, type Result } from '@truelay/core/result'
import { barWidthMm, cutSize, enlargePattern, type GrowthByEdge, rollOrPattern } from '@truelay/core/stock'
import { inWords, showLength, showTemperature, showVolume } from '@truelay/core/units'
import { expose } from 'comlink'
import type { DryAnswer } from './dryCheckWork.ts'
import type { CutsAnswer, FirstAnswer, FullAnswer, OrderAnswer, LayQuestion, ShownLay, Today } from './layWork.ts'

interface Bench {
  readonly question: LayQuestion
  readonly surface: PartSurface
  readonly natural: Lay
  worked: WorkedLay | null
  /** The order that was chosen for the part, rehearsed. */
  rehearsal: Rehearsal | null
}

let bench: Bench | null = null

/** Carries messages; the work is done by the core. */
const layWorker = {
  /** Builds the form and lays the film as it wants to lie by itself. */
  begin(question: LayQuestion): Result<FirstAnswer> {
    const surface = buildSurface(question.form)
    if (!surface.ok) return surface
    const natural = naturalLay(surface.value.mesh)
    if (!natural.ok) return natural
    bench = { question, surface: surface.value, natural: natural.value, worked: null, rehearsal: null }
    const { handling } = question.film
    const graded = gradePart(question.form, surface.value, layFigures(surface.value.mesh, natural.value), handling)
    return done({
      surface: surface.value,
      natural: shownLay(bench, natural.value),
      grade: graded.grade,
      gradeWords: graded.reasons.join('; '),
    })
  },

  /** Lays it as hands and heat can, places the piece and plans the work. */
  finish(today: Today, onProgress: (share: number) => void): Result<FullAnswer> {
    if (bench === null) throw new RangeError('finish before begin')
    const { question, surface } = bench
    const { take, warmStretch } = question.film.handling
    const worked = workedLay(surface.mesh, { take, limit: 1 + warmStretch }, onProgress)
    if (!worked.ok) return worked
    bench.worked = worked.value
    if (question.order !== null) {
      const stage = setStage(question.form, question.film)
      if (!stage.ok) return stage
      bench.rehearsal = rehearse(stage.value, question.order.order, rehearsalOptions(question.practice))
    }
    const placed = placePart(question.form, surface, worked.value, question.pattern, question.practice, question.found)
    if (!placed.ok) return placed
    const plan = planFor(bench, today)
    if (!plan.ok) return plan
    const { part, spots, rules, registered, pattern } = placed.value
    return done({
      worked: shownLay(bench, worked.value),
      neededStretch: worked.value.neededStretch,
      placement: { outline: part.outline, holes: part.holes, spots, rules, piece: place(pattern, registered) },
      plan: plan.value,
    })
  },

  /** The pattern enlarged along some edges of its part, mm. */
  enlarge(question: LayQuestion, growth: GrowthByEdge): Result<PiecePattern> {
    const { form, film, practice, found } = question
    const surface = buildSurface(form)
    if (!surface.ok) return surface
    const { take, warmStretch } = film.handling
    const worked = workedLay(surface.value.mesh, { take, limit: 1 + warmStretch })
    if (!worked.ok) return worked
    const placed = placePart(form, surface.value, worked.value, question.pattern, practice, found)
    if (!placed.ok) return placed
    const { part, registered, pattern } = placed.value
    return done(enlargePattern(pattern, part, registered, growth))
  },

  /** The piece held up to the part, liner on; and whether to cut from the roll instead. */
  dryCheck(question: LayQuestion): Result<DryAnswer> {
    const { form, film, practice, found, units } = question
    const surface = buildSurface(form)
    if (!surface.ok) return surface
    const { take, warmStretch } = film.handling
    const worked = workedLay(surface.value.mesh, { take, limit: 1 + warmStretch })
    if (!worked.ok) return worked
    const placed = placePart(form, surface.value, worked.value, question.pattern, practice, found)
    if (!placed.ok) return placed
    const { part, spots, rules, pattern } = placed.value
    const check =
      question.pattern === null
        ? null
        : dryCheck({
            part,
            holeNames: form.holes.map((hole) => hole.label),
            targets: form.marks.map((m) => ({ name: m.name, at: part.toFlat(m.at), weight: m.weight })),
            pattern,
            spots,
            rules,
            edgeLabel: (edge) => [...form.edges, ...form.holes].find((e) => e.name === edge)?.label ?? edge,
            length: (mm) => inWords(showLength(mm, units.length)),
          })
    if (check !== null && !check.ok) return check
    const neededStretch = worked.value.neededStretch
    const advice = rollOrPattern(
      { form, patternAtHand: question.pattern !== null, neededStretch, hasDirection: film.type === 'lens tint' },
      practice,
    )
    const sheet = cutSize(part.outline.polygon, advice.allowanceMm, film.type !== 'lens tint')
    const tuck = form.edges.find((e) => e.code === 'tuck')
    const face = sheet.widthMm - 2 * advice.allowanceMm
    return done({
      check: check === null ? null : check.value,
      advice,
      sheet,
      barWidthMm:
        form.family === 'trim' && tuck !== undefined ? barWidthMm(face, -(rules[tuck.name]?.minMm ?? 0)) : null,
      neededStretch,
    })
  },

  /** The order in which the part is laid, chosen or usual, step by step. */
  inOrder(question: LayQuestion): Result<OrderAnswer> {
    const { form, film, practice, order, schools } = question
    const stage = setStage(form, film)
    if (!stage.ok) return stage
    const { surface } = stage.value
    const laid = order?.order ?? orderBySchool(schools.begin, form, surface, orderPractice(practice))
    const rehearsal = rehearse(stage.value, laid, rehearsalOptions(practice))
    return done({ surface, rehearsal, fingers: fingerProfile(surface, rehearsal, film.handling.take) })
  },

  /** Whether cuts would keep the stretch below a limit, on a coarse form; a split where they would not. */
  cuts(question: LayQuestion, limit: number, onProgress: (share: number) => void): Result<CutsAnswer> {
    const stage = setStage(question.form, question.film, stageTriangles.coarse)
    if (!stage.ok) return stage
    const advice = reliefCuts(stage.value, limit, onProgress)
    return done({ advice, splits: advice.enough ? [] : splitPart(stage.value).slice(0, 3) })
  },

  /** What the surface does under the gun, for each use of heat. */
  heatCourses(uses: readonly HeatUse[], { room, gun }: Today): Result<HeatCourseOfUse[]> {
    if (bench === null) throw new RangeError('heatCourses before begin')
    const { form, film, practice } = bench.question
    const outlineOnForm = bench.surface.outline.polygon
    return heatCourses(uses, { form, film, practice, outlineOnForm, gun: gun ?? usualGun, ambientC: room.temperatureC })
  },

  /** The plan again, for a piece that was moved, other air or another gun. */
  replan(today: Today): Result<PartPlan> {
    if (bench === null) throw new RangeError('replan before begin')
    return planFor(bench, today)
  },
}

function shownLay({ surface, question }: Bench, lay: Lay): ShownLay {
  return {
    lay,
    figures: layFigures(surface.mesh, lay),
    fingers: fingerForecast(surface, lay, question.film.handling.take),
    pulls: lay.mode === 'worked' ? stretchPlan(surface, lay, question.film.handling) : [],
  }
}

function planFor({ question, surface, natural, worked, rehearsal }: Bench, today: Today): Result<PartPlan> {
  const { units, order } = question
  const { shift, room, gun, learned } = today
  return workOutPart({
    ...question,
    room,
    gun: gun ?? undefined,
    learned,
    surface,
    natural,
    worked: worked ?? natural,
    shift,
    rehearsed: rehearsal === null ? undefined : { rehearsal, because: order?.because ?? '' },
    words: {
      length: (mm) => inWords(showLength(mm, units.length)),
      temperature: (c) => inWords(showTemperature(c, units.temperature)),
      volume: (ml) => inWords(showVolume(ml, units.volume)),
    },
  })
}

export type LayWorker = typeof layWorker
expose(layWorker)

import { place } from '@truelay/core/align'
import { buildSurface, type PartSurface } from '@truelay/core/form'
import {
  fingerForecast,
  grade,
  gradeWords,
  type Lay,
  layFigures,
  naturalLay,
  stretchPlan,
  type WorkedLay,
  workedLay,
} from '@truelay/core/lay'
import { type PartPlan, type PieceShift, placePart, workOutPart } from '@truelay/core/plan'
import { done, type Result } from '@truelay/core/result'
import { inWords, showLength, showTemperature, showVolume } from '@truelay/core/units'
import { expose } from 'comlink'
import type { FirstAnswer, FullAnswer, LayQuestion, ShownLay } from './layWork.ts'

interface Bench {
  readonly question: LayQuestion
  readonly surface: PartSurface
  readonly natural: Lay
  worked: WorkedLay | null
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
    bench = { question, surface: surface.value, natural: natural.value, worked: null }
    const figures = layFigures(surface.value.mesh, natural.value)
    return done({
      surface: surface.value,
      natural: shownLay(bench, natural.value),
      grade: grade(figures),
      gradeWords: gradeWords(figures),
    })
  },

  /** Lays it as hands and heat can, places the piece and plans the work. */
  finish(shift: PieceShift, onProgress: (share: number) => void): Result<FullAnswer> {
    if (bench === null) throw new RangeError('finish before begin')
    const { question, surface } = bench
    const { take, warmStretch } = question.film.handling
    const worked = workedLay(surface.mesh, { take, limit: 1 + warmStretch }, onProgress)
    if (!worked.ok) return worked
    bench.worked = worked.value
    const placed = placePart(question.form, surface, worked.value, question.pattern, question.practice, question.found)
    if (!placed.ok) return placed
    const plan = planFor(bench, shift)
    if (!plan.ok) return plan
    const { part, spots, rules, registered, pattern } = placed.value
    return done({
      worked: shownLay(bench, worked.value),
      neededStretch: worked.value.neededStretch,
      placement: { outline: part.outline, holes: part.holes, spots, rules, piece: place(pattern, registered) },
      plan: plan.value,
    })
  },

  /** The plan again, for a piece that was moved. */
  replan(shift: PieceShift): Result<PartPlan> {
    if (bench === null) throw new RangeError('replan before begin')
    return planFor(bench, shift)
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

function planFor({ question, surface, natural, worked }: Bench, shift: PieceShift): Result<PartPlan> {
  const { units } = question
  return workOutPart({
    ...question,
    surface,
    natural,
    worked: worked ?? natural,
    shift,
    words: {
      length: (mm) => inWords(showLength(mm, units.length)),
      temperature: (c) => inWords(showTemperature(c, units.temperature)),
      volume: (ml) => inWords(showVolume(ml, units.volume)),
    },
  })
}

export type LayWorker = typeof layWorker
expose(layWorker)

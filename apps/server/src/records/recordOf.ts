import type { Film, Finding, FitEventOf, FitState, Job, Part, PartRecord, Person, Piece } from '@truelay/contract'
import { correctionWords } from '@truelay/core/align'
import { correctionFor, measuredGaps, type PartPlan } from '@truelay/core/plan'
import { inWords, showLength, type UnitChoice } from '@truelay/core/units'

interface RecordSources {
  readonly job: Job
  readonly part: Part
  readonly film: Film
  readonly piece: Piece | null
  readonly kitName: string | null
  /** The lot that was noted when the kit came in. */
  readonly lot: string | null
  readonly findings: readonly Finding[]
  readonly people: readonly Person[]
  readonly state: FitState
  readonly units: UnitChoice
}

/** What is kept of a part, from its job, its film and the log of its fit. */
export function recordOf({
  job,
  part,
  film,
  piece,
  kitName,
  lot,
  findings,
  people,
  state,
  units,
}: RecordSources): PartRecord {
  const common = {
    job,
    part,
    film: { id: film.id, name: film.name, type: film.type },
    kit: kitName ?? 'cut from the roll',
    piece: piece?.name ?? part.name,
    lot: lot ?? piece?.lot ?? 'not noted',
    found: findings.map(({ kind, note, later }) => ({ kind, note, later })),
  }
  if (state.phase === 'not begun')
    return {
      ...common,
      state: 'not begun',
      startedAt: null,
      finishedAt: null,
      schools: [],
      batches: [],
      bottles: [],
      air: [],
      blades: { segments: 0, cutMm: 0 },
      steps: [],
      stepsTotal: 0,
      gaps: [],
      gapToleranceMm: null,
      problems: [],
      aftercare: [],
      light: null,
    }
  const nameOf = (id: string) => people.find((p) => p.id === id)?.name ?? id
  const stepOf = (id: string) => state.plan.steps.find((s) => s.id === id)
  const last = state.done[state.done.length - 1]
  return {
    ...common,
    state: state.phase,
    startedAt: state.startedAt,
    finishedAt: state.phase === 'finished' ? (last?.at ?? null) : null,
    schools: state.plan.schools.map(({ question, choice }) => ({ question, choice })),
    batches: state.batches.map((b) => ({
      number: b.batchNumber,
      says: b.says,
      batchMl: b.batchMl,
      alcoholPercent: b.alcoholPercent,
      soapMlPerL: b.soapMlPerL,
      at: b.at,
      by: nameOf(b.personId),
    })),
    bottles: state.bottles.map((b) => ({
      number: b.batchNumber,
      says: b.says,
      use: b.use,
      asPlanned: b.asPlanned,
      at: b.at,
      by: nameOf(b.personId),
    })),
    air: state.air.map(({ at, roomC, humidityPercent, source, minutes }) => ({
      at,
      roomC,
      humidityPercent,
      source,
      minutes,
    })),
    blades: {
      segments: state.blades.filter((b) => b.fresh).length,
      cutMm: state.blades.reduce((sum, b) => sum + b.cutMm, 0),
    },
    steps: state.done.map((d) => ({
      headline: stepOf(d.stepId)?.headline ?? d.stepId,
      phase: stepOf(d.stepId)?.phase ?? '',
      at: d.at,
      by: nameOf(d.personId),
      earlySeconds: d.earlySeconds ?? null,
    })),
    stepsTotal: state.plan.steps.length,
    gaps: state.gapRounds.map((round) => gapsOf(round, state.plan, nameOf, units)),
    gapToleranceMm: state.plan.gapToleranceMm,
    problems: state.problems.map((p) => ({
      problem: p.problem,
      place: p.place,
      during: stepOf(p.stepId)?.headline ?? p.stepId,
      comeBack: p.comeBack,
      at: p.at,
      by: nameOf(p.personId),
    })),
    aftercare: state.plan.steps.filter((s) => s.id === 'hand-on').map((s) => s.detail),
    light: state.plan.light?.words ?? null,
  }
}

function gapsOf(
  round: FitEventOf<'gapsMeasured'>,
  plan: PartPlan,
  nameOf: (id: string) => string,
  units: UnitChoice,
): PartRecord['gaps'][number] {
  const gaps = measuredGaps(plan, round.readings)
  const withinTolerance = gaps.every((gap) => gap.right)
  const correction = correctionFor(gaps)
  return {
    at: round.at,
    by: nameOf(round.personId),
    readings: gaps.map(({ check, measuredMm }) => ({ label: check.label, wantedMm: check.wantedMm, measuredMm })),
    withinTolerance,
    words: withinTolerance
      ? 'Within tolerance.'
      : correction.ok
        ? correctionWords(correction.value, {
            directions: plan.directions,
            length: (mm) => inWords(showLength(mm, units.length)),
          })
        : correction.failure.sentence,
  }
}

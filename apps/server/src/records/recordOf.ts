import {
  type Film,
  type Finding,
  type FitState,
  type Job,
  linesOf,
  noLines,
  type Part,
  type PartRecord,
  type Person,
  type Piece,
  standing,
  workedSteps,
} from '@truelay/contract'
import { verbatim } from '@truelay/core/say'

interface RecordSources {
  readonly job: Job
  readonly part: Part
  readonly film: Film
  readonly piece: Piece | null
  readonly kitName: string | null
  /** The lot that was noted when the kit came in, or all of them where there were several. */
  readonly lot: string | null
  readonly findings: readonly Finding[]
  readonly people: readonly Person[]
  readonly state: FitState
}

/** What is kept of a part, from its job, its film and the log of its fit. */
export function recordOf({ job, part, film, piece, kitName, lot, findings, people, state }: RecordSources): PartRecord {
  const common = {
    job,
    part,
    film: { id: film.id, name: film.name, type: film.type },
    kit: kitName,
    piece: piece?.name ?? part.name,
    lot: lot ?? piece?.lot ?? null,
    found: findings.map(({ kind, note, later, photos }) => ({ kind, note, later, photos })),
  }
  if (state.phase === 'not begun')
    return {
      ...common,
      state: 'not begun',
      startedAt: null,
      finishedAt: null,
      schools: [],
      lines: noLines(),
      steps: [],
      stepsTotal: 0,
      gapToleranceMm: null,
      aftercare: [],
      light: null,
    }
  const { plan, done } = state
  const nameOf = (id: string) => people.find((p) => p.id === id)?.name ?? id
  const stepOf = (id: string) => plan.steps.find((s) => s.id === id)
  const last = done[done.length - 1]
  const worked = workedSteps(state)
  return {
    ...common,
    // What was laid came off the roll, whatever piece lies in the box.
    kit: plan.cut.way === 'from the roll' ? null : common.kit,
    lot: plan.cut.way === 'from the roll' ? lot : (standing(state, 'lotTold').at(-1)?.lot ?? common.lot),
    state: state.phase,
    startedAt: state.startedAt,
    finishedAt: state.phase === 'finished' ? (last?.at ?? null) : null,
    schools: plan.schools.map(({ question, choice }) => ({ question, choice })),
    lines: linesOf(state, { plan, nameOf, headlineOf: (id) => stepOf(id)?.headline ?? verbatim(id) }),
    steps: done.flatMap((d) => {
      const step = stepOf(d.stepId)
      if (step === undefined) return []
      const { headline, phase, minutes } = step
      return [
        {
          headline,
          phase,
          at: d.at,
          by: nameOf(d.personId),
          earlySeconds: d.earlySeconds ?? null,
          plannedMinutes: minutes,
          workedMinutes: worked.find(({ stepId }) => stepId === d.stepId)?.workedMinutes ?? null,
        },
      ]
    }),
    stepsTotal: plan.steps.length,
    gapToleranceMm: plan.gapToleranceMm,
    aftercare: plan.steps.filter((s) => s.tells === 'aftercare').map((s) => s.detail),
    light: plan.light?.words ?? null,
  }
}

import {
  awaitedPiece,
  mustBeginBy,
  type FitProgress,
  type FitState,
  openProblems,
  type Part,
  type PartProgress,
  runningWait,
} from '@truelay/contract'

/** More is not shown of one part. */
const mostComeBacks = 60

export const notBegunProgress: FitProgress = {
  state: 'waiting',
  stepsDone: 0,
  stepsTotal: 0,
  nextStep: null,
  readyAt: null,
  startedAt: null,
  finishedAt: null,
}

/** How far a fit has come. */
export function progressOf(state: FitState): FitProgress {
  if (state.phase === 'not begun') return notBegunProgress
  const last = state.done[state.done.length - 1]
  const awaits = awaitedPiece(state)
  const mustBy = state.phase === 'finished' ? null : mustBeginBy(state)
  const comeBacks = openProblems(state)
    .slice(0, mostComeBacks)
    .flatMap(({ problem, place, when }) => (when === undefined ? [] : [{ problem, place, when }]))
  return {
    state: state.phase === 'finished' ? 'done' : 'fitting',
    stepsDone: state.done.length,
    stepsTotal: state.plan.steps.length,
    nextStep: state.plan.steps[state.done.length]?.headline ?? null,
    readyAt: runningWait(state)?.until.toISOString() ?? null,
    startedAt: state.startedAt,
    finishedAt: state.phase === 'finished' ? (last?.at ?? null) : null,
    ...(comeBacks.length === 0 ? {} : { comeBacks }),
    ...(mustBy === null ? {} : { mustBy: mustBy.toISOString() }),
    ...(awaits === null ? {} : { awaits }),
  }
}

/** The same, as the bay shows it of a part. */
export const progressOfPart = (
  { id, jobId, name, formId, formVersion }: Pick<Part, 'id' | 'jobId' | 'name' | 'formId' | 'formVersion'>,
  filmName: string,
  progress: FitProgress,
): PartProgress => ({ partId: id, jobId, name, filmName, formId, formVersion, ...progress })

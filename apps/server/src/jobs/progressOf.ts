import { type FitEvent, type Part, type PartProgress, replayFit, runningWait } from '@truelay/contract'

/** How far a part has come, from the log of its fit. */
export function progressOf(part: Part, filmName: string, events: readonly FitEvent[]): PartProgress {
  const state = replayFit(events)
  const common = { partId: part.id, jobId: part.jobId, name: part.name, filmName }
  if (state.phase === 'not begun')
    return {
      ...common,
      state: 'waiting',
      stepsDone: 0,
      stepsTotal: 0,
      nextStep: null,
      readyAt: null,
      startedAt: null,
      finishedAt: null,
    }
  const last = state.done[state.done.length - 1]
  return {
    ...common,
    state: state.phase === 'finished' ? 'done' : 'fitting',
    stepsDone: state.done.length,
    stepsTotal: state.plan.steps.length,
    nextStep: state.plan.steps[state.done.length]?.headline ?? null,
    readyAt: runningWait(state)?.until.toISOString() ?? null,
    startedAt: state.startedAt,
    finishedAt: state.phase === 'finished' ? (last?.at ?? null) : null,
  }
}

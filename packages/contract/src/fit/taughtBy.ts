import { spoils } from '@truelay/core/judge'
import type { FitTaught, OffsetReading } from '@truelay/core/memory'
import { correctionFor, measuredGaps } from '@truelay/core/plan'
import { standing } from './fitEvents.ts'
import type { Begun } from './fitState.ts'
import { workedSteps } from './workedMinutes.ts'

/** Fewer steps with minutes of their own tell nothing. */
const fewestSteps = 4
/** Film that was laid again tells of the second piece. */
const needed = 2

/**
 * What a finished fit teaches. Its first round of gaps tells how the film had to be moved from where the plan had it: the hand set it down as
 * planned, so what is off is the piece, the body or the hand.
 */
export function taughtBy(state: Begun): FitTaught {
  const seen = standing(state, 'problemSeen')
  return {
    offset: state.plan.cut.way === 'from the roll' ? null : offsetBy(state),
    fingersAt: seen.filter(({ problem }) => problem === 'fingers').map(({ place }) => place),
    faults: [...new Set(seen.map(({ problem }) => problem))].filter((problem) => problem !== 'fingers'),
    pace: paceOf(state),
    heat: standing(state, 'heatRead').map(({ use, readC, wantedC }) => ({ use, offC: readC - wantedC })),
    pulls: pullsOf(state),
    cured: [
      ...new Set(
        standing(state, 'problemSettled').flatMap(({ problemId, outcome }) =>
          outcome === 'put right' ? seen.filter(({ id }) => id === problemId).map(({ problem }) => problem) : [],
        ),
      ),
    ],
    laidAgain: Math.min(
      seen.filter(({ problem }) => spoils(problem)).length,
      standing(state, 'spoilSettled').filter(({ outcome }) => outcome === 'laid again').length,
    ),
  }
}

/** The last word on each place counts. */
function pullsOf(state: Begun): NonNullable<FitTaught['pulls']> {
  const last = new Map(standing(state, 'pullMade').map(({ place, needed }) => [place, needed]))
  return [...last].map(([place, needed]) => ({ place, needed }))
}

function offsetBy(state: Begun): FitTaught['offset'] {
  const [first] = standing(state, 'gapsMeasured')
  if (first === undefined || first.readings.length < needed) return null
  const correction = correctionFor(measuredGaps(state.plan, first.readings), state.plan.gapSigmaMm)
  if (!correction.ok) return null
  const { moveMm, turnDeg, sigma } = correction.value
  // Gaps of one edge tell nothing along it.
  const told = (value: number, of: number): OffsetReading | null =>
    Number.isFinite(of) && of > 0 ? { value, sigma: of } : null
  return {
    xMm: told(moveMm[0], sigma.moveMm[0]),
    yMm: told(moveMm[1], sigma.moveMm[1]),
    turnDeg: told(turnDeg, sigma.turnDeg),
  }
}

/** Real minutes over planned ones, the middle one of the steps; waits are not work. */
function paceOf(state: Begun): number | null {
  const times = workedSteps(state).flatMap(({ plannedMinutes, workedMinutes }) =>
    workedMinutes === null ? [] : [workedMinutes / plannedMinutes],
  )
  if (times.length < fewestSteps) return null
  times.sort((a, b) => a - b)
  const middle = times.length >> 1
  const [low, high] = [times[times.length % 2 === 0 ? middle - 1 : middle], times[middle]]
  return low === undefined || high === undefined ? null : (low + high) / 2
}

import type { PieceSource } from '@truelay/core/judge'
import type { PartPlan } from '@truelay/core/plan'
import { type FitEventOf, standing } from './fitEvents.ts'
import type { Begun } from './fitState.ts'

/** Where the work begins again with another piece: at the step that takes the piece in hand, after a look that the part is dry where it must be. */
export function againFrom({ steps, cut }: Pick<PartPlan, 'steps' | 'cut'>): number {
  const sheet = cut.way === 'from the roll' ? steps.findIndex(({ id }) => id === 'cut-sheet') : -1
  const piece = sheet >= 0 ? sheet : steps.findIndex(({ tools }) => tools.includes('piece'))
  if (piece < 0) return 0
  return steps[piece - 1]?.gate === undefined ? piece : piece - 1
}

/** Pieces that were taken in the place of a spoilt one, the oldest first. */
const taken = (state: Pick<Begun, 'logged'>): FitEventOf<'spoilSettled'>[] =>
  standing(state, 'spoilSettled').filter(({ from }) => from !== undefined)

/** When the piece that lies there now was taken in hand; null while it is the first. What was wrong with the one before is gone with it. */
export const pieceSince = (state: Pick<Begun, 'logged'>): string | null => taken(state).at(-1)?.at ?? null

/** How many of the spares of the kit this part has used. */
export const sparesUsed = (state: Pick<Begun, 'logged'>): number =>
  taken(state).filter(({ from }) => from === 'spare').length

/** Where another piece is waited for that has not been held up yet: off the roll it has to be cut first. */
export function awaitedPiece(state: Begun): PieceSource | null {
  const last = taken(state).at(-1)
  return last?.from === undefined || state.phase === 'finished' || state.done.length > againFrom(state.plan)
    ? null
    : last.from
}

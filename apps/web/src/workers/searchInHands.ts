import {
  orderSearch,
  type PreparedStage,
  progressIn,
  type Rehearsal,
  type SearchOptions,
  type SearchProgress,
  type SearchResult,
  searchDefaults,
  stageTriangles,
  type Trial,
} from '@truelay/core/lay'
import { done, failure, type Result, refused } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import type { TrialHand } from './trialHand.ts'

/** A hand in another thread: the same calls, answered later. */
export type RemoteHand = {
  readonly [Call in keyof TrialHand]: (
    ...asked: Parameters<TrialHand[Call]>
  ) => Promise<Awaited<ReturnType<TrialHand[Call]>>>
}

/** What is heard and told while a search runs. */
interface Meanwhile {
  readonly stopped: () => boolean
  readonly onNews: (news: SearchProgress) => void
}

/** Stages of one part, the fine one among them. */
export type StagesSet = Map<Trial['on'], PreparedStage>

/**
 * Looks for a better order in several hands at once: what the trials of a round stand on is set first, then each hand takes
 * the next trial as soon as it is free. Refused: what a stage is refused for, and `WORK_STOPPED`.
 *
 * @param stages those that are set already; what has to be set further is added, for the next search
 */
export async function searchInHands(
  stages: StagesSet,
  options: Partial<SearchOptions>,
  hands: readonly RemoteHand[],
  { stopped, onNews }: Meanwhile,
): Promise<Result<SearchResult>> {
  const fine = stages.get('fine')
  if (fine === undefined) throw new RangeError('searched before the fine stage was set')
  const { practice, rehearsal, ...use } = { ...searchDefaults, ...options }
  const how = { practice, rehearsal }
  await Promise.all(hands.map((hand) => hand.open(stages)))
  const search = orderSearch({ ...fine, judges: stageTriangles.judges.length }, { ...use, ...how })
  let round = search.next()
  while (round.done !== true) {
    const asked = round.value
    const unset = [...new Set(asked.trials.map(({ on }) => on))].filter((on) => !stages.has(on))
    for (const { hand, on, stage } of await shared(hands, unset, async (setter, which) => ({
      hand: setter,
      on: which,
      stage: await setter.set(which),
    }))) {
      if (!stage.ok) return stage
      await Promise.all(hands.filter((other) => other !== hand).map((other) => other.have(on, stage.value)))
      stages.set(on, stage.value)
    }
    let made = 0
    const rehearsals = await shared(hands, asked.trials, async (hand, trial): Promise<Rehearsal | null> => {
      if (stopped()) return null
      const rehearsal = await hand.make(trial, how)
      made++
      onNews(progressIn(asked, made))
      return rehearsal
    })
    const whole = rehearsals.filter((rehearsal) => rehearsal !== null)
    if (stopped() || whole.length < rehearsals.length) return refused(failure('WORK_STOPPED', { work: say`search` }))
    round = search.next(whole)
  }
  return done(round.value)
}

/** Work shared out: each hand takes the next piece as soon as it is free. Answers in the order of the pieces. */
async function shared<Hand, Piece, Answer>(
  hands: readonly Hand[],
  pieces: readonly Piece[],
  work: (hand: Hand, piece: Piece) => Promise<Answer>,
): Promise<Answer[]> {
  const answers: Answer[] = []
  const waiting = pieces.entries()
  await Promise.all(
    hands.map(async (hand) => {
      for (const [i, piece] of waiting) answers[i] = await work(hand, piece)
    }),
  )
  return answers
}

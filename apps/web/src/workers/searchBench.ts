import {
  orderSearch,
  type PreparedStage,
  progressIn,
  type Rehearsal,
  type SchoolName,
  schoolNames,
  type SearchOptions,
  type SearchProgress,
  type SearchResult,
  searchDefaults,
  stageTriangles,
  type Trial,
  type TrialPractice,
} from '@truelay/core/lay'
import { done, failure, type Result, refused } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { handPool } from './handPool.ts'
import type { TrialHand } from './trialHand.ts'

/** A hand in another thread: the same calls, answered later. */
export type RemoteHand = {
  readonly [Call in keyof TrialHand]: (
    ...asked: Parameters<TrialHand[Call]>
  ) => Promise<Awaited<ReturnType<TrialHand[Call]>>>
}

/** What is heard and told while a search runs. */
interface Meanwhile {
  readonly stop: AbortSignal
  readonly onNews: (news: SearchProgress) => void
}

/** How a search goes; how its trials are made is the same for all searches of a part. */
export type SearchUse = Partial<Omit<SearchOptions, keyof TrialPractice>>

/**
 * Where better orders for one part are looked for, in several hands at once. What a part has once, it has once here: its
 * stages are set and its schools rehearsed at most once, by whichever hand is free, ahead of a search or in it.
 *
 * @param schoolsKnown schools that were rehearsed on the fine stage before
 */
export function searchBench(
  fine: PreparedStage,
  how: TrialPractice,
  hands: readonly RemoteHand[],
  schoolsKnown: ReadonlyMap<SchoolName, Rehearsal> = new Map(),
) {
  // What is asked of a hand after this comes after this.
  for (const hand of hands) void hand.open(fine)
  const inFreeHand = handPool(hands)
  const stages = new Map<Trial['on'], Promise<Result<PreparedStage>>>([['fine', Promise.resolve(done(fine))]])
  const schools = new Map<string, Promise<Rehearsal>>(
    [...schoolsKnown].map(([order, rehearsal]) => [placeOf({ on: 'fine', order }), Promise.resolve(rehearsal)]),
  )

  const stageOn = (on: Trial['on']) =>
    once(stages, on, () =>
      inFreeHand(async (setter) => {
        const stage = await setter.set(on)
        if (stage.ok) for (const hand of hands) if (hand !== setter) void hand.have(on, stage.value)
        return stage
      }),
    )
  const schoolIn = (trial: Trial) => once(schools, placeOf(trial), () => inFreeHand((hand) => hand.make(trial, how)))
  /** Null where it was stopped before a hand was free for it. */
  const make = (trial: Trial, stop: AbortSignal): Promise<Rehearsal | null> =>
    typeof trial.order === 'string'
      ? schoolIn(trial)
      : inFreeHand(async (hand) => (stop.aborted ? null : hand.make(trial, how)))

  return {
    /** Sets the stages and rehearses the schools that a search needs, so that it finds them made. What is refused, a search tells. */
    async getReady(): Promise<void> {
      const coarse = stageOn('coarse')
      const onFine = schoolNames.map((order) => schoolIn({ on: 'fine', order }))
      const onCoarse = (await coarse).ok ? schoolNames.map((order) => schoolIn({ on: 'coarse', order })) : []
      const judges = stageTriangles.judges.map((_, judge) => stageOn(judge))
      await Promise.all([...onFine, ...onCoarse, ...judges])
    },

    /** One school on the fine stage. */
    school: (order: SchoolName): Promise<Rehearsal> => schoolIn({ on: 'fine', order }),

    /** Looks for a better order. Refused: what a stage is refused for, and `WORK_STOPPED`. */
    async search(use: SearchUse, { stop, onNews }: Meanwhile): Promise<Result<SearchResult>> {
      const stopped = new Promise<null>((resolve) => stop.addEventListener('abort', () => resolve(null)))
      const search = orderSearch(
        { ...fine, judges: stageTriangles.judges.length },
        { ...searchDefaults, ...use, ...how },
      )
      let round = search.next()
      while (round.done !== true) {
        const asked = round.value
        const setStages = Promise.all([...new Set(asked.trials.map(({ on }) => on))].map(stageOn))
        const refusal = (await Promise.race([setStages, stopped]))?.find(({ ok }) => !ok)
        if (refusal !== undefined && !refusal.ok) return refusal
        let made = 0
        const trials = asked.trials.map(async (trial) => {
          const rehearsal = await make(trial, stop)
          if (!stop.aborted) onNews(progressIn(asked, ++made))
          return rehearsal
        })
        const rehearsals = (await Promise.race([Promise.all(trials), stopped]))?.filter((made) => made !== null)
        if (stop.aborted || rehearsals === undefined) return refused(failure('WORK_STOPPED', { work: say`search` }))
        round = search.next(rehearsals)
      }
      return done(round.value)
    },
  }
}

const placeOf = ({ on, order }: Trial) => `${on} ${JSON.stringify(order)}`

/** Does a piece of work the first time that it is asked for, and gives its answer ever after. */
function once<Key, Answer>(known: Map<Key, Promise<Answer>>, key: Key, work: () => Promise<Answer>): Promise<Answer> {
  const before = known.get(key)
  if (before !== undefined) return before
  const answer = work()
  known.set(key, answer)
  return answer
}

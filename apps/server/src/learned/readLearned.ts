import type { Learned } from '@truelay/contract'
import { learnWait, waitKinds } from '@truelay/core/wait'
import type { Database } from '../database/openDatabase.ts'
import { readLatestFitEventsOf } from '../fit/queries.ts'

/** A shop learns from what it does now: from so many answers, of all waits together. */
const latest = 1000

/** What the latest answers of "was it ready?" have taught this shop about each wait. */
export async function readLearned(database: Database): Promise<Learned> {
  const answers = await readLatestFitEventsOf(database, 'waitAnswered', latest)
  return {
    waits: waitKinds.flatMap((kind) => {
      const ofKind = answers.filter((answer) => answer.waitKind === kind)
      return ofKind.length === 0 ? [] : [{ kind, ...learnWait(ofKind) }]
    }),
  }
}

import type { Learned } from '@truelay/contract'
import { learnWait, waitKinds } from '@truelay/core/wait'
import type { Database } from '../database/openDatabase.ts'
import { readFitEventsOf } from '../fit/queries.ts'

/** What the answers of "was it ready?" have taught this shop about each wait. */
export async function readLearned(database: Database): Promise<Learned> {
  const answers = await readFitEventsOf(database, 'waitAnswered')
  return {
    waits: waitKinds.flatMap((kind) => {
      const ofKind = answers.filter((answer) => answer.waitKind === kind)
      return ofKind.length === 0 ? [] : [{ kind, ...learnWait(ofKind) }]
    }),
  }
}

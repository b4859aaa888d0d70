import {
  explainBetter,
  fingerProfile,
  type LayOrder,
  orderBySchool,
  orderWords,
  type PreparedStage,
  type PullsAllowed,
  type Rehearsal,
  rehearse,
  type SchoolName,
  type SearchStages,
  searchOrder,
  setSearchStages,
  setStage,
} from '@truelay/core/lay'
import { orderPractice, rehearsalOptions } from '@truelay/core/plan'
import { done, failure, type Result, refused } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { expose } from 'comlink'
import { nextMessage } from './nextMessage.ts'
import type { FoundOrder, RehearsalQuestion, RehearsalStage, SearchNews, ShownRehearsal } from './rehearsalWork.ts'

interface Bench {
  readonly question: RehearsalQuestion
  readonly fine: PreparedStage
  stages: SearchStages | null
}

let bench: Bench | null = null
let stopped = false

const opened = (): Bench => {
  if (bench === null) throw new RangeError('rehearsed before a form was opened')
  return bench
}

/** Carries messages; the work is done by the core. */
const rehearsalWorker = {
  open(question: RehearsalQuestion): Result<RehearsalStage> {
    const fine = setStage(question.form, question.film)
    if (!fine.ok) return fine
    bench = { question, fine: fine.value, stages: null }
    return done({ surface: fine.value.surface })
  },

  bySchool(school: SchoolName): Result<ShownRehearsal> {
    const { fine, question } = opened()
    const order = orderBySchool(school, fine.form, fine.surface, orderPractice(question.practice))
    return done(shown(fine, rehearse(fine, order, rehearsalOptions(question.practice))))
  },

  inOrder(order: LayOrder, pulls: PullsAllowed = 'warm'): Result<ShownRehearsal> {
    const { fine, question } = opened()
    return done(shown(fine, rehearse(fine, order, { ...rehearsalOptions(question.practice), pulls })))
  },

  /** Looks for a better order; between tries it listens, so that `stop` is heard. */
  async search(tries: number, onNews: (news: SearchNews) => void): Promise<Result<FoundOrder>> {
    const current = opened()
    stopped = false
    if (current.stages === null) {
      const stages = setSearchStages(current.fine)
      if (!stages.ok) return stages
      current.stages = stages.value
    }
    const search = searchOrder(current.stages, {
      tries,
      practice: orderPractice(current.question.practice),
      rehearsal: rehearsalOptions(current.question.practice),
    })
    for (;;) {
      const next = search.next()
      if (next.done) {
        const { best, schools, tried, matters } = next.value
        const school = schools[0] ?? best
        return done({
          best: shown(current.fine, best),
          school: shown(current.fine, school),
          because: explainBetter(current.fine.form, school, best, current.fine.patterned),
          tried,
          matters,
        })
      }
      onNews({ share: next.value.share, tried: next.value.tried, best: next.value.best })
      await nextMessage()
      if (stopped) return refused(failure('WORK_STOPPED', { work: say`search` }))
    }
  },

  stop() {
    stopped = true
  },
}

const shown = (stage: PreparedStage, rehearsal: Rehearsal): ShownRehearsal => ({
  order: rehearsal.order,
  words: orderWords(rehearsal.order),
  rehearsal,
  fingers: fingerProfile(stage.surface, rehearsal, stage.handling.take),
})

export type RehearsalWorker = typeof rehearsalWorker
expose(rehearsalWorker)

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
  setStage,
} from '@truelay/core/lay'
import { orderPractice, rehearsalOptions } from '@truelay/core/plan'
import { done, type Result } from '@truelay/core/result'
import { expose, wrap } from 'comlink'
import type {
  FoundOrder,
  RehearsalQuestion,
  RehearsalStage,
  SearchNews,
  SearchWish,
  ShownRehearsal,
} from './rehearsalWork.ts'
import { searchInHands, type StagesSet } from './searchInHands.ts'
import type { TrialHand } from './trialHand.ts'

interface Bench {
  readonly question: RehearsalQuestion
  readonly fine: PreparedStage
  readonly stages: StagesSet
}

/** News come faster than anybody reads, and every one is drawn. */
const newsMs = 200

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
    bench = { question, fine: fine.value, stages: new Map([['fine', fine.value]]) }
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

  /** Looks for a better order, in the hands of the workers at the other ends of some ports. */
  async search(wish: SearchWish, ports: readonly MessagePort[], onNews: (news: SearchNews) => void) {
    const { fine, question, stages } = opened()
    stopped = false
    const { practice } = question
    const options = { ...wish, practice: orderPractice(practice), rehearsal: rehearsalOptions(practice) }
    const hands = ports.map((port) => wrap<TrialHand>(port))
    let told = Number.NEGATIVE_INFINITY
    const result = await searchInHands(stages, options, hands, {
      stopped: () => stopped,
      onNews({ share, tried, best }) {
        if (performance.now() - told < newsMs) return
        told = performance.now()
        onNews({ share, tried, best })
      },
    })
    for (const port of ports) port.close()
    if (!result.ok) return result
    const { best, schools, tried, matters } = result.value
    const school = schools[0] ?? best
    return done<FoundOrder>({
      best: shown(fine, best),
      school: shown(fine, school),
      because: explainBetter(fine.form, school, best, fine.patterned),
      tried,
      matters,
    })
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

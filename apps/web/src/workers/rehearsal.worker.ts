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
import { searchBench } from './searchBench.ts'
import type { TrialHand } from './trialHand.ts'

interface Bench {
  readonly question: RehearsalQuestion
  readonly fine: PreparedStage
  readonly schools: Map<SchoolName, Rehearsal>
  /** Once there are hands to search with. */
  search: ReturnType<typeof searchBench> | null
}

/** News come faster than anybody reads, and every one is drawn. */
const newsMs = 200

let bench: Bench | null = null
let stopping = new AbortController()

const opened = (): Bench => {
  if (bench === null) throw new RangeError('rehearsed before a form was opened')
  return bench
}
const searching = () => {
  const { search } = opened()
  if (search === null) throw new RangeError('searched before there were hands')
  return search
}

/** Carries messages; the work is done by the core. */
const rehearsalWorker = {
  open(question: RehearsalQuestion): Result<RehearsalStage> {
    const fine = setStage(question.form, question.film)
    if (!fine.ok) return fine
    bench = { question, fine: fine.value, schools: new Map(), search: null }
    return done({ surface: fine.value.surface })
  },

  /** The hands of the workers at the other ends of some ports. */
  takeHands(ports: readonly MessagePort[]) {
    const now = opened()
    const { practice } = now.question
    now.search = searchBench(
      now.fine,
      { practice: orderPractice(practice), rehearsal: rehearsalOptions(practice) },
      ports.map((port) => wrap<TrialHand>(port)),
      now.schools,
    )
  },

  /** Lets the hands make what a search would begin with. */
  getReady: () => searching().getReady(),

  async bySchool(school: SchoolName): Promise<Result<ShownRehearsal>> {
    const { fine, question, schools, search } = opened()
    if (search !== null) return done(shown(fine, await search.school(school)))
    const order = orderBySchool(school, fine.form, fine.surface, orderPractice(question.practice))
    const rehearsal = rehearse(fine, order, rehearsalOptions(question.practice))
    schools.set(school, rehearsal)
    return done(shown(fine, rehearsal))
  },

  inOrder(order: LayOrder, pulls: PullsAllowed = 'warm'): Result<ShownRehearsal> {
    const { fine, question } = opened()
    return done(shown(fine, rehearse(fine, order, { ...rehearsalOptions(question.practice), pulls })))
  },

  /** Looks for a better order, in the hands that it has. */
  async search(wish: SearchWish, onNews: (news: SearchNews) => void) {
    const { fine } = opened()
    stopping = new AbortController()
    let told = Number.NEGATIVE_INFINITY
    const result = await searching().search(wish, {
      stop: stopping.signal,
      onNews({ share, tried, best }) {
        if (performance.now() - told < newsMs) return
        told = performance.now()
        onNews({ share, tried, best })
      },
    })
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
    stopping.abort()
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

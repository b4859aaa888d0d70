import type { PartQuestion, Today } from '@truelay/core/plan'
import type { AnyFailure } from '@truelay/core/result'
import type { FirstAnswer, WorkedAnswer } from '../workers/layWork.ts'
import { type OpenLayWorker, openLayWorker } from '../workers/openLayWorker.ts'

/** The first storey of a part, done; its worker knows it and is asked for the storeys above. */
export interface Laid {
  readonly key: string
  readonly first: FirstAnswer
  readonly worked: WorkedAnswer
  readonly worker: OpenLayWorker
}

/** How far the first storey of a part is. */
export type Lay =
  | { readonly phase: 'building' }
  | { readonly phase: 'working'; readonly first: FirstAnswer; readonly share: number }
  | { readonly phase: 'laid'; readonly laid: Laid }
  | { readonly phase: 'refused'; readonly first: FirstAnswer | null; readonly failure: AnyFailure }

type Follower = (lay: Lay) => void

/** A lay that is being worked out, for all who wait for it. */
interface UnderWay {
  lay: Lay
  readonly worker: OpenLayWorker
  readonly followers: Set<Follower>
  /** Nobody waits for it yet. */
  readonly ahead: Set<Follower>
}

/** Finished lays stay here while the app is open, newest last; the arrays are too big for the store. */
const kept: Laid[] = []
const mostKept = 8

const underWay = new Map<string, UnderWay>()

/** Two parts with the same key are laid the same. */
export const layKey = ({ lay }: Pick<PartQuestion, 'lay'>): string => JSON.stringify(lay)

/**
 * Tells how far a lay is, from now on until it is left: at once where it is known, otherwise as it is worked out. Whoever
 * waits goes first: what was begun ahead for nobody ends then. What nobody follows any more is ended.
 */
export function followLay(question: Pick<PartQuestion, 'lay'>, follower: Follower): () => void {
  const key = layKey(question)
  for (const [other, { followers }] of underWay) if (other !== key && followers.size === 0) end(other)
  return follow(key, question, follower, 'followers')
}

/** How long a lay that was begun ahead goes on when its screen was left: a part that was tapped asks for it in that time. */
const lingerMs = 1500

/** Works out a part that somebody will most probably ask for next, with the storeys above it, unless somebody waits for another one. */
export function layAhead(question: PartQuestion, today: Today): () => void {
  const key = layKey(question)
  if ([...underWay.keys()].some((other) => other !== key)) return () => {}
  const leave = follow(key, question, warmUp, 'ahead')
  return () => void setTimeout(leave, lingerMs)

  /** What is asked once is known or at least quicker the next time. */
  function warmUp(lay: Lay) {
    if (lay.phase !== 'laid') return
    void lay.laid.worker.place(question.place)
    void lay.laid.worker.plan(question.place, question.work, today)
  }
}

function follow(
  key: string,
  question: Pick<PartQuestion, 'lay'>,
  follower: Follower,
  as: 'followers' | 'ahead',
): () => void {
  const known = kept.find((laid) => laid.key === key)
  if (known !== undefined) {
    follower({ phase: 'laid', laid: known })
    return () => {}
  }
  const run = underWay.get(key) ?? begin(key, question)
  run[as].add(follower)
  follower(run.lay)
  return () => {
    run[as].delete(follower)
    if (run.followers.size + run.ahead.size === 0 && underWay.get(key) === run) end(key)
  }
}

function begin(key: string, { lay }: Pick<PartQuestion, 'lay'>): UnderWay {
  const worker = openLayWorker()
  const run: UnderWay = { lay: { phase: 'building' }, worker, followers: new Set(), ahead: new Set() }
  underWay.set(key, run)
  const tell = (news: Lay) => {
    if (underWay.get(key) !== run) return
    run.lay = news
    for (const follower of [...run.followers, ...run.ahead]) follower(news)
  }
  const refuse = (first: FirstAnswer | null, failure: AnyFailure) => {
    tell({ phase: 'refused', first, failure })
    if (underWay.get(key) === run) end(key)
  }
  void (async () => {
    const first = await worker.begin(lay)
    if (!first.ok) return refuse(null, first.failure)
    tell({ phase: 'working', first: first.value, share: 0 })
    const worked = await worker.finish((share) => tell({ phase: 'working', first: first.value, share }))
    if (!worked.ok) return refuse(first.value, worked.failure)
    if (underWay.get(key) !== run) return
    const laid = { key, first: first.value, worked: worked.value, worker }
    kept.push(laid)
    if (kept.length > mostKept) kept.shift()?.worker.close()
    tell({ phase: 'laid', laid })
    underWay.delete(key)
  })()
  return run
}

function end(key: string): void {
  underWay.get(key)?.worker.close()
  underWay.delete(key)
}

import type { LayOrder, PullsAllowed, SchoolName } from '@truelay/core/lay'
import { failure, type Result, refused } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { proxy, transfer, wrap } from 'comlink'
import type { RehearsalWorker } from './rehearsal.worker.ts'
import type { RehearsalQuestion, SearchNews, SearchWish } from './rehearsalWork.ts'
import type { TrialWorker } from './trial.worker.ts'
import { handsFor } from './handsFor.ts'
import { withProgress } from './withProgress.ts'

/**
 * A worker of its own for the rehearsals of one part, and further ones once an order is looked for. Closing it stops
 * whatever they do.
 */
export function openRehearsalWorker() {
  const workers: Worker[] = []
  let stop: (why: Result<never>) => void = () => {}
  const stopped = new Promise<Result<never>>((resolve) => {
    stop = resolve
  })
  const opened = (worker: Worker) => {
    worker.onerror = () => stop(refused(failure('WORKER_LOST', { work: say`rehearsal` })))
    workers.push(worker)
    return worker
  }
  const remote = wrap<RehearsalWorker>(
    opened(new Worker(new URL('./rehearsal.worker.ts', import.meta.url), { type: 'module' })),
  )
  const openHand = () =>
    wrap<TrialWorker>(opened(new Worker(new URL('./trial.worker.ts', import.meta.url), { type: 'module' })))
  let hands: ReturnType<typeof openHand>[] | null = null
  const giveHands = async () => {
    hands ??= Array.from({ length: handsFor(navigator.hardwareConcurrency) }, openHand)
    const ports = await Promise.all(
      hands.map(async (hand) => {
        const { port1, port2 } = new MessageChannel()
        await hand.serve(transfer(port1, [port1]))
        return port2
      }),
    )
    await remote.takeHands(transfer(ports, ports))
  }
  /** Hands for the part that is open, once they are wanted. */
  let given: Promise<void> | null = null
  const haveHands = () => {
    given ??= giveHands()
    return given
  }
  /** Asked for before the hands were there. */
  let stopSoon = false
  const search = async (wish: SearchWish, onNews: (news: SearchNews) => void) => {
    stopSoon = false
    await haveHands()
    if (stopSoon) return refused(failure('WORK_STOPPED', { work: say`search` }))
    return remote.search(wish, proxy(onNews))
  }
  const open = (question: RehearsalQuestion) => {
    given = null
    return remote.open(question)
  }
  return {
    open: (question: RehearsalQuestion) => Promise.race([open(question), stopped]),
    /** Lets the further workers make what a search would begin with, while the screen is looked at. */
    getReady: () => Promise.race([haveHands().then(() => remote.getReady()), stopped]),
    bySchool: (school: SchoolName) => Promise.race([remote.bySchool(school), stopped]),
    inOrder: (order: LayOrder, pulls?: PullsAllowed) => Promise.race([remote.inOrder(order, pulls), stopped]),
    search: (wish: SearchWish, onNews: (news: SearchNews) => void) =>
      withProgress(onNews, (news) => Promise.race([search(wish, news), stopped])),
    stopSearch() {
      stopSoon = true
      return remote.stop()
    },
    close() {
      for (const worker of workers) worker.terminate()
      stop(refused(failure('WORK_STOPPED', { work: say`rehearsal` })))
    },
  }
}

export type OpenRehearsalWorker = ReturnType<typeof openRehearsalWorker>

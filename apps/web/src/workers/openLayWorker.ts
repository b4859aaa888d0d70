import type { HeatUse } from '@truelay/core/plan'
import { failure, type Result, refused } from '@truelay/core/result'
import type { GrowthByEdge } from '@truelay/core/stock'
import { proxy, wrap } from 'comlink'
import type { LayWorker } from './lay.worker.ts'
import type { LayQuestion, Today } from './layWork.ts'
import { withProgress } from './withProgress.ts'

/**
 * A worker of its own for one part. Closing it stops whatever it does; calls under way then answer `WORK_STOPPED`,
 * since comlink would leave them waiting for ever.
 */
export function openLayWorker() {
  const worker = new Worker(new URL('./lay.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<LayWorker>(worker)
  let stop: (why: Result<never>) => void = () => {}
  const stopped = new Promise<Result<never>>((resolve) => {
    stop = resolve
  })
  worker.onerror = () => stop(refused(failure('WORKER_LOST', { work: 'lay' })))
  return {
    begin: (question: LayQuestion) => Promise.race([remote.begin(question), stopped]),
    finish: (today: Today, onProgress: (share: number) => void) =>
      withProgress(onProgress, (news) => Promise.race([remote.finish(today, proxy(news)), stopped])),
    enlarge: (question: LayQuestion, growth: GrowthByEdge) => Promise.race([remote.enlarge(question, growth), stopped]),
    dryCheck: (question: LayQuestion) => Promise.race([remote.dryCheck(question), stopped]),
    inOrder: (question: LayQuestion) => Promise.race([remote.inOrder(question), stopped]),
    cuts: (question: LayQuestion, limit: number, onProgress: (share: number) => void) =>
      withProgress(onProgress, (news) => Promise.race([remote.cuts(question, limit, proxy(news)), stopped])),
    replan: (today: Today) => Promise.race([remote.replan(today), stopped]),
    heatCourses: (uses: readonly HeatUse[], today: Today) => Promise.race([remote.heatCourses(uses, today), stopped]),
    close() {
      worker.terminate()
      stop(refused(failure('WORK_STOPPED', { work: 'lay' })))
    },
  }
}

export type OpenLayWorker = ReturnType<typeof openLayWorker>

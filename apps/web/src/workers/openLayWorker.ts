import type { CoveredPart, PlacedPiece } from '@truelay/core/align'
import type { LayInput } from '@truelay/core/lay'
import type { SweptUse, PartQuestion, PlaceInput, Today, WorkInput } from '@truelay/core/plan'
import { failure, type Result, refused } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import type { GrowthByEdge } from '@truelay/core/stock'
import { proxy, wrap } from 'comlink'
import { keptWorkers } from './keptWorkers.ts'
import type { LayWorker } from './lay.worker.ts'
import { withProgress } from './withProgress.ts'

const workers = keptWorkers(() => {
  const worker = new Worker(new URL('./lay.worker.ts', import.meta.url), { type: 'module' })
  return { worker, remote: wrap<LayWorker>(worker), end: () => worker.terminate() }
})

/** Has a worker loaded before a part is asked for. */
export const warmLayWorker = (): void => workers.warm()

/**
 * A worker of its own for one part. Closing it stops whatever it does; calls under way then answer `WORK_STOPPED`,
 * since comlink would leave them waiting for ever. One that has nothing to do is kept for the next part.
 */
export function openLayWorker() {
  const taken = workers.take()
  const { worker, remote } = taken
  let underWay = 0
  let lost = false
  let closed = false
  let stop: (why: Result<never>) => void = () => {}
  const stopped = new Promise<Result<never>>((resolve) => {
    stop = resolve
  })
  worker.onerror = () => {
    lost = true
    stop(refused(failure('WORKER_LOST', { work: say`lay` })))
  }
  const orStopped = <T>(ask: () => Promise<Result<T>>): Promise<Result<T>> => {
    if (closed) return stopped
    underWay++
    const answer = ask().finally(() => underWay--)
    return Promise.race([answer, stopped])
  }
  const opened = {
    begin: (input: LayInput) => orStopped(() => remote.begin(input)),
    finish: (onProgress: (share: number) => void) =>
      withProgress(onProgress, (news) => orStopped(() => remote.finish(proxy(news)))),
    place: (place: PlaceInput) => orStopped(() => remote.place(place)),
    plan: (place: PlaceInput, work: WorkInput, today: Today) => orStopped(() => remote.plan(place, work, today)),
    enlarge: (place: PlaceInput, growth: GrowthByEdge) => orStopped(() => remote.enlarge(place, growth)),
    holdUp: (place: PlaceInput, work: WorkInput) => orStopped(() => remote.holdUp(place, work)),
    inOrder: (input: LayInput, work: WorkInput) => orStopped(() => remote.inOrder(input, work)),
    /** Share of the part under film; unanswered once it is closed. */
    covered: (part: CoveredPart, piece: PlacedPiece) => remote.covered(part, piece),
    cuts: (input: LayInput, limit: number, onProgress: (share: number) => void) =>
      withProgress(onProgress, (news) => orStopped(() => remote.cuts(input, limit, proxy(news)))),
    heatCourses: (uses: readonly SweptUse[], work: WorkInput, today: Today) =>
      orStopped(() => remote.heatCourses(uses, work, today)),
    /** The first storey whole, where nobody watches it grow. */
    async lay({ lay }: Pick<PartQuestion, 'lay'>) {
      const first = await opened.begin(lay)
      return first.ok ? opened.finish(() => {}) : first
    },
    close() {
      if (closed) return
      closed = true
      if (underWay > 0 || lost) taken.end()
      else workers.giveBack(taken)
      stop(refused(failure('WORK_STOPPED', { work: say`lay` })))
    },
  }
  return opened
}

export type OpenLayWorker = ReturnType<typeof openLayWorker>

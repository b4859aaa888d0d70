import type { LayOrder, PullsAllowed, SchoolName } from '@truelay/core/lay'
import { failure, type Result, refused } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { proxy, wrap } from 'comlink'
import type { RehearsalWorker } from './rehearsal.worker.ts'
import type { RehearsalQuestion, SearchNews } from './rehearsalWork.ts'
import { withProgress } from './withProgress.ts'

/** A worker of its own for the rehearsals of one part. Closing it stops whatever it does. */
export function openRehearsalWorker() {
  const worker = new Worker(new URL('./rehearsal.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<RehearsalWorker>(worker)
  let stop: (why: Result<never>) => void = () => {}
  const stopped = new Promise<Result<never>>((resolve) => {
    stop = resolve
  })
  worker.onerror = () => stop(refused(failure('WORKER_LOST', { work: say`rehearsal` })))
  return {
    open: (question: RehearsalQuestion) => Promise.race([remote.open(question), stopped]),
    bySchool: (school: SchoolName) => Promise.race([remote.bySchool(school), stopped]),
    inOrder: (order: LayOrder, pulls?: PullsAllowed) => Promise.race([remote.inOrder(order, pulls), stopped]),
    search: (tries: number, onNews: (news: SearchNews) => void) =>
      withProgress(onNews, (news) => Promise.race([remote.search(tries, proxy(news)), stopped])),
    stopSearch: () => remote.stop(),
    close() {
      worker.terminate()
      stop(refused(failure('WORK_STOPPED', { work: say`rehearsal` })))
    },
  }
}

export type OpenRehearsalWorker = ReturnType<typeof openRehearsalWorker>

import type { Nested, NestFailure, NestRequest, NestResult } from '@truelay/core/nest'
import { type AnyFailure, failure, type Result, refused } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { proxy, wrap } from 'comlink'
import type { NestWorker } from './nest.worker.ts'
import { withProgress } from './withProgress.ts'

/** Searches that begin differently, side by side; the shortest layout of any is taken. */
const seeds = [1, 2] as const

type Layout = Result<Nested, NestFailure | AnyFailure>

/** Looks for a layout on the roll. Stopped, it answers with the best so far. */
export function openNestWorkers(request: NestRequest, seconds: number, onBetter: (nested: Nested) => void) {
  let best: Nested | null = null
  const better = (nested: Nested) => {
    if (best !== null && nested.usedLengthMm >= best.usedLengthMm) return
    best = nested
    onBetter(nested)
  }
  const workers = seeds.map((seed) => ({
    seed,
    worker: new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' }),
  }))
  let end: (answer: Layout) => void = () => {}
  const ended = new Promise<Layout>((resolve) => {
    end = resolve
  })
  const close = () => {
    for (const { worker } of workers) worker.terminate()
    end(best === null ? refused(failure('WORK_STOPPED', { work: say`layout` })) : { ok: true, value: best })
  }
  const searches = workers.map(async ({ seed, worker }) => {
    worker.onerror = () => end(refused(failure('WORKER_LOST', { work: say`layout` })))
    const remote = wrap<NestWorker>(worker)
    const answer = await withProgress<Nested, NestResult<Nested>>(
      better,
      (news) => remote.nest(request, { seed, seconds }, proxy(news)) as Promise<NestResult<Nested>>,
    )
    // What is wrong with the question is wrong for all of them.
    if (!answer.ok) end(answer)
    else better(answer.value)
  })
  void Promise.all(searches).then(close, close)
  return { answer: ended, stop: close }
}

/** How many of each piece go on the film that is left. */
export async function askWhatFits(request: NestRequest): Promise<Record<string, number>> {
  const worker = new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await wrap<NestWorker>(worker).whatFits(request)
  } finally {
    worker.terminate()
  }
}

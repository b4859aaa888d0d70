import type { AnyFailure } from '@truelay/core/result'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { FirstAnswer, FullAnswer, LayQuestion, Today } from './layWork.ts'
import { type OpenLayWorker, openLayWorker } from './openLayWorker.ts'

/** A lay run: what is known so far. */
export type LayRun =
  | { readonly phase: 'building' }
  | { readonly phase: 'working'; readonly first: FirstAnswer; readonly share: number }
  | { readonly phase: 'laid'; readonly first: FirstAnswer; readonly full: FullAnswer }
  | { readonly phase: 'refused'; readonly first: FirstAnswer | null; readonly failure: AnyFailure }

interface Kept {
  readonly key: string
  readonly run: Extract<LayRun, { phase: 'laid' }>
  readonly worker: OpenLayWorker
}

/** Finished lays stay here while the app is open, newest last; the arrays are too big for the store. */
const kept: Kept[] = []
const mostKept = 8

/** Works out a part in a worker of its own; asking for the same part again is answered at once. */
export function useLayRun(
  question: LayQuestion | null,
  today: Today,
): {
  run: LayRun
  worker: OpenLayWorker | null
  /** Asks once more after a refusal or a stop. */
  again: () => void
} {
  const [attempt, setAttempt] = useState(0)
  const key = question === null ? null : JSON.stringify(question)
  const [state, setState] = useState<{ key: string; run: LayRun; worker: OpenLayWorker | null } | null>(null)
  const todayAtStart = useRef(today)
  todayAtStart.current = today

  // biome-ignore lint/correctness/useExhaustiveDependencies: a new attempt is a new run of the same question
  useEffect(() => {
    if (question === null || key === null) return
    const known = kept.find((k) => k.key === key)
    if (known) {
      setState({ key, run: known.run, worker: known.worker })
      return
    }
    const worker = openLayWorker()
    let current = true
    const show = (run: LayRun) => {
      if (current) setState({ key, run, worker })
    }
    let keepWorker = false
    void (async () => {
      const first = await worker.begin(question)
      if (!first.ok) return show({ phase: 'refused', first: null, failure: first.failure })
      show({ phase: 'working', first: first.value, share: 0 })
      const full = await worker.finish(todayAtStart.current, (share) =>
        show({ phase: 'working', first: first.value, share }),
      )
      if (!full.ok) return show({ phase: 'refused', first: first.value, failure: full.failure })
      const run = { phase: 'laid', first: first.value, full: full.value } as const
      if (!current) return
      keepWorker = true
      kept.push({ key, run, worker })
      if (kept.length > mostKept) kept.shift()?.worker.close()
      show(run)
    })()
    return () => {
      current = false
      if (!keepWorker) worker.close()
    }
  }, [question, key, attempt])

  const again = useCallback(() => {
    setState(null)
    setAttempt((before) => before + 1)
  }, [])
  const current = state !== null && state.key === key ? state : { run: { phase: 'building' as const }, worker: null }
  return { run: current.run, worker: current.worker, again }
}

import type { AnyFailure } from '@truelay/core/result'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { DryAnswer } from '../../workers/dryCheckWork.ts'
import type { LayQuestion } from '../../workers/layWork.ts'
import { type OpenLayWorker, openLayWorker } from '../../workers/openLayWorker.ts'

export type DryState =
  | { readonly phase: 'working' }
  | { readonly phase: 'known'; readonly answer: DryAnswer }
  | { readonly phase: 'refused'; readonly failure: AnyFailure }

/** Dry checks by part, worked out one after the other in one worker. */
export function useDryCheck() {
  const worker = useRef<OpenLayWorker | null>(null)
  const queue = useRef<Promise<unknown>>(Promise.resolve())
  const [states, setStates] = useState<Readonly<Record<string, DryState>>>({})
  useEffect(
    () => () => {
      worker.current?.close()
      worker.current = null
    },
    [],
  )
  const check = useCallback((question: LayQuestion) => {
    const set = (state: DryState) => setStates((before) => ({ ...before, [question.partId]: state }))
    set({ phase: 'working' })
    queue.current = queue.current.then(async () => {
      worker.current ??= openLayWorker()
      const result = await worker.current.dryCheck(question)
      set(result.ok ? { phase: 'known', answer: result.value } : { phase: 'refused', failure: result.failure })
    })
  }, [])
  return { states, check }
}

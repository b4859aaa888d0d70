import type { HeldUp, PartQuestion } from '@truelay/core/plan'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { Answer } from '../../workers/answer.ts'
import { type OpenLayWorker, openLayWorker } from '../../workers/openLayWorker.ts'

/** Dry checks by a key of what was checked, worked out one after the other in one worker. */
export function useDryCheck() {
  const worker = useRef<OpenLayWorker | null>(null)
  const queue = useRef<Promise<unknown>>(Promise.resolve())
  const [states, setStates] = useState<Readonly<Record<string, Answer<HeldUp>>>>({})
  useEffect(
    () => () => {
      worker.current?.close()
      worker.current = null
    },
    [],
  )
  const check = useCallback((key: string, question: PartQuestion) => {
    const set = (state: Answer<HeldUp>) => setStates((before) => ({ ...before, [key]: state }))
    set({ phase: 'asked' })
    queue.current = queue.current.then(async () => {
      worker.current ??= openLayWorker()
      const laid = await worker.current.lay(question)
      const result = laid.ok ? await worker.current.holdUp(question.place, question.work) : laid
      set(result.ok ? { phase: 'known', value: result.value } : { phase: 'refused', failure: result.failure })
    })
  }, [])
  return { states, check }
}

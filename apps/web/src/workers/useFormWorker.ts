import type { FormDoc } from '@truelay/core/form'
import type { AnyFailure } from '@truelay/core/result'
import { type Remote, wrap } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { FormWorker } from './form.worker.ts'
import type { FormAnswer } from './formWork.ts'

const openWorker = () => {
  const worker = new Worker(new URL('./form.worker.ts', import.meta.url), { type: 'module' })
  return { worker, remote: wrap<FormWorker>(worker) }
}

/** A worker for forms that lives as long as the screen. */
export function useFormWorker(): () => Remote<FormWorker> {
  const opened = useRef<ReturnType<typeof openWorker> | null>(null)
  useEffect(
    () => () => {
      opened.current?.worker.terminate()
      opened.current = null
    },
    [],
  )
  return () => {
    opened.current ??= openWorker()
    return opened.current.remote
  }
}

export interface LiveForm {
  /** The last form that could be built; it stays while a new one is worked out or refused. */
  readonly answer: FormAnswer | null
  /** Why the form that was worked out last could not be built. */
  readonly failure: AnyFailure | null
  /** The form of which `answer` or `failure` tells; an older one while the newest is worked out. */
  readonly of: FormDoc | null
}

const pauseMs = 120

/** The form built anew after every change, one build at a time and always the newest. */
export function useLiveForm(form: FormDoc, enoughMm: number, worker: () => Remote<FormWorker>): LiveForm {
  const [live, setLive] = useState<LiveForm>({ answer: null, failure: null, of: null })
  const newest = useRef(form)
  const busy = useRef(false)
  const open = useRef(worker)
  const enough = useRef(enoughMm)
  enough.current = enoughMm
  open.current = worker
  useEffect(() => {
    newest.current = form
    const build = async () => {
      if (busy.current) return
      busy.current = true
      try {
        for (let built: FormDoc | null = null; built !== newest.current; ) {
          built = newest.current
          const result = await open.current().build(built, enough.current)
          const of = built
          setLive((before) =>
            result.ok
              ? { answer: result.value, failure: null, of }
              : { answer: before.answer, failure: result.failure, of },
          )
        }
      } finally {
        busy.current = false
      }
    }
    const timer = setTimeout(() => void build(), pauseMs)
    return () => clearTimeout(timer)
  }, [form])
  return live
}

import { layoutByHand, type Nested, type NestFailure, type NestPlacement, type NestRequest } from '@truelay/core/nest'
import type { AnyFailure } from '@truelay/core/result'
import { useCallback, useEffect, useRef, useState } from 'react'
import { keepLayout, keptLayout } from './keptLayouts.ts'
import { openNestWorkers } from '../../workers/openNestWorkers.ts'

export interface LayoutState {
  readonly searching: boolean
  /** The best so far, or what was made of it by hand. */
  readonly nested: Nested | null
  readonly failure: NestFailure | AnyFailure | null
}

const nothing: LayoutState = { searching: false, nested: null, failure: null }

/** A layout for what is asked: the one that was kept for it, else looked for anew with every change of it; null asks for nothing. */
export function useLayout(
  request: NestRequest | null,
  seconds: number,
  open: typeof openNestWorkers = openNestWorkers,
) {
  const [state, setState] = useState<LayoutState>(nothing)
  const [round, setRound] = useState(0)
  const stop = useRef(() => {})
  const asked = JSON.stringify([request, seconds, round])
  useEffect(() => {
    const [wanted, patience, round] = JSON.parse(asked) as [NestRequest | null, number, number]
    if (wanted === null) {
      setState(nothing)
      return
    }
    const question = JSON.stringify(wanted)
    const before = round === 0 ? keptLayout(question) : null
    if (before !== null) {
      setState({ searching: false, nested: before, failure: null })
      return
    }
    let current = true
    setState({ searching: true, nested: null, failure: null })
    // Several look at once: what one of them still tells after the answer was given does not begin it anew.
    let answered = false
    const search = open(wanted, patience, (nested) => {
      if (current && !answered) setState({ searching: true, nested, failure: null })
    })
    stop.current = search.stop
    void search.answer.then((answer) => {
      answered = true
      if (!current) return
      if (answer.ok) keepLayout(question, answer.value)
      setState(
        answer.ok
          ? { searching: false, nested: answer.value, failure: null }
          : { searching: false, nested: null, failure: answer.failure },
      )
    })
    return () => {
      current = false
      search.stop()
    }
  }, [asked, open])
  return {
    ...state,
    stop: useCallback(() => stop.current(), []),
    again: useCallback(() => setRound((n) => n + 1), []),
    /** Takes over a layout that was changed by hand. */
    byHand: useCallback(
      (placements: readonly NestPlacement[]) => {
        if (request === null) return
        const nested = layoutByHand(request, placements)
        keepLayout(JSON.stringify(request), nested)
        setState({ searching: false, nested, failure: null })
      },
      [request],
    ),
  }
}

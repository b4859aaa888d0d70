import type { PartPlan, PartQuestion, Today } from '@truelay/core/plan'
import type { AnyFailure, Result } from '@truelay/core/result'
import { useCallback, useEffect, useMemo, useState } from 'react'
import type { FirstAnswer, ShownPlacement, WorkedAnswer } from '../workers/layWork.ts'
import type { OpenLayWorker } from '../workers/openLayWorker.ts'
import { followLay, type Laid, type Lay } from './lays.ts'

/** Everything that is known of a laid part: each storey for itself. */
export interface FullAnswer extends WorkedAnswer {
  readonly placement: ShownPlacement
  /** For the piece as it lies now, in the air of now; the last one stays until the new one is there. */
  readonly plan: PartPlan
  /** Why the plan could not be worked out again; the last one still stands. */
  readonly stale: AnyFailure | null
}

/** A lay run: what is known so far. */
export type LayRun =
  | { readonly phase: 'building' }
  | { readonly phase: 'working'; readonly first: FirstAnswer; readonly share: number }
  | { readonly phase: 'laid'; readonly first: FirstAnswer; readonly full: FullAnswer }
  | { readonly phase: 'refused'; readonly first: FirstAnswer | null; readonly failure: AnyFailure }

/** A value is serialised when it is another one, not whenever something is drawn. */
const useKey = (value: unknown): string => useMemo(() => JSON.stringify(value ?? null), [value])

/**
 * Works out a part storey by storey, in a worker of its own. Each storey is asked again only when what it hangs on is different: film is laid
 * for another form, film or order; the piece is placed for another pattern or rule; the rest is a plan.
 */
export function useLayRun(
  question: PartQuestion | null,
  today: Today,
): {
  run: LayRun
  worker: OpenLayWorker | null
  /** Asks once more after a refusal or a stop. */
  again: () => void
} {
  const { lay, again } = useLay(question)
  const laid = lay.phase === 'laid' ? lay.laid : null
  const placement = usePlacement(laid, question)
  const plan = usePlan(laid, placement, question, today)
  const run = useMemo((): LayRun => {
    if (lay.phase !== 'laid') return lay
    const { first, worked } = lay.laid
    const refusal = refusalOf(placement) ?? (plan.last === null ? plan.refusal : null)
    if (refusal !== null) return { phase: 'refused', first, failure: refusal }
    if (placement?.result.ok !== true || plan.last === null) return { phase: 'working', first, share: 1 }
    const full = { ...worked, placement: placement.result.value, plan: plan.last, stale: plan.refusal }
    return { phase: 'laid', first, full }
  }, [lay, placement, plan])
  return { run, worker: laid?.worker ?? null, again }
}

function useLay(question: PartQuestion | null): { readonly lay: Lay; readonly again: () => void } {
  const [attempt, setAttempt] = useState(0)
  const key = useKey(question?.lay)
  const [state, setState] = useState<{ readonly key: string; readonly lay: Lay } | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what has the same key is the same lay; a new attempt is a new run of it
  useEffect(() => {
    if (question === null) return
    return followLay(question, (lay) => setState({ key, lay }))
  }, [key, attempt])
  const again = useCallback(() => {
    setState(null)
    setAttempt((before) => before + 1)
  }, [])
  return { lay: state !== null && state.key === key ? state.lay : { phase: 'building' }, again }
}

interface Placement {
  readonly laid: Laid
  readonly key: string
  readonly result: Result<ShownPlacement>
}

const refusalOf = (placement: Placement | null) =>
  placement === null || placement.result.ok ? null : placement.result.failure

function usePlacement(laid: Laid | null, question: PartQuestion | null): Placement | null {
  const key = useKey(question?.place)
  const [placement, setPlacement] = useState<Placement | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what has the same key is the same placing
  useEffect(() => {
    if (laid === null || question === null) return
    let current = true
    void laid.worker.place(question.place).then((result) => {
      if (current) setPlacement({ laid, key, result })
    })
    return () => {
      current = false
    }
  }, [laid, key])
  return placement !== null && placement.laid === laid ? placement : null
}

interface Planned {
  readonly last: PartPlan | null
  readonly refusal: AnyFailure | null
}
const unplanned: Planned = { last: null, refusal: null }
const calmMs = 250

function usePlan(laid: Laid | null, placement: Placement | null, question: PartQuestion | null, today: Today): Planned {
  const workKey = useKey(question?.work)
  const [state, setState] = useState<{ readonly laid: Laid; readonly planned: Planned } | null>(null)
  const known = state !== null && state.laid === laid ? state.planned : unplanned
  const first = known.last === null
  // biome-ignore lint/correctness/useExhaustiveDependencies: what has the same key is the same work
  useEffect(() => {
    if (laid === null || placement?.result.ok !== true || question === null) return
    let current = true
    const { place, work } = question
    const ask = () =>
      void laid.worker.plan(place, work, today).then((result) => {
        if (!current) return
        setState((before) => {
          const last = before?.laid === laid ? before.planned.last : null
          const planned = result.ok ? { last: result.value, refusal: null } : { last, refusal: result.failure }
          return { laid, planned }
        })
      })
    // The first plan is wanted at once; later ones when the piece comes to rest.
    const timer = setTimeout(ask, first ? 0 : calmMs)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [laid, placement, workKey, today])
  return known
}

import type { PartPlan, PlanStep } from '@truelay/core/plan'
import type { AnyFailure } from '@truelay/core/result'
import { useEffect, useMemo, useState } from 'react'
import type { FilmProgress } from '../../drawings/FilmOnForm.tsx'
import type { LayQuestion, OrderAnswer } from '../../workers/layWork.ts'
import { openLayWorker } from '../../workers/openLayWorker.ts'

/** The part's order of laying, played up to the step that the sheet shows. */
export type PlayedOrder =
  | { readonly phase: 'rehearsing' }
  | { readonly phase: 'refused'; readonly failure: AnyFailure }
  | { readonly phase: 'played'; readonly answer: OrderAnswer; readonly progress: FilmProgress }

/** Rehearses the order when it is first wanted, in a worker that ends with the answer. */
export function usePlayedOrder(question: LayQuestion, plan: PartPlan, index: number, wanted: boolean): PlayedOrder {
  const [known, setKnown] = useState<{ readonly question: LayQuestion; readonly answer: OrderAnswer } | null>(null)
  const [failure, setFailure] = useState<AnyFailure | null>(null)
  const asking = wanted && known?.question !== question
  useEffect(() => {
    if (!asking) return
    const worker = openLayWorker()
    let current = true
    void worker.inOrder(question).then((result) => {
      worker.close()
      if (!current) return
      if (result.ok) setKnown({ question, answer: result.value })
      else setFailure(result.failure)
    })
    return () => {
      current = false
      worker.close()
    }
  }, [asking, question])
  const answer = known?.question === question ? known.answer : null
  const step = answer === null ? 0 : laidAt(plan.steps, index, answer.rehearsal.steps.length)
  return useMemo((): PlayedOrder => {
    if (answer === null) return failure === null ? { phase: 'rehearsing' } : { phase: 'refused', failure }
    const { rehearsal, fingers } = answer
    const front = rehearsal.steps[step - 1]?.front ?? []
    return { phase: 'played', answer, progress: { stepOfVertex: rehearsal.stepOfVertex, step, front, fingers } }
  }, [answer, failure, step])
}

/** How many steps of the rehearsal are done when a step of the plan is. */
export function laidAt(steps: readonly PlanStep[], index: number, rehearsed: number): number {
  const firstLaid = steps.findIndex((s) => s.phase === 'lay')
  if (index < firstLaid) return 0
  let done = 0
  for (const step of steps.slice(0, index + 1)) {
    const anchor = /^anchor-(\d+)$/.exec(step.id)
    if (anchor !== null) done = Math.max(done, Number(anchor[1]))
    else if (step.laidUpTo !== undefined) done = Math.max(done, step.laidUpTo)
    else if (/-pass$|^release$|^lay-outward$/.test(step.id) || step.phase === 'edges') done = rehearsed
  }
  return Math.min(done, rehearsed)
}

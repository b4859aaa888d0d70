import type { OrderOnPart } from '@truelay/core/lay'
import type { PartPlan, PartQuestion, PlanStep } from '@truelay/core/plan'
import { useEffect, useMemo, useState } from 'react'
import type { FilmProgress } from '../../drawings/FilmOnForm.tsx'
import { type Answer, asked } from '../../workers/answer.ts'
import { openLayWorker } from '../../workers/openLayWorker.ts'

/** The part's order of laying, played up to the step that the sheet shows. */
export type PlayedOrder = Answer<{ readonly order: OrderOnPart; readonly progress: FilmProgress }>

/** Rehearses the order when it is first wanted, in a worker that ends with the answer. */
export function usePlayedOrder(question: PartQuestion, plan: PartPlan, index: number, wanted: boolean): PlayedOrder {
  const [state, setState] = useState<{ readonly question: PartQuestion; readonly answer: Answer<OrderOnPart> } | null>(
    null,
  )
  const asking = wanted && state?.question !== question
  useEffect(() => {
    if (!asking) return
    const worker = openLayWorker()
    let current = true
    void worker.inOrder(question.lay, question.work).then((result) => {
      worker.close()
      if (!current) return
      const answer = result.ok
        ? ({ phase: 'known', value: result.value } as const)
        : ({ phase: 'refused', failure: result.failure } as const)
      setState({ question, answer })
    })
    return () => {
      current = false
      worker.close()
    }
  }, [asking, question])
  const answer = state?.question === question ? state.answer : asked
  const step = answer.phase === 'known' ? laidAt(plan.steps, index, answer.value.rehearsal.steps.length) : 0
  return useMemo((): PlayedOrder => {
    if (answer.phase !== 'known') return answer
    const { rehearsal, fingers } = answer.value
    const front = rehearsal.steps[step - 1]?.front ?? []
    const progress = { stepOfVertex: rehearsal.stepOfVertex, step, front, fingers }
    return { phase: 'known', value: { order: answer.value, progress } }
  }, [answer, step])
}

/** How many steps of the rehearsal are done when a step of the plan is. */
export function laidAt(steps: readonly PlanStep[], index: number, rehearsed: number): number {
  const done = steps.slice(0, index + 1).flatMap(({ laidUpTo, phase }) => {
    if (laidUpTo === 'all' || phase === 'edges') return [rehearsed]
    return laidUpTo === undefined ? [] : [laidUpTo]
  })
  return Math.min(rehearsed, Math.max(0, ...done))
}

import type { PartPlan } from '@truelay/core/plan'
import { useEffect, useState } from 'react'
import type { Today } from '../../workers/layWork.ts'
import type { OpenLayWorker } from '../../workers/openLayWorker.ts'

const calmMs = 250

/** The plan for the piece as it lies now, in the air of now; the last one stays until the new one is there. */
export function useReplanned(before: PartPlan, worker: OpenLayWorker | null, today: Today): PartPlan
export function useReplanned(before: PartPlan | null, worker: OpenLayWorker | null, today: Today): PartPlan | null
export function useReplanned(before: PartPlan | null, worker: OpenLayWorker | null, today: Today): PartPlan | null {
  const [plan, setPlan] = useState<PartPlan | null>(null)
  const known = before !== null
  useEffect(() => {
    if (worker === null || !known) return
    let current = true
    const timer = setTimeout(() => {
      void worker.replan(today).then((result) => {
        if (current && result.ok) setPlan(result.value)
      })
    }, calmMs)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [worker, today, known])
  return plan?.partId === before?.partId ? (plan ?? before) : before
}

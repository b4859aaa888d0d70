import type { HeatCourseOfUse, PlannedHeat, Today, WorkInput } from '@truelay/core/plan'
import { useEffect, useState } from 'react'
import { type Answer, asked } from '../../workers/answer.ts'
import type { OpenLayWorker } from '../../workers/openLayWorker.ts'

/** What the surface does over time in each use of heat of a plan; asked again when the gun or the air changes. */
export function useHeatCourses(
  worker: OpenLayWorker,
  heat: readonly PlannedHeat[],
  work: WorkInput,
  today: Today,
): Answer<readonly HeatCourseOfUse[]> {
  const [courses, setCourses] = useState<Answer<readonly HeatCourseOfUse[]>>(asked)
  const uses = heat.map((h) => h.use).join()
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same uses are the same question
  useEffect(() => {
    if (heat.length === 0) return
    let current = true
    void worker
      .heatCourses(
        heat.map(({ use, swept }) => ({ use, swept })),
        work,
        today,
      )
      .then((result) => {
        if (!current) return
        setCourses(result.ok ? { phase: 'known', value: result.value } : { phase: 'refused', failure: result.failure })
      })
    return () => {
      current = false
    }
  }, [worker, uses, work, today])
  return courses
}

import type { HeatCourseOfUse, PlannedHeat } from '@truelay/core/plan'
import { useEffect, useState } from 'react'
import type { Today } from '../../workers/layWork.ts'
import type { OpenLayWorker } from '../../workers/openLayWorker.ts'

/** What the surface does over time in each use of heat of a plan; asked again when the gun or the air changes. */
export function useHeatCourses(
  worker: OpenLayWorker | null,
  ready: boolean,
  heat: readonly PlannedHeat[],
  today: Today,
): readonly HeatCourseOfUse[] {
  const [courses, setCourses] = useState<readonly HeatCourseOfUse[]>([])
  const uses = heat.map((h) => h.use).join()
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same uses are the same question
  useEffect(() => {
    if (worker === null || !ready || heat.length === 0) return
    let current = true
    void worker
      .heatCourses(
        heat.map((h) => h.use),
        today,
      )
      .then((result) => {
        if (current && result.ok) setCourses(result.value)
      })
    return () => {
      current = false
    }
  }, [worker, ready, uses, today])
  return courses
}

import { useWords } from '../../ui/words.ts'
import type { HeatCourseOfUse } from '@truelay/core/plan'
import { typedIn } from '../../ui/typedIn.ts'
import { temperature } from '@truelay/core/say'
import { lazy, Suspense, useMemo } from 'react'
import { Busy } from '../../ui/Failed.tsx'
import { useUnits } from '../../ui/units.ts'

const LineCourse = lazy(async () => ({ default: (await import('../../drawings/LineCourse.tsx')).LineCourse }))

/** Cooling is shown for about as long as the heating, and a little. */
const coolingShown = 1.6

/** Surface temperature over time: the passes, then cooling; the band that it should come into, and where damage begins. */
export function SurfaceCourse({ course }: { readonly course: HeatCourseOfUse | null }) {
  const t = useWords()
  const units = useUnits()
  const chart = useMemo(() => {
    if (course === null) return null
    const { shown, unit } = typedIn(units, '°C', 0)
    const untilS = course.passesEndS * (1 + coolingShown)
    const points = (values: readonly number[]) =>
      course.timesS.flatMap((s, i) => (s > untilS ? [] : [[s, shown(values[i] ?? 0)] as const]))
    return {
      lines: [
        { name: t`surface`, points: points(course.surfaceC), color: '--orange' },
        { name: t`under the film`, points: points(course.underC), color: '--petrol', dashed: true },
      ],
      band: {
        from: shown(course.leastC),
        to: shown(course.mostC),
        text: t`${temperature(course.leastC)} to ${temperature(course.mostC)}`,
      },
      levels: [{ at: shown(course.damageC), text: t`damage from ${temperature(course.damageC)}`, color: '--stop' }],
      moments: [{ at: course.passesEndS, text: t`last pass` }],
      range: [shown(0), shown(Math.max(course.damageC + 10, Math.max(...course.surfaceC) + 5))] as const,
      unit,
    }
  }, [course, units, t])
  return (
    <section aria-label={t`Temperature over time`} className="min-h-0 border-t border-hair px-3 pt-1">
      {chart === null ? (
        <Busy text={t`Working out the temperatures`} />
      ) : (
        <Suspense fallback={<Busy text={t`Drawing`} />}>
          <LineCourse
            label={t`Temperature of the surface over time, with the band that it should come into`}
            lines={chart.lines}
            band={chart.band}
            levels={chart.levels}
            moments={chart.moments}
            yRange={chart.range}
            xName={t`seconds (solid: surface; dashed: under the film)`}
            yName={chart.unit}
          />
        </Suspense>
      )}
    </section>
  )
}

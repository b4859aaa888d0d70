import type { HeatCourseOfUse } from '@truelay/core/plan'
import { fahrenheitFromC, showTemperature } from '@truelay/core/units'
import { lazy, Suspense, useMemo } from 'react'
import { Busy } from '../../ui/Failed.tsx'
import { useUnits } from '../../ui/units.ts'

const LineCourse = lazy(async () => ({ default: (await import('../../drawings/LineCourse.tsx')).LineCourse }))

/** Cooling is shown for about as long as the heating, and a little. */
const coolingShown = 1.6

/** Surface temperature over time: the passes, then cooling; the band that it should come into, and where damage begins. */
export function SurfaceCourse({ course }: { readonly course: HeatCourseOfUse | null }) {
  const units = useUnits()
  const chart = useMemo(() => {
    if (course === null) return null
    const shown = (c: number) => (units.temperature === 'C' ? c : fahrenheitFromC(c))
    const untilS = course.passesEndS * (1 + coolingShown)
    const points = (values: readonly number[]) =>
      course.timesS.flatMap((t, i) => (t > untilS ? [] : [[t, shown(values[i] ?? 0)] as const]))
    const text = (c: number) => {
      const { figure, unit } = showTemperature(c, units.temperature)
      return `${figure} ${unit}`
    }
    return {
      lines: [
        { name: 'surface', points: points(course.surfaceC), color: '--orange' },
        { name: 'under the film', points: points(course.underC), color: '--petrol', dashed: true },
      ],
      band: {
        from: shown(course.leastC),
        to: shown(course.mostC),
        text: `${text(course.leastC)} to ${text(course.mostC)}`,
      },
      levels: [{ at: shown(course.damageC), text: `damage from ${text(course.damageC)}`, color: '--stop' }],
      moments: [{ at: course.passesEndS, text: 'last pass' }],
      range: [shown(0), shown(Math.max(course.damageC + 10, Math.max(...course.surfaceC) + 5))] as const,
      unit: units.temperature === 'C' ? '°C' : '°F',
    }
  }, [course, units.temperature])
  return (
    <section aria-label="Temperature over time" className="min-h-0 border-t border-hair px-3 pt-1">
      {chart === null ? (
        <Busy text="Working out the temperatures" />
      ) : (
        <Suspense fallback={<Busy text="Drawing" />}>
          <LineCourse
            label="Temperature of the surface over time, with the band that it should come into"
            lines={chart.lines}
            band={chart.band}
            levels={chart.levels}
            moments={chart.moments}
            yRange={chart.range}
            xName="seconds (solid: surface; dashed: under the film)"
            yName={chart.unit}
          />
        </Suspense>
      )}
    </section>
  )
}

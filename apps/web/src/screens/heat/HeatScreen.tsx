import { useWords } from '../../ui/words.ts'
import { useState } from 'react'
import type { HeatUse } from '@truelay/core/plan'
import { Failed } from '../../ui/Failed.tsx'
import { useLaidPart } from '../laySheet/LaidFrame.tsx'
import { HeatOnThePart } from './HeatOnThePart.tsx'
import { HeatUses } from './HeatUses.tsx'
import { SurfaceCourse } from './SurfaceCourse.tsx'
import { useHeatCourses } from './useHeatCourses.ts'

/** How this part is heated: where, how to hold the gun, and what the surface then does. */
export function HeatScreen() {
  const t = useWords()
  const { bundle, question, today, first, full, worker } = useLaidPart()
  const { heat } = full.plan
  const [chosen, setChosen] = useState<HeatUse | null>(null)
  const shown = heat.find((h) => h.use === chosen) ?? heat[0] ?? null
  const courses = useHeatCourses(worker, heat, question.work, today)
  if (shown === null)
    return (
      <p className="p-6 text-lead">{t`This part takes no heat: its lens is damaged, or nothing in it has to be warmed.`}</p>
    )
  return (
    <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_26.875rem]">
      <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[18.75rem_17.5rem] lg:grid-rows-[minmax(0,1fr)_16.875rem]">
        <HeatOnThePart surface={first.surface} form={question.lay.form} heat={shown} />
        {courses.phase === 'refused' ? (
          <Failed sentence={courses.failure.sentence} fix={courses.failure.fix} />
        ) : (
          <SurfaceCourse
            course={courses.phase === 'asked' ? null : (courses.value.find((c) => c.use === shown.use) ?? null)}
          />
        )}
      </div>
      <HeatUses
        heat={heat}
        shown={shown}
        gun={today.gun}
        gunId={bundle.shop.guns[0]?.id ?? null}
        film={question.work.film}
        onShow={setChosen}
      />
    </div>
  )
}

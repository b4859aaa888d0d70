import { useWords } from '../../ui/words.ts'
import { useMemo, useState } from 'react'
import type { HeatUse } from '@truelay/core/plan'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { PartTabs } from '../job/PartTabs.tsx'
import { SheetViews } from '../laySheet/SheetViews.tsx'
import { useLaidPart } from '../laySheet/useLaidPart.ts'
import { HeatOnThePart } from './HeatOnThePart.tsx'
import { HeatUses } from './HeatUses.tsx'
import { SurfaceCourse } from './SurfaceCourse.tsx'
import { useHeatCourses } from './useHeatCourses.ts'

/** How this part is heated: where, how to hold the gun, and what the surface then does. */
export function HeatScreen() {
  const t = useWords()
  const { bundle, part, question, today, run, worker } = useLaidPart()
  const plan = run.phase === 'laid' ? run.full.plan : null
  const [chosen, setChosen] = useState<HeatUse | null>(null)
  const heat = useMemo(() => plan?.heat ?? [], [plan])
  const shown = heat.find((h) => h.use === chosen) ?? heat[0] ?? null
  const courses = useHeatCourses(worker, heat, question?.work ?? null, today)
  return (
    <>
      <PartTabs bundle={bundle} stage="lay-sheets">
        <SheetViews jobId={bundle.job.id} partId={part.id} />
      </PartTabs>
      {question === null ? (
        <NotMeasured part={part} />
      ) : run.phase === 'refused' ? (
        <Failed sentence={run.failure.sentence} fix={run.failure.fix} />
      ) : run.phase !== 'laid' || plan === null ? (
        <Busy text={t`Laying the film, then working out the heat`} />
      ) : shown === null ? (
        <p className="p-6 text-[20px]">{t`This part takes no heat: its lens is damaged, or nothing in it has to be warmed.`}</p>
      ) : (
        <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_430px]">
          <div className="grid min-h-0 min-w-0 grid-rows-[300px_280px] lg:grid-rows-[minmax(0,1fr)_270px]">
            <HeatOnThePart surface={run.first.surface} form={question.lay.form} heat={shown} />
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
      )}
    </>
  )
}

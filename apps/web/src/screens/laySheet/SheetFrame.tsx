import type { JobBundle, Part } from '@truelay/contract'
import { isTint, type PartQuestion } from '@truelay/core/plan'
import { Outlet, useOutletContext } from 'react-router'
import { usePartQuestion } from '../../bench/usePartQuestion.ts'
import { useWords } from '../../ui/words.ts'
import { useJobContext } from '../job/JobFrame.tsx'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { PartTabs } from '../job/PartTabs.tsx'
import { SheetViews } from './SheetViews.tsx'

interface Sheet {
  readonly bundle: JobBundle
  readonly part: Part
  /** What the storeys of the part are asked. */
  readonly question: PartQuestion
}

export const useSheet = () => useOutletContext<Sheet>()

/** Film that takes light lies on a lens. */
export const isTintedLamp = ({ lay, work }: PartQuestion): boolean =>
  lay.form.material === 'lens plastic' && isTint(work.film, work.practice)

/** The head of every view of a part's lay sheet; a part that nobody has measured says where to mend that. */
export function SheetFrame() {
  const { bundle, part } = useJobContext()
  const question = usePartQuestion(bundle, part)
  const t = useWords()
  const { number, vehicle } = bundle.job
  return (
    <>
      <p className="hidden px-4 pb-2 text-lead font-bold print:block">{t`Job ${number}, ${vehicle.plate}: ${vehicle.model}, ${part.name}`}</p>
      <PartTabs bundle={bundle} stage="lay-sheets">
        <SheetViews jobId={bundle.job.id} partId={part.id} light={question !== null && isTintedLamp(question)} />
      </PartTabs>
      {question === null || !question.work.measured ? (
        <NotMeasured part={part} />
      ) : (
        <Outlet context={{ bundle, part, question } satisfies Sheet} />
      )}
    </>
  )
}

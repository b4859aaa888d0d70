import { useWords } from '../../ui/words.ts'
import { useEffect } from 'react'
import { pieceTakenUp } from '../../bench/shiftSlice.ts'
import { useAppDispatch } from '../../store/store.ts'
import { Button } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { PartTabs } from '../job/PartTabs.tsx'
import { LaidSheet } from './LaidSheet.tsx'
import { SheetViews } from './SheetViews.tsx'
import { OnThePart } from './OnThePart.tsx'
import { useLaidPart } from './useLaidPart.ts'

/** How one part will lie, before its liner is peeled. */
export function LaySheetScreen() {
  const t = useWords()
  const { bundle, part, question, shift, run, again } = useLaidPart()
  const dispatch = useAppDispatch()
  useEffect(() => {
    dispatch(pieceTakenUp({ partId: part.id, shift: part.shift }))
  }, [dispatch, part.id, part.shift])

  return (
    <>
      <PartTabs bundle={bundle} stage="lay-sheets">
        <SheetViews jobId={bundle.job.id} partId={part.id} />
      </PartTabs>
      {question === null ? (
        <NotMeasured part={part} />
      ) : run.phase === 'building' ? (
        <Busy text={t`Building the form and laying the film on it`} />
      ) : run.phase === 'refused' ? (
        <Failed sentence={run.failure.sentence} fix={run.failure.fix}>
          <Button look="go" onClick={again}>{t`Work it out again`}</Button>
        </Failed>
      ) : run.phase === 'working' ? (
        <div className="grid h-[700px] flex-1 grid-rows-1 lg:h-auto lg:min-h-0 lg:grid-cols-[1fr_316px]">
          <OnThePart
            first={run.first}
            full={null}
            form={question.lay.form}
            mode="natural"
            onMode={() => {}}
            pointed={null}
            onPoint={() => {}}
          />
          <div className="border-l border-hair bg-paper p-5">
            <p role="status" className="label text-[17px] text-quiet">
              {t`Working out what hands and heat can do`}
              <progress className="mt-2 block h-2 w-full accent-[var(--petrol)]" value={run.share} max={1} />
            </p>
          </div>
        </div>
      ) : (
        <LaidSheet
          key={part.id}
          bundle={bundle}
          part={part}
          question={question}
          first={run.first}
          full={run.full}
          shift={shift}
        />
      )}
    </>
  )
}

import type { JobBundle, Part, Shift } from '@truelay/contract'
import type { PartQuestion, Today } from '@truelay/core/plan'
import { useEffect } from 'react'
import { Outlet, useOutletContext } from 'react-router'
import { pieceTakenUp } from '../../bench/shiftSlice.ts'
import { useShift } from '../../bench/useShift.ts'
import { type FullAnswer, useLayRun } from '../../bench/useLayRun.ts'
import { useToday } from '../../bench/useToday.ts'
import { useAppDispatch } from '../../store/store.ts'
import { Button } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { useWords } from '../../ui/words.ts'
import type { FirstAnswer } from '../../workers/layWork.ts'
import type { OpenLayWorker } from '../../workers/openLayWorker.ts'
import { OnThePart } from './OnThePart.tsx'
import { useSheet } from './SheetFrame.tsx'

interface LaidPart {
  readonly bundle: JobBundle
  readonly part: Part
  readonly question: PartQuestion
  readonly shift: Shift
  readonly today: Today
  readonly first: FirstAnswer
  readonly full: FullAnswer
  readonly worker: OpenLayWorker
}

/** A part laid for the piece as it is wanted now, in the air of now: what the lay, its heat and its edges begin with. */
export const useLaidPart = () => useOutletContext<LaidPart>()

/** Works the part out once for all its views, and shows how far that is. */
export function LaidFrame() {
  const t = useWords()
  const { bundle, part, question } = useSheet()
  const shift = useShift(part)
  const today = useToday(bundle, shift)
  const { run, worker, again } = useLayRun(question, today)
  const dispatch = useAppDispatch()
  useEffect(() => {
    dispatch(pieceTakenUp({ partId: part.id, shift: part.shift }))
  }, [dispatch, part.id, part.shift])

  if (run.phase === 'building') return <Busy text={t`Building the form and laying the film on it`} />
  if (run.phase === 'refused')
    return (
      <Failed sentence={run.failure.sentence} fix={run.failure.fix}>
        <Button look="go" onClick={again}>{t`Work it out again`}</Button>
      </Failed>
    )
  if (run.phase === 'working' || worker === null)
    return <Working first={run.first} share={run.phase === 'working' ? run.share : 1} question={question} />
  const { first, full } = run
  return <Outlet context={{ bundle, part, question, shift, today, first, full, worker } satisfies LaidPart} />
}

/** The film as it lies down by itself, which is known first. */
function Working({
  first,
  share,
  question,
}: {
  readonly first: FirstAnswer
  readonly share: number
  readonly question: PartQuestion
}) {
  const t = useWords()
  return (
    <div className="grid h-[43.75rem] flex-1 grid-rows-1 lg:h-auto lg:min-h-0 lg:grid-cols-[1fr_19.75rem]">
      <OnThePart
        first={first}
        full={null}
        form={question.lay.form}
        mode="natural"
        onMode={() => {}}
        pointed={null}
        onPoint={() => {}}
      />
      <div className="border-l border-hair bg-paper p-5">
        <p role="status" className="label text-body text-quiet">
          {t`Working out what hands and heat can do`}
          <progress className="mt-2 block h-2 w-full" value={share} max={1} />
        </p>
      </div>
    </div>
  )
}

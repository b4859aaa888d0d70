import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { type JobBundle, type Part, partPlan, sayProblem } from '@truelay/contract'
import { say, counted } from '@truelay/core/say'
import { keepShown } from '@truelay/words'
import { useState } from 'react'
import type { ShownFailure } from '../../remote/failureOf.ts'
import { Link } from 'react-router'
import { useShift } from '../../bench/useShift.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { useLayRun } from '../../bench/useLayRun.ts'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { usePartQuestion } from '../../bench/usePartQuestion.ts'
import { useToday } from '../../bench/useToday.ts'
import { useNow } from '../../ui/useNow.ts'
import { StartOfVisit } from './StartOfVisit.tsx'
import { Remembered } from './Remembered.tsx'
import { SetStrip } from './SetStrip.tsx'
import type { Happened } from './useFit.ts'
import { useSet } from './useSet.ts'

interface FitStartProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly happened: Happened
}

const notKept = say`The plan cannot be kept as it is. Go back to the lay sheet and look whether something in it is out of the ordinary.`

/** Before the first step: the plan is worked out for the piece as it lies, and kept with the fit from then on. */
export function FitStart(props: FitStartProps) {
  return props.part.visitOf === undefined ? (
    <StartOfFit {...props} />
  ) : (
    <StartOfVisit {...props} of={props.part.visitOf} />
  )
}

function StartOfFit({ bundle, part, happened }: FitStartProps) {
  const t = useWords()
  const question = usePartQuestion(bundle, part)
  const today = useToday(bundle, useShift(part))
  const { run, worker } = useLayRun(question, today)
  const now = useNow(5000)
  const set = useSet(bundle, part, now)
  const [refusal, setRefusal] = useState<ShownFailure | null>(null)
  if (question === null) return <NotMeasured part={part} />
  if (run.phase === 'refused') return <Failed sentence={run.failure.sentence} fix={run.failure.fix} />
  if (run.phase !== 'laid' || worker === null) return <Busy text={t`Working out the steps`} />
  const { plan } = run.full
  const first = plan.steps[0]
  const start = async () => {
    const result = await worker.plan(question.place, question.work, today)
    if (!result.ok) return setRefusal(result.failure)
    const whole = partPlan.safeParse(keepShown(result.value, t))
    if (whole.success) happened({ kind: 'fitStarted', plan: whole.data })
    else setRefusal({ sentence: sayProblem(whole.error).sentence, fix: notKept })
  }
  return (
    <main className="flex h-full flex-col bg-chalk">
      {set === null ? null : <SetStrip bundle={bundle} set={set} now={now} />}
      <div className="flex-1 overflow-auto p-7">
        <p className="text-lead text-quiet">
          {bundle.job.vehicle.model}, {bundle.job.vehicle.plate}
        </p>
        <Title look="far">{part.name}</Title>
        <p className="mt-2 text-title">{t`${counted(plan.steps.length, '# step', '# steps')}, about ${counted(Math.round(plan.minutes), '# minute', '# minutes')} with the waits. ${plan.film.name}.`}</p>
        {plan.notes.map(({ because, says }) => (
          <p
            key={t(because)}
            className="mt-3 max-w-4xl border-l-8 border-amber bg-amber-tint px-4 py-2 text-lead leading-snug"
          >
            {t(says)}
          </p>
        ))}
        <Remembered bundle={bundle} part={part} plan={plan} />
        {refusal === null ? null : <Failed sentence={refusal.sentence} fix={refusal.fix} />}
        <ol className="mt-6 columns-1 gap-8 text-lead md:columns-2 xl:columns-3">
          {plan.steps.map((step) => (
            <li key={step.id} className="mb-1.5 break-inside-avoid">
              {t(step.headline)}
            </li>
          ))}
        </ol>
      </div>
      <div className="grid grid-cols-[1fr_auto]">
        <button type="button" onClick={() => void start()} className="min-h-36 bg-petrol px-9 text-left text-on-petrol">
          <span className="block text-figure font-bold leading-tight">{t`Start`}</span>
          <span className="label text-lead">{t`first: ${first?.headline}`}</span>
        </button>
        <Link
          to={`/jobs/${bundle.job.id}/lay-sheets/${part.id}`}
          className="label-strong flex min-w-52 items-center justify-center bg-bench px-6 text-head"
        >{t`Lay sheet`}</Link>
      </div>
    </main>
  )
}

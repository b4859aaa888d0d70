import { type JobBundle, type Part, partPlan } from '@truelay/contract'
import { Link } from 'react-router'
import { useAppSelector } from '../../store/store.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { useLayRun } from '../../workers/useLayRun.ts'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { useLayQuestion } from '../laySheet/useLayQuestion.ts'
import { useReplanned } from '../today/useReplanned.ts'
import { useToday } from '../today/useToday.ts'
import type { Happened } from './useFit.ts'

interface FitStartProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly happened: Happened
}

/** Before the first step: the plan is worked out for the piece as it lies, and kept with the fit from then on. */
export function FitStart({ bundle, part, happened }: FitStartProps) {
  const question = useLayQuestion(bundle, part)
  const moved = useAppSelector((state) => state.shift[part.id]?.now)
  const shift = moved ?? part.shift
  const today = useToday(bundle, shift)
  const { run, worker } = useLayRun(question, today)
  const known = run.phase === 'laid' ? run.full.plan : null
  const plan = useReplanned(known, worker, today)
  if (question === null) return <NotMeasured part={part} />
  if (run.phase === 'refused') return <Failed sentence={run.failure.sentence} fix={run.failure.fix} />
  if (plan === null) return <Busy text="Working out the steps" />
  const first = plan.steps[0]
  const start = () => {
    void worker?.replan(today).then((result) => {
      if (result.ok) happened({ kind: 'fitStarted', plan: partPlan.parse(result.value) })
    })
  }
  return (
    <main className="flex h-full flex-col bg-chalk">
      <div className="flex-1 overflow-auto p-7">
        <p className="text-[20px] text-quiet">
          {bundle.job.vehicle.model}, {bundle.job.vehicle.plate}
        </p>
        <h1 className="text-[52px] font-bold leading-tight">{part.name}</h1>
        <p className="mt-2 text-[26px]">
          {plan.steps.length} steps, about {Math.round(plan.minutes)} minutes with the waits. {plan.film.name}.
        </p>
        <ol className="mt-6 max-w-3xl columns-1 text-[20px] md:columns-2">
          {plan.steps.map((step) => (
            <li key={step.id} className="mb-1.5 break-inside-avoid">
              {step.headline}
            </li>
          ))}
        </ol>
      </div>
      <div className="grid grid-cols-[1fr_auto]">
        <button type="button" onClick={start} className="min-h-36 bg-petrol px-9 text-left text-on-petrol">
          <span className="block text-[44px] font-bold leading-tight">Start</span>
          <span className="label text-[20px]">first: {first?.headline}</span>
        </button>
        <Link
          to={`/jobs/${bundle.job.id}/lay-sheets/${part.id}`}
          className="label-strong flex min-w-52 items-center justify-center bg-bench px-6 text-[22px]"
        >
          Lay sheet
        </Link>
      </div>
    </main>
  )
}

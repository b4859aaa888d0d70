import {
  type JobBundle,
  type Part,
  type PartId,
  partPlan,
  type Visit,
  visitOf,
  visitWithoutLog,
} from '@truelay/contract'
import { faultWords } from '@truelay/core/judge'
import { atStart, say } from '@truelay/core/say'
import { Link } from 'react-router'
import { keepShown } from '@truelay/words'
import { useLayRun } from '../../bench/useLayRun.ts'
import { usePartQuestion } from '../../bench/usePartQuestion.ts'
import { useShift } from '../../bench/useShift.ts'
import { useToday } from '../../bench/useToday.ts'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { failureOf } from '../../remote/failureOf.ts'
import { dayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { type Happened, type NewFitEvent, useFit } from './useFit.ts'

interface StartOfVisitProps {
  readonly bundle: JobBundle
  readonly part: Part
  /** The part that was laid. */
  readonly of: PartId
  readonly happened: Happened
}

/** Before a come-back visit: when it was laid, what was left open, and what is looked at now. */
export function StartOfVisit(props: StartOfVisitProps) {
  const { bundle, part, of } = props
  const t = useWords()
  const { fit, error } = useFit(of, bundle.job.personId)
  if (fit === null)
    return error === undefined ? <Busy text={t`Opening what was laid`} /> : <Failed {...failureOf(error)} />
  const { state } = fit
  if (state.phase === 'not begun') return <WithoutLog {...props} />
  if (state.phase === 'fitting')
    return (
      <Failed
        sentence={say`What this visit comes back to is not finished.`}
        fix={say`Finish it in its own job first.`}
      />
    )
  const laidAt = state.done.at(-1)?.at ?? state.startedAt
  return <Begins {...props} visit={visitOf(part.id, state)} laid={t`Laid on ${dayText(laidAt)}`} />
}

/** It went out before there was a log of it: its plan is worked out anew. */
function WithoutLog(props: StartOfVisitProps) {
  const { bundle, part } = props
  const t = useWords()
  const question = usePartQuestion(bundle, part)
  const { run } = useLayRun(question, useToday(bundle, useShift(part)))
  if (question === null) return <NotMeasured part={part} />
  if (run.phase === 'refused') return <Failed sentence={run.failure.sentence} fix={run.failure.fix} />
  if (run.phase !== 'laid') return <Busy text={t`Working out the steps`} />
  return (
    <Begins {...props} visit={visitWithoutLog(part.id, run.full.plan)} laid={t`Laid before there was a log of it`} />
  )
}

interface BeginsProps extends StartOfVisitProps {
  readonly visit: Visit
  /** When it was laid. */
  readonly laid: string
}

function Begins({ bundle, part, of, happened, visit: { plan, open }, laid }: BeginsProps) {
  const t = useWords()
  const [first] = plan.steps
  const start = () => {
    const again = open.map(
      ({ problem, place, onPart, answers, cause }): NewFitEvent => ({
        kind: 'problemSeen',
        id: crypto.randomUUID(),
        stepId: first?.id ?? '',
        problem,
        place,
        comeBack: true,
        when: 'now',
        ...(onPart === undefined ? {} : { onPart }),
        ...(answers === undefined ? {} : { answers }),
        ...(cause === undefined ? {} : { cause }),
      }),
    )
    happened({ kind: 'fitStarted', plan: partPlan.parse(keepShown(plan, t)) }, ...again)
  }
  return (
    <main className="flex h-full flex-col bg-chalk">
      <div className="flex-1 overflow-auto p-7">
        <p className="text-lead text-quiet">
          {bundle.job.vehicle.model}, {bundle.job.vehicle.plate}
        </p>
        <Title look="far">{t`${part.name}: come-back visit`}</Title>
        <p className="mt-2 text-title">{t`${laid}, ${plan.film.name}. About ${Math.round(plan.minutes)} minutes.`}</p>
        {open.length === 0 ? (
          <p className="mt-4 text-head">{t`Nothing was left open. Its edges are walked once more.`}</p>
        ) : (
          <section aria-label={t`Left open`} className="mt-4 max-w-4xl border-l-8 border-amber bg-amber-tint px-4 py-3">
            <h2 className="label-strong text-lead text-amber-ink">{t`Left open`}</h2>
            <ul className="text-head font-bold">
              {open.map((problem) => (
                <li key={problem.id}>{t`${atStart(faultWords(problem.problem))}, ${problem.place}`}</li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <div className="grid grid-cols-[1fr_auto]">
        <button type="button" onClick={start} className="min-h-36 bg-petrol px-9 text-left text-on-petrol">
          <span className="block text-figure font-bold leading-tight">{t`Start`}</span>
          <span className="label text-lead">{t`first: ${first?.headline}`}</span>
        </button>
        <Link
          to={`/jobs/${bundle.job.visitOf ?? bundle.job.id}/record/${of}`}
          className="label-strong flex min-w-52 items-center justify-center bg-bench px-6 text-head"
        >{t`How it was laid`}</Link>
      </div>
    </main>
  )
}

import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { type JobBundle, openProblems, type Part, type Problem, spoilWords, standing } from '@truelay/contract'
import { comeBackWords, type FaultOutcome, faultOutcomeWords, faultWords, spoils } from '@truelay/core/judge'
import { say, type Sentence, counted } from '@truelay/core/say'
import { Check } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { useAir } from '../../bench/useAir.ts'
import { seenEvents } from './wrong/seenEvents.ts'
import { SomethingWrong } from './wrong/SomethingWrong.tsx'
import { useNow } from '../../ui/useNow.ts'
import { countText } from '../../ui/clockText.ts'
import type { Fitting } from './fitting.ts'
import { SetStrip } from './SetStrip.tsx'
import type { Happened } from './useFit.ts'
import { useSet } from './useSet.ts'

interface FitFinishedProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly state: Fitting
  readonly happened: Happened
}

/** What became of it, or when it is come back to. */
function becomes({ problem, when, at }: Problem, outcome: FaultOutcome | undefined, state: Fitting): Sentence {
  if (outcome !== undefined) return faultOutcomeWords(outcome)
  const piece = standing(state, 'spoilSettled').find((s) => s.at >= at && (spoils(problem) || s.from !== undefined))
  if (piece !== undefined) return spoils(problem) ? spoilWords(piece) : say`gone with the piece`
  return when === undefined ? say`come back to it` : comeBackWords[when]
}

/** After the last step. */
export function FitFinished({ bundle, part, state, happened }: FitFinishedProps) {
  const t = useWords()
  const problems = standing(state, 'problemSeen')
  const outcomeOf = new Map(standing(state, 'problemSettled').map((event) => [event.problemId, event.outcome]))
  const open = openProblems(state)
  const [again, setAgain] = useState<Problem | null>(null)
  const air = useAir(bundle.job)
  const lastStep = state.plan.steps.at(-1)
  const settled = standing(state, 'spoilSettled').at(-1)
  const aftercare = state.plan.steps.find((step) => step.tells === 'aftercare')
  const last = state.done[state.done.length - 1]
  const tookMs = new Date(last?.at ?? state.startedAt).getTime() - new Date(state.startedAt).getTime()
  const now = useNow(5000)
  const set = useSet(bundle, part, now)
  const ofSet = (set?.due[0] ?? set?.meanwhile ?? set?.next)?.part
  const next = ofSet ?? bundle.parts[bundle.parts.findIndex((p) => p.id === part.id) + 1]
  return (
    <main className="flex h-full flex-col bg-chalk">
      {set === null ? null : <SetStrip bundle={bundle} set={set} now={now} />}
      <div className="flex-1 p-7">
        <p className="text-lead text-quiet">
          {bundle.job.vehicle.model}, {bundle.job.vehicle.plate}
        </p>
        <Title look="far">
          {settled?.outcome === 'laid again' && settled.from === undefined
            ? t`${part.name} is to be laid again`
            : t`${part.name} is done`}
        </Title>
        <p className="mt-2 text-title">{t`${counted(state.done.length, '# step', '# steps')} in ${countText(tookMs)}. ${open.length === 0 ? t`Nothing stands on the come-back list.` : t`${open.length} on the come-back list.`}`}</p>
        {problems.length === 0 ? null : (
          <ul className="mt-4 text-head">
            {problems.map((p) => (
              <li key={p.id} className="flex flex-wrap items-center gap-x-3">
                <span>
                  {outcomeOf.has(p.id) ? (
                    <Check size={26} aria-hidden="true" className="mr-2 inline text-good" />
                  ) : null}
                  <strong>{t(faultWords(p.problem))}</strong>, {p.place}
                  <span className="text-quiet">{t`: ${becomes(p, outcomeOf.get(p.id), state)}`}</span>
                </span>
                {open.includes(p) && !spoils(p.problem) ? (
                  <button
                    type="button"
                    onClick={() => setAgain(p)}
                    className="label-strong min-h-14 border border-ink/50 bg-paper px-5 text-lead hover:border-petrol"
                  >{t`Come back to it now`}</button>
                ) : null}
              </li>
            ))}
          </ul>
        )}
        <p className="mt-6 max-w-3xl border-l-5 border-petrol pl-4 text-head leading-snug">
          {aftercare === undefined ? null : t(aftercare.detail)}
        </p>
      </div>
      <div className="grid h-40 grid-cols-[1fr_auto_auto]">
        <Link
          to={`/jobs/${bundle.job.id}/record/${part.id}`}
          className="flex items-center bg-petrol px-9 text-figure font-bold text-on-petrol"
        >{t`Record`}</Link>
        {next === undefined ? (
          <Link
            to="/"
            className="label-strong flex min-w-48 items-center justify-center bg-petrol-tint px-6 text-head"
          >{t`To the bay`}</Link>
        ) : (
          <Link
            to={`/jobs/${bundle.job.id}/${ofSet === undefined && next.visitOf === undefined ? 'lay-sheets' : 'fit'}/${next.id}`}
            className="label-strong flex min-w-48 items-center justify-center bg-petrol-tint px-6 text-head"
          >{t`Next: ${next.name}`}</Link>
        )}
        <button
          type="button"
          onClick={() => last && happened({ kind: 'stepReopened', stepId: last.stepId })}
          className="label-strong min-w-48 bg-bench px-6 text-head"
        >{t`Back one step`}</button>
      </div>
      {lastStep === undefined ? null : (
        <SomethingWrong
          open={again !== null}
          bundle={bundle}
          part={part}
          state={state}
          step={lastStep}
          air={air}
          again={again}
          onClose={() => setAgain(null)}
          onNoted={(seen, becoming) => {
            happened(...seenEvents(state, lastStep.id, again, seen, becoming))
            setAgain(null)
          }}
        />
      )}
    </main>
  )
}

import type { JobBundle, Part } from '@truelay/contract'
import { Link } from 'react-router'
import { countText } from '../../ui/clockText.ts'
import type { Fitting } from './fitting.ts'
import type { Happened } from './useFit.ts'

interface FitFinishedProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly state: Fitting
  readonly happened: Happened
}

/** After the last step. */
export function FitFinished({ bundle, part, state, happened }: FitFinishedProps) {
  const last = state.done[state.done.length - 1]
  const tookMs = new Date(last?.at ?? state.startedAt).getTime() - new Date(state.startedAt).getTime()
  const next = bundle.parts[bundle.parts.findIndex((p) => p.id === part.id) + 1]
  return (
    <main className="flex h-full flex-col bg-chalk">
      <div className="flex-1 p-7">
        <p className="text-[20px] text-quiet">
          {bundle.job.vehicle.model}, {bundle.job.vehicle.plate}
        </p>
        <h1 className="text-[52px] font-bold leading-tight">{part.name} is done</h1>
        <p className="mt-2 text-[26px]">
          {state.done.length} steps in {countText(tookMs)}.{' '}
          {state.problems.length === 0
            ? 'Nothing stands on the come-back list.'
            : `${state.problems.length} on the come-back list.`}
        </p>
        {state.problems.length === 0 ? null : (
          <ul className="mt-4 text-[24px]">
            {state.problems.map((p) => (
              <li key={p.id}>
                <strong>{p.problem}</strong>, {p.place}
              </li>
            ))}
          </ul>
        )}
        <p className="mt-6 max-w-3xl border-l-[5px] border-petrol pl-4 text-[24px] leading-snug">
          {state.plan.steps[state.plan.steps.length - 1]?.detail}
        </p>
      </div>
      <div className="grid h-40 grid-cols-[1fr_auto_auto]">
        <Link
          to={`/jobs/${bundle.job.id}/record/${part.id}`}
          className="flex items-center bg-petrol px-9 text-[44px] font-bold text-on-petrol"
        >
          Record
        </Link>
        {next === undefined ? (
          <Link
            to="/"
            className="label-strong flex min-w-48 items-center justify-center bg-petrol-tint px-6 text-[22px]"
          >
            To the bay
          </Link>
        ) : (
          <Link
            to={`/jobs/${bundle.job.id}/lay-sheets/${next.id}`}
            className="label-strong flex min-w-48 items-center justify-center bg-petrol-tint px-6 text-[22px]"
          >
            Next: {next.name}
          </Link>
        )}
        <button
          type="button"
          onClick={() => last && happened({ kind: 'stepReopened', stepId: last.stepId })}
          className="label-strong min-w-48 bg-bench px-6 text-[22px]"
        >
          Back one step
        </button>
      </div>
    </main>
  )
}

import { useWords } from '../../ui/words.ts'
import { inHandWords, type PlanStep } from '@truelay/core/plan'
import { countText } from '../../ui/clockText.ts'
import type { Fitting } from './fitting.ts'

interface ClocksProps {
  readonly state: Fitting
  readonly now: Date
  readonly step: PlanStep
  readonly waiting: boolean
}

/** What runs: how long the film stays wet, how long the part takes, and what should be in hand. */
export function Clocks({ state, now, step, waiting }: ClocksProps) {
  const t = useWords()
  const inHand = inHandWords(step)
  const last = state.done[state.done.length - 1]
  const since = now.getTime() - new Date(last?.at ?? state.startedAt).getTime()
  const dryIn = step.driesInMinutes === undefined || waiting ? null : step.driesInMinutes * 60_000 - since
  return (
    <dl className="grid shrink-0 grid-cols-[auto_auto_1fr] divide-x divide-hair border-t border-hair bg-paper">
      {dryIn === null ? null : (
        <div className="min-w-52 px-6 py-2.5">
          <dt className="label-strong text-body text-quiet">
            {dryIn > 0 ? t`film dries here in` : t`wet it again now`}
          </dt>
          <dd className={`text-figure font-bold leading-none ${dryIn < 120_000 ? 'text-amber' : ''}`}>
            {countText(dryIn)}
          </dd>
        </div>
      )}
      <div className="min-w-52 px-6 py-2.5">
        <dt className="label-strong text-body text-quiet">{t`on this part`}</dt>
        <dd className="text-figure font-bold leading-none">
          {countText(now.getTime() - new Date(state.startedAt).getTime())}
        </dd>
      </div>
      <div className="px-6 py-2.5">
        <dt className="label-strong text-body text-quiet">
          {step.people > 1 ? t`${step.people} people; in your hand` : t`in your hand`}
        </dt>
        <dd className="text-head font-bold leading-tight">
          {waiting ? t`nothing` : inHand.length === 0 ? t`nothing` : inHand.map((thing) => t(thing)).join(', ')}
        </dd>
      </div>
    </dl>
  )
}

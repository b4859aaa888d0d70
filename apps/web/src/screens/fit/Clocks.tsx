import { useWords } from '../../ui/words.ts'
import { inHandWords, type PlanStep } from '@truelay/core/plan'
import { tightestLimit, wettedAt } from '@truelay/contract'
import { countText } from '../../ui/clockText.ts'
import type { Fitting } from './fitting.ts'

interface ClocksProps {
  readonly state: Fitting
  readonly now: Date
  readonly step: PlanStep
  readonly waiting: boolean
  readonly onWetted: () => void
}

/** A greatest wait is shown when it is this near, and warned of in its last quarter. */
const shownBeforeMs = 15 * 60_000
const warnShareMs = 0.25 * 60_000

/** What runs: how long the film stays wet, how long the part takes, and what should be in hand. */
export function Clocks({ state, now, step, waiting, onWetted }: ClocksProps) {
  const t = useWords()
  const inHand = inHandWords(step)
  const dryIn =
    step.driesInMinutes === undefined || waiting
      ? null
      : step.driesInMinutes * 60_000 - (now.getTime() - wettedAt(state, step, now).getTime())
  const limit = waiting ? null : tightestLimit(state, step)
  const limitLeft = limit === null ? null : limit.over.getTime() - now.getTime()
  return (
    <dl className="flex shrink-0 divide-x divide-hair border-t border-hair bg-paper max-sm:flex-wrap">
      {dryIn === null ? null : (
        <div className="min-w-52 px-6 py-2.5 max-sm:min-w-0 max-sm:px-4 max-sm:py-1.5">
          <dt className="label-strong text-body text-quiet">
            {dryIn > 0 ? t`film dries here in` : t`wet it again now`}
          </dt>
          <dd className="flex items-center gap-5">
            <span className={`text-figure font-bold leading-none ${dryIn < 120_000 ? 'text-amber' : ''}`}>
              {countText(dryIn)}
            </span>
            {step.wets === true ? null : (
              <button
                type="button"
                onClick={onWetted}
                className="label-strong -my-2 min-h-12 border border-ink/50 bg-paper px-4 text-lead hover:border-petrol"
              >{t`wetted again`}</button>
            )}
          </dd>
        </div>
      )}
      {limit === null || limitLeft === null || limitLeft > shownBeforeMs ? null : (
        <div className="max-w-110 px-6 py-2.5">
          <dt className={`label-strong text-body ${limitLeft > 0 ? 'text-quiet' : 'text-amber'}`}>
            {limitLeft > 0 ? t`at the latest in` : t`too late: ${limit.limit.says}`}
          </dt>
          <dd
            className={`text-figure font-bold leading-none ${limitLeft < limit.limit.mostMinutes * warnShareMs ? 'text-amber' : ''}`}
          >
            {limitLeft > 0 ? countText(limitLeft) : t`${countText(-limitLeft)} over`}
          </dd>
        </div>
      )}
      <div className="min-w-52 px-6 py-2.5 max-sm:min-w-0 max-sm:px-4 max-sm:py-1.5">
        <dt className="label-strong text-body text-quiet">{t`on this part`}</dt>
        <dd className="text-figure font-bold leading-none">
          {countText(now.getTime() - new Date(state.startedAt).getTime())}
        </dd>
      </div>
      <div className="flex-1 px-6 py-2.5 max-sm:px-4 max-sm:py-1.5">
        <dt className="label-strong text-body text-quiet">
          {step.people > 1 ? t`${step.people} people; in your hand` : t`in your hand`}
        </dt>
        <dd className="text-head font-bold leading-tight max-sm:text-body">
          {waiting ? t`nothing` : inHand.length === 0 ? t`nothing` : inHand.map((thing) => t(thing)).join(', ')}
        </dd>
      </div>
    </dl>
  )
}

import { ingredientWords, strengthWords } from '@truelay/core/mix'
import type { PlannedBatch } from '@truelay/core/plan'
import { count, list, say, volume } from '@truelay/core/say'
import type { ReactNode } from 'react'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import type { StandIn } from './useStandIns.ts'
import type { Together } from './useTogether.ts'

interface BatchListProps {
  readonly batches: readonly PlannedBatch[]
  /** Bottles of the shop that may stand in, by use. */
  readonly standIns?: ReadonlyMap<string, StandIn> | undefined
  /** Bottles that would do for other parts of the vehicle too. */
  readonly together?: Together | null | undefined
}

/** What to pour, in the order of pouring, big; or the bottle that is there already. */
export function BatchList({ batches, standIns, together }: BatchListProps) {
  const t = useWords()
  const mixed = batches.some(({ use }) => standIns?.get(use)?.taken !== true)
  return (
    <div className="mt-3 grid gap-3">
      {together == null || !mixed ? null : <ForOthersToo together={together} />}
      {batches.map((batch) => (
        <section key={batch.use} aria-label={t(batch.says)}>
          <h3 className="label-strong border-b border-ink/40 text-head">
            {t(batch.says)}, <Quantity of={volume(batch.batchMl)} />{' '}
            <span className="text-quiet">{t(strengthWords(batch.strength))}</span>
          </h3>
          <StandInBottle standIn={standIns?.get(batch.use)} />
          <ol className={`grid gap-x-6 lg:grid-cols-2 ${standIns?.get(batch.use)?.taken === true ? 'opacity-50' : ''}`}>
            {batch.add.map((addition) => (
              <li
                key={addition.what}
                className="flex items-baseline justify-between border-b border-hair py-1 text-head"
              >
                {t(ingredientWords[addition.what])}
                <strong className="text-title leading-none">
                  <Quantity of={volume(addition.ml)} />
                </strong>
              </li>
            ))}
          </ol>
        </section>
      ))}
    </div>
  )
}

/** One mixing for all that is left of the vehicle. */
function ForOthersToo({ together: { others, batches, taken, onTake } }: { readonly together: Together }) {
  const t = useWords()
  const volumes = list(batches.map(({ says, batchMl }) => say`${volume(batchMl)} of ${says}`))
  return (
    <Offer taken={taken} onTake={onTake}>
      {others === 1
        ? t`For the other part of this vehicle too: ${volumes}`
        : t`For ${count(others)} other parts of this vehicle too: ${volumes}`}
    </Offer>
  )
}

function StandInBottle({ standIn }: { readonly standIn: StandIn | undefined }) {
  const t = useWords()
  if (standIn === undefined) return null
  const { bottle, taken, onTake } = standIn
  return (
    <Offer taken={taken} onTake={onTake}>
      {t`Take bottle`} <strong>{bottle.number}</strong> {t`instead, ${volume(bottle.leftMl)} left`}
    </Offer>
  )
}

interface OfferProps {
  readonly taken: boolean
  readonly onTake: (taken: boolean) => void
  readonly children: ReactNode
}

function Offer({ taken, onTake, children }: OfferProps) {
  return (
    <label className="mt-1 flex min-h-14 items-center gap-3 bg-petrol-tint px-3 text-lead leading-tight">
      <input
        type="checkbox"
        checked={taken}
        onChange={(event) => onTake(event.target.checked)}
        className="size-7 shrink-0 accent-[var(--petrol)]"
      />
      <span>{children}</span>
    </label>
  )
}

import { volume } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { ingredientWords, strengthWords } from '@truelay/core/mix'
import type { PlannedBatch } from '@truelay/core/plan'
import { Quantity } from '../../ui/Quantity.tsx'
import type { StandIn } from './useStandIns.ts'

interface BatchListProps {
  readonly batches: readonly PlannedBatch[]
  /** Bottles of the shop that may stand in, by use. */
  readonly standIns?: ReadonlyMap<string, StandIn> | undefined
}

/** What to pour, in the order of pouring, big; or the bottle that is there already. */
export function BatchList({ batches, standIns }: BatchListProps) {
  const t = useWords()
  return (
    <div className="mt-4 grid gap-4">
      {batches.map((batch) => (
        <section key={batch.use} aria-label={t(batch.says)}>
          <h3 className="label-strong border-b border-ink/40 text-head">
            {t(batch.says)}, <Quantity of={volume(batch.batchMl)} />{' '}
            <span className="text-quiet">{t(strengthWords(batch.strength))}</span>
          </h3>
          <StandInBottle standIn={standIns?.get(batch.use)} />
          <ol className={standIns?.get(batch.use)?.taken === true ? 'opacity-50' : ''}>
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

function StandInBottle({ standIn }: { readonly standIn: StandIn | undefined }) {
  const t = useWords()
  if (standIn === undefined) return null
  const { bottle, taken, onTake } = standIn
  return (
    <label className="mt-1 flex min-h-14 items-center gap-3 bg-petrol-tint px-3 text-lead">
      <input
        type="checkbox"
        checked={taken}
        onChange={(event) => onTake(event.target.checked)}
        className="size-7 accent-[var(--petrol)]"
      />
      <span>
        {t`Take bottle`} <strong>{bottle.number}</strong> {t`instead, ${volume(bottle.leftMl)} left`}
      </span>
    </label>
  )
}

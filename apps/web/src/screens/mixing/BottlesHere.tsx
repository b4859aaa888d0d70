import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { LiquidBatch, Person, PersonId } from '@truelay/contract'
import { strengthWords } from '@truelay/core/mix'
import { differenceInCalendarDays } from 'date-fns'
import { Printer } from 'lucide-react'
import { useChangeBatchMutation } from '../../remote/benchApi.ts'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useNow } from '../../ui/useNow.ts'

interface BottlesHereProps {
  readonly batches: readonly LiquidBatch[]
  readonly people: readonly Person[]
  readonly keepsDays: number
  readonly personId: PersonId
  readonly onLabel: (batch: LiquidBatch) => void
  readonly onTake: (batch: LiquidBatch, way: 'put right' | 'topped up') => void
}

/** Every bottle that stands in the shop: what is in it, how old, and how much is left. */
export function BottlesHere({ batches, people, keepsDays, personId, onLabel, onTake }: BottlesHereProps) {
  const t = useWords()
  const now = useNow(60_000)
  const [change] = useChangeBatchMutation()
  return (
    <section aria-labelledby="bottles-title" className="border-t border-hair px-6 py-5">
      <Heading id="bottles-title">{t`Bottles in the shop`}</Heading>
      {batches.length === 0 ? (
        <p className="text-body">{t`None is mixed. The first one gets a number and a label.`}</p>
      ) : null}
      <ul>
        {batches.map((batch) => {
          const days = differenceInCalendarDays(now, new Date(batch.mixedAt))
          const old = days > keepsDays
          return (
            <li
              key={batch.id}
              aria-label={t`Bottle ${batch.number}`}
              className="grid items-center gap-x-6 gap-y-1 border-t border-hair py-2.5 sm:grid-cols-[6.875rem_1fr_9.375rem] lg:grid-cols-[6.875rem_1fr_9.375rem_auto]"
            >
              <strong className="whitespace-nowrap text-head leading-none">{batch.number}</strong>
              <p className="text-body leading-snug">
                <strong>{batch.says ? t(batch.says) : null}</strong>, {t(strengthWords(batch.strength))}
                <span
                  className={`block text-note ${old ? 'text-amber' : 'text-quiet'}`}
                >{t`mixed ${days === 0 ? t`today` : days === 1 ? t`yesterday` : t`${days} days ago`} by ${people.find((p) => p.id === batch.personId)?.name ?? batch.personId}, ${batch.waterKind} water${old ? t`. Older than ${keepsDays} days: mix a fresh one` : ''}`}</span>
              </p>
              <NumberField
                label={t`Left in it`}
                unit="mL"
                digits={0}
                value={batch.leftMl}
                min={0}
                max={batch.bottleMl}
                onCommit={(leftMl) => void change({ id: batch.id, change: { what: 'level', personId, leftMl } })}
              />
              <span className="flex flex-wrap gap-2 sm:col-span-3 lg:col-span-1">
                <Button onClick={() => onTake(batch, 'topped up')}>{t`Top up`}</Button>
                <Button onClick={() => onTake(batch, 'put right')}>{t`Put right`}</Button>
                <Button
                  onClick={() => onLabel(batch)}
                  aria-label={t`Label of bottle ${batch.number}`}
                  className="!px-3"
                >
                  <Printer size={20} aria-hidden="true" />
                </Button>
                <Button
                  look="quiet"
                  onClick={() => void change({ id: batch.id, change: { what: 'emptied', personId } })}
                >{t`Emptied`}</Button>
              </span>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

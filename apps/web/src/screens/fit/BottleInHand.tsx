import { useWords } from '../../ui/words.ts'
import { batchId, type JobBundle, type LiquidBatch, standing } from '@truelay/contract'
import { bottleInHand, strengthWords } from '@truelay/core/mix'
import type { PartMaterial } from '@truelay/core/form'
import { practiceWith } from '@truelay/core/practice'
import { useState } from 'react'
import { useLiquidsQuery } from '../../remote/benchApi.ts'
import { mixLimits } from '@truelay/core/plan'
import { type Bottle, bottleTaken } from './bottleTaken.ts'
import type { Fitting } from './fitting.ts'
import type { Happened } from './useFit.ts'

interface BottleInHandProps {
  readonly bundle: JobBundle
  readonly state: Fitting
  readonly stepId: string
  readonly use: 'slip' | 'tack'
  readonly happened: Happened
}

const tender: ReadonlySet<PartMaterial> = new Set(['lens plastic', 'painted plastic'])

/** The bottles of the shop, the newest first; those mixed in this fit also while the server is away. */
function bottlesOf(batches: readonly LiquidBatch[], state: Fitting): Bottle[] {
  const inShop = batches
    .filter((b) => b.emptiedAt === null && b.leftMl > 0)
    .sort((a, b) => b.mixedAt.localeCompare(a.mixedAt))
  const mixedHere = standing(state, 'batchMixed')
    .filter((event) => !batches.some((b) => b.id === event.id))
    .map(({ id, batchNumber, says, alcoholPercent, soapMlPerL }) => ({
      id: batchId.parse(id),
      number: batchNumber,
      says,
      strength: { alcoholPercent, soapMlPerL },
    }))
  return [...mixedHere, ...inShop]
}

/** Which bottle is in hand; a word where it is not the planned one. */
export function BottleInHand({ bundle, state, stepId, use, happened }: BottleInHandProps) {
  const t = useWords()
  const { data } = useLiquidsQuery()
  const [changing, setChanging] = useState(false)
  const { plan } = state
  const planned = plan.solutions.find((s) => s.use === use)
  if (planned === undefined) return null
  const limits = mixLimits(practiceWith(bundle.shop.practice))
  const judge = (bottle: Pick<LiquidBatch, 'says' | 'strength'>) =>
    bottleInHand(bottle, planned, !tender.has(plan.material), limits)
  const taken = standing(state, 'bottleTaken')
    .filter((b) => b.use === use)
    .at(-1)
  if (taken !== undefined && !changing) {
    const verdict = judge({
      says: taken.says,
      strength: { alcoholPercent: taken.alcoholPercent, soapMlPerL: taken.soapMlPerL },
    })
    return (
      <section
        aria-label={t`Bottle in hand`}
        className={`mt-3 border-l-5 px-4 py-2 ${verdict.asPlanned ? 'border-good bg-paper' : verdict.never ? 'border-stop bg-stop-tint' : 'border-amber bg-amber-tint'}`}
      >
        <p className="text-head font-bold leading-tight">{t`Bottle ${taken.batchNumber}: ${taken.says}${verdict.asPlanned ? t`, as planned` : ''}`}</p>
        {verdict.warning === null ? null : (
          <p role="alert" className="mt-1 text-lead leading-snug">
            {verdict.never ? t`Stop. ` : ''}
            {t(verdict.warning)}
          </p>
        )}
        <button
          type="button"
          onClick={() => setChanging(true)}
          className="label-strong min-h-11 text-lead text-petrol underline"
        >{t`It is another bottle`}</button>
      </section>
    )
  }
  // As planned first, then what does as well, what must never be used last.
  const rank = (bottle: Bottle) => {
    const { asPlanned, never } = judge(bottle)
    return asPlanned ? 0 : never ? 2 : 1
  }
  const bottles = [...bottlesOf(data?.batches ?? [], state)].sort((a, b) => rank(a) - rank(b))
  const take = (bottle: Bottle) => {
    happened(bottleTaken(stepId, use, bottle, judge(bottle).asPlanned))
    setChanging(false)
  }
  return (
    <section aria-label={t`Bottle in hand`} className="mt-3 border-l-5 border-petrol bg-paper px-4 py-2.5">
      <p className="text-head font-bold leading-tight">
        {t`Which ${use} is in your hand?`} <span className="font-normal text-quiet">{t`Planned: ${planned.says}`}</span>
      </p>
      <ul className="mt-2 grid grid-cols-2 gap-2">
        {bottles.map((bottle) => (
          <li key={bottle.id}>
            <button
              type="button"
              onClick={() => take(bottle)}
              className="min-h-18 w-full border border-ink/50 bg-chalk px-3 text-left hover:border-petrol"
            >
              <span className="block text-head font-bold leading-tight">{bottle.number}</span>
              <span className="block text-body leading-tight">
                {bottle.says ? t(bottle.says) : null}, {t(strengthWords(bottle.strength))}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {bottles.length === 0 ? <p className="text-body text-quiet">{t`No bottle stands on the mixing bench.`}</p> : null}
    </section>
  )
}

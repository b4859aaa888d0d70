import { useWords } from '../../ui/words.ts'
import { batchId, type LiquidBatch, type PersonId } from '@truelay/contract'
import { type Addition, measureBatch, repairBatch, type Strength, topUp } from '@truelay/core/mix'
import type { Practice } from '@truelay/core/practice'
import { failure, type Result, refused } from '@truelay/core/result'
import { measuresOf, mixLimits } from '@truelay/core/plan'
import { say, type Sentence } from '@truelay/core/say'
import { useState } from 'react'
import { useChangeBatchMutation, useMixBatchMutation } from '../../remote/benchApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { BenchLayout } from './BenchLayout.tsx'
import { PourList } from './PourList.tsx'
import { anyBottle, type Present } from './present.ts'
import { PresentFields } from './PresentFields.tsx'
import { Refusal } from './Refusal.tsx'
import { Warnings } from './Warnings.tsx'
import { firstWish, type Wish, wishedStrength, wishWords } from './wish.ts'
import { WishFields } from './WishFields.tsx'

interface PutRightProps {
  /** right = any wrong batch, poured off where it must be; top up = the rest of an old one, filled again. */
  readonly way: 'put right' | 'topped up'
  readonly practice: Practice
  readonly stockPercent: number
  readonly batches: readonly LiquidBatch[]
  readonly present: Present
  readonly onPresent: (present: Present) => void
  readonly personId: PersonId
  readonly onDone: (batch: LiquidBatch) => void
}

interface Cure {
  readonly pourOffMl: number
  readonly add: readonly Addition[]
  readonly finalMl: number
  readonly warnings: readonly Sentence[]
}

/** A bottle that is wrong, or nearly empty: what to pour away and what to add, within the bottle. */
export function PutRight(props: PutRightProps) {
  const t = useWords()
  const { way, practice, stockPercent, batches, present, onPresent, personId, onDone } = props
  const [wish, setWish] = useState<Wish>(firstWish)
  const [finalMl, setFinalMl] = useState<number | null>(null)
  const [change, { error: changeError, isLoading }] = useChangeBatchMutation()
  const [mix, { error: mixError }] = useMixBatchMutation()
  const error = changeError ?? mixError
  const wantedMl = finalMl ?? present.bottleMl
  const stock = { alcoholPercent: stockPercent }
  const target = wishedStrength(wish, practice)
  const cure: Result<Cure> =
    target === null
      ? refused(
          failure('PLAN_SCHOOL_UNFIT', { school: wishWords(wish, practice), why: say`a maker’s fluid is mixed fresh` }),
        )
      : way === 'put right'
        ? repairBatch({ have: present, target, stock, bottleMl: present.bottleMl }, mixLimits(practice))
        : toppedUp(present, target, stock, wantedMl, practice)
  const measures = measuresOf(practice)
  const measured = cure.ok ? measureBatch(cure.value.add, stock, measures) : null
  const result = cure.ok && measured !== null ? resultOf(present, cure.value, measured.pours, stockPercent) : null
  const save = () => {
    if (result === null || measured === null || !cure.ok) return
    const says = wishWords(wish, practice)
    const school = wish.school === 'own' ? null : wish.school
    if (present.batchId === null) {
      void mix({
        id: batchId.parse(crypto.randomUUID()),
        says,
        school,
        strength: result.strength,
        bottleMl: present.bottleMl,
        leftMl: result.volumeMl,
        waterKind: 'distilled',
        add: measured.pours.map(({ what, ml }) => ({ what, ml })),
        personId,
      })
        .unwrap()
        .then(onDone, () => {})
      return
    }
    void change({
      id: present.batchId,
      change: {
        what: way,
        personId,
        strength: result.strength,
        leftMl: result.volumeMl,
        pourOffMl: cure.value.pourOffMl,
        add: measured.pours.map(({ what, ml }) => ({ what, ml })),
        says,
        school,
      },
    })
      .unwrap()
      .then(
        (batch) => {
          onPresent(anyBottle)
          onDone(batch)
        },
        () => {},
      )
  }
  return (
    <BenchLayout
      fields={
        <>
          <PresentFields batches={batches} present={present} onPresent={onPresent} />
          <WishFields wish={wish} practice={practice} onWish={setWish} />
          {way === 'topped up' ? (
            <div className="w-40">
              <NumberField
                label={t`Fill it to`}
                unit="mL"
                digits={0}
                value={wantedMl}
                min={10}
                max={50_000}
                onCommit={setFinalMl}
              />
            </div>
          ) : null}
        </>
      }
    >
      {!cure.ok ? (
        <Refusal failure={cure.failure} />
      ) : measured === null || result === null ? null : (
        <>
          <PourList
            title={way === 'put right' ? t`To put it right` : t`To fill it again`}
            measured={measured}
            measures={measures}
            pourOffMl={cure.value.pourOffMl}
            finalMl={result.volumeMl}
            strength={result.strength}
          />
          <Warnings
            warnings={[
              ...cure.value.warnings,
              cure.value.pourOffMl > 0.5
                ? say`Pour it off into a closed bottle, away from flames; do not tip it into a drain that is not meant for it.`
                : null,
            ]}
          />
          {error === undefined ? null : <Refusal failure={failureOf(error)} />}
          <Button look="go" className="mt-4 min-h-14 w-full !text-lead" onClick={save} disabled={isLoading}>
            {present.batchId === null ? t`Done: give it a number and a label` : t`Done: note it on the bottle`}
          </Button>
        </>
      )}
    </BenchLayout>
  )
}

function toppedUp(
  present: Present,
  target: Strength,
  stock: { readonly alcoholPercent: number },
  finalMl: number,
  practice: Practice,
): Result<Cure> {
  const topped = topUp({ have: present, target, stock, finalMl }, mixLimits(practice))
  return topped.ok ? { ok: true, value: { ...topped.value, pourOffMl: 0, finalMl } } : topped
}

/** What results from what can be measured. */
function resultOf(
  present: Present,
  { pourOffMl }: Cure,
  pours: readonly { readonly what: string; readonly ml: number }[],
  stockPercent: number,
): { readonly volumeMl: number; readonly strength: Strength } {
  const of = (what: string) => pours.reduce((sum, pour) => sum + (pour.what === what ? pour.ml : 0), 0)
  const keptMl = present.volumeMl - pourOffMl
  const volumeMl = keptMl + pours.reduce((sum, pour) => sum + pour.ml, 0)
  return {
    volumeMl: Math.min(volumeMl, present.bottleMl),
    strength: {
      alcoholPercent: (keptMl * present.alcoholPercent + of('alcohol stock') * stockPercent) / volumeMl,
      soapMlPerL: (keptMl * present.soapMlPerL + 1000 * of('soap')) / volumeMl,
    },
  }
}

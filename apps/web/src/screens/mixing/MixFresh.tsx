import { useWords } from '../../ui/words.ts'
import { type BatchDraft, batchId, type LiquidBatch, type PersonId } from '@truelay/contract'
import { measureBatch, type WaterKind, waterKinds, waterWarning, waterWords } from '@truelay/core/mix'
import type { Practice } from '@truelay/core/practice'
import { measuresOf } from '@truelay/core/plan'
import { say } from '@truelay/core/say'
import { useState } from 'react'
import { useMixBatchMutation } from '../../remote/benchApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useUnits } from '../../ui/units.ts'
import { BenchLayout } from './BenchLayout.tsx'
import { BottleSize, usualBottleMl } from './BottleSize.tsx'
import { PourList } from './PourList.tsx'
import { Refusal } from './Refusal.tsx'
import { Warnings } from './Warnings.tsx'
import { firstWish, freshBatch, type Wish, wishWords } from './wish.ts'
import { WishFields } from './WishFields.tsx'
import { WhyItGrabs } from './WhyItGrabs.tsx'

interface MixFreshProps {
  readonly practice: Practice
  readonly stockPercent: number
  readonly onStock: (percent: number) => void
  readonly personId: PersonId
  readonly onMixed: (batch: LiquidBatch) => void
}

/** A fresh batch from stock: big volumes in the order of pouring. */
export function MixFresh({ practice, stockPercent, onStock, personId, onMixed }: MixFreshProps) {
  const t = useWords()
  const [wish, setWish] = useState<Wish>(firstWish)
  const [batchMl, setBatchMl] = useState(usualBottleMl(useUnits()))
  const [water, setWater] = useState<WaterKind>('distilled')
  const [save, { error, isLoading }] = useMixBatchMutation()
  const stock = { alcoholPercent: stockPercent }
  const batch = freshBatch(wish, practice, stock, batchMl)
  const measures = measuresOf(practice)
  const measured = batch.ok ? measureBatch(batch.value.add, stock, measures) : null
  const mixed = () => {
    if (measured === null) return
    const draft: BatchDraft = {
      id: batchId.parse(crypto.randomUUID()),
      says: wishWords(wish, practice),
      school: wish.school === 'own' ? null : wish.school,
      strength: measured.strength,
      bottleMl: Math.max(batchMl, measured.totalMl),
      leftMl: measured.totalMl,
      waterKind: water,
      add: measured.pours.map(({ what, ml }) => ({ what, ml })),
      personId,
    }
    void save(draft)
      .unwrap()
      .then(onMixed, () => {})
  }
  return (
    <BenchLayout
      fields={
        <>
          <WishFields wish={wish} practice={practice} onWish={setWish} />
          <BottleSize label={t`How much`} valueMl={batchMl} onValue={setBatchMl} />
          <div className="w-56">
            <NumberField
              label={t`Alcohol stock on the shelf`}
              unit="%"
              digits={0}
              value={stockPercent}
              min={1}
              max={100}
              onCommit={onStock}
            />
          </div>
          <div>
            <p className="label pb-1 text-note text-quiet">{t`Water`}</p>
            <Choice
              label={t`Water`}
              value={water}
              onChange={setWater}
              options={waterKinds.map((kind) => ({ value: kind, text: t(waterWords[kind]) }))}
            />
          </div>
          <WhyItGrabs practice={practice} />
        </>
      }
    >
      {measured === null || !batch.ok ? (
        batch.ok ? null : (
          <Refusal failure={batch.failure} />
        )
      ) : (
        <>
          <PourList title={t`Pour, in this order`} measured={measured} measures={measures} />
          <Warnings
            warnings={[
              ...batch.value.warnings,
              waterWarning(water, batch.value.strength.soapMlPerL),
              batch.value.strength.soapMlPerL > 0 ? say`Soap last, and turn the bottle: shaken it foams.` : null,
            ]}
          />
          {error === undefined ? null : <Refusal failure={failureOf(error)} />}
          <Button
            look="go"
            className="mt-4 min-h-14 w-full !text-lead"
            onClick={mixed}
            disabled={isLoading}
          >{t`Mixed: give it a number and a label`}</Button>
          <p className="mt-2 text-note text-quiet">{t`By volume, volumes taken as adding up; alcohol and water shrink by up to 3 % when they mix, which the trade ignores.`}</p>
        </>
      )}
    </BenchLayout>
  )
}

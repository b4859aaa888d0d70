import { volume } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { closestTo, isAlike, strengthWords, whatIsIt } from '@truelay/core/mix'
import type { Practice } from '@truelay/core/practice'
import { mixLimits } from '@truelay/core/plan'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { BenchLayout } from './BenchLayout.tsx'
import type { Present } from './present.ts'
import { Refusal } from './Refusal.tsx'
import { Warnings } from './Warnings.tsx'
import { mixedSchools, wishedStrength } from './wish.ts'

interface WhatIsItProps {
  readonly practice: Practice
  readonly stockPercent: number
  /** Takes the answer over to the repair. */
  readonly onPutRight: (present: Omit<Present, 'batchId' | 'bottleMl'>) => void
}

/** "I put in so much of this and that: what is it?" */
export function WhatIsIt({ practice, stockPercent, onPutRight }: WhatIsItProps) {
  const t = useWords()
  const [put, setPut] = useState({ waterMl: 700, alcoholStockMl: 300, soapMl: 0 })
  const [percent, setPercent] = useState(stockPercent)
  const is = whatIsIt(put, { alcoholPercent: percent }, mixLimits(practice))
  const named = mixedSchools.flatMap(({ school, says }) => {
    const strength = wishedStrength({ school, own: { alcoholPercent: 0, soapMlPerL: 0 } }, practice)
    return strength === null ? [] : [{ says, strength }]
  })
  const closest = is.ok ? closestTo(is.value.strength, named) : null
  return (
    <BenchLayout
      fields={
        <>
          <p className="text-body">{t`I put in`}</p>
          <NumberField
            label={t`Water`}
            unit="mL"
            digits={0}
            value={put.waterMl}
            min={0}
            max={50_000}
            onCommit={(waterMl) => setPut({ ...put, waterMl })}
          />
          <div className="grid grid-cols-2 gap-5">
            <NumberField
              label={t`Alcohol stock`}
              unit="mL"
              digits={0}
              value={put.alcoholStockMl}
              min={0}
              max={50_000}
              onCommit={(alcoholStockMl) => setPut({ ...put, alcoholStockMl })}
            />
            <NumberField label={t`of`} unit="%" digits={0} value={percent} min={1} max={100} onCommit={setPercent} />
          </div>
          <NumberField
            label={t`Soap`}
            unit="mL"
            digits={1}
            value={put.soapMl}
            min={0}
            max={5000}
            onCommit={(soapMl) => setPut({ ...put, soapMl })}
          />
        </>
      }
    >
      {is.ok ? (
        <>
          <h2 className="label-strong border-b-2 border-ink pb-1 text-lead">{t`It is`}</h2>
          <p className="mt-2 text-figure font-bold leading-tight" data-testid="it-is">
            {t(strengthWords(is.value.strength))}
          </p>
          <p className="text-head">
            <Quantity of={volume(is.value.volumeMl)} />
            {closest === null
              ? ''
              : isAlike(is.value.strength, closest.strength)
                ? t`: that is ${closest.says}.`
                : t`; ${closest.says} would be ${strengthWords(closest.strength)}.`}
          </p>
          <Warnings warnings={is.value.warnings} />
          <Button
            look="go"
            className="mt-5"
            onClick={() => onPutRight({ volumeMl: is.value.volumeMl, ...is.value.strength })}
          >{t`Put it right`}</Button>
        </>
      ) : (
        <Refusal failure={is.failure} />
      )}
    </BenchLayout>
  )
}

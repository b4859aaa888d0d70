import { useWords } from '../../ui/words.ts'
import type { LiquidBatch } from '@truelay/contract'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { anyBottle, bottleName, type Present, presentOf } from './present.ts'

interface PresentFieldsProps {
  readonly batches: readonly LiquidBatch[]
  readonly present: Present
  readonly onPresent: (present: Present) => void
}

/** Which bottle, and what is in it now. */
export function PresentFields({ batches, present, onPresent }: PresentFieldsProps) {
  const t = useWords()
  return (
    <>
      <Field label={t`Which bottle`}>
        <SelectInput
          value={present.batchId ?? ''}
          onChange={(event) => {
            const batch = batches.find((b) => b.id === event.target.value)
            onPresent(batch === undefined ? { ...anyBottle, ...present, batchId: null } : presentOf(batch))
          }}
        >
          <option value="">{t`one without a number`}</option>
          {batches.map((batch) => (
            <option key={batch.id} value={batch.id}>
              {t(bottleName(batch))}
            </option>
          ))}
        </SelectInput>
      </Field>
      <div className="grid grid-cols-2 gap-5">
        <NumberField
          label={t`In it now`}
          unit="mL"
          digits={0}
          value={present.volumeMl}
          min={1}
          max={50_000}
          onCommit={(volumeMl) => onPresent({ ...present, volumeMl })}
        />
        <NumberField
          label={t`The bottle holds`}
          unit="mL"
          digits={0}
          value={present.bottleMl}
          min={10}
          max={50_000}
          onCommit={(bottleMl) => onPresent({ ...present, bottleMl })}
        />
        <NumberField
          label={t`Its alcohol`}
          unit="%"
          digits={1}
          value={present.alcoholPercent}
          min={0}
          max={100}
          onCommit={(alcoholPercent) => onPresent({ ...present, alcoholPercent })}
        />
        <NumberField
          label={t`Its soap`}
          unit="mL/L"
          digits={1}
          value={present.soapMlPerL}
          min={0}
          max={200}
          onCommit={(soapMlPerL) => onPresent({ ...present, soapMlPerL })}
        />
      </div>
    </>
  )
}

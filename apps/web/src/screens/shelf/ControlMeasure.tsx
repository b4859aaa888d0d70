import { length } from '@truelay/core/say'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'

interface ControlMeasureProps {
  readonly longestMm: number
  /** Whether it has to be answered: the file does not say its unit. */
  readonly asked: boolean
  readonly sure: boolean
  readonly onRight: () => void
  readonly onMeasured: (mm: number) => void
}

/** One side is held against the part or the old piece: a wrong unit shows there at once. */
export function ControlMeasure({ longestMm, asked, sure, onRight, onMeasured }: ControlMeasureProps) {
  const t = useWords()
  const [correcting, setCorrecting] = useState(false)
  return (
    <div
      className={`mt-1 flex flex-wrap items-end gap-x-4 gap-y-2 border-l-5 px-3 py-2 ${sure ? 'border-good bg-paper' : 'border-amber bg-amber-tint'}`}
    >
      <p className="text-lead leading-snug">
        {asked && !sure
          ? t`The longest side is ${length(longestMm, 0)}: right? The file does not say its unit.`
          : t`The longest side is ${length(longestMm, 0)}.`}
      </p>
      {asked && !sure ? <Button onClick={onRight}>{t`It is right`}</Button> : null}
      {correcting ? (
        <NumberField
          label={t`Measured`}
          unit="mm"
          value={longestMm}
          digits={0}
          min={8}
          max={6000}
          onCommit={onMeasured}
        />
      ) : (
        <button
          type="button"
          onClick={() => setCorrecting(true)}
          className="label-strong min-h-11 text-body text-petrol underline"
        >{t`It measures something else`}</button>
      )}
    </div>
  )
}

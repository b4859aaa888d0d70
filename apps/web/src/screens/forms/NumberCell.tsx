import { figure } from '@truelay/core/say'
import { readNumber } from '@truelay/core/units'
import { typedIn } from '../../ui/typedIn.ts'
import { useUnits } from '../../ui/units.ts'
import { useWords } from '../../ui/words.ts'
import { useId, useState } from 'react'

interface NumberCellProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly onCommit: (value: number) => void
  readonly unit?: string
  /** Its unit stands above it: the figure has all the room. */
  readonly narrow?: boolean
}

/**
 * A number in a table: taken over while it is typed as long as it is one, so that the part follows at once. What is none
 * stays to be mended, with the figure that still counts, until another one comes from elsewhere; Escape gives it up.
 */
export function NumberCell({ label, value, min, max, onCommit, unit = 'mm', narrow = false }: NumberCellProps) {
  const units = useUnits()
  // To a hundredth of a millimetre or a thousandth of an inch.
  const typing = typedIn(units, unit, unit === 'mm' && units.length === 'in' ? 1 : 2)
  const [least, most] = [typing.shown(min), typing.shown(max)]
  const t = useWords()
  const id = useId()
  /** What is being typed; once it is left, only what is no number here, and the value that counts instead. */
  const [typed, setTyped] = useState<{ readonly text: string; readonly insteadOf: number | null } | null>(null)
  const counts = String(Number(typing.shown(value).toFixed(typing.digits)))
  const isMine = typed !== null && (typed.insteadOf === null || typed.insteadOf === value)
  const shown = isMine ? typed.text : counts
  const fits = (number: number) => number >= least && number <= most
  const read = (text: string) => readNumber(text, { unit: typing.unit, fits })
  const number = read(shown)
  const wrong = number === null || !fits(number)
  return (
    <span className="relative block">
      <label htmlFor={id} className="label block text-note text-quiet">
        {narrow ? t`${label}, ${typing.unit}` : label}
      </label>
      <span className="flex items-baseline gap-1 border-b border-ink/50 focus-within:border-petrol">
        <input
          id={id}
          aria-label={narrow ? label : undefined}
          inputMode="decimal"
          autoComplete="off"
          value={shown}
          aria-invalid={wrong}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          onChange={(event) => {
            setTyped({ text: event.target.value, insteadOf: null })
            const now = read(event.target.value)
            if (now !== null && fits(now) && typing.toMetric(now) !== value) onCommit(typing.toMetric(now))
          }}
          onBlur={() => setTyped(wrong ? { text: shown, insteadOf: value } : null)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') setTyped(null)
          }}
          className="min-h-11 w-full min-w-0 bg-transparent text-body font-semibold outline-none"
        />
        {narrow ? null : <span className="whitespace-nowrap text-note text-quiet">{typing.unit}</span>}
      </span>
      {wrong ? (
        <span id={`${id}-wrong`} role="alert" className="block text-note text-stop">
          {typed?.insteadOf == null
            ? t`${figure(least, 2)} to ${figure(most, 2)}`
            : t`${figure(least, 2)} to ${figure(most, 2)}; ${figure(Number(counts), typing.digits)} still counts`}
        </span>
      ) : null}
    </span>
  )
}

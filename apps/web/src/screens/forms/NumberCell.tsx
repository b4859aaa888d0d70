import { useWords } from '../../ui/words.ts'
import { useId, useState } from 'react'

interface NumberCellProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly onCommit: (value: number) => void
  readonly unit?: string
}

/** A number in a table: taken over while it is typed as long as it is one, so that the part follows at once. */
export function NumberCell({ label, value, min, max, onCommit, unit = 'mm' }: NumberCellProps) {
  const t = useWords()
  const id = useId()
  const [typed, setTyped] = useState<string | null>(null)
  const shown = typed ?? String(Number(value.toFixed(2)))
  const number = Number(shown.replace(',', '.').replace('−', '-'))
  const wrong = shown.trim() === '' || !(number >= min && number <= max)
  return (
    <span className="relative block">
      <label htmlFor={id} className="label block text-[14px] text-quiet">
        {label}
      </label>
      <span className="flex items-baseline gap-1 border-b border-ink/50 focus-within:border-petrol">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          value={shown}
          aria-invalid={wrong}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          onChange={(event) => {
            setTyped(event.target.value)
            const now = Number(event.target.value.replace(',', '.').replace('−', '-'))
            if (event.target.value.trim() !== '' && now >= min && now <= max && now !== value) onCommit(now)
          }}
          onBlur={() => setTyped(null)}
          className="min-h-10 w-full min-w-0 bg-transparent text-[17px] font-semibold outline-none"
        />
        <span className="text-[13px] text-quiet">{unit}</span>
      </span>
      {wrong ? (
        <span id={`${id}-wrong`} role="alert" className="block text-[13px] text-stop">{t`${min} to ${max}`}</span>
      ) : null}
    </span>
  )
}

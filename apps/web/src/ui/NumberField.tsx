import { useWords } from './words.ts'
import { figure } from '@truelay/core/say'
import { useId, useState } from 'react'

interface NumberFieldProps {
  readonly label: string
  readonly unit: string
  readonly value: number
  readonly digits: number
  readonly min: number
  readonly max: number
  readonly onCommit: (value: number) => void
}

/** A number that is typed: taken over on Enter or when the field is left; a wrong one says why and changes nothing. */
export function NumberField({ label, unit, value, digits, min, max, onCommit }: NumberFieldProps) {
  const t = useWords()
  const id = useId()
  const shown = value.toFixed(digits).replace(/^-(0(?:\.0*)?)$/, '$1')
  /** What is being typed; null while nobody types, and then the value itself is shown. */
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const commit = () => {
    if (typed === null) return
    const number = Number(typed.replace(',', '.').replace('−', '-'))
    if (typed.trim() === '' || !(number >= min && number <= max)) {
      setProblem(t`${label}: a number from ${figure(min, 3)} to ${figure(max, 3)}`)
      return
    }
    setProblem(null)
    setTyped(null)
    if (number.toFixed(digits) !== value.toFixed(digits)) onCommit(number)
  }
  const giveUp = () => {
    setTyped(null)
    setProblem(null)
  }
  return (
    <div className="relative">
      <label htmlFor={id} className="label block text-[14px] text-quiet">
        {label}
      </label>
      <div className="flex items-baseline gap-1 border-b border-ink/50 focus-within:border-petrol">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          value={typed ?? shown}
          aria-invalid={problem !== null}
          aria-describedby={problem === null ? undefined : `${id}-problem`}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit()
            if (event.key === 'Escape') giveUp()
          }}
          className="min-h-9 w-full min-w-0 bg-transparent text-[18px] font-semibold outline-none"
        />
        <span className="text-[14px] text-quiet">{unit}</span>
      </div>
      {problem === null ? null : (
        <p
          id={`${id}-problem`}
          role="alert"
          className="absolute bottom-full left-0 z-10 mb-1 whitespace-nowrap border border-stop bg-stop-tint px-2 py-1 text-[14px] text-stop"
        >
          {problem}
        </p>
      )}
    </div>
  )
}

import { typedIn } from './typedIn.ts'
import { useUnits } from './units.ts'
import { useWords } from './words.ts'
import { figure } from '@truelay/core/say'
import { readNumber } from '@truelay/core/units'
import { useId, useState } from 'react'

interface NumberFieldProps {
  readonly label: string
  /** As the core has it: "mm", "°C", "mL" and the like are typed and read in the shop's unit. */
  readonly unit: string
  readonly value: number
  readonly digits: number
  readonly min: number
  readonly max: number
  readonly onCommit: (value: number) => void
  /** Without zeros at its end: for what is chosen, not measured. */
  readonly short?: boolean | undefined
}

/** A number that is typed: taken over on Enter or when the field is left; a wrong one says why and changes nothing. */
export function NumberField({ label, unit: metric, value, digits, min, max, onCommit, short }: NumberFieldProps) {
  const t = useWords()
  const id = useId()
  const typing = typedIn(useUnits(), metric, digits)
  const [least, most] = [typing.shown(min), typing.shown(max)]
  const inDigits = typing.shown(value).toFixed(typing.digits)
  const shown = (short === true ? String(Number(inDigits)) : inDigits)
    .replace(/^-(0(?:\.0*)?)$/, '$1')
    .replace('-', '−')
  /** What is being typed; null while nobody types, and then the value itself is shown. */
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const commit = () => {
    if (typed === null) return
    const fits = (typedNumber: number) => typedNumber >= least - 1e-9 && typedNumber <= most + 1e-9
    const number = readNumber(typed, { unit: typing.unit, fits })
    if (number === null || !fits(number)) {
      setProblem(t`${label}: a number from ${figure(least, 3)} to ${figure(most, 3)}`)
      return
    }
    setProblem(null)
    setTyped(null)
    if (Number(number.toFixed(typing.digits)) === Number(inDigits)) return
    onCommit(Math.min(max, Math.max(min, typing.toMetric(number))))
  }
  const giveUp = () => {
    setTyped(null)
    setProblem(null)
  }
  return (
    <div>
      <label htmlFor={id} className="label block text-note text-quiet">
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
          onChange={(event) => {
            setTyped(event.target.value)
            setProblem(null)
          }}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit()
            if (event.key === 'Escape') giveUp()
          }}
          className="min-h-11 w-full min-w-0 bg-transparent text-body font-semibold outline-none"
        />
        <span className="whitespace-nowrap text-note text-quiet">{typing.unit}</span>
      </div>
      {problem === null ? null : (
        <p
          id={`${id}-problem`}
          role="alert"
          className="mt-1 border border-stop bg-stop-tint px-2 py-1 text-note text-stop"
        >
          {problem}
        </p>
      )}
    </div>
  )
}

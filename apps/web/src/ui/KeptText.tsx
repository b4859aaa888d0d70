import { type KeyboardEvent, useId, useState } from 'react'

interface KeptTextProps {
  readonly label: string
  readonly value: string
  readonly maxLength: number
  /** So many lines; one is a field, more a box. */
  readonly lines?: number
  /** It may not be left empty. */
  readonly needed?: boolean
  /** What is wrong with it, or null: then it is not taken over. */
  readonly problemOf?: (value: string) => string | null
  readonly onCommit: (value: string) => void
}

const box = 'w-full border border-ink/40 bg-paper px-2.5 text-body'

/** A text that is typed: taken over when the field is left, or on Enter in one line; Escape goes back to what it was. */
export function KeptText({ label, value, maxLength, lines = 1, needed = false, problemOf, onCommit }: KeptTextProps) {
  const id = useId()
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const commit = () => {
    const next = typed?.trim()
    const wrong = next === undefined || next === value ? null : (problemOf?.(next) ?? null)
    setProblem(wrong)
    if (wrong !== null) return
    setTyped(null)
    if (next === undefined || next === value || (needed && next === '')) return
    onCommit(next)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && lines === 1) commit()
    if (event.key === 'Escape') {
      setTyped(null)
      setProblem(null)
    }
  }
  const shared = {
    id,
    value: typed ?? value,
    maxLength,
    onBlur: commit,
    onKeyDown,
    autoComplete: 'off',
    'aria-invalid': problem !== null,
  }
  return (
    <div>
      <label htmlFor={id} className="label block text-note text-quiet">
        {label}
      </label>
      {lines === 1 ? (
        <input {...shared} className={`min-h-11 ${box}`} onChange={(event) => setTyped(event.target.value)} />
      ) : (
        <textarea
          {...shared}
          rows={lines}
          className={`py-2 leading-snug ${box}`}
          onChange={(event) => setTyped(event.target.value)}
        />
      )}
      {problem === null ? null : (
        <span role="alert" className="mt-1 block text-note text-stop">
          {problem}
        </span>
      )}
    </div>
  )
}

import { Minus, Plus } from 'lucide-react'
import type { ReactNode } from 'react'
import { useWords } from './words.ts'

interface CountStepperProps {
  /** What is counted; both buttons are named by it. */
  readonly of: string
  readonly count: number
  readonly most: number
  readonly onCount: (count: number) => void
  readonly testId: string
  /** What stands between the buttons; the count where left out. */
  readonly children?: ReactNode
}

/** A number that is counted up and down with a thumb. */
export function CountStepper({ of, count, most, onCount, testId, children = count }: CountStepperProps) {
  const t = useWords()
  const button = 'flex size-12 items-center justify-center border border-ink/40 disabled:text-quiet/60'
  return (
    <div className="flex items-center">
      <button
        type="button"
        aria-label={t`One less: ${of}`}
        disabled={count === 0}
        onClick={() => onCount(count - 1)}
        className={button}
      >
        <Minus size={20} />
      </button>
      <span
        className="min-w-12 border-y border-ink/40 px-1 text-center text-head font-bold leading-[2.875rem]"
        data-testid={testId}
      >
        {children}
      </span>
      <button
        type="button"
        aria-label={t`One more: ${of}`}
        disabled={count >= most}
        onClick={() => onCount(count + 1)}
        className={button}
      >
        <Plus size={20} />
      </button>
    </div>
  )
}

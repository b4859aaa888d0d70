import type { CheckPoint } from '@truelay/core/plan'
import { Minus, Plus } from 'lucide-react'
import { useId } from 'react'
import { useUnits } from '../../ui/units.ts'
import { useWords } from '../../ui/words.ts'
import { draftMm, gapFigure } from './readGaps.ts'

interface GapFieldProps {
  readonly check: CheckPoint
  readonly text: string
  /** Shown while nothing is typed, and where the steps begin. */
  readonly expectedMm: number
  readonly onText: (text: string) => void
}

const stepMm = 0.5

/** One gap, typed or stepped with a wet thumb. */
export function GapField({ check, text, expectedMm, onText }: GapFieldProps) {
  const t = useWords()
  const units = useUnits()
  const step = (byMm: number) =>
    onText(gapFigure(Math.max(0, (draftMm(text, units) ?? Math.abs(expectedMm)) + byMm), units))
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="label block truncate text-note leading-[1.15] portrait:text-body">
        <strong className="text-amber">{check.id}</strong> {t(check.label)}
      </label>
      <div className="flex h-11 border portrait:h-13 border-ink/50 bg-paper">
        <button
          type="button"
          aria-label={t`${check.id} less`}
          onClick={() => step(-stepMm)}
          className="flex w-12 items-center justify-center border-r border-hair"
        >
          <Minus size={22} />
        </button>
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          placeholder={gapFigure(expectedMm, units)}
          onChange={(e) => onText(e.target.value)}
          className="min-w-0 flex-1 bg-transparent text-center text-head font-bold outline-none placeholder:font-normal placeholder:text-quiet/80"
        />
        <span className="self-center pr-2 text-quiet">{units.length}</span>
        <button
          type="button"
          aria-label={t`${check.id} more`}
          onClick={() => step(stepMm)}
          className="flex w-12 items-center justify-center border-l border-hair"
        >
          <Plus size={22} />
        </button>
      </div>
    </div>
  )
}

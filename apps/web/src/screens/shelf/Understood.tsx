import { length } from '@truelay/core/say'
import type { PatternReading } from '@truelay/formats/pattern'
import type { ReactNode } from 'react'
import { PatternPaper } from '../../drawings/PatternPaper.tsx'
import { useWords } from '../../ui/words.ts'

interface UnderstoodProps {
  readonly reading: PatternReading
  /** What is asked of its size. */
  readonly children: ReactNode
}

/** A pattern as it was understood, on squared paper, with what was mended and left out. */
export function Understood({ reading, children }: UnderstoodProps) {
  const t = useWords()
  return (
    <>
      <p className="text-title font-bold" data-testid="pattern-size">
        {t`${length(reading.widthMm, 0)} x ${length(reading.heightMm, 0)}`}
      </p>
      {children}
      <div className="min-h-60 flex-1 py-3">
        <PatternPaper pattern={reading.pattern} className="h-full w-full" label={t`The pattern as understood`} />
      </div>
      <ul className="text-body leading-snug">
        {reading.understood.map((sentence) => (
          <li key={t(sentence)}>{t(sentence)}</li>
        ))}
        {reading.mended.map((sentence) => (
          <li key={t(sentence)} className="text-amber-ink">
            {t(sentence)}
          </li>
        ))}
      </ul>
    </>
  )
}

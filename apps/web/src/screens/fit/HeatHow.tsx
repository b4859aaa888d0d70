import { temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { PlannedHeat } from '@truelay/core/plan'
import { Quantity } from '../../ui/Quantity.tsx'
import { secondsWords } from '../../ui/secondsWords.ts'

type Held = Pick<PlannedHeat, 'words' | 'readingC' | 'passes' | 'passesRange' | 'coolToCutS' | 'warning'>

interface HeatHowProps {
  readonly heat: Held
  /** A cut follows: only then does cooling matter. Pressing is done warm. */
  readonly thenCut: boolean
}

/** How to hold the gun in this step, read at arm's length. */
export function HeatHow({ heat, thenCut }: HeatHowProps) {
  const t = useWords()
  return (
    <section aria-label={t`How to hold the gun`} className="mt-3 border-l-5 border-orange bg-paper px-4 py-2.5">
      <p className="text-head font-bold leading-tight landscape:text-lead first-letter:uppercase">{t(heat.words)}</p>
      {heat.warning === null ? null : (
        <p className="mt-1 text-body font-bold leading-snug text-amber">{t(heat.warning)}</p>
      )}
      <p className="mt-1 text-body leading-snug">
        {t`Thermometer right after:`}{' '}
        <strong>
          <Quantity of={temperature(heat.readingC)} />
        </strong>
        {t`${heat.passesRange[0] < heat.passes ? t`, read it from pass ${heat.passesRange[0]} on` : ''}. Press while it is warm${!thenCut || heat.coolToCutS === null ? '' : t`, cut after ${secondsWords(heat.coolToCutS)}`}.`}
      </p>
    </section>
  )
}

import { temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { PlannedHeat } from '@truelay/core/plan'
import { Quantity } from '../../ui/Quantity.tsx'
import { secondsWords } from '../../ui/secondsWords.ts'

type Held = Pick<
  PlannedHeat,
  'words' | 'readingC' | 'passes' | 'passesRange' | 'coolToPressS' | 'coolToCutS' | 'warning'
>

/** How to hold the gun in this step, read at arm's length. */
export function HeatHow({ heat }: { readonly heat: Held }) {
  const t = useWords()
  return (
    <section aria-label={t`How to hold the gun`} className="mt-3 border-l-5 border-orange bg-paper px-4 py-2.5">
      <p className="text-head font-bold leading-tight first-letter:uppercase">{t(heat.words)}</p>
      <p className="mt-1 text-body leading-snug">
        {t`Thermometer right after:`}{' '}
        <strong>
          <Quantity of={temperature(heat.readingC)} />
        </strong>
        {t`${heat.passesRange[0] < heat.passes ? t`, read it from pass ${heat.passesRange[0]} on` : ''}. Press ${heat.coolToPressS !== null && heat.coolToPressS < 2 ? t`at once` : t`after ${secondsWords(heat.coolToPressS)}`}${heat.coolToCutS === null ? '' : t`, cut after ${secondsWords(heat.coolToCutS)}`}.`}
      </p>
      {heat.warning === null ? null : (
        <p className="mt-1 text-body font-bold leading-snug text-amber">{t(heat.warning)}</p>
      )}
    </section>
  )
}

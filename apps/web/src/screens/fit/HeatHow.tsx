import { useWords } from '../../ui/words.ts'
import type { PlannedHeat } from '@truelay/core/plan'
import { Quantity } from '../../ui/Quantity.tsx'
import { secondsWords } from '../heat/secondsWords.ts'

/** How to hold the gun in this step, read at arm's length. */
export function HeatHow({ heat }: { readonly heat: PlannedHeat }) {
  const t = useWords()
  return (
    <section aria-label={t`How to hold the gun`} className="mt-3 border-l-[5px] border-orange bg-paper px-4 py-2.5">
      <p className="text-[27px] font-bold leading-tight first-letter:uppercase">{t(heat.words)}</p>
      <p className="mt-1 text-[20px] leading-snug">
        {t`Thermometer right after:`}{' '}
        <strong>
          <Quantity temperatureC={heat.readingC} />
        </strong>
        {t`${heat.passesRange[0] < heat.passes ? t`, read it from pass ${heat.passesRange[0]} on` : ''}. Press ${heat.coolToPressS !== null && heat.coolToPressS < 2 ? t`at once` : t`after ${secondsWords(heat.coolToPressS)}`}${heat.coolToCutS === null ? '' : t`, cut after ${secondsWords(heat.coolToCutS)}`}.`}
      </p>
      {heat.warning === null ? null : <p className="mt-1 text-[19px] font-bold text-amber">{t(heat.warning)}</p>}
    </section>
  )
}

import type { Form } from '@truelay/contract'
import { length, type Sentence } from '@truelay/core/say'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'

export interface MadeFromScan {
  readonly form: Form
  readonly stepMm: number
  readonly errorMm: { readonly largest: number; readonly typical: number }
  readonly mended: readonly Sentence[]
}

/** Nearer to it no hand feels the scan. */
const nothingMm = 0.1

/** How true a form is to its scan, and what was mended, before it is taken. */
export function MadeOfScan({ form, stepMm, errorMm, mended, onTake }: MadeFromScan & { readonly onTake: () => void }) {
  const t = useWords()
  return (
    <Notice look={mended.length === 0 ? 'good' : 'caution'} role="status">
      <p className="text-lead font-bold">
        {errorMm.largest < nothingMm
          ? t`Nowhere further off the scan than ${length(nothingMm, 1)}.`
          : t`Off the scan by ${length(errorMm.typical, 2)} on the average, ${length(errorMm.largest, 1)} at the most.`}
      </p>
      <p className="text-body">
        {form.holes.length === 0
          ? t`Heights every ${length(stepMm, 1)}, no opening.`
          : t`Heights every ${length(stepMm, 1)}, openings: ${form.holes.length}.`}
      </p>
      {mended.map((sentence) => (
        <p key={t(sentence)} className="text-body">
          {t(sentence)}
        </p>
      ))}
      <Button look="go" className="mt-2 w-full" onClick={onTake}>{t`Go on with this form`}</Button>
    </Notice>
  )
}

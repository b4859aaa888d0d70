import type { Label } from '@truelay/contract'
import { wholeFailure } from '@truelay/core/result'
import { counted } from '@truelay/core/say'
import { useLabelPrinterQuery, usePrintLabelsMutation } from '../../remote/labelApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'

/** Labels on the label printer of the shop; nothing where there is none. */
export function PrintLabels({ labels }: { readonly labels: readonly Label[] }) {
  const t = useWords()
  const { data: printer } = useLabelPrinterQuery()
  const [print, { data: sent, error, isLoading }] = usePrintLabelsMutation()
  if (printer === undefined || printer.state === 'none' || labels.length === 0) return null
  const wrong = error === undefined ? (sent?.taken === false ? sent.says : null) : wholeFailure(failureOf(error))
  return (
    <div className="no-print mt-3 flex flex-wrap items-center gap-4">
      <Button disabled={isLoading} onClick={() => void print({ labels: [...labels] })}>
        {isLoading
          ? t`Sending to the label printer`
          : t`${counted(labels.length, '# label', '# labels')} on the label printer`}
      </Button>
      <span className="text-body text-quiet">
        {printer.value === null ? t(printer.says) : t`${printer.value.labelsLeft} left on its roll`}
      </span>
      {wrong !== null ? (
        <Notice look="stop" role="alert">
          <span className="text-body">{t(wrong)}</span>
        </Notice>
      ) : sent?.taken === true ? (
        <Notice look="good" role="status">
          <span className="text-body">{t`The label printer has them.`}</span>
        </Notice>
      ) : null}
    </div>
  )
}

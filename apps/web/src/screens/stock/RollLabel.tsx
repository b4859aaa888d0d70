import { type Roll, rollLabelOf } from '@truelay/contract'
import { length } from '@truelay/core/say'
import { Modal } from '../../ui/Modal.tsx'
import { PrintOrClose } from '../../ui/PrintOrClose.tsx'
import { SquareCode } from '../../ui/SquareCode.tsx'
import { useWords } from '../../ui/words.ts'
import { PrintLabels } from '../frame/PrintLabels.tsx'
import { rollWords } from './stockWords.ts'

interface RollLabelProps {
  readonly roll: Roll
  readonly film: string
  readonly open: boolean
  readonly onClose: () => void
}

/** What is stuck into the core of a roll: its number to read from afar, its code to read with a camera. */
export function RollLabel({ roll, film, open, onClose }: RollLabelProps) {
  const t = useWords()
  return (
    <Modal open={open} title={t`Label for the core`} low onClose={onClose} actions={<PrintOrClose onClose={onClose} />}>
      <div className="mt-4 flex items-center gap-4 border border-hair p-3">
        <SquareCode of={rollLabelOf(roll)} className="size-40" />
        <span className="min-w-0 text-body leading-snug">
          <strong className="block text-title leading-none">{t(rollWords(roll))}</strong>
          <strong className="mt-2 block">{film}</strong>
          <span className="block">{t`lot ${roll.lot}`}</span>
          <span className="block">{t`${length(roll.widthMm, 0)} wide`}</span>
        </span>
      </div>
      <PrintLabels
        labels={[
          {
            code: rollLabelOf(roll),
            lines: [t(rollWords(roll)), film, t`lot ${roll.lot}`, t`${length(roll.widthMm, 0)} wide`],
          },
        ]}
      />
    </Modal>
  )
}

import { useWords } from '../../ui/words.ts'
import { labelOf, type Piece } from '@truelay/contract'
import { PrintLabels } from '../frame/PrintLabels.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { SquareCode } from '../../ui/SquareCode.tsx'
import { PrintOrClose } from '../../ui/PrintOrClose.tsx'

interface LabelsDialogProps {
  readonly open: boolean
  readonly pieces: readonly Piece[]
  readonly onClose: () => void
}

/** The shop's own labels: a square code and the words beside it, one for each piece. */
export function LabelsDialog({ open, pieces, onClose }: LabelsDialogProps) {
  const t = useWords()
  const labels = pieces.map((piece) => ({ code: labelOf(piece), lines: [piece.name, t`lot ${piece.lot}`] }))
  return (
    <Modal open={open} title={t`Labels`} onClose={onClose} actions={<PrintOrClose onClose={onClose} />}>
      <PrintLabels labels={labels} />
      <ul
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it is scrolled by the arrow keys
        tabIndex={0}
        className="grid min-h-0 flex-1 grid-cols-2 content-start gap-2 overflow-y-auto sm:grid-cols-3 print:overflow-visible"
      >
        {pieces.map((piece) => (
          <li key={piece.id} className="flex break-inside-avoid items-center gap-2 border border-hair p-2">
            <SquareCode of={labelOf(piece)} className="size-28" />
            <span className="min-w-0 text-note leading-snug">
              <strong className="block">{piece.name}</strong>
              {t`lot ${piece.lot}`}
            </span>
          </li>
        ))}
      </ul>
    </Modal>
  )
}

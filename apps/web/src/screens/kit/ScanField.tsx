import { useWords } from '../../ui/words.ts'
import type { Piece } from '@truelay/contract'
import { ScanText } from '../../ui/ScanText.tsx'
import { readLabel } from './readLabel.ts'

interface ScanFieldProps {
  readonly pieces: readonly Piece[]
  readonly nameOfKit: (id: string) => string
  readonly onPiece: (piece: Piece, lot: string) => void
  readonly onProblem: (problem: string) => void
}

/** Takes the label of a piece. */
export function ScanField({ pieces, nameOfKit, onPiece, onProblem }: ScanFieldProps) {
  const t = useWords()
  const take = (label: string) => {
    const reading = readLabel(label, pieces, nameOfKit)
    if (reading.kind === 'piece') onPiece(reading.piece, reading.lot)
    else onProblem(t(reading.problem))
  }
  return (
    <ScanText
      label={t`Scan a label here`}
      begins="TL1"
      onText={take}
      onProblem={onProblem}
      className="border-b border-hair px-5 py-4"
    />
  )
}

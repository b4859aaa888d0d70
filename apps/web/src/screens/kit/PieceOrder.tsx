import type { Form, Kit, Part, Piece } from '@truelay/contract'
import { formSize } from '@truelay/core/form'
import { carryRows, type LineCarry, layingSequence } from '@truelay/core/pieces'
import { inWords, showLength } from '@truelay/core/units'
import { useMemo } from 'react'
import { Notice } from '../../ui/Notice.tsx'
import { useUnits } from '../../ui/units.ts'

interface PieceOrderProps {
  readonly kit: Kit
  readonly pieces: readonly Piece[]
  readonly forms: readonly Form[]
  readonly partOf: (piece: Piece) => Part | undefined
}

/** In which order the pieces of a kit go on and why; where a row carries one line, which piece is its datum. */
export function PieceOrder({ kit, pieces, forms, partOf }: PieceOrderProps) {
  const sequence = useMemo(() => layingSequence(pieces, kit.rules), [pieces, kit.rules])
  const rows = useMemo(() => carriedRows(pieces, kit.rules, forms, partOf), [pieces, kit.rules, forms, partOf])
  const ruled = sequence.ok && sequence.value.some((s) => s.reasons.length > 0)
  if (pieces.length < 2 || (sequence.ok && !ruled && rows.length === 0)) return null
  return (
    <section aria-label={`Order of the pieces, ${kit.name}`} className="px-5 py-3">
      <h3 className="label-strong text-[18px]">Order of the pieces</h3>
      {sequence.ok ? (
        <ol className="mt-1 columns-1 gap-8 text-[16px] md:columns-2">
          {sequence.value.map((step, i) => (
            <li key={step.id} className="mb-1 break-inside-avoid leading-snug">
              <strong>
                {i + 1}. {step.name}
              </strong>{' '}
              <span className="text-quiet">{step.reasons.join(' ')}</span>
            </li>
          ))}
        </ol>
      ) : (
        <Notice look="stop" role="alert">
          {sequence.failure.sentence} {sequence.failure.fix}
        </Notice>
      )}
      {rows.map((row) => (
        <RowLine key={row.datum} row={row} />
      ))}
    </section>
  )
}

/** The row as it stands on the vehicle, each piece with how sure its line is. */
function RowLine({ row }: { readonly row: LineCarry }) {
  const units = useUnits()
  const show = (mm: number) => inWords(showLength(mm, units.length))
  return (
    <div className="mt-3">
      <p className="text-[17px] leading-snug">
        <strong>One line along the row.</strong> {row.words}
      </p>
      <ol className="mt-1.5 grid gap-px bg-hair" style={{ gridTemplateColumns: `repeat(${row.pieces.length}, 1fr)` }}>
        {[...row.pieces]
          .sort((a, b) => a.place - b.place)
          .map((piece) => (
            <li key={piece.id} className="bg-paper px-2 py-1.5 text-[15px] leading-snug">
              <strong className="block text-[20px]">± {show(2 * Math.max(piece.nearSigmaMm, piece.farSigmaMm))}</strong>
              {piece.name}, laid as number {row.pieces.indexOf(piece) + 1}
              <span className={`block ${piece.placed === 'carried' ? 'text-quiet' : 'text-petrol'}`}>
                {piece.placed === 'datum'
                  ? 'datum: measure up at both ends'
                  : piece.placed === 'carried'
                    ? 'takes its line from the one before'
                    : `measure up ${piece.measureAtMm.map(show).join(' and ')} along it`}
              </span>
            </li>
          ))}
      </ol>
    </div>
  )
}

function carriedRows(
  pieces: readonly Piece[],
  rules: Kit['rules'],
  forms: readonly Form[],
  partOf: (piece: Piece) => Part | undefined,
): LineCarry[] {
  return carryRows(
    pieces.flatMap((piece) => {
      const part = partOf(piece)
      const form = forms.find((f) => f.id === part?.formId)
      if (part === undefined || form === undefined) return []
      const openings = form.holes.length + form.marks.length
      return [{ slot: part.slot, id: piece.id, name: piece.name, lengthMm: formSize(form).widthMm, openings }]
    }),
    rules,
  )
}

import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { type Form, type Kit, linesOfRows, type Part, type Piece } from '@truelay/contract'
import { type LineCarry, layingSequence } from '@truelay/core/pieces'
import type { Practice } from '@truelay/core/practice'
import { length, list, paragraph, say } from '@truelay/core/say'
import { useMemo } from 'react'
import { Notice } from '../../ui/Notice.tsx'
import { ForRole } from '../frame/ForRole.tsx'

interface PieceOrderProps {
  readonly kit: Kit
  readonly pieces: readonly Piece[]
  readonly forms: readonly Form[]
  readonly parts: readonly Part[]
  readonly practice: Practice
}

/** In which order the pieces of a kit go on and why; where a row carries one line, which piece is its datum. */
export function PieceOrder({ kit, pieces, forms, parts, practice }: PieceOrderProps) {
  const t = useWords()
  const sequence = useMemo(() => layingSequence(pieces, kit.rules), [pieces, kit.rules])
  const rows = useMemo(
    () => linesOfRows({ parts, forms, pieces, kits: [kit] }, practice),
    [parts, forms, pieces, kit, practice],
  )
  const ruled = sequence.ok && sequence.value.some((s) => s.reasons.length > 0)
  if (pieces.length < 2 || (sequence.ok && !ruled && rows.length === 0)) return null
  return (
    <ForRole least="installer" quietly>
      <section aria-label={t`Order of the pieces, ${kit.name}`} className="px-5 py-3">
        <h3 className="label-strong text-body">{t`Order of the pieces`}</h3>
        {sequence.ok ? (
          <ol className="mt-1 columns-1 gap-8 text-body md:columns-2">
            {sequence.value.map((step, i) => (
              <li key={step.id} className="mb-1 break-inside-avoid leading-snug">
                <strong>
                  {i + 1}. {step.name}
                </strong>{' '}
                <span className="text-quiet">{t(paragraph(...step.reasons))}</span>
              </li>
            ))}
          </ol>
        ) : (
          <Notice look="stop" role="alert">
            {t(wholeFailure(sequence.failure))}
          </Notice>
        )}
        {rows.map((row) => (
          <RowLine key={row.datum} row={row} />
        ))}
      </section>
    </ForRole>
  )
}

/** The row as it stands on the vehicle, each piece with how sure its line is. */
function RowLine({ row }: { readonly row: LineCarry }) {
  const t = useWords()
  return (
    <div className="@container mt-3">
      <p className="text-body leading-snug">
        <strong>{t`One line along the row.`}</strong> {t(row.words)}
      </p>
      {/* Side by side as on the vehicle where there is room, else below each other. */}
      <ol className="mt-1.5 grid gap-px bg-hair @xl:auto-cols-fr @xl:grid-flow-col">
        {[...row.pieces]
          .sort((a, b) => a.place - b.place)
          .map((piece) => (
            <li key={piece.id} className="bg-paper px-2 py-1.5 text-note leading-snug">
              <strong className="block text-lead">
                ± {t`${length(2 * Math.max(piece.nearSigmaMm, piece.farSigmaMm))}`}
              </strong>
              {t`${piece.name}, laid as number ${row.pieces.indexOf(piece) + 1}`}
              <span className={`block ${piece.placed === 'carried' ? 'text-quiet' : 'text-petrol'}`}>
                {piece.placed === 'datum'
                  ? t`datum: measure up at both ends`
                  : piece.placed === 'carried'
                    ? t`takes its line from the one before`
                    : t`measure up ${list(piece.measureAtMm.map((mm) => say`${length(mm)}`))} along it`}
              </span>
            </li>
          ))}
      </ol>
    </div>
  )
}

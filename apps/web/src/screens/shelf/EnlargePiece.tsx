import { useWords } from '../../ui/words.ts'
import type { Film, Form, Piece, Shop } from '@truelay/contract'
import type { PiecePattern } from '@truelay/core/align'
import { nothingChosen, partQuestion } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { wholeFailure } from '@truelay/core/result'
import type { Sentence } from '@truelay/core/say'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { openLayWorker } from '../../workers/openLayWorker.ts'

interface EnlargePieceProps {
  readonly piece: Piece
  readonly form: Form
  readonly film: Film
  readonly shop: Shop
  readonly enlarged: boolean
  readonly onEnlarged: (pattern: PiecePattern | null) => void
}

/** More film along chosen edges only, as for a wrap; the other edges stay where they are. */
export function EnlargePiece({ piece, form, film, shop, enlarged, onEnlarged }: EnlargePieceProps) {
  const t = useWords()
  const [growth, setGrowth] = useState<Readonly<Record<string, number>>>({})
  const [busy, setBusy] = useState(false)
  const [problem, setProblem] = useState<Sentence | null>(null)
  const wanted = Object.fromEntries(Object.entries(growth).filter(([, mm]) => mm !== 0))
  const enlarge = async () => {
    setBusy(true)
    setProblem(null)
    const worker = openLayWorker()
    const question = partQuestion({
      partId: piece.id,
      partName: piece.name,
      films: [],
      form,
      film,
      pattern: piece.pattern,
      stock: { alcoholPercent: shop.stockAlcoholPercent },
      practice: practiceWith(shop.practice),
      found: [],
      low: false,
      chosen: null,
      choices: nothingChosen,
      set: null,
      line: null,
      measured: true,
    })
    const laid = await worker.lay(question)
    const result = laid.ok ? await worker.enlarge(question.place, wanted) : laid
    worker.close()
    setBusy(false)
    if (result.ok) onEnlarged(result.value)
    else setProblem(wholeFailure(result.failure))
  }
  return (
    <details className="mt-4 border-t border-hair pt-2">
      <summary className="label-strong min-h-11 cursor-pointer py-2 text-body text-petrol">{t`Enlarge along some edges`}</summary>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2">
        {form.edges.map((edge) => (
          <NumberField
            key={edge.name}
            label={edge.label}
            unit="mm"
            value={growth[edge.name] ?? 0}
            digits={0}
            min={-20}
            max={80}
            onCommit={(mm) => setGrowth((before) => ({ ...before, [edge.name]: mm }))}
          />
        ))}
      </div>
      <div className="mt-3 flex gap-2">
        <Button look="go" disabled={busy || Object.keys(wanted).length === 0} onClick={() => void enlarge()}>
          {busy ? t`Working it out` : t`Enlarge`}
        </Button>
        {enlarged ? <Button onClick={() => onEnlarged(null)}>{t`As it was`}</Button> : null}
      </div>
      {enlarged ? (
        <p
          role="status"
          className="mt-2 text-note text-quiet"
        >{t`Shown enlarged. Save it as SVG or DXF for the plotter; the piece on the shelf stays as it is.`}</p>
      ) : null}
      {problem === null ? null : (
        <p role="alert" className="mt-2 text-note text-stop">
          {t(problem)}
        </p>
      )}
    </details>
  )
}

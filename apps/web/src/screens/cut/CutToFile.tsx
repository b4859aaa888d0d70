import type { KitCheck } from '@truelay/contract'
import { wholeFailure } from '@truelay/core/result'
import { useRef, useState } from 'react'
import { failureOf } from '../../remote/failureOf.ts'
import { useSaveArrivedMutation } from '../../remote/kitCheckApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'
import { saveFile } from '../shelf/saveFile.ts'
import { type CutFileKind, cutFile, cutFileKinds } from './cutFiles.ts'
import type { CutWork } from './cutWork.ts'

interface CutToFileProps {
  readonly work: CutWork
  readonly check: KitCheck
  /** No plotter is connected: this is the way to cut. */
  readonly first: boolean
}

/** The cut as a file for a plotter elsewhere; what came of it is counted in by hand. */
export function CutToFile({ work, check, first }: CutToFileProps) {
  const t = useWords()
  const { job, who, film, request, lot, ready, take, onCounted } = work
  const [save, saving] = useSaveArrivedMutation()
  const [kind, setKind] = useState<CutFileKind>('HPGL')
  const [written, setWritten] = useState(false)
  /** Pieces that are counted already, where the count broke off and is pressed again. */
  const counted = useRef(new Set<string>())
  const write = async () => {
    const cut = take()
    if (cut === null) return
    const file = await cutFile(kind, `${job.number}-${film.film.id}`, cut)
    saveFile(file.name, file.type, file.text)
    setWritten(true)
  }
  const countIn = async () => {
    take()
    for (const { id, count } of request.pieces) {
      const piece = film.pieces.find((p) => p.piece.id === id)?.piece
      if (piece === undefined || counted.current.has(id)) continue
      const there = check.arrived.find((a) => a.pieceId === piece.id)?.arrived ?? 0
      const draft = { arrived: there + count, lot, personId: who }
      const answer = await save({ jobId: job.id, pieceId: piece.id, draft })
      if (answer.error !== undefined) return
      counted.current.add(id)
    }
    onCounted()
  }
  const kinds: Record<CutFileKind, string> = { HPGL: t`HPGL`, SVG: t`SVG`, DXF: t`DXF` }
  const way = (
    <>
      <Choice
        label={t`Kind of cut file`}
        value={kind}
        options={cutFileKinds.map((value) => ({ value, text: kinds[value] }))}
        onChange={setKind}
      />
      <Button
        look={first && !written ? 'go' : 'plain'}
        disabled={!ready}
        className="mt-2 w-full"
        onClick={() => void write()}
      >{t`Save the cut file`}</Button>
      <Button
        look={written ? 'go' : 'plain'}
        disabled={!ready || saving.isLoading}
        className="mt-2 w-full"
        onClick={() => void countIn()}
      >{t`It is cut: count it in`}</Button>
      {saving.error === undefined ? null : (
        <Notice look="stop" role="alert">
          {t(wholeFailure(failureOf(saving.error)))}
        </Notice>
      )}
    </>
  )
  return first ? (
    <div className="mt-3">{way}</div>
  ) : (
    <details className="mt-2">
      <summary className="label cursor-pointer py-2 text-body text-petrol">{t`By a cut file instead`}</summary>
      {way}
    </details>
  )
}

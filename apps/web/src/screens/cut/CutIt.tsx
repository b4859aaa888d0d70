import type { JobBundle, KitCheck } from '@truelay/contract'
import type { Nested, NestRequest } from '@truelay/core/nest'
import type { Practice } from '@truelay/core/practice'
import { wholeFailure } from '@truelay/core/result'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { useSaveArrivedMutation } from '../../remote/kitCheckApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'
import { saveFile } from '../shelf/saveFile.ts'
import { type CutFileKind, cutFile, cutFileKinds, cutOf } from './cutFiles.ts'
import type { FilmToCut } from './cutQuestion.ts'

interface CutItProps {
  readonly bundle: JobBundle
  readonly check: KitCheck
  readonly practice: Practice
  readonly film: FilmToCut
  readonly request: NestRequest
  /** Null while nothing is to be cut yet. */
  readonly nested: Nested | null
  /** The layout is taken as it is: nothing better is looked for any more. */
  readonly onTake: () => void
}

/** The cut file for the plotter; and what was cut goes into the kit’s count, with its lot. */
export function CutIt({ bundle: { job }, check, practice, film, request, nested, onTake }: CutItProps) {
  const t = useWords()
  const navigate = useNavigate()
  const who = useWho(job.personId)
  const [save, saving] = useSaveArrivedMutation()
  const [kind, setKind] = useState<CutFileKind>('HPGL')
  const [lot, setLot] = useState(film.pieces[0]?.piece.lot ?? '')
  const [written, setWritten] = useState(false)
  const write = async () => {
    if (nested === null) return
    onTake()
    const cut = cutOf(t`Job ${job.number}, ${film.film.name}`, request, nested, practice)
    const file = await cutFile(kind, `${job.number}-${film.film.id}`, cut)
    saveFile(file.name, file.type, file.text)
    setWritten(true)
  }
  const countIn = async () => {
    onTake()
    for (const { id, count } of request.pieces) {
      const piece = film.pieces.find((p) => p.piece.id === id)?.piece
      if (piece === undefined) continue
      const there = check.arrived.find((a) => a.pieceId === piece.id)?.arrived ?? 0
      const draft = { arrived: there + count, lot: lot.trim(), personId: who }
      const answer = await save({ jobId: job.id, pieceId: piece.id, draft })
      if (answer.error !== undefined) return
    }
    void navigate(`/jobs/${job.id}/kit`)
  }
  const noLot = lot.trim() === ''
  return (
    <div className="border-t border-hair p-4">
      {saving.error === undefined ? null : (
        <Notice look="stop" role="alert">
          {t(wholeFailure(failureOf(saving.error)))}
        </Notice>
      )}
      <Choice
        label={t`Kind of cut file`}
        value={kind}
        options={cutFileKinds.map((value) => ({ value, text: value }))}
        onChange={setKind}
      />
      <Button
        look={written ? 'plain' : 'go'}
        disabled={nested === null}
        className="mt-2 w-full"
        onClick={() => void write()}
      >{t`Save the cut file`}</Button>
      <div className="mt-3">
        <Field
          label={t`Lot on the core of the roll`}
          problem={noLot ? t`Read it off the core: it goes on the record of every piece.` : undefined}
        >
          <TextInput value={lot} maxLength={40} onChange={(event) => setLot(event.target.value)} />
        </Field>
      </div>
      <Button
        look={written ? 'go' : 'plain'}
        disabled={nested === null || noLot || saving.isLoading}
        className="mt-2 w-full"
        onClick={() => void countIn()}
      >{t`It is cut: count it in`}</Button>
    </div>
  )
}

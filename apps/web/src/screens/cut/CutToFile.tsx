import { wholeFailure } from '@truelay/core/result'
import { useState } from 'react'
import { useSendCutMutation } from '../../remote/cutApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'
import { saveFile } from '../shelf/saveFile.ts'
import { type CutFileKind, cutFile, cutFileKinds } from './cutFiles.ts'
import type { CutWork } from './cutWork.ts'

interface CutToFileProps {
  readonly work: CutWork
  /** No plotter is connected: this is the way to cut. */
  readonly first: boolean
}

/** The cut as a file for a plotter elsewhere, or by hand; what came of it is counted in by a press. */
export function CutToFile({ work, first }: CutToFileProps) {
  const t = useWords()
  const { job, film, ready, take, onCounted } = work
  const [send, sending] = useSendCutMutation()
  const [kind, setKind] = useState<CutFileKind>('HPGL')
  const [written, setWritten] = useState(false)
  const write = async () => {
    const taken = take()
    if (taken === null) return
    const file = await cutFile(kind, `${job.number}-${film.film.id}`, taken.cut)
    saveFile(file.name, file.type, file.text)
    setWritten(true)
  }
  const countIn = async () => {
    const taken = take()
    if (taken === null) return
    const answer = await send({ jobId: job.id, draft: { ...taken.draft, file: null } })
    if (answer.data?.state === 'cut') onCounted()
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
        disabled={!ready || sending.isLoading}
        className="mt-2 w-full"
        onClick={() => void countIn()}
      >{t`It is cut: count it in`}</Button>
      {sending.error === undefined ? null : (
        <Notice look="stop" role="alert">
          {t(wholeFailure(failureOf(sending.error)))}
        </Notice>
      )}
    </>
  )
  return first ? (
    <div className="mt-3">{way}</div>
  ) : (
    <details className="mt-2">
      <summary className="label cursor-pointer py-2 text-body text-petrol">{t`By a cut file instead, or by hand`}</summary>
      {way}
    </details>
  )
}

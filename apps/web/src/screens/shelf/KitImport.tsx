import { counted, type Sentence } from '@truelay/core/say'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { kitDoc, pieceDoc, type Shelf, sayProblem, type WholeKit } from '@truelay/contract'
import { FolderInput } from 'lucide-react'
import { useState } from 'react'
import { z } from 'zod'
import { failureOf } from '../../remote/failureOf.ts'
import { useSaveWholeKitMutation } from '../../remote/shelfApi.ts'
import { Button } from '../../ui/Button.tsx'
import { FileButton } from '../../ui/FileButton.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { readBundleFile } from '../../workers/openFormatsWorker.ts'
import { changesOf } from './changesOf.ts'
import { ForRole } from '../frame/ForRole.tsx'

const documents = z.object({ kit: kitDoc, pieces: z.array(pieceDoc.omit({ pattern: true })).max(200) })

/** A whole kit from one file: kept at once where it is new; where it would replace something, that is shown and asked. */
export function KitImport({ shelf }: { readonly shelf: Shelf }) {
  const t = useWords()
  const [told, setTold] = useState<{ readonly look: 'good' | 'stop'; readonly text: string } | null>(null)
  const [asked, setAsked] = useState<{ readonly whole: WholeKit; readonly replaces: readonly Sentence[] } | null>(null)
  const [save, { isLoading }] = useSaveWholeKitMutation()
  const stop = (text: string) => setTold({ look: 'stop', text })
  const keep = async (whole: WholeKit) => {
    const saved = await save(whole)
    setAsked(null)
    if (saved.error !== undefined) return stop(t(wholeFailure(failureOf(saved.error))))
    setTold({
      look: 'good',
      text: t`${whole.kit.name}: ${counted(whole.pieces.length, '# piece is', '# pieces are')} on the shelf.`,
    })
  }
  const take = async (file: File) => {
    setAsked(null)
    const bundle = await readBundleFile(new Uint8Array(await file.arrayBuffer()))
    if (!bundle.ok) return stop(t(wholeFailure(bundle.failure)))
    if (bundle.value.kind !== 'kit') return stop(t`That file holds a job, not a kit. Open it from the bay.`)
    const read = documents.safeParse(bundle.value.documents)
    if (!read.success) {
      const { where, sentence } = sayProblem(read.error)
      return stop(t`The kit in that file is damaged: ${where}: ${sentence}. Nothing was changed.`)
    }
    const pieces = []
    for (const piece of read.data.pieces) {
      const pattern = bundle.value.patterns[piece.id]
      if (pattern === undefined)
        return stop(t`The pattern of "${piece.name}" is missing in that file. Nothing was changed.`)
      pieces.push(pieceDoc.parse({ ...piece, pattern }))
    }
    const whole = { kit: read.data.kit, pieces }
    const replaces = changesOf(whole, shelf)
    setTold(null)
    if (replaces.length === 0) await keep(whole)
    else setAsked({ whole, replaces })
  }
  return (
    <ForRole least="installer" quietly>
      <div className="flex flex-wrap items-center gap-3">
        {told === null ? null : (
          <Notice look={told.look} role={told.look === 'stop' ? 'alert' : 'status'}>
            {told.text}
          </Notice>
        )}
        {asked === null ? null : (
          <Notice look="caution" role="alert">
            <p className="text-body font-bold">{t`${asked.whole.kit.name} would replace what is on the shelf:`}</p>
            <ul className="list-disc pl-5 text-body">
              {asked.replaces.map((one) => (
                <li key={t(one)}>{t(one)}</li>
              ))}
            </ul>
            <span className="mt-2 flex flex-wrap gap-3">
              <Button look="go" disabled={isLoading} onClick={() => void keep(asked.whole)}>{t`Replace them`}</Button>
              <Button onClick={() => setAsked(null)}>{t`Leave the shelf as it is`}</Button>
            </span>
          </Notice>
        )}
        <FileButton label={t`Kit file`} accept=".zip,application/zip" onFiles={([file]) => file && void take(file)}>
          <FolderInput size={20} /> {t`Bring in a kit`}
        </FileButton>
      </div>
    </ForRole>
  )
}

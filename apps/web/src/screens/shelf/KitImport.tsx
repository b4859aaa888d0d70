import { counted } from '@truelay/core/say'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { kitDoc, pieceDoc, sayProblem } from '@truelay/contract'
import { FolderInput } from 'lucide-react'
import { useState } from 'react'
import { z } from 'zod'
import { useSaveKitMutation, useSavePieceMutation } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { FileButton } from '../../ui/FileButton.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { readBundleFile } from '../../workers/openFormatsWorker.ts'

const documents = z.object({ kit: kitDoc, pieces: z.array(pieceDoc.omit({ pattern: true })).max(200) })

/** A whole kit from one file: shown in words first, kept when it is whole. */
export function KitImport() {
  const t = useWords()
  const [told, setTold] = useState<{ readonly look: 'good' | 'stop'; readonly text: string } | null>(null)
  const [saveKit] = useSaveKitMutation()
  const [savePiece] = useSavePieceMutation()
  const take = async (file: File) => {
    const stop = (text: string) => setTold({ look: 'stop', text })
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
    const kit = await saveKit(read.data.kit)
    if (kit.error !== undefined) return stop(t(wholeFailure(failureOf(kit.error))))
    for (const piece of pieces) {
      const saved = await savePiece(piece)
      if (saved.error !== undefined) return stop(t`${piece.name}: ${wholeFailure(failureOf(saved.error))}`)
    }
    setTold({
      look: 'good',
      text: t`${read.data.kit.name}: ${counted(pieces.length, '# piece is', '# pieces are')} on the shelf.`,
    })
  }
  return (
    <div className="flex flex-wrap items-center gap-3">
      {told === null ? null : (
        <Notice look={told.look} role={told.look === 'stop' ? 'alert' : 'status'}>
          {told.text}
        </Notice>
      )}
      <FileButton label={t`Kit file`} accept=".zip,application/zip" onFiles={([file]) => file && void take(file)}>
        <FolderInput size={20} /> {t`Bring in a kit`}
      </FileButton>
    </div>
  )
}

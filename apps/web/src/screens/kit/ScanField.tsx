import { useWords } from '../../ui/words.ts'
import type { Piece } from '@truelay/contract'
import { Camera } from 'lucide-react'
import { useState } from 'react'
import { Field, TextInput } from '../../ui/Field.tsx'
import { FileButton } from '../../ui/FileButton.tsx'
import { readLabel } from './readLabel.ts'

interface ScanFieldProps {
  readonly pieces: readonly Piece[]
  readonly nameOfKit: (id: string) => string
  readonly onPiece: (piece: Piece, lot: string) => void
  readonly onProblem: (problem: string) => void
}

/** Takes what a hand scanner types, or a photo of a label. */
export function ScanField({ pieces, nameOfKit, onPiece, onProblem }: ScanFieldProps) {
  const t = useWords()
  const [text, setText] = useState('')
  const take = (label: string) => {
    const reading = readLabel(label, pieces, nameOfKit)
    if (reading.kind === 'piece') onPiece(reading.piece, reading.lot)
    else onProblem(t(reading.problem))
  }
  const photo = async (file: File) => {
    const { readQrPhoto } = await import('./readQrPhoto.ts')
    const label = await readQrPhoto(file)
    if (label === null) onProblem(t`No label can be read in that photo. Hold it closer and straight, or tick the list.`)
    else take(label)
  }
  return (
    <form
      className="border-b border-hair px-5 py-4"
      onSubmit={(event) => {
        event.preventDefault()
        if (text.trim() === '') return
        take(text)
        setText('')
      }}
    >
      <Field label={t`Scan a label here`}>
        <TextInput value={text} onChange={(event) => setText(event.target.value)} placeholder={t`TL1/…`} />
      </Field>
      <FileButton
        label={t`Photo of a label`}
        accept="image/*"
        camera
        className="mt-2 w-full"
        onFiles={([file]) => file && void photo(file)}
      >
        <Camera size={20} /> {t`Photo of a label`}
      </FileButton>
    </form>
  )
}

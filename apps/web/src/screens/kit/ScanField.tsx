import type { Piece } from '@truelay/contract'
import { Camera } from 'lucide-react'
import { useRef, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { readLabel } from './readLabel.ts'

interface ScanFieldProps {
  readonly pieces: readonly Piece[]
  readonly nameOfKit: (id: string) => string
  readonly onPiece: (piece: Piece, lot: string) => void
  readonly onProblem: (problem: string) => void
}

/** Takes what a hand scanner types, or a photo of a label. */
export function ScanField({ pieces, nameOfKit, onPiece, onProblem }: ScanFieldProps) {
  const [text, setText] = useState('')
  const camera = useRef<HTMLInputElement>(null)
  const take = (label: string) => {
    const reading = readLabel(label, pieces, nameOfKit)
    if (reading.kind === 'piece') onPiece(reading.piece, reading.lot)
    else onProblem(reading.problem)
  }
  const photo = async (file: File) => {
    const { readQrPhoto } = await import('./readQrPhoto.ts')
    const label = await readQrPhoto(file)
    if (label === null) onProblem('No label can be read in that photo. Hold it closer and straight, or tick the list.')
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
      <Field label="Scan a label here">
        <TextInput value={text} onChange={(event) => setText(event.target.value)} placeholder="TL1/…" />
      </Field>
      <Button className="mt-2 w-full" onClick={() => camera.current?.click()}>
        <Camera size={20} /> Photo of a label
      </Button>
      <input
        ref={camera}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label="Photo of a label"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? []
          event.target.value = ''
          if (file !== undefined) void photo(file)
        }}
      />
    </form>
  )
}

import { Camera } from 'lucide-react'
import { useState } from 'react'
import { Field, TextInput } from './Field.tsx'
import { FileButton } from './FileButton.tsx'
import { useWords } from './words.ts'

interface ScanTextProps {
  readonly label: string
  /** How the codes begin that belong here. */
  readonly begins: string
  readonly onText: (text: string) => void
  readonly onProblem: (problem: string) => void
  readonly className?: string
}

/** Takes what a hand scanner types, or a photo of a label. */
export function ScanText({ label, begins, onText, onProblem, className = '' }: ScanTextProps) {
  const t = useWords()
  const [text, setText] = useState('')
  const photo = async (file: File) => {
    const { readQrPhoto } = await import('./readQrPhoto.ts')
    const read = await readQrPhoto(file)
    if (read === null) onProblem(t`No label can be read in that photo. Hold it closer and straight, or tick the list.`)
    else onText(read)
  }
  return (
    <form
      className={className}
      onSubmit={(event) => {
        event.preventDefault()
        if (text.trim() === '') return
        onText(text)
        setText('')
      }}
    >
      <Field label={label}>
        <TextInput value={text} onChange={(event) => setText(event.target.value)} placeholder={`${begins}/…`} />
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

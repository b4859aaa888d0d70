import { type Ref, useImperativeHandle, useRef, useState } from 'react'
import { PenField, type PenFieldHandle } from '../../ui/PenField.tsx'
import { useWords } from '../../ui/words.ts'

/** A name with the strokes of a pen, or without where it was typed instead. */
export interface Signature {
  readonly name: string
  readonly strokes: number[][]
}

export interface SignatureHandle {
  signature(): Signature
  clear(): void
}

interface SignatureFieldsProps {
  readonly ref: Ref<SignatureHandle>
  /** Whether there is a name and a sign under it. */
  readonly onReady: (ready: boolean) => void
  /** Whether there is a pen to sign anew with. */
  readonly onPen: (pen: boolean) => void
}

/** A name and a field to sign in, or the typed name instead. */
export function SignatureFields({ ref, onReady, onPen }: SignatureFieldsProps) {
  const t = useWords()
  const [name, setName] = useState('')
  const [signed, setSigned] = useState(false)
  const [typed, setTyped] = useState(false)
  const pen = useRef<PenFieldHandle>(null)
  useImperativeHandle(ref, () => ({
    signature: () => ({ name: name.trim(), strokes: typed ? [] : (pen.current?.strokes() ?? []) }),
    clear: () => pen.current?.clear(),
  }))
  const tell = (now: { name?: string; signed?: boolean; typed?: boolean }) => {
    const whole = { name, signed, typed, ...now }
    onReady(whole.name.trim() !== '' && (whole.signed || whole.typed))
  }
  return (
    <>
      <label htmlFor="signer" className="label mt-3 block text-body text-quiet">{t`Your name`}</label>
      <input
        id="signer"
        value={name}
        maxLength={80}
        autoComplete="off"
        onChange={(event) => {
          setName(event.target.value)
          tell({ name: event.target.value })
        }}
        className="min-h-12 w-full border-b-2 border-ink/50 bg-transparent text-head outline-none focus:border-petrol"
      />
      {typed ? null : (
        <div className="mt-3">
          <PenField
            ref={pen}
            label={t`Sign here`}
            onBegun={(begun) => {
              setSigned(begun)
              tell({ signed: begun })
            }}
          />
        </div>
      )}
      <label className="mt-1 flex min-h-11 items-center gap-3 text-body">
        <input
          type="checkbox"
          checked={typed}
          onChange={(event) => {
            setTyped(event.target.checked)
            setSigned(false)
            onPen(!event.target.checked)
            tell({ typed: event.target.checked, signed: false })
          }}
          className="size-6"
        />
        {t`Sign with the typed name, without a pen`}
      </label>
    </>
  )
}

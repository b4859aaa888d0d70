import { useWords } from '../../ui/words.ts'
import { type FaultKind, faultKinds, faultWords } from '@truelay/core/judge'
import { atStart } from '@truelay/core/say'
import { Dialog } from 'radix-ui'
import { useState } from 'react'

interface SomethingWrongProps {
  readonly open: boolean
  readonly edges: readonly string[]
  readonly onClose: () => void
  readonly onNoted: (problem: FaultKind, place: string) => void
}

/** What is wrong, and where: two taps, and it stands on the come-back list. */
export function SomethingWrong({ open, edges, onClose, onNoted }: SomethingWrongProps) {
  const t = useWords()
  const [problem, setProblem] = useState<FaultKind | null>(null)
  const close = () => {
    setProblem(null)
    onClose()
  }
  return (
    <Dialog.Root open={open} onOpenChange={(next) => (next ? null : close())}>
      <Dialog.Portal>
        <Dialog.Content aria-describedby={undefined} className="fixed inset-0 z-10 flex flex-col bg-chalk p-7">
          <div className="flex items-start justify-between gap-4">
            <Dialog.Title className="text-figure font-bold leading-tight">
              {problem === null ? t`What do you see?` : t`${atStart(faultWords(problem))}: where?`}
            </Dialog.Title>
            <Dialog.Close className="label-strong min-h-18 border border-ink/50 bg-paper px-6 text-head">{t`Never mind`}</Dialog.Close>
          </div>
          <div className="mt-5 grid min-h-0 flex-1 auto-rows-fr grid-cols-2 gap-2.5 overflow-auto md:grid-cols-3">
            {problem === null
              ? faultKinds.map((kind) => (
                  <Tile key={kind} text={t`${atStart(faultWords(kind))}`} onPick={() => setProblem(kind)} />
                ))
              : [...edges, t`in the middle`, t`at a corner`].map((place) => (
                  <Tile
                    key={place}
                    text={capital(place)}
                    onPick={() => {
                      onNoted(problem, place)
                      setProblem(null)
                    }}
                  />
                ))}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

const capital = (text: string) => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`

function Tile({ text, onPick }: { readonly text: string; readonly onPick: () => void }) {
  return (
    <button
      type="button"
      onClick={onPick}
      className="min-h-20 border border-ink/40 bg-paper px-4 text-left text-title font-bold leading-tight hover:border-petrol hover:text-petrol"
    >
      {text}
    </button>
  )
}

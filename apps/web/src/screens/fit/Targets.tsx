import { useRef } from 'react'
interface TargetsProps {
  readonly text: string
  readonly hint: string
  readonly disabled: boolean
  readonly canGoBack: boolean
  readonly onDone: () => void
  readonly onWrong: () => void
  readonly onBack: () => void
}

/** One huge target to go on; trouble and the way back beside it. */
export function Targets({ text, hint, disabled, canGoBack, onDone, onWrong, onBack }: TargetsProps) {
  const t = useWords()
  const goOn = useRef<HTMLButtonElement>(null)
  return (
    <div className="grid h-44 shrink-0 grid-cols-[1fr_15.625rem] max-sm:grid-cols-[1fr_9.5rem] grid-rows-2 portrait:h-52 landscape:h-36">
      <button
        ref={goOn}
        type="button"
        disabled={disabled}
        onClick={onDone}
        className="row-span-2 flex items-center justify-between gap-4 bg-petrol px-9 max-sm:flex-col max-sm:items-start max-sm:justify-center max-sm:px-5 text-on-petrol hover:bg-petrol-deep disabled:bg-bench disabled:text-quiet"
      >
        <span className="text-figure font-bold">{text}</span>
        <span className="label text-left text-lead max-sm:text-body" aria-live="polite">
          {hint}
        </span>
      </button>
      <button
        type="button"
        onClick={onWrong}
        className="label-strong border-l-8 border-amber bg-amber-tint px-5 text-left text-head text-amber-ink max-sm:px-3 max-sm:text-lead"
      >{t`Something is wrong`}</button>
      <button
        type="button"
        disabled={!canGoBack}
        onClick={() => {
          onBack()
          // Space goes on from here, not back once more.
          goOn.current?.focus()
        }}
        className="label-strong border-l-8 border-transparent bg-bench px-5 text-left text-head max-sm:px-3 max-sm:text-lead disabled:text-quiet"
      >{t`Back one step`}</button>
    </div>
  )
}
import { useWords } from '../../ui/words.ts'

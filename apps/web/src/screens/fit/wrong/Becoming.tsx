import {
  type ComeBackTime,
  comeBackWords,
  type CureStepId,
  type FaultKind,
  type Judgement,
  spoils,
} from '@truelay/core/judge'
import { useWords } from '../../../ui/words.ts'
import type { Becomes } from './becomes.ts'
import type { SpareOfKit } from './spareOf.ts'
import { SpoiltTargets } from './SpoiltBecomes.tsx'

interface BecomingProps {
  readonly fault: FaultKind
  readonly cut: boolean
  readonly judgement: Judgement | null
  readonly again: boolean
  readonly spare: SpareOfKit | null
  /** The steps that were gone through, once all of them are done. */
  readonly wholeCure: readonly CureStepId[] | null
  readonly onCure: () => void
  readonly onNoted: (becomes: Becomes) => void
}

const target =
  'label-strong min-h-18 flex-1 basis-52 px-5 text-left text-head leading-tight max-sm:min-h-14 max-sm:text-lead'
const first = `${target} bg-petrol text-on-petrol hover:bg-petrol-deep`
const plain = `${target} border border-ink/50 bg-paper hover:border-petrol`

/** What became of it, or when it is come back to: one tap. */
export function Becoming({ fault, cut, judgement, again, spare, wholeCure, onCure, onNoted }: BecomingProps) {
  const t = useWords()
  const spoilt = spoils(fault)
  const wasThere = judgement?.causes[0]?.id === 'was there before'
  const curable = judgement !== null && judgement.tooLate === null && !wasThere
  const toDo = curable && wholeCure === null && judgement.cure.length > 1
  // What could be done now and is not is come back to before it is too late.
  const soon: ComeBackTime = cut ? 'at hand-over' : 'before the cut'
  const later = judgement === null || judgement.when === 'now' ? soon : judgement.when
  if (spoilt)
    return (
      <div className="mt-3 flex shrink-0 flex-wrap gap-3">
        <SpoiltTargets spare={spare} onBecomes={onNoted} />
        {again ? null : (
          <button
            type="button"
            onClick={() => onNoted({ later: 'at hand-over' })}
            className={`${target} border-l-8 border-stop bg-stop-tint text-stop`}
          >{t`Note it, settle it at the end`}</button>
        )}
      </div>
    )
  return (
    <div className="mt-3 flex shrink-0 flex-wrap gap-3">
      {wholeCure === null ? null : (
        <p role="status" className="w-full text-title font-bold">{t`All steps done. Is it good?`}</p>
      )}
      {toDo ? <button type="button" onClick={onCure} className={first}>{t`Do it step by step`}</button> : null}
      {curable ? (
        <button
          type="button"
          onClick={() => onNoted({ settled: 'put right', ...(wholeCure === null ? {} : { cure: wholeCure }) })}
          className={toDo ? plain : first}
        >{t`It is good again`}</button>
      ) : null}
      {wasThere ? (
        <button
          type="button"
          onClick={() => onNoted({ settled: 'was there' })}
          className={first}
        >{t`It was there: leave it`}</button>
      ) : null}
      {again ? null : (
        <button
          type="button"
          onClick={() => onNoted({ later })}
          className={`${target} border-l-8 border-amber bg-amber-tint text-amber-ink`}
        >{t`Come back to it ${comeBackWords[later]}`}</button>
      )}
      {judgement === null || judgement.left === null ? null : (
        <button
          type="button"
          onClick={() => onNoted({ settled: 'customer takes it' })}
          className={plain}
        >{t`The customer takes it as it is`}</button>
      )}
    </div>
  )
}

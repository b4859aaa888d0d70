import { type Begun, lotsOf, type Part, standing } from '@truelay/contract'
import type { PlanStep } from '@truelay/core/plan'
import { useKitCheckQuery } from '../../remote/kitCheckApi.ts'
import { useWords } from '../../ui/words.ts'
import { TapRow } from './TapRow.tsx'
import type { Happened } from './useFit.ts'

interface LotInHandProps {
  readonly part: Pick<Part, 'jobId' | 'pieceId'>
  readonly state: Begun
  readonly step: Pick<PlanStep, 'id'>
  readonly happened: Happened
}

/** Of which lot the piece is, where the kit came in several: one tap when it is taken in hand, for the record. */
export function LotInHand({ part, state, step, happened }: LotInHandProps) {
  const t = useWords()
  const { data: check } = useKitCheckQuery(part.jobId)
  const { plan } = state
  const taken = plan.cut.way === 'from the roll' ? undefined : plan.steps.find(({ tools }) => tools.includes('piece'))
  const counted = check?.arrived.find(({ pieceId }) => pieceId === part.pieceId)
  const lots = counted === undefined ? [] : lotsOf(counted)
  if (taken?.id !== step.id || lots.length < 2) return null
  return (
    <TapRow
      label={t`Lot of the piece in hand`}
      before={t`Its label says lot`}
      choices={lots.map((lot) => ({ value: lot, words: lot, usual: false }))}
      chosen={standing(state, 'lotTold').at(-1)?.lot}
      onTap={(lot) => happened({ kind: 'lotTold', stepId: step.id, lot })}
    />
  )
}

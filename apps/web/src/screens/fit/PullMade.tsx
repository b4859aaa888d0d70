import { type Begun, standing } from '@truelay/contract'
import { type PullMade as Needed, pullsMade } from '@truelay/core/memory'
import type { PlannedEdge, PlanStep } from '@truelay/core/plan'
import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { TapRow } from './TapRow.tsx'
import type { Happened } from './useFit.ts'

interface PullMadeProps {
  readonly state: Begun
  readonly step: Pick<PlanStep, 'id' | 'references'>
  readonly edges: readonly Pick<PlannedEdge, 'name' | 'label'>[]
  readonly happened: Happened
}

const neededWords: Readonly<Record<Needed, Sentence>> = {
  less: say`less`,
  'as planned': say`as said`,
  more: say`more`,
}

/** How far the film really had to be pulled: one tap. It tells the next fit where its mark is too near or too far. */
export function PullMade({ state, step, edges, happened }: PullMadeProps) {
  const t = useWords()
  const pull = step.references.some(({ kind }) => kind === 'pull')
  const edge = step.references.find((reference) => reference.kind === 'edge')?.edge
  const place = edges.find(({ name }) => name === edge)?.label
  if (!pull || place === undefined) return null
  const told = standing(state, 'pullMade').findLast(({ stepId }) => stepId === step.id)?.needed
  return (
    <TapRow
      label={t`How far it had to be pulled`}
      before={t`It needed`}
      choices={pullsMade.map((value) => ({ value, words: t(neededWords[value]), usual: value === 'as planned' }))}
      chosen={told}
      onTap={(needed) => happened({ kind: 'pullMade', stepId: step.id, place, needed })}
    />
  )
}

import { type Begun, standing } from '@truelay/contract'
import type { PlannedHeat, PlanStep } from '@truelay/core/plan'
import { temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { TapRow } from './TapRow.tsx'
import type { Happened } from './useFit.ts'

interface HeatShownProps {
  readonly state: Begun
  readonly step: Pick<PlanStep, 'id'>
  readonly heat: Pick<PlannedHeat, 'use' | 'readingC'>
  readonly happened: Happened
}

/** What it may have shown instead: steps that a hand-held thermometer is read to. */
const offC = [-15, -10, -5, 0, 5, 10] as const

/** What the thermometer showed after the passes: one tap. It tells the next fit whether the passes were right. */
export function HeatShown({ state, step, heat, happened }: HeatShownProps) {
  const t = useWords()
  const shown = standing(state, 'heatRead').findLast(({ stepId }) => stepId === step.id)?.readC
  const wantedC = Math.round(heat.readingC)
  return (
    <TapRow
      label={t`What the thermometer showed`}
      before={t`It showed`}
      choices={offC.map((off) => ({ value: wantedC + off, words: t`${temperature(wantedC + off)}`, usual: off === 0 }))}
      chosen={shown}
      onTap={(readC) => happened({ kind: 'heatRead', stepId: step.id, use: heat.use, readC, wantedC })}
    />
  )
}

import type { PartPlan, PlannedBatch, PlanStep } from '@truelay/core/plan'
import { length } from '@truelay/core/say'
import { useCallback } from 'react'
import { BottleDrawing } from '../../drawings/BottleDrawing.tsx'
import { StepDrawing } from '../../drawings/StepDrawing.tsx'
import { useWords } from '../../ui/words.ts'
import { readingsShown } from './readingsShown.ts'
import { useAspect } from './useAspect.ts'
import type { GapRounds } from './useGapRounds.ts'

interface StepPictureProps {
  readonly plan: PartPlan
  readonly liquids: readonly PlannedBatch[]
  readonly step: PlanStep
  readonly gaps: GapRounds
}

const cutsAway = ['trim-wrap', 'gap-cut', 'surface-cut']

/** The sheet off the roll, until a step has cut it to the part. */
function uncutSheet({ cut, steps }: PartPlan, step: PlanStep) {
  const trimmed = steps.findIndex(({ id }) => cutsAway.includes(id))
  return cut.sheet === null || (trimmed >= 0 && steps.indexOf(step) > trimmed) ? undefined : cut.sheet.outline
}

/** What the step looks like: bottles and what goes in, or the part with film, marks and measured gaps. */
export function StepPicture({ plan, liquids, step, gaps: { plan: gapPlan, measuring, last } }: StepPictureProps) {
  const t = useWords()
  const [ref, aspect] = useAspect()
  const show = useCallback((mm: number) => t`${length(mm)}`, [t])
  return (
    <div ref={ref} className={`min-h-0 overflow-hidden ${measuring ? 'min-h-[16.875rem] flex-1 lg:h-auto' : 'flex-1'}`}>
      {step.records === 'batches' ? (
        <BottleDrawing batches={liquids} />
      ) : (
        <StepDrawing
          drawing={plan.drawing}
          picture={step.picture}
          sheet={uncutSheet(plan, step)}
          length={show}
          label={t`Picture of the step: ${step.headline}`}
          aspect={aspect}
          readings={readingsShown(gapPlan, last, show)}
        />
      )}
    </div>
  )
}

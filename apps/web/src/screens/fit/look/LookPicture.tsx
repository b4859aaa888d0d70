import type { PlanStep } from '@truelay/core/plan'
import { type EdgeSeen, LookDrawing } from '../../../drawings/LookDrawing.tsx'
import { useWords } from '../../../ui/words.ts'
import type { Fitting } from '../fitting.ts'
import { useAspect } from '../useAspect.ts'
import type { Look } from './useLook.ts'

interface LookPictureProps {
  readonly state: Fitting
  readonly step: PlanStep
  readonly look: Look
}

/** Where the hand goes now, and what was said of the edges before. */
export function LookPicture({ state: { plan }, step, look }: LookPictureProps) {
  const t = useWords()
  const [ref, aspect] = useAspect()
  const { stop, said } = look
  const seenOf = (edge: string): EdgeSeen =>
    stop?.edge === edge ? 'now' : (said.get(`edge ${edge}`)?.verdict ?? 'not yet')
  return (
    <div ref={ref} className="min-h-0 flex-1 overflow-hidden">
      <LookDrawing
        drawing={plan.drawing}
        seenOf={seenOf}
        checks={stop?.checks ?? []}
        known={step.picture.marks.flatMap((mark) => (mark.kind === 'zone' ? [mark] : []))}
        label={t`Picture of the walk round ${plan.partName}`}
        aspect={aspect}
      />
    </div>
  )
}

import type { HandOrder, LayTask } from '@truelay/core/exercises'
import type { NamedSpot } from '@truelay/core/lay'
import { lazy, Suspense, useMemo } from 'react'
import { inPlane } from '../../drawings/placeOnSurface.ts'
import { pullOfStep } from '../../drawings/pullOfStep.ts'
import { scaleEnd } from '../../drawings/stretchColor.ts'
import { StretchLegend } from '../../drawings/StretchLegend.tsx'
import { Busy } from '../../ui/Failed.tsx'
import { useWords } from '../../ui/words.ts'
import type { RehearsalStage } from '../../workers/rehearsalWork.ts'
import { stepAt } from '../rehearsal/playing.ts'
import { letterOf } from './layHand.ts'
import type { Try } from './LayTries.tsx'

const PartView3D = lazy(async () => ({ default: (await import('../../drawings/PartView3D.tsx')).PartView3D }))

interface LaidByHandProps {
  readonly task: LayTask
  readonly stage: RehearsalStage
  readonly look: Try | null
  readonly at: number
  readonly places: readonly NamedSpot[]
  readonly hand: HandOrder
  readonly onPick: (spot: readonly [number, number]) => void
}

/** The part in space: with its letters while it is said, with the film while it is played. */
export function LaidByHand({ task, stage, look, at, places, hand, onPick }: LaidByHandProps) {
  const t = useWords()
  const { surface } = stage
  const bare = useMemo(() => new Float64Array((2 * surface.mesh.triangle.length) / 3).fill(1), [surface])
  const rehearsal = look?.shown.rehearsal
  const number = rehearsal === undefined ? 0 : stepAt(rehearsal.steps.length, at)
  const step = rehearsal?.steps[number - 1]
  const progress = useMemo(
    () =>
      look === null
        ? undefined
        : {
            stepOfVertex: look.shown.rehearsal.stepOfVertex,
            step: number,
            front: step?.front ?? [],
            fingers: look.shown.fingers,
          },
    [look, number, step],
  )
  const stretch = rehearsal?.stretch ?? bare
  const full = Math.max(0.01, scaleEnd(stretch))
  const anchors = hand.anchors.flatMap(({ place }, i) => {
    const spot = (look === null ? places[place] : undefined)?.at ?? look?.shown.order.anchors[i]?.at
    return spot === undefined ? [] : [{ number: i + 1, onForm: spot }]
  })
  const free = places.flatMap((spot, place) =>
    hand.anchors.some((one) => one.place === place) ? [] : [{ letter: letterOf(place), onForm: spot.at }],
  )
  return (
    <div className="relative size-full">
      <Suspense fallback={<Busy text={t`Drawing the part`} />}>
        <PartView3D
          surface={surface}
          stretch={stretch}
          full={full}
          anchors={anchors}
          pulls={pullOfStep(step)}
          lines={task.form.bodyLines.map((line) => line.along)}
          pointed={null}
          onPoint={() => {}}
          progress={progress}
          places={free}
          onPick={look === null ? (place) => onPick(inPlane(surface, surface.plan, place)) : undefined}
        />
      </Suspense>
      {look === null ? null : (
        <div className="absolute bottom-2 left-4">
          <StretchLegend full={full} />
        </div>
      )}
    </div>
  )
}

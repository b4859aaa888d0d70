import { useWords } from '../../ui/words.ts'
import { percent, say, type Sentence } from '@truelay/core/say'
import type { FormDoc } from '@truelay/core/form'
import type { PartPlan } from '@truelay/core/plan'
import type { PlaceOnMesh } from '@truelay/core/geometry'
import type { LayMode, ReliefCut } from '@truelay/core/lay'
import { lazy, Suspense, useMemo } from 'react'
import { pullOfStep } from '../../drawings/pullOfStep.ts'
import { StretchLegend } from '../../drawings/StretchLegend.tsx'
import { scaleEnd, signedStretch } from '../../drawings/stretchColor.ts'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import type { FirstAnswer } from '../../workers/layWork.ts'
import type { FullAnswer } from '../../bench/useLayRun.ts'

import type { PlayedOrder } from './usePlayedOrder.ts'

const PartView3D = lazy(async () => ({ default: (await import('../../drawings/PartView3D.tsx')).PartView3D }))

/** What the part shows: a whole lay, or how far its order of laying has come. */
export type SheetMode = LayMode | 'in order'

interface OnThePartProps {
  readonly first: FirstAnswer
  readonly full: FullAnswer | null
  readonly form: FormDoc
  readonly mode: SheetMode
  readonly onMode: (mode: SheetMode) => void
  /** The order of laying up to the step under the slider; asked for by the mode `in order`. */
  readonly played?: PlayedOrder | undefined
  readonly pointed: PlaceOnMesh | null
  readonly onPoint: (place: PlaceOnMesh | null) => void
  readonly cuts?: readonly ReliefCut[] | undefined
}

/** The part in space with its stretch map, for the natural or the worked lay. */
export function OnThePart({
  first,
  full,
  form,
  mode,
  onMode,
  pointed,
  onPoint,
  cuts = noCuts,
  played,
}: OnThePartProps) {
  const t = useWords()
  const shown = mode !== 'natural' && full !== null ? full.worked : first.natural
  const scale = useMemo(
    () => Math.max(scaleEnd(first.natural.lay.stretch), full === null ? 0 : scaleEnd(full.worked.lay.stretch)),
    [first, full],
  )
  const anchors = full?.plan.anchors ?? []
  return (
    <section aria-labelledby="on-part" className="no-print relative flex min-h-0 min-w-0 flex-col">
      <div className="flex flex-wrap items-start justify-between gap-x-3 gap-y-2 px-4 pt-3">
        <div className="min-w-36 flex-1">
          <h2 id="on-part" className="label-strong text-body leading-tight">{t`On the part`}</h2>
          <p className="label text-note text-quiet">{t(modeWords[mode])}</p>
        </div>
        <div className="shrink-0">
          <Choice
            label={t`Which lay is shown`}
            value={full === null ? 'natural' : mode}
            onChange={onMode}
            options={[
              { value: 'natural', text: t`By itself` },
              { value: 'worked', text: t`Worked`, disabled: full === null },
              { value: 'in order', text: t`In order`, disabled: full === null },
            ]}
          />
        </div>
      </div>
      <div className="min-h-0 flex-1">
        <Suspense fallback={<Busy text={t`Drawing the part`} />}>
          {mode === 'in order' && played !== undefined ? (
            <InOrder played={played} form={form} scale={scale} anchors={anchors} />
          ) : (
            <PartView3D
              surface={first.surface}
              stretch={shown.lay.stretch}
              full={scale}
              anchors={anchors}
              pulls={mode === 'worked' && full !== null ? full.plan.pulls : []}
              lines={form.bodyLines.map((line) => line.along)}
              pointed={pointed}
              onPoint={onPoint}
              cuts={cuts}
            />
          )}
        </Suspense>
      </div>
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1 px-4 pb-3">
        <StretchLegend full={scale} />
        <p aria-live="polite" className="min-w-32 flex-1 pb-0.5 text-right text-note">
          {mode === 'in order' ? (
            <span className="text-quiet">{t`pale blue floats; move the step below`}</span>
          ) : pointed === null ? (
            <span className="text-quiet">{t`point at the part or the piece`}</span>
          ) : (
            <strong>{t(hereWords(shown.lay.stretch, pointed.triangle))}</strong>
          )}
        </p>
      </div>
    </section>
  )
}

const modeWords: Readonly<Record<SheetMode, Sentence>> = {
  natural: say`what the film does by itself; drag to turn it`,
  worked: say`stretch after the pulls; drag to turn it`,
  'in order': say`how far it lies after the step below`,
}

/** The order of laying, up to the step that is shown. */
function InOrder({
  played,
  form,
  scale,
  anchors,
}: {
  readonly played: PlayedOrder
  /** Of the plan: it puts the corner with the least room first. */
  readonly anchors: PartPlan['anchors']
  readonly form: FormDoc
  readonly scale: number
}) {
  const t = useWords()
  if (played.phase === 'asked') return <Busy text={t`Rehearsing the order`} />
  if (played.phase === 'refused') return <Failed sentence={played.failure.sentence} fix={played.failure.fix} />
  const { order, progress } = played.value
  const { stretch, steps } = order.rehearsal
  return (
    <PartView3D
      surface={order.surface}
      stretch={stretch}
      full={Math.max(scale, scaleEnd(stretch))}
      anchors={anchors.slice(0, progress.step)}
      pulls={pullOfStep(steps[progress.step - 1])}
      lines={form.bodyLines.map((line) => line.along)}
      pointed={null}
      onPoint={() => {}}
      progress={progress}
    />
  )
}

const noCuts: readonly ReliefCut[] = []

function hereWords(stretch: Float64Array, triangle: number): Sentence {
  const value = signedStretch(stretch[2 * triangle] ?? 1, stretch[2 * triangle + 1] ?? 1)
  const tenths = Math.round(Math.abs(1000 * value)) / 10
  if (tenths === 0) return say`at rest here`
  return value > 0 ? say`${percent(tenths, 1)} stretched here` : say`${percent(tenths, 1)} too much film here`
}

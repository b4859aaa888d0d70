import { inSpan, span, percent } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { FormDoc, PartSurface } from '@truelay/core/form'
import { schoolNames, schoolWords } from '@truelay/core/lay'
import { lazy, memo, Suspense, useMemo } from 'react'
import { pullOfStep } from '../../drawings/pullOfStep.ts'
import { StretchLegend } from '../../drawings/StretchLegend.tsx'
import { scaleEnd } from '../../drawings/stretchColor.ts'
import { Busy } from '../../ui/Failed.tsx'
import { Quantity, useShown } from '../../ui/Quantity.tsx'
import type { ShownRehearsal } from '../../workers/rehearsalWork.ts'
import { stepAt } from './playing.ts'
import type { OrderChoice } from './useRehearsals.ts'

const PartView3D = lazy(async () => ({ default: (await import('../../drawings/PartView3D.tsx')).PartView3D }))

interface OrderViewProps {
  readonly place: 'first' | 'second'
  readonly choice: OrderChoice
  readonly onChoose: (choice: OrderChoice) => void
  readonly offered: { readonly chosen: boolean; readonly found: boolean }
  readonly surface: PartSurface
  readonly form: FormDoc
  readonly shown: ShownRehearsal | null
  readonly other: ShownRehearsal | null
  /** How far it is played, 0 to 1. */
  readonly at: number
}

/** One order on the form: what lies, the front, the pull of the step, and film left over at the rim. */
export function OrderView({ place, choice, onChoose, offered, surface, form, shown, other, at }: OrderViewProps) {
  const t = useWords()
  const leftUnit = useShown()(inSpan(0)).unit
  const scale = useMemo(
    () => Math.max(...[shown, other].map((s) => (s === null ? 0.01 : scaleEnd(s.rehearsal.stretch)))),
    [shown, other],
  )
  return (
    <section
      aria-label={place === 'first' ? t`First order` : t`Second order`}
      // Side by side they share their rows, so that both parts are drawn to one scale however long their words are.
      className="relative flex min-h-0 min-w-0 flex-col border-r border-hair last:border-r-0 md:row-span-4 md:grid md:grid-rows-subgrid"
    >
      <div className="flex flex-wrap items-center justify-between gap-2 px-4 pt-3">
        <label className="label flex items-center gap-2 text-note text-quiet">
          {place === 'first' ? t`First` : t`Second`}
          <select
            className="label-strong min-h-11 rounded-md border border-ink/40 bg-paper px-2 text-body text-ink"
            value={choice}
            onChange={(event) => onChoose(event.target.value as OrderChoice)}
          >
            {offered.found ? <option value="found">{t`the better order found`}</option> : null}
            {offered.chosen ? <option value="chosen">{t`chosen for the fit`}</option> : null}
            {schoolNames.map((school) => (
              <option key={school} value={school}>
                {t(schoolWords[school])}
              </option>
            ))}
          </select>
        </label>
        {shown === null ? null : (
          <p className="flex items-baseline gap-4 leading-none" data-testid={`most-${place}`}>
            <span>
              <strong className="text-title">
                <Quantity of={percent(100 * shown.rehearsal.figures.largestStretch, 1)} bare />
              </strong>
              <span className="label text-note text-quiet"> {t`% stretch`}</span>
            </span>
            <span>
              <strong className="text-title">
                <Quantity of={inSpan(shown.rehearsal.figures.worstFingersMmPer100)} bare />
              </strong>
              <span className="label text-note text-quiet"> {t`${leftUnit} left over`}</span>
            </span>
          </p>
        )}
      </div>
      {shown === null ? (
        <div className="md:row-span-3">
          <Busy text={t`Rehearsing`} />
        </div>
      ) : (
        <Played surface={surface} form={form} shown={shown} at={at} scale={scale} />
      )}
    </section>
  )
}

interface PlayedProps {
  readonly surface: PartSurface
  readonly form: FormDoc
  readonly shown: ShownRehearsal
  readonly at: number
  readonly scale: number
}

/** Drawn again only when the order or the step changes, not with every word of a search. */
const Played = memo(function Played({ surface, form, shown, at, scale }: PlayedProps) {
  const t = useWords()
  const { rehearsal, fingers, order, words } = shown
  const number = stepAt(rehearsal.steps.length, at)
  const step = rehearsal.steps[number - 1]
  const progress = useMemo(
    () => ({ stepOfVertex: rehearsal.stepOfVertex, step: number, front: step?.front ?? [], fingers }),
    [rehearsal, number, step, fingers],
  )
  const anchors = useMemo(
    () => order.anchors.map((a, i) => ({ number: i + 1, onForm: a.at })).filter((a) => a.number <= number),
    [order, number],
  )
  const lines = useMemo(() => form.bodyLines.map((line) => line.along), [form])
  const pulls = useMemo(() => pullOfStep(step), [step])
  return (
    <>
      <p className="px-4 pt-1 text-note leading-snug text-quiet">{t(words)}</p>
      <div className="min-h-0 flex-1">
        <Suspense fallback={<Busy text={t`Drawing the part`} />}>
          <PartView3D
            surface={surface}
            stretch={rehearsal.stretch}
            full={scale}
            anchors={anchors}
            pulls={pulls}
            lines={lines}
            pointed={null}
            onPoint={noPoint}
            progress={progress}
          />
        </Suspense>
      </div>
      <div className="flex flex-wrap items-end justify-between gap-x-3 gap-y-1 px-4 pb-2">
        <StretchLegend full={scale} />
        <p aria-live="polite" className="min-h-[2.75rem] min-w-40 flex-1 text-right text-note leading-snug">
          {step === undefined ? (
            t`Nothing lies yet.`
          ) : (
            <>
              <strong>{t`${number} of ${rehearsal.steps.length}: ${step.kind === 'anchor' ? t`fix the ${step.label}` : t(step.label)}`}</strong>
              {step.frontExcessMmPer100 > 0.15 && step.laidShare < 1
                ? t`, ${inSpan(step.frontExcessMmPer100)} per ${span} pile up ahead of it`
                : null}
              {step.pull === null
                ? step.lifted
                  ? t`, lifted once`
                  : ''
                : step.pull.heat === 'warm'
                  ? t`, lifted and pulled warm`
                  : t`, lifted and pulled cold`}
            </>
          )}
        </p>
      </div>
    </>
  )
})

const noPoint = () => {}

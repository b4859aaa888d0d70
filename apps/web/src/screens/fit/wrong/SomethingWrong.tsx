import { faultStageOf, type JobBundle, type Part, type Photo, type Problem } from '@truelay/contract'
import { type FaultAnswers, type FaultKind, faultWords, type Judgement } from '@truelay/core/judge'
import { namedPlace, type PartPlan, type PlanStep } from '@truelay/core/plan'
import { wholeFailure } from '@truelay/core/result'
import { atStart, say, type Sentence, verbatim } from '@truelay/core/say'
import { Dialog } from 'radix-ui'
import { useState } from 'react'
import type { Air } from '../../../bench/useAir.ts'
import { useRecallPart } from '../../../bench/useRecallPart.ts'
import { Notice } from '../../../ui/Notice.tsx'
import { useWords } from '../../../ui/words.ts'
import type { Fitting } from '../fitting.ts'
import type { Becomes } from './becomes.ts'
import { Becoming } from './Becoming.tsx'
import { CureRun } from './CureRun.tsx'
import { Judged } from './Judged.tsx'
import { PhotoOfIt } from './PhotoOfIt.tsx'
import { spareOf } from './spareOf.ts'
import { useJudged } from './useJudged.ts'
import { WhatIsIt } from './WhatIsIt.tsx'
import { type ChosenPlace, WhereIsIt } from './WhereIsIt.tsx'

/** What is to be kept of something that was wrong. */
export interface Seen {
  readonly problem: FaultKind
  readonly place: string
  readonly onPart?: readonly [number, number]
  readonly answers: FaultAnswers
  readonly photos: readonly Photo[]
  readonly judgement: Judgement | null
}

interface SomethingWrongProps {
  readonly open: boolean
  readonly bundle: JobBundle
  readonly part: Part
  readonly state: Fitting
  readonly step: PlanStep
  readonly air: Pick<Air, 'temperatureC' | 'humidityPercent'>
  /** Something that was seen before and is come back to; null: something new. */
  readonly again: Problem | null
  /** Where it is, when the walk stands there; null: it is asked. */
  readonly at?: ChosenPlace | null
  readonly onClose: () => void
  readonly onNoted: (seen: Seen, becomes: Becomes) => void
}

/** What is wrong, where, why, and what to do: three taps, and the app judges from what it knows. */
export function SomethingWrong(props: SomethingWrongProps) {
  const { open, onClose } = props
  return (
    <Dialog.Root open={open} onOpenChange={(next) => (next ? null : onClose())}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-10 flex flex-col bg-chalk p-7 max-sm:p-4"
        >
          <Pages key={props.again?.id ?? 'new'} {...props} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

const placeOf = ({ place, onPart }: Problem, plan: PartPlan): ChosenPlace => ({
  edge:
    onPart === undefined ? (plan.edges.find((edge) => edge.label === place) ?? null) : namedPlace(plan, onPart).edge,
  says: verbatim(place),
  at: onPart ?? null,
})

function Pages(props: SomethingWrongProps) {
  const t = useWords()
  const { again, state } = props
  const [fault, setFault] = useState<FaultKind | null>(again?.problem ?? null)
  const [place, setPlace] = useState<ChosenPlace | null>(
    again === null ? (props.at ?? null) : placeOf(again, state.plan),
  )
  const asks: Sentence =
    fault === null
      ? say`What do you see?`
      : place === null
        ? say`${atStart(faultWords(fault))}: where?`
        : say`${atStart(faultWords(fault))}, ${place.says}`
  const back = place !== null && fault !== null ? () => setPlace(null) : fault !== null ? () => setFault(null) : null
  return (
    <>
      <div className="flex items-start justify-between gap-4">
        <Dialog.Title className="text-figure font-bold leading-tight max-sm:text-title">{t(asks)}</Dialog.Title>
        <span className="flex gap-3">
          {back === null || again !== null ? null : (
            <button
              type="button"
              onClick={back}
              className="label-strong min-h-14 border border-ink/50 bg-paper px-5 text-lead"
            >{t`Back`}</button>
          )}
          <Dialog.Close className="label-strong min-h-14 border border-ink/50 bg-paper px-5 text-lead">{t`Never mind`}</Dialog.Close>
        </span>
      </div>
      {fault === null ? (
        <WhatIsIt stage={faultStageOf(state)} film={state.plan.film} onPick={setFault} />
      ) : place === null ? (
        <WhereIsIt plan={state.plan} onPick={setPlace} />
      ) : (
        <JudgedThere {...props} fault={fault} place={place} />
      )}
    </>
  )
}

interface JudgedThereProps extends SomethingWrongProps {
  readonly fault: FaultKind
  readonly place: ChosenPlace
}

/** First why and what to do; then, if one likes, the cure step by step; what became of it is asked once, at the end of either. */
function JudgedThere({ fault, place, again, onNoted, ...parts }: JudgedThereProps) {
  const t = useWords()
  const [answers, setAnswers] = useState<FaultAnswers>(again?.answers ?? {})
  const [photos, setPhotos] = useState<readonly Photo[]>([])
  const [curing, setCuring] = useState<'not' | 'doing' | 'done'>('not')
  const { state, bundle, part } = parts
  const [readC, setReadC] = useState<number | null>(null)
  const known = useRecallPart(bundle, part)
  const outcome = useJudged({ ...parts, known, seen: { fault, place, at: place.at, answers, readC } })
  const judgement = outcome.ok ? outcome.value : null
  const cure = judgement?.cure ?? []
  const spare = spareOf(bundle, part, state)
  const noted = (becomes: Becomes) =>
    onNoted(
      {
        problem: fault,
        place: again?.place ?? t(place.says),
        ...(place.at === null ? {} : { onPart: [place.at[0], place.at[1]] as const }),
        answers,
        photos,
        judgement,
      },
      becomes,
    )
  const where = { at: place.at, edge: place.edge?.name ?? null }
  if (curing === 'doing')
    return (
      <CureRun
        cure={cure}
        plan={state.plan}
        place={where}
        onLeave={() => setCuring('not')}
        onDone={() => setCuring('done')}
      />
    )
  return (
    <>
      {outcome.ok ? (
        <Judged
          judgement={outcome.value}
          plan={state.plan}
          spare={spare === null ? say`Another piece: no spare in this kit, cut one from the roll.` : spare.says}
          place={where}
          readC={readC}
          onReadC={setReadC}
          onAnswer={(ask, answer) => setAnswers({ ...answers, [ask]: answer })}
        />
      ) : (
        <div className="mt-3 flex-1 space-y-3">
          <Notice look="stop" role="alert">
            {t(wholeFailure(outcome.failure))}
          </Notice>
          <button
            type="button"
            onClick={() => {
              setAnswers({})
              setReadC(null)
            }}
            className="label-strong min-h-14 border border-ink/50 bg-paper px-5 text-lead"
          >{t`Answer anew`}</button>
        </div>
      )}
      {again === null ? (
        <PhotoOfIt photos={photos} of={t`${faultWords(fault)}, ${place.says}`} onPhotos={setPhotos} />
      ) : null}
      <Becoming
        fault={fault}
        cut={faultStageOf(state) === 'cut'}
        judgement={judgement}
        again={again !== null}
        spare={spare}
        wholeCure={curing === 'done' ? cure.map(({ id }) => id) : null}
        onCure={() => setCuring('doing')}
        onNoted={noted}
      />
    </>
  )
}

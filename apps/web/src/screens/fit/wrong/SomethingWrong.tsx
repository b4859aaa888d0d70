import { faultStageOf, type JobBundle, type Part, type Photo, type Problem } from '@truelay/contract'
import {
  type ComeBackTime,
  comeBackWords,
  type FaultAnswers,
  type FaultKind,
  type FaultOutcome,
  faultWords,
  type Judgement,
  spoils,
} from '@truelay/core/judge'
import { namedPlace, type PartPlan, type PlanStep } from '@truelay/core/plan'
import { wholeFailure } from '@truelay/core/result'
import { atStart, counted, name, say, type Sentence, verbatim } from '@truelay/core/say'
import { Dialog } from 'radix-ui'
import { useState } from 'react'
import type { Air } from '../../../bench/useAir.ts'
import { Notice } from '../../../ui/Notice.tsx'
import { useWords } from '../../../ui/words.ts'
import type { Fitting } from '../fitting.ts'
import { Judged } from './Judged.tsx'
import { PhotoOfIt } from './PhotoOfIt.tsx'
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

/** What becomes of it: come back to later, or settled now. */
export type Becomes = { readonly later: ComeBackTime } | { readonly settled: FaultOutcome }

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

/** Where another piece would come from: the spare of the kit, or the roll. */
function spareOf({ pieces }: JobBundle, { pieceId }: Part): Sentence {
  const piece = pieces.find(({ id }) => id === pieceId)
  if (piece === undefined || piece.spares === 0) return say`Another piece: no spare in this kit, cut one from the roll.`
  return say`Another piece: ${counted(piece.spares, '# spare', '# spares')} of ${name(piece.name)} in the box, lot ${name(piece.lot)}.`
}

interface JudgedThereProps extends SomethingWrongProps {
  readonly fault: FaultKind
  readonly place: ChosenPlace
}

function JudgedThere({ fault, place, again, onNoted, ...parts }: JudgedThereProps) {
  const t = useWords()
  const [answers, setAnswers] = useState<FaultAnswers>(again?.answers ?? {})
  const [photos, setPhotos] = useState<readonly Photo[]>([])
  const outcome = useJudged({ ...parts, seen: { fault, place, at: place.at, answers } })
  const judgement = outcome.ok ? outcome.value : null
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
  return (
    <>
      {outcome.ok ? (
        <Judged
          judgement={outcome.value}
          plan={parts.state.plan}
          spare={spareOf(parts.bundle, parts.part)}
          place={{ at: place.at, edge: place.edge?.name ?? null }}
          onAnswer={(ask, answer) => setAnswers({ ...answers, [ask]: answer })}
        />
      ) : (
        <div className="mt-3 flex-1 space-y-3">
          <Notice look="stop" role="alert">
            {t(wholeFailure(outcome.failure))}
          </Notice>
          <button
            type="button"
            onClick={() => setAnswers({})}
            className="label-strong min-h-14 border border-ink/50 bg-paper px-5 text-lead"
          >{t`Answer anew`}</button>
        </div>
      )}
      {again === null ? (
        <PhotoOfIt photos={photos} of={t`${faultWords(fault)}, ${place.says}`} onPhotos={setPhotos} />
      ) : null}
      <Becoming
        fault={fault}
        cut={faultStageOf(parts.state) === 'cut'}
        judgement={judgement}
        again={again !== null}
        onNoted={noted}
      />
    </>
  )
}

interface BecomingProps {
  readonly fault: FaultKind
  readonly cut: boolean
  readonly judgement: Judgement | null
  readonly again: boolean
  readonly onNoted: (becomes: Becomes) => void
}

const target =
  'label-strong min-h-18 flex-1 basis-52 px-5 text-left text-head leading-tight max-sm:min-h-14 max-sm:text-lead'

/** What became of it, or when it is come back to: one tap. */
function Becoming({ fault, cut, judgement, again, onNoted }: BecomingProps) {
  const t = useWords()
  const spoilt = spoils(fault)
  const wasThere = judgement?.causes[0]?.id === 'was there before'
  const curable = judgement !== null && judgement.tooLate === null && !wasThere
  // What could be done now and is not is come back to before it is too late.
  const soon: ComeBackTime = cut ? 'at hand-over' : 'before the cut'
  const later = judgement === null || judgement.when === 'now' ? soon : judgement.when
  return (
    <div className="mt-3 flex shrink-0 flex-wrap gap-3">
      {curable ? (
        <button
          type="button"
          onClick={() => onNoted({ settled: 'put right' })}
          className={`${target} bg-petrol text-on-petrol hover:bg-petrol-deep`}
        >{t`It is good again`}</button>
      ) : null}
      {wasThere ? (
        <button
          type="button"
          onClick={() => onNoted({ settled: 'was there' })}
          className={`${target} bg-petrol text-on-petrol hover:bg-petrol-deep`}
        >{t`It was there: leave it`}</button>
      ) : null}
      {spoilt || again ? null : (
        <button
          type="button"
          onClick={() => onNoted({ later })}
          className={`${target} border-l-8 border-amber bg-amber-tint text-amber-ink`}
        >{t`Come back to it ${comeBackWords[later]}`}</button>
      )}
      {judgement === null || judgement.left === null || spoilt ? null : (
        <button
          type="button"
          onClick={() => onNoted({ settled: 'customer takes it' })}
          className={`${target} border border-ink/50 bg-paper hover:border-petrol`}
        >{t`The customer takes it as it is`}</button>
      )}
      {spoilt ? (
        <button
          type="button"
          onClick={() => onNoted({ later: 'at hand-over' })}
          className={`${target} border-l-8 border-stop bg-stop-tint text-stop`}
        >{t`Note it`}</button>
      ) : null}
    </div>
  )
}

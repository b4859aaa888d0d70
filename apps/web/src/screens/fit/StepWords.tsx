import { awaitedPiece, type FitEventOf, type JobBundle, type Part, type Problem } from '@truelay/contract'
import type { PlannedBatch, PlanStep } from '@truelay/core/plan'
import { heldTogether } from '../../ui/heldTogether.ts'
import { useWords } from '../../ui/words.ts'
import { BatchList } from './BatchList.tsx'
import { BladeInHand } from './BladeInHand.tsx'
import { BottleInHand } from './BottleInHand.tsx'
import type { Fitting } from './fitting.ts'
import { GapEntry } from './GapEntry.tsx'
import { HeatShown } from './HeatShown.tsx'
import { HeatHow } from './HeatHow.tsx'
import { PartPhoto } from './look/PartPhoto.tsx'
import type { Happened } from './useFit.ts'
import type { GapRounds } from './useGapRounds.ts'
import type { StandIn } from './useStandIns.ts'
import type { Together } from './useTogether.ts'
import type { Waits } from './useWaits.ts'
import { LotInHand } from './LotInHand.tsx'
import { PullMade } from './PullMade.tsx'
import { SpoiltPiece } from './SpoiltPiece.tsx'
import { StepHeading } from './StepHeading.tsx'
import { spareOf } from './wrong/spareOf.ts'
import { spoiltEvents } from './wrong/anotherPieceEvents.ts'
import { ComeBacks } from './wrong/ComeBacks.tsx'
import { WasItReady } from './WasItReady.tsx'

interface StepWordsProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly state: Fitting
  readonly step: PlanStep
  readonly happened: Happened
  readonly waits: Pick<Waits, 'asks' | 'answer'>
  readonly gaps: GapRounds
  readonly standIns: ReadonlyMap<string, StandIn>
  /** What is mixed here, and whether it may be for other parts too. */
  readonly liquids: readonly PlannedBatch[]
  readonly together: Together | null
  /** A fresh segment is in the knife. */
  readonly fresh: boolean
  readonly onFresh: (fresh: boolean) => void
  /** What was noted just now. */
  readonly noted: string | null
  /** Faults that spoilt the piece and are not settled. */
  readonly spoilt: readonly FitEventOf<'problemSeen'>[]
  readonly onComeBack: (problem: Problem) => void
}

/** What to do, with what, when, why, and what to mind: the step as it is read from two metres away. */
export function StepWords({
  bundle,
  part,
  state,
  step,
  happened,
  waits,
  gaps,
  standIns,
  liquids,
  together,
  fresh,
  onFresh,
  noted,
  spoilt,
  onComeBack,
}: StepWordsProps) {
  const t = useWords()
  const { plan } = state
  const { asks, answer } = waits
  const photo = state.done.length === 0 ? 'before' : step.tells === 'aftercare' ? 'after' : null
  const { measuring } = gaps
  const heat = step.heat === undefined ? undefined : plan.heat.find((h) => h.use === step.heat)
  return (
    <div className="flex min-h-0 flex-col overflow-y-auto px-7 pt-3 lg:pb-4">
      {asks === null ? null : <WasItReady {...asks} onAnswer={(ready) => answer(ready, asks.minutes)} />}
      <ComeBacks state={state} onOpen={onComeBack} />
      {awaitedPiece(state) === null ? null : (
        <p className="mb-3 border-l-8 border-amber bg-amber-tint px-4 py-2 text-lead leading-snug">
          {t`Another piece: take the spoilt film off flat and slowly, wipe what stays of its glue off as the maker of the glue remover says, and let the part dry.`}
        </p>
      )}
      <StepHeading
        of={`${plan.partName} ${step.id}`}
        testId="headline"
        className={`font-bold leading-[1.08] ${measuring ? 'text-title portrait:text-figure' : 'text-figure'}`}
      >
        {heldTogether(t(step.headline))}
      </StepHeading>
      {(measuring && !gaps.byEye) || step.records === 'batches' ? null : (
        <p className={`mt-2 leading-snug ${heat === undefined ? 'text-head' : 'text-lead portrait:text-head'}`}>
          {t(step.detail)}
        </p>
      )}
      {step.cautions.length === 0 ? null : (
        <div className="mt-2 space-y-1 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-body leading-snug portrait:text-lead">
          {step.cautions.map((caution) => (
            <p key={t(caution.says)}>{t(caution.says)}</p>
          ))}
        </div>
      )}
      {step.records === 'batches' ? <BatchList batches={liquids} standIns={standIns} together={together} /> : null}
      {heat === undefined ? null : (
        <>
          <HeatHow heat={heat} thenCut={step.wait?.kind === 'coolBeforeCut'} />
          <HeatShown state={state} step={step} heat={heat} happened={happened} />
        </>
      )}
      <LotInHand part={part} state={state} step={step} happened={happened} />
      <PullMade state={state} step={step} edges={plan.edges} happened={happened} />
      {step.uses === undefined ? null : (
        <BottleInHand
          key={step.id}
          bundle={bundle}
          state={state}
          stepId={step.id}
          use={step.uses}
          happened={happened}
        />
      )}
      {step.records === 'blade' ? <BladeInHand fresh={fresh} cutMm={step.cutMm ?? 0} onFresh={onFresh} /> : null}
      {step.because === undefined ? null : (
        <p className="mt-3 border-l-5 border-amber pl-3 text-lead leading-snug">{t(step.because)}</p>
      )}
      {step.gate === undefined ? null : (
        <p className="mt-3 border-l-5 border-petrol pl-3 text-head font-bold">{t`Only if: ${step.gate}`}</p>
      )}
      {spoilt.length === 0 ? null : (
        <SpoiltPiece
          spoilt={spoilt}
          spare={spareOf(bundle, part, state)}
          onSettled={(becomes) => happened(...spoiltEvents(state, step.id, becomes))}
        />
      )}
      {measuring ? (
        <GapEntry
          plan={gaps.plan}
          drafts={gaps.drafts}
          rounds={gaps.rounds}
          problem={gaps.problem}
          onDraft={gaps.setDraft}
        />
      ) : (
        <p className="mt-3 text-body leading-snug text-quiet">{t(step.why)}</p>
      )}
      {photo === null ? null : (
        <PartPhoto bundle={bundle} part={part} state={state} step={step} when={photo} happened={happened} />
      )}
      {noted === null ? null : (
        <p role="status" className="mt-3 border-l-5 border-good bg-paper px-3 py-1.5 text-lead">
          {noted}
        </p>
      )}
    </div>
  )
}

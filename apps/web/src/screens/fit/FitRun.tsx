import { dueLater, type JobBundle, type Part, type Problem, unsettledSpoils } from '@truelay/contract'
import { faultWords } from '@truelay/core/judge'
import { practiceWith } from '@truelay/core/practice'
import { name, paragraph, say, type Sentence } from '@truelay/core/say'
import { useState } from 'react'
import { useNow } from '../../ui/useNow.ts'
import { useWords } from '../../ui/words.ts'
import { Clocks } from './Clocks.tsx'
import { doneEvents } from './doneEvents.ts'
import { FitHead } from './FitHead.tsx'
import type { Fitting } from './fitting.ts'
import { grabWords } from './grabWords.ts'
import { Meanwhile } from './Meanwhile.tsx'
import { MeanwhileInPlan } from './MeanwhileInPlan.tsx'
import { PracticeMeanwhile } from './PracticeMeanwhile.tsx'
import { SetStrip } from './SetStrip.tsx'
import { stoppingProblems } from './wrong/ComeBacks.tsx'
import { becomesWords } from './wrong/becomesWords.ts'
import { seenEvents } from './wrong/seenEvents.ts'
import { SomethingWrong } from './wrong/SomethingWrong.tsx'
import { LookPicture } from './look/LookPicture.tsx'
import { LookWords } from './look/LookWords.tsx'
import { placeOfStop } from './look/placeOfStop.ts'
import { type Look, useLook } from './look/useLook.ts'
import { StepPicture } from './StepPicture.tsx'
import { StepWords } from './StepWords.tsx'
import { Targets } from './Targets.tsx'
import type { Happened } from './useFit.ts'
import { useElsewhere } from './useElsewhere.ts'
import { GoBack } from './GoBack.tsx'
import { type GapRounds, useGapRounds } from './useGapRounds.ts'
import { useSet } from './useSet.ts'
import { useStandIns } from './useStandIns.ts'
import { useTogether } from './useTogether.ts'
import { useWaitBell } from '../../bench/useWaitBell.ts'
import { aloudWords } from './aloudWords.ts'
import { useAloud } from './useAloud.ts'
import { useAwake } from './useAwake.ts'
import { useStepKeys } from './useStepKeys.ts'
import { useWaits } from './useWaits.ts'
import { WaitView } from './WaitView.tsx'

interface FitRunProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly state: Fitting
  readonly happened: Happened
  readonly unsent: number
  readonly away: boolean
  readonly refusal: Sentence | null
}

/** One step at a time. */
export function FitRun({ bundle, part, state, happened: kept, unsent, away, refusal }: FitRunProps) {
  useAwake()
  const t = useWords()
  const now = useNow(1000)
  const { plan } = state
  const index = state.done.length
  const step = plan.steps[index]
  const set = useSet(bundle, part, now)
  const waits = useWaits(bundle, state, now, kept)
  const { waiting, wait, air } = waits
  const standIns = useStandIns(bundle, plan.solutions)
  const { liquids, together } = useTogether(bundle, part, plan.solutions)
  const gaps = useGapRounds(state, step, waiting)
  const look = useLook(bundle, part, state, step)
  const elsewhere = useElsewhere(index)
  /** Keeps what is pressed here; the step that changes by it has not been changed by another tablet. */
  const happened: Happened = (...events) => {
    if (events.some(({ kind }) => kind === 'stepDone' || kind === 'stepReopened')) elsewhere.pressed()
    kept(...events)
  }
  const [fresh, setFresh] = useState(true)
  /** Something new that is wrong, or something that is come back to. */
  const [wrong, setWrong] = useState<'new' | Problem | null>(null)
  const last = index === plan.steps.length - 1
  const spoilt = last ? unsettledSpoils(state) : []
  const stopping = last ? stoppingProblems(state) : []
  const [noted, setNoted] = useState<string | null>(null)

  const done = () => {
    if (step === undefined || waiting || spoilt.length + stopping.length > 0 || elsewhere.holding) return
    if (gaps.answering) {
      const readings = gaps.read()
      if (readings !== null) happened({ kind: 'gapsMeasured', stepId: step.id, readings })
      return
    }
    if (look.walking) {
      const seen = look.answer('good')
      if (seen !== null) happened(seen)
      return
    }
    happened(...doneEvents({ bundle, part, state, step, liquids, standIns, fresh }), ...waits.setFor(index))
    setNoted(null)
    setFresh(true)
  }
  const back = () => {
    const before = state.done[state.done.length - 1]
    if (before === undefined || elsewhere.holding || look.goBack()) return
    happened({ kind: 'stepReopened', stepId: before.stepId })
  }
  const { tooSoon } = useStepKeys(`${index} ${waiting} ${look.stop?.id ?? ''}`, done, back)

  useWaitBell(
    wait === null || step === undefined
      ? []
      : [{ id: `${part.id} ${wait.from.toISOString()}`, until: wait.until, words: t`${part.name}: ${step.headline}` }],
    now,
  )
  const aloud = aloudWords({ t, state, step, now, waiting, wait, gaps })
  useAloud(aloud)

  if (step === undefined) return null
  const told = noted ?? (elsewhere.changed ? t`Another tablet has changed the step.` : null)
  return (
    <main className="flex h-full flex-col overflow-hidden bg-chalk">
      <p className="sr-only" role="status">
        {aloud[1]}
      </p>
      <FitHead bundle={bundle} part={part} steps={plan.steps} index={index} unsent={unsent} away={away} />
      {set === null ? null : <SetStrip bundle={bundle} set={set} now={now} />}
      {refusal === null ? null : (
        <p
          role="alert"
          className="shrink-0 border-l-8 border-stop bg-stop-tint px-6 py-2 text-lead"
        >{t`The server does not take the last steps: ${refusal} They stay on this tablet; tell the shop lead.`}</p>
      )}
      <GoBack partId={part.id} now={now} />
      {waiting && wait !== null ? (
        <WaitView
          wait={wait}
          now={now}
          then={t(step.headline)}
          air={air}
          usualMinutes={waits.usualMinutes}
          later={dueLater(state)}
          onReady={waits.readyEarly}
        >
          {set === null || set.meanwhile === null ? (
            <MeanwhileInPlan partId={part.id} personId={bundle.job.personId} now={now} until={wait.until}>
              <PracticeMeanwhile personId={bundle.job.personId} leftMs={wait.until.getTime() - now.getTime()} />
            </MeanwhileInPlan>
          ) : (
            <Meanwhile bundle={bundle} set={set} />
          )}
        </WaitView>
      ) : (
        <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
          {look.stops.length > 0 ? (
            <LookWords state={state} step={step} look={look} noted={told} onComeBack={setWrong} />
          ) : (
            <StepWords
              bundle={bundle}
              part={part}
              state={state}
              step={step}
              happened={happened}
              waits={waits}
              gaps={gaps}
              standIns={standIns}
              liquids={liquids}
              together={together}
              fresh={fresh}
              onFresh={setFresh}
              noted={told}
              spoilt={spoilt}
              onComeBack={setWrong}
            />
          )}
          {look.stops.length > 0 ? (
            <LookPicture state={state} step={step} look={look} />
          ) : (
            <StepPicture plan={plan} liquids={liquids} step={step} gaps={gaps} />
          )}
        </div>
      )}
      <Clocks
        state={state}
        now={now}
        step={step}
        waiting={waiting}
        onWetted={() => happened({ kind: 'filmWetted', stepId: step.id })}
      />
      <DoneTargets
        gaps={gaps}
        look={look}
        waiting={waiting}
        holding={elsewhere.holding}
        tooSoon={tooSoon}
        settling={spoilt.length + stopping.length > 0}
        canGoBack={state.done.length > 0}
        onDone={done}
        onWrong={() => setWrong('new')}
        onBack={back}
      />
      <SomethingWrong
        open={wrong !== null}
        bundle={bundle}
        part={part}
        state={state}
        step={step}
        air={air}
        again={wrong === 'new' ? null : wrong}
        at={look.stop === null ? null : placeOfStop(look.stop, plan)}
        onClose={() => setWrong(null)}
        onNoted={(seen, becomes) => {
          const there = wrong === 'new' && look.walking ? look.answer('fault') : null
          happened(
            ...seenEvents(state, step.id, wrong === 'new' ? null : wrong, seen, becomes),
            ...(there === null ? [] : [there]),
          )
          const why = grabWords(seen.problem, state, air, practiceWith(bundle.shop.practice), new Date())
          const told = becomesWords(becomes)
          setNoted(t(paragraph(say`Noted: ${faultWords(seen.problem)}, ${name(seen.place)}; ${told}.`, why)))
          setWrong(null)
        }}
      />
    </main>
  )
}

interface DoneTargetsProps {
  readonly gaps: GapRounds
  readonly look: Look
  readonly waiting: boolean
  /** The step has changed under the hand. */
  readonly holding: boolean
  /** A press came before this step can have been read. */
  readonly tooSoon: boolean
  /** What becomes of a spoilt piece has to be said first. */
  readonly settling: boolean
  readonly canGoBack: boolean
  readonly onDone: () => void
  readonly onWrong: () => void
  readonly onBack: () => void
}

/** The big target says what pressing it does now. */
function DoneTargets({ gaps, look, waiting, holding, tooSoon, settling, ...presses }: DoneTargetsProps) {
  const t = useWords()
  const { answering, measuring, byEye, typed, last, allGood } = gaps
  return (
    <Targets
      text={
        answering
          ? last === undefined
            ? t`How do I move it?`
            : t`Measured again`
          : measuring && !allGood && !(byEye && last === undefined)
            ? t`Go on as it is`
            : look.walking && !waiting
              ? t`Good`
              : t`Done`
      }
      hint={
        holding
          ? t`another tablet has changed the step`
          : settling
            ? t`say first what becomes of the piece`
            : waiting
              ? t`waiting until it may go on`
              : answering && !typed
                ? t`enter the gaps first`
                : tooSoon
                  ? t`read this step, then press again`
                  : t`or space, or foot`
      }
      disabled={holding || settling || waiting || (answering && !typed)}
      {...presses}
    />
  )
}

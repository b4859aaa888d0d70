import { useWords } from '../../ui/words.ts'
import { type JobBundle, type Part, standing } from '@truelay/contract'
import { faultWords } from '@truelay/core/judge'
import { length, say, type Sentence } from '@truelay/core/say'
import { practiceWith } from '@truelay/core/practice'
import { X } from 'lucide-react'
import { useCallback, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { BottleDrawing } from '../../drawings/BottleDrawing.tsx'
import { StepDrawing } from '../../drawings/StepDrawing.tsx'
import { useNow } from '../../ui/useNow.ts'
import { useUnits } from '../../ui/units.ts'
import { RoomAir } from '../today/RoomAir.tsx'
import { BatchList } from './BatchList.tsx'
import { BladeInHand } from './BladeInHand.tsx'
import { BottleInHand } from './BottleInHand.tsx'
import { doneEvents } from './doneEvents.ts'
import { Clocks } from './Clocks.tsx'
import type { Fitting } from './fitting.ts'
import { GapEntry } from './GapEntry.tsx'
import { type GapDrafts, readGaps } from './readGaps.ts'
import { grabWords } from './grabWords.ts'
import { HeatHow } from './HeatHow.tsx'
import { readingsShown } from './readingsShown.ts'
import { SomethingWrong } from './SomethingWrong.tsx'
import { Targets } from './Targets.tsx'
import type { Happened } from './useFit.ts'
import { useAspect } from './useAspect.ts'
import { useStepKeys } from './useStepKeys.ts'
import { useStandIns } from './useStandIns.ts'
import { useWaits } from './useWaits.ts'
import { WaitView } from './WaitView.tsx'
import { WasItReady } from './WasItReady.tsx'

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
export function FitRun({ bundle, part, state, happened, unsent, away, refusal }: FitRunProps) {
  const t = useWords()
  const units = useUnits()
  const now = useNow(1000)
  const [wrong, setWrong] = useState(false)
  const [noted, setNoted] = useState<string | null>(null)
  const { plan } = state
  const index = state.done.length
  const step = plan.steps[index]
  const { air, wait, waiting, setFor, answer, readyEarly, asks, usualMinutes } = useWaits(bundle, state, now, happened)
  const [fresh, setFresh] = useState(true)
  const standIns = useStandIns(bundle, plan.solutions)
  const heat = step?.heat === undefined ? undefined : plan.heat?.find((h) => h.use === step.heat)
  const [gaps, setGaps] = useState<GapDrafts>({})
  const [gapProblem, setGapProblem] = useState<Sentence | null>(null)
  const rounds = standing(state, 'gapsMeasured').filter((r) => r.stepId === step?.id)
  const lastRound = rounds[rounds.length - 1]
  const [ref, aspect] = useAspect()
  const show = useCallback((mm: number) => t`${length(mm)}`, [t])

  const measuring = step?.records === 'gaps' && !waiting
  const typed = Object.values(gaps).some((text) => text.trim() !== '')
  const answering = measuring && (typed || lastRound === undefined)
  const done = () => {
    if (step === undefined || waiting) return
    if (answering) {
      const round = readGaps(plan, gaps, units)
      setGapProblem(round.ok ? null : round.problem)
      if (!round.ok) return
      happened({ kind: 'gapsMeasured', stepId: step.id, readings: round.readings })
      setGaps({})
      return
    }
    happened(...doneEvents({ bundle, part, state, step, standIns, fresh }), ...setFor(index))
    setNoted(null)
    setFresh(true)
  }
  const back = () => {
    const last = state.done[state.done.length - 1]
    if (last !== undefined) happened({ kind: 'stepReopened', stepId: last.stepId })
  }
  useStepKeys(done, back)

  const readings = useMemo(() => readingsShown(plan, lastRound?.readings, show), [plan, lastRound, show])
  if (step === undefined) return null
  return (
    <main className="flex h-full flex-col overflow-hidden bg-chalk">
      <header className="flex shrink-0 items-center gap-4 bg-paper px-6 py-2.5">
        <Link
          to="/"
          aria-label={t`Leave the fit; it stays where it is`}
          className="-ml-2 flex size-11 items-center justify-center text-quiet hover:text-petrol"
        >
          <X size={26} />
        </Link>
        <h1 className="whitespace-nowrap text-[22px] font-bold">{part.name}</h1>
        <p className="label min-w-0 truncate text-[19px] text-quiet">
          {bundle.job.vehicle.model}, {bundle.job.vehicle.plate}
        </p>
        <div className="label ml-auto">
          <RoomAir job={bundle.job} />
        </div>
        <p className="label whitespace-nowrap text-[20px]">
          {unsent > 0 ? (
            <span className={away ? 'pr-4 text-amber' : 'pr-4 text-quiet'}>
              {away ? t`server away, ${unsent} kept here` : t`storing`}
            </span>
          ) : null}
          {t`step ${index + 1} of ${plan.steps.length}`}
        </p>
      </header>
      <div className="flex h-1.5 shrink-0 gap-0.5" aria-hidden="true">
        {plan.steps.map((s, i) => (
          <span key={s.id} className={`flex-1 ${i < index ? 'bg-petrol' : i === index ? 'bg-amber' : 'bg-film'}`} />
        ))}
      </div>
      {refusal === null ? null : (
        <p
          role="alert"
          className="shrink-0 border-l-8 border-stop bg-stop-tint px-6 py-2 text-[19px]"
        >{t`The server does not take the last steps: ${refusal} They stay on this tablet; tell the shop lead.`}</p>
      )}
      {waiting && wait !== null ? (
        <WaitView
          wait={wait}
          now={now}
          then={t(step.headline)}
          air={air}
          usualMinutes={usualMinutes}
          onReady={readyEarly}
        />
      ) : (
        <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
          <div className="flex min-h-0 flex-col overflow-y-auto px-7 pt-4 lg:pb-4">
            {asks === null ? null : <WasItReady {...asks} onAnswer={(ready) => answer(ready, asks.minutes)} />}
            <h2
              className={`font-bold leading-[1.08] ${measuring ? 'text-[34px] portrait:text-[40px]' : 'text-[44px] portrait:text-[50px]'}`}
              data-testid="headline"
            >
              {t(step.headline)}
            </h2>
            {measuring || step.records === 'batches' ? null : (
              <p className="mt-3 text-[25px] leading-snug">{t(step.detail)}</p>
            )}
            {step.records === 'batches' ? <BatchList batches={plan.solutions} standIns={standIns} /> : null}
            {heat === undefined ? null : <HeatHow heat={heat} />}
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
            {step.records === 'blade' ? <BladeInHand fresh={fresh} cutMm={step.cutMm ?? 0} onFresh={setFresh} /> : null}
            {step.because === undefined ? null : (
              <p className="mt-3 border-l-[5px] border-amber pl-3 text-[20px] leading-snug">{t(step.because)}</p>
            )}
            {step.gate === undefined ? null : (
              <p className="mt-3 border-l-[5px] border-petrol pl-3 text-[22px] font-bold">{t`Only if: ${step.gate}`}</p>
            )}
            {step.cautions.map((caution) => (
              <p
                key={t(caution.says)}
                className="mt-3 border-l-[5px] border-amber bg-amber-tint px-3 py-1.5 text-[19px] leading-snug"
              >
                {t(caution.says)}
              </p>
            ))}
            {measuring ? (
              <GapEntry
                plan={plan}
                drafts={gaps}
                rounds={rounds.map((r) => r.readings)}
                problem={gapProblem}
                onDraft={(id, text) => setGaps((before) => ({ ...before, [id]: text }))}
              />
            ) : (
              <p className="mt-3 text-[18px] leading-snug text-quiet">{t(step.why)}</p>
            )}
            {noted === null ? null : (
              <p role="status" className="mt-3 border-l-[5px] border-good bg-paper px-3 py-1.5 text-[19px]">
                {noted}
              </p>
            )}
          </div>
          <div
            ref={ref}
            className={`min-h-0 overflow-hidden ${measuring ? 'min-h-[270px] flex-1 lg:h-auto' : 'flex-1'}`}
          >
            {step.records === 'batches' ? (
              <BottleDrawing batches={plan.solutions} />
            ) : (
              <StepDrawing
                drawing={plan.drawing}
                picture={step.picture}
                length={show}
                label={t`Picture of the step: ${step.headline}`}
                aspect={aspect}
                readings={readings.byCheck}
              />
            )}
          </div>
        </div>
      )}
      <Clocks state={state} now={now} step={step} waiting={waiting} />
      <Targets
        text={
          answering
            ? lastRound === undefined
              ? t`How do I move it?`
              : t`Measured again`
            : measuring && !readings.allGood
              ? t`Go on as it is`
              : t`Done`
        }
        hint={
          waiting ? t`waiting until it may go on` : answering && !typed ? t`enter the gaps first` : t`or space, or foot`
        }
        disabled={waiting || (answering && !typed)}
        canGoBack={state.done.length > 0}
        onDone={done}
        onWrong={() => setWrong(true)}
        onBack={back}
      />
      <SomethingWrong
        open={wrong}
        edges={plan.edges.map((e) => e.label)}
        onClose={() => setWrong(false)}
        onNoted={(problem, place) => {
          happened({ kind: 'problemSeen', stepId: step.id, problem, place, comeBack: true })
          const why = grabWords(problem, state, air, practiceWith(bundle.shop.practice), new Date())
          setNoted(t`Noted: ${faultWords(problem)}, ${place}. ${why ?? say`It stands on the come-back list.`}`)
          setWrong(false)
        }}
      />
    </main>
  )
}

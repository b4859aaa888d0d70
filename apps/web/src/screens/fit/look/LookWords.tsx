import { lastReadings, type Problem } from '@truelay/contract'
import { sidesAlike, sidesWords } from '@truelay/core/lastLook'
import { measuredGaps, type PlanStep } from '@truelay/core/plan'
import { counted, length, say, type Sentence } from '@truelay/core/say'
import { Check, Dot, X } from 'lucide-react'
import { heldTogether } from '../../../ui/heldTogether.ts'
import { useWords } from '../../../ui/words.ts'
import type { Fitting } from '../fitting.ts'
import { GapField } from '../GapField.tsx'
import { StepHeading } from '../StepHeading.tsx'
import { ComeBacks } from '../wrong/ComeBacks.tsx'
import { PhotoOfIt } from '../wrong/PhotoOfIt.tsx'
import type { Look } from './useLook.ts'
import { useOtherSide } from './useOtherSide.ts'

interface LookWordsProps {
  readonly state: Fitting
  readonly step: PlanStep
  readonly look: Look
  readonly noted: string | null
  readonly onComeBack: (problem: Problem) => void
}

const photographed = ['lamp lit', 'whole', 'known marks']

/** One stop of the last walk, read from two metres away; below it how far the walk is. */
export function LookWords({ state, step, look, noted, onComeBack }: LookWordsProps) {
  const t = useWords()
  const { stop, said } = look
  const wrong = [...said.values()].filter(({ verdict }) => verdict === 'fault').length
  return (
    <div className="flex min-h-0 flex-col overflow-y-auto px-7 pt-3 lg:pb-4">
      <ComeBacks state={state} onOpen={onComeBack} />
      <StepHeading
        of={`${state.plan.partName} ${stop?.id ?? 'all round'}`}
        testId="headline"
        className="text-figure font-bold leading-[1.08]"
      >
        {heldTogether(stop === null ? t`Walked all round` : t(stop.asks))}
      </StepHeading>
      <p className="mt-2 text-head leading-snug">
        {stop !== null
          ? t(stop.how)
          : wrong === 0
            ? t`Everything was good.`
            : t`${counted(wrong, 'Something was wrong at # place', 'Something was wrong at # places')}: it is on the record with what became of it.`}
      </p>
      {step.cautions.length === 0 ? null : (
        <div className="mt-2 space-y-1 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-body leading-snug">
          {step.cautions.map((caution) => (
            <p key={t(caution.says)}>{t(caution.says)}</p>
          ))}
        </div>
      )}
      {stop?.kind === 'sides' ? <Sides state={state} look={look} /> : null}
      {stop === null || stop.checks.length === 0 ? null : <ReadAgain state={state} look={look} />}
      {stop !== null && photographed.includes(stop.kind) ? (
        <PhotoOfIt photos={look.photos} of={t(stop.asks)} onPhotos={look.setPhotos} />
      ) : null}
      {stop !== null || step.gate === undefined ? null : (
        <p className="mt-3 border-l-5 border-petrol pl-3 text-head font-bold">{t`Only if: ${step.gate}`}</p>
      )}
      <WalkSoFar look={look} />
      {noted === null ? null : (
        <p role="status" className="mt-3 border-l-5 border-good bg-paper px-3 py-1.5 text-lead">
          {noted}
        </p>
      )}
    </div>
  )
}

/** The gaps of the edge in hand, to be read once more by whoever wants them on the record. */
function ReadAgain({ state, look }: Pick<LookWordsProps, 'state' | 'look'>) {
  const t = useWords()
  const last = new Map(lastReadings(state).map((reading) => [reading.checkId, reading.measuredMm]))
  const wrong = measuredGaps(state.plan, lastReadings(state)).filter(
    ({ check, right }) => !right && look.stop?.checks.includes(check),
  )
  return (
    <fieldset className="mt-4">
      <legend className="label-strong text-body text-quiet">{t`Read once more, or leave it by the eye`}</legend>
      <div className="mt-1 grid grid-cols-2 gap-x-5 gap-y-1.5">
        {look.stop?.checks.map((check) => (
          <GapField
            key={check.id}
            check={check}
            text={look.drafts[check.id] ?? ''}
            expectedMm={last.get(check.id) ?? check.wantedMm}
            onText={(text) => look.setDraft(check.id, text)}
          />
        ))}
      </div>
      {wrong.map(({ check, measuredMm }) => (
        <p key={check.id} className="mt-2 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-body">
          {t`${check.id}: ${length(Math.abs(measuredMm))} was read before, ${length(Math.abs(check.wantedMm))} is wanted.`}
        </p>
      ))}
      {look.problem === null ? null : (
        <p role="alert" className="mt-2 border-l-5 border-stop bg-stop-tint px-3 py-1.5 text-body">
          {t(look.problem)}
        </p>
      )}
    </fieldset>
  )
}

/** How the gaps of both sides differ, and whether anybody sees it. */
function Sides({ state, look }: Pick<LookWordsProps, 'state' | 'look'>) {
  const t = useWords()
  const there = useOtherSide(look.otherSide)
  const { plan } = state
  const sides = sidesAlike({
    here: measuredGaps(plan, lastReadings(state)),
    there,
    labelOf: (edge) => plan.edges.find(({ name }) => name === edge)?.label ?? edge,
    practice: look.practice,
  })
  const unlike = sides[0]?.seen ?? false
  return (
    <div
      role="status"
      className={`mt-3 border-l-8 px-4 py-2 ${unlike ? 'border-amber bg-amber-tint' : 'border-good bg-paper'}`}
    >
      <p className="text-lead font-bold leading-snug">{t(sidesWords(sides, look.practice))}</p>
      {sides.length === 0 ? null : (
        <table className="mt-1 w-full text-body">
          <thead className="sr-only">
            <tr>
              <th>{t`edge`}</th>
              <th>{t`here`}</th>
              <th>{t`other side`}</th>
              <th>{t`apart`}</th>
            </tr>
          </thead>
          <tbody>
            {sides.map((side) => (
              <tr key={side.edge} className="border-t border-hair">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {side.label}
                </th>
                <td className="text-right">{t`${length(side.hereMm)}`}</td>
                <td className="text-right">{t`${length(side.thereMm)}`}</td>
                <td className={`text-right font-bold ${side.seen ? 'text-amber-ink' : ''}`}>
                  {t`${length(Math.abs(side.differenceMm))}${side.seen ? say` ✕` : say` ✓`}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  )
}

const saidWords: Readonly<Record<'good' | 'fault' | 'not yet', Sentence>> = {
  good: say`good`,
  fault: say`something was wrong`,
  'not yet': say`not looked at yet`,
}

/** Every stop with what was said of it; a tap looks at it again. */
function WalkSoFar({ look: { stops, said, stop, goTo } }: Pick<LookWordsProps, 'look'>) {
  const t = useWords()
  return (
    <nav aria-label={t`The walk so far`} className="mt-auto pt-4">
      <ol className="flex flex-wrap gap-1.5">
        {stops.map(({ id, asks }, i) => {
          const verdict = said.get(id)?.verdict ?? 'not yet'
          const now = id === stop?.id
          const Sign = verdict === 'good' ? Check : verdict === 'fault' ? X : Dot
          return (
            <li key={id}>
              <button
                type="button"
                aria-current={now ? 'step' : undefined}
                aria-label={t`${i + 1}. ${asks} ${saidWords[verdict]}`}
                onClick={() => goTo(id)}
                className={`flex size-11 items-center justify-center border-2 ${
                  now
                    ? 'border-petrol bg-petrol text-on-petrol'
                    : verdict === 'good'
                      ? 'border-good bg-paper text-good'
                      : verdict === 'fault'
                        ? 'border-stop bg-stop-tint text-stop'
                        : 'border-hair bg-paper text-quiet'
                }`}
              >
                {verdict === 'not yet' ? (
                  <span className="label-strong text-body">{i + 1}</span>
                ) : (
                  <Sign size={24} strokeWidth={3} aria-hidden="true" />
                )}
              </button>
            </li>
          )
        })}
      </ol>
    </nav>
  )
}

import { useWords } from '../../ui/words.ts'
import type { JobBundle, Part, Shift } from '@truelay/contract'
import { correctionWords, endOfEdge, type Room } from '@truelay/core/align'
import type { LayMode, Pull, ReliefCut } from '@truelay/core/lay'
import { ingredientWords, strengthWords } from '@truelay/core/mix'
import { edgeCodeWords, type PartPlan, type PartQuestion } from '@truelay/core/plan'
import { length, name, say, type Sentence, verbatim } from '@truelay/core/say'
import { Link } from 'react-router'
import { pieceMoved } from '../../bench/shiftSlice.ts'
import { FingerBars } from '../../drawings/FingerBars.tsx'
import { useSaveShiftMutation } from '../../remote/api.ts'
import { useAppDispatch } from '../../store/store.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { GradeBars } from '../../ui/GradeBars.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useUnits } from '../../ui/units.ts'
import type { FirstAnswer } from '../../workers/layWork.ts'
import type { FullAnswer } from '../../workers/useLayRun.ts'
import { HeatBlock, WaitsBlock } from './HeatAndWaits.tsx'
import { Block } from './Block.tsx'
import { CutsAndSeams } from './CutsAndSeams.tsx'
import { type PlacedMargins, useCoverage, useSuggestion } from './usePlacedMargins.ts'

interface SheetNumbersProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly first: FirstAnswer
  readonly full: FullAnswer
  readonly placed: PlacedMargins
  readonly plan: PartPlan
  readonly shift: Shift
  readonly mode: LayMode
  readonly question: PartQuestion
  readonly onCuts: (cuts: readonly ReliefCut[]) => void
}

/** What the walk-round found on this part, and what follows from it. */
function FoundHere({ plan }: { readonly plan: PartPlan }) {
  const t = useWords()
  const { notes } = plan
  if (notes.length === 0) return null
  return (
    <section aria-label={t`Found on this part`} className="border-b border-hair bg-amber-tint px-4 py-3">
      <h2 className="label-strong text-[16px]">{t`Found on the walk-round`}</h2>
      <ul>
        {notes.map((note) => (
          <li key={t(note.because)} className="mt-1 text-[15px] leading-snug">
            <strong className="block first-letter:uppercase">{t(note.because)}</strong>
            {t(note.says)}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Beside the drawings: the few numbers that a hand needs next. */
export function SheetNumbers(props: SheetNumbersProps) {
  const t = useWords()
  const { bundle, part, first, full, placed, plan, mode, question, onCuts } = props
  const _units = useUnits()
  const show = (mm: number) => t`${length(mm)}`
  const fingers = (mode === 'worked' ? full.worked : first.natural).fingers
  return (
    <aside className="border-hair bg-paper lg:flex lg:min-h-0 lg:flex-col lg:border-l">
      <div className="lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
        <FoundHere plan={plan} />
        <HardestPull {...props} />
        <WorstEdge {...props} />
        <HowFar placed={placed} plan={plan} />
        {plan.order === null ? null : (
          <Block title={t`Order of laying`}>
            <p className="leading-snug">
              <strong>{t(plan.order.words)}</strong>{' '}
              <span className="text-[15px] text-quiet">{t(plan.order.because)}</span>
            </p>
          </Block>
        )}
        <Block title={t`Pull`}>
          {plan.pulls.length === 0 ? (
            <p>{t`Nowhere: it lies down by itself.`}</p>
          ) : (
            <ul>
              {plan.pulls.map((pull) => (
                <li key={pull.letter} className="flex justify-between gap-3">
                  <span>
                    <strong>{pull.letter}</strong> {t(pullWords(pull, plan))}
                  </span>
                  <strong className="whitespace-nowrap">{pull.percent.toFixed(1)} %</strong>
                </li>
              ))}
            </ul>
          )}
        </Block>
        <Block
          title={
            mode === 'worked'
              ? t`Too much film left after the pulls, per ${length(100, 0)}`
              : t`Too much film if nobody pulls, per ${length(100, 0)}`
          }
        >
          <FingerBars
            rows={plan.edges.map((edge) => ({
              label: edge.label.replace(/ edge$/, ''),
              mmPer100: fingers.find((f) => f.edge === edge.name)?.excessMmPer100 ?? 0,
            }))}
            unit={t`per ${show(100)} of edge`}
            show={show}
          />
        </Block>
        <Block title={t`Mix for this part`}>
          {plan.solutions.length === 0 ? (
            <p>{t`Nothing: it is laid dry. The part must be bone dry.`}</p>
          ) : (
            <ul className="space-y-1.5">
              {plan.solutions.map((batch) => (
                <li key={batch.use}>
                  <p className="flex justify-between gap-3">
                    <span>
                      {t(batch.says)} <span className="text-quiet">{t(strengthWords(batch.strength))}</span>
                    </span>
                    <strong>
                      <Quantity volumeMl={batch.batchMl} />
                    </strong>
                  </p>
                  <p className="text-[14px] text-quiet">
                    {batch.add.map((a, i) => (
                      <span key={a.what}>
                        {i > 0 ? ' + ' : ''}
                        {t(ingredientWords[a.what])} <Quantity volumeMl={a.ml} />
                      </span>
                    ))}
                  </p>
                </li>
              ))}
            </ul>
          )}
          {plan.light === null ? null : (
            <p className="mt-2 border-t border-hair pt-2 text-[15px] leading-snug">{t(plan.light.words)}</p>
          )}
        </Block>
        <HeatBlock plan={plan} sheet={`/jobs/${bundle.job.id}/lay-sheets/${part.id}`} />
        <WaitsBlock plan={plan} jobId={bundle.job.id} />
        <Block title={t`Edges`}>
          <ul>
            {plan.edges.map((edge) => (
              <li key={edge.name} className="flex justify-between gap-3" title={t(edge.advice)}>
                <span className="shrink-0">{edge.label}</span>
                <span className="text-right">
                  {t(edgeCodeWords[edge.code])}{' '}
                  <span className="text-quiet">
                    {edge.rule.maxMm < 0
                      ? t`${show(-edge.rule.maxMm)} to ${show(-edge.rule.minMm)} over`
                      : t`${show(edge.rule.minMm)} to ${show(edge.rule.maxMm)}`}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </Block>
        <CutsAndSeams question={question} first={first} neededStretch={full.neededStretch} onCuts={onCuts} />
        <Block title={t`How it is worked out`}>
          <p className="flex items-center gap-2">
            <GradeBars grade={plan.grade} /> {t(plan.gradeWords)}
          </p>
          {plan.schools.map((school) => (
            <p key={t(school.question)} className="mt-1.5 text-[15px] leading-snug">
              <strong>{t(school.choice)}</strong>: {t(school.reason)}{' '}
              <span className="text-quiet">{t(school.otherwise)}</span>
            </p>
          ))}
          <p className="mt-1.5 text-[14px] leading-snug text-quiet">{t`From ${first.surface.bowFit.readings} bow readings; between them the form may be off by about ${show(first.surface.bowFit.unsureMm)}. Film as a membrane without friction.`}</p>
        </Block>
      </div>
      <div className="no-print sticky bottom-0 flex gap-2.5 border-t border-hair bg-paper p-4">
        <Link
          to={`/jobs/${bundle.job.id}/lay-sheets/${part.id}/rehearsal`}
          className={buttonClass('plain')}
        >{t`Rehearse`}</Link>
        <Link
          to={`/jobs/${bundle.job.id}/fit/${part.id}`}
          className={`${buttonClass('go')} flex-1`}
        >{t`To the fit`}</Link>
      </div>
    </aside>
  )
}

function pullWords(pull: Pull, plan: PartPlan): Sentence {
  const edge = plan.edges.find((e) => e.name === pull.edge)?.label.replace(/ edge$/, '') ?? pull.edge
  return pull.way === 'towards'
    ? say`${name(edge)}, outward, ${heatOfPull[pull.heat]}`
    : say`${name(edge)}, along it, ${heatOfPull[pull.heat]}`
}

const heatOfPull: Readonly<Record<Pull['heat'], Sentence>> = { cold: say`cold`, warm: say`warm` }

/** Room that makes the margin the lesser worry, mm, and stretch from which a pull is the greater one, per cent. */
const easyRoomMm = 3
const hardPullPercent = 2

const pullDecides = (plan: PartPlan, placed: PlacedMargins) =>
  (placed.edges[0]?.outsideMm ?? 0) < -easyRoomMm && (plan.pulls[0]?.percent ?? 0) >= hardPullPercent

/** Where stretch is the hard part, it comes first. */
function HardestPull({ plan, placed }: SheetNumbersProps) {
  const t = useWords()
  const pull = plan.pulls[0]
  if (pull === undefined || !pullDecides(plan, placed)) return null
  const edge = plan.edges.find((e) => e.name === pull.edge)?.label ?? pull.edge
  return (
    <section className="border-b border-hair px-4 pb-3 pt-3">
      <h3 className="label text-[15px] text-quiet">{t`Hardest pull, ${pull.letter}`}</h3>
      <p className="flex items-baseline gap-2.5">
        <strong className="text-[44px] leading-none">{pull.percent.toFixed(1)}</strong>
        <span className="text-[17px] text-quiet">
          {pull.way === 'towards'
            ? t`% longer towards the ${edge}, ${heatOfPull[pull.heat]}`
            : t`% longer along the ${edge}, ${heatOfPull[pull.heat]}`}
        </span>
      </p>
      {pull.glueLineRisk ? (
        <div className="mt-2">
          <Notice look="caution">{t`Let it relax before laying: this much leaves a glue line if it is laid at once.`}</Notice>
        </div>
      ) : null}
    </section>
  )
}

function WorstEdge({ bundle, part, full, placed, shift, plan }: SheetNumbersProps) {
  const t = useWords()
  const units = useUnits()
  const dispatch = useAppDispatch()
  const [saveShift] = useSaveShiftMutation()
  const covered = useCoverage(full.placement, placed.piece)
  const suggestion = useSuggestion(full.placement, placed, shift)
  const worst = placed.edges[0]
  if (worst === undefined) return null
  const rule = full.placement.rules[worst.edge]
  const over = worst.worst.marginMm < 0
  const label = plan.edges.find((e) => e.name === worst.edge)?.label ?? worst.edge
  const bad = worst.outsideMm > 0
  const end = endOfEdge(
    plan.directions,
    placed.margins.filter((m) => m.edge === worst.edge),
    worst.worst,
  )
  const show = (mm: number) => t`${length(mm)}`
  return (
    <section className="px-4 pb-3 pt-3">
      <h3 className="label text-[15px] text-quiet">
        {rule === undefined
          ? t`Edge margin`
          : rule.maxMm < 0
            ? t`Film past the edge, rule ${show(-rule.maxMm)} to ${show(-rule.minMm)}`
            : t`Edge margin, rule ${show(rule.minMm)} to ${show(rule.maxMm)}`}
      </h3>
      <p className="flex items-baseline gap-2.5" data-testid="worst-edge">
        <strong
          className={`leading-none ${pullDecides(plan, placed) ? 'text-[28px]' : 'text-[44px]'} ${bad ? 'text-amber' : ''}`}
        >
          <Quantity lengthMm={Math.abs(worst.worst.marginMm)} bare />
        </strong>
        <span className="text-[17px] text-quiet">
          {t(marginPlace(units.length, over && (rule?.maxMm ?? 0) >= 0, label, end))}
        </span>
      </p>
      <div className="mt-2">
        {bad && suggestion !== null ? (
          <Notice look="caution">
            {t(correctionWords(suggestion.move as { moveMm: [number, number]; turnDeg: number }, plan.directions))}{' '}
            {suggestion.clears
              ? t`Then it clears the rule all round.`
              : t`That is the best it can do: the piece does not fit the rule all round.`}
            <Button
              look="caution"
              className="mt-2 w-full"
              onClick={() => {
                dispatch(pieceMoved({ partId: part.id, from: shift, shift: suggestion.shift }))
                void saveShift({ jobId: bundle.job.id, partId: part.id, shift: suggestion.shift })
              }}
            >{t`Move it there`}</Button>
          </Notice>
        ) : bad ? (
          <Notice look="caution">{t`Outside the rule by ${show(worst.outsideMm)}.`}</Notice>
        ) : (
          <Notice look="good">{t`Inside the rule all round; ${show(-worst.outsideMm)} of room at the tightest place.`}</Notice>
        )}
      </div>
      <p className="mt-2 text-[15px]">
        {t`covers`} <strong>{(100 * covered).toFixed(1)} %</strong> {t`of the part`}
      </p>
    </section>
  )
}

function marginPlace(unit: string, over: boolean, edge: string, end: string | null): Sentence {
  const at = over
    ? say`${verbatim(unit)} over the edge at the ${name(edge)}`
    : say`${verbatim(unit)} at the ${name(edge)}`
  return end === null ? at : say`${at}, towards ${name(end)}`
}

function HowFar({ placed, plan }: { readonly placed: PlacedMargins; readonly plan: PartPlan }) {
  const t = useWords()
  const { sideMm, upMm, turnDeg, firstToBreak } = placed.tolerance
  const holds = (placed.edges[0]?.outsideMm ?? 0) <= 0
  const nameOf = (edge: string) => plan.edges.find((e) => e.name === edge)?.label ?? edge
  const { directions } = plan
  if (!holds)
    return (
      <Block title={t`How far it may be off`}>
        <p>{t`No room now: the ${nameOf(placed.edges[0]?.edge ?? '')} is outside its rule.`}</p>
      </Block>
    )
  return (
    <Block title={t`How far it may still be off`}>
      <table className="w-full">
        <tbody>
          <RoomRow to={directions.left} room={sideMm} way="minus" />
          <RoomRow to={directions.right} room={sideMm} way="plus" />
          <RoomRow to={directions.up} room={upMm} way="plus" />
          <RoomRow to={directions.down} room={upMm} way="minus" />
          <tr>
            <th scope="row" className="text-left font-normal">{t`turned`}</th>
            <td className="text-right font-bold">± {Math.min(turnDeg.plus, turnDeg.minus).toFixed(2)}°</td>
          </tr>
        </tbody>
      </table>
      {firstToBreak === null ? null : (
        <p className="mt-0.5 text-[15px] text-quiet">{t`The ${nameOf(firstToBreak.edge)} decides. Set it first.`}</p>
      )}
    </Block>
  )
}

function RoomRow({ to, room, way }: { readonly to: string; readonly room: Room; readonly way: 'plus' | 'minus' }) {
  const t = useWords()
  return (
    <tr>
      <th scope="row" className="text-left font-normal">{t`towards ${to}`}</th>
      <td className="whitespace-nowrap text-right font-bold">
        <Quantity lengthMm={room[way]} />
      </td>
    </tr>
  )
}

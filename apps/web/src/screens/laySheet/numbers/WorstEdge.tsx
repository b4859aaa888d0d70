import { correctionWords, endOfEdge } from '@truelay/core/align'
import { boundsOf, type Vec2 } from '@truelay/core/geometry'
import { practiceWith } from '@truelay/core/practice'
import { radFromDeg } from '@truelay/core/units'
import { length, name, percent, say, type Sentence, verbatim } from '@truelay/core/say'
import { pieceMoved } from '../../../bench/shiftSlice.ts'
import { useSaveShiftMutation } from '../../../remote/jobApi.ts'
import { useAppDispatch } from '../../../store/store.ts'
import { Button } from '../../../ui/Button.tsx'
import { Notice } from '../../../ui/Notice.tsx'
import { Quantity, useShown } from '../../../ui/Quantity.tsx'
import { useWords } from '../../../ui/words.ts'
import { useLaidPart } from '../LaidFrame.tsx'
import { type PlacedMargins, useCoverage, useSuggestion } from '../usePlacedMargins.ts'
import { pullDecides } from './HardestPull.tsx'

/** The edge whose margin is worst, and the move that would mend it. */
export function WorstEdge({ placed }: { readonly placed: PlacedMargins }) {
  const t = useWords()
  const { bundle, part, full, shift, worker } = useLaidPart()
  const { plan } = full
  const shown = useShown()
  const dispatch = useAppDispatch()
  const [saveShift] = useSaveShiftMutation()
  const covered = useCoverage(worker, full.placement, placed.piece)
  const suggestion = useSuggestion(full.placement, placed, shift)
  const worst = placed.edges[0]
  const practice = practiceWith(bundle.shop.practice)
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
  const move = (suggestion?.move ?? { moveMm: [0, 0], turnDeg: 0 }) as {
    readonly moveMm: Vec2
    readonly turnDeg: number
  }
  const movedMm = Math.hypot(...move.moveMm) + Math.abs(radFromDeg(move.turnDeg)) * farOf(plan.drawing.piece)
  const show = (mm: number) => t`${length(mm)}`
  return (
    <section className="px-4 pb-3 pt-3">
      <h3 className="label text-note text-quiet">
        {rule === undefined
          ? t`Edge margin`
          : rule.maxMm < 0
            ? t`Film past the edge, rule ${show(-rule.maxMm)} to ${show(-rule.minMm)}`
            : t`Edge margin, rule ${show(rule.minMm)} to ${show(rule.maxMm)}`}
      </h3>
      <p className="flex items-baseline gap-2.5" data-testid="worst-edge">
        <strong
          className={`leading-none ${pullDecides(plan, placed) ? 'text-title' : 'text-figure'} ${bad ? 'text-amber' : ''}`}
        >
          <Quantity of={length(Math.abs(worst.worst.marginMm))} bare />
        </strong>
        <span className="text-body text-quiet">
          {t(marginPlace(shown(length(worst.worst.marginMm)).unit, over && (rule?.maxMm ?? 0) >= 0, label, end))}
        </span>
      </p>
      <div className="mt-2">
        {bad && suggestion !== null ? (
          <Notice look="caution">
            {t(correctionWords({ ...move, farMm: farOf(plan.drawing.piece) }, plan.directions))}{' '}
            {movedMm < practice.outlineReading
              ? t`That is less than the form is known to (${length(practice.outlineReading)}): no need. `
              : ''}
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
      <p className="mt-2 text-note">
        {t`covers`} <strong>{covered === null ? '…' : <Quantity of={percent(100 * covered, 1)} />}</strong>{' '}
        {t`of the part`}
      </p>
    </section>
  )
}

/** From the middle of a piece to its farthest corner, mm. */
function farOf(piece: readonly Vec2[]): number {
  const { min, max } = boundsOf(piece)
  return Math.hypot(max[0] - min[0], max[1] - min[1]) / 2
}

function marginPlace(unit: string, over: boolean, edge: string, end: string | null): Sentence {
  const at = over
    ? say`${verbatim(unit)} over the edge at the ${name(edge)}`
    : say`${verbatim(unit)} at the ${name(edge)}`
  return end === null ? at : say`${at}, towards ${name(end)}`
}

import { length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { JobBundle, Part, Shift } from '@truelay/contract'
import { type EdgeMargin, outsideRule } from '@truelay/core/align'
import { type PlaceOnMesh, triangleLocator, type Vec2 } from '@truelay/core/geometry'
import type { PartQuestion } from '@truelay/core/plan'
import { Undo2 } from 'lucide-react'
import { useMemo, useRef } from 'react'
import { moveUndone, pieceMoved, pieceMoving } from '../../bench/shiftSlice.ts'
import { FlatPiece } from '../../drawings/FlatPiece.tsx'
import { inPlane } from '../../drawings/placeOnSurface.ts'
import { useSaveShiftMutation } from '../../remote/jobApi.ts'
import { useAppDispatch, useAppSelector } from '../../store/store.ts'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useShown } from '../../ui/Quantity.tsx'
import type { FirstAnswer } from '../../workers/layWork.ts'
import type { FullAnswer } from '../../bench/useLayRun.ts'
import type { PlacedMargins } from './usePlacedMargins.ts'

interface TheFlatPieceProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly question: PartQuestion
  readonly first: FirstAnswer
  readonly full: FullAnswer
  readonly placed: PlacedMargins
  readonly shift: Shift
  readonly pointed: PlaceOnMesh | null
  readonly onPoint: (place: PlaceOnMesh | null) => void
}

const mostShiftMm = 200
const mostTurnDeg = 30

/** The flat piece on the bench: dragged, nudged by keys or set by typed values. */
export function TheFlatPiece({
  bundle,
  part,
  question,
  first,
  full,
  placed,
  shift,
  pointed,
  onPoint,
}: TheFlatPieceProps) {
  const t = useWords()
  const dispatch = useAppDispatch()
  const shown = useShown()
  const [saveShift] = useSaveShiftMutation()
  const before = useAppSelector((state) => state.shift[part.id]?.before)
  const takenFrom = useRef<Shift | null>(null)
  const flat = full.worked.lay.flat
  const locate = useMemo(() => triangleLocator(flat, first.surface.mesh.triangle), [flat, first])
  const carried = useMemo(() => {
    const onDrawing = triangleLocator(first.surface.plan, first.surface.mesh.triangle)
    return question.lay.form.bodyLines.map((line) =>
      line.along.flatMap((p) => {
        const place = onDrawing.at(p)
        return place === null ? [] : [inPlane(first.surface, flat, place)]
      }),
    )
  }, [first, flat, question])

  const within = (value: Shift): Shift => ({
    xMm: Math.min(mostShiftMm, Math.max(-mostShiftMm, value.xMm)),
    yMm: Math.min(mostShiftMm, Math.max(-mostShiftMm, value.yMm)),
    turnDeg: Math.min(mostTurnDeg, Math.max(-mostTurnDeg, value.turnDeg)),
  })
  const settle = (from: Shift, to: Shift) => {
    dispatch(pieceMoved({ partId: part.id, from, shift: to }))
    void saveShift({ jobId: bundle.job.id, partId: part.id, shift: to })
  }
  const undo = () => {
    const last = before?.[before.length - 1]
    if (last === undefined) return
    dispatch(moveUndone({ partId: part.id }))
    void saveShift({ jobId: bundle.job.id, partId: part.id, shift: last })
  }
  const onKey = (key: string, far: boolean): boolean => {
    const step = far ? 1 : 0.1
    const turn = far ? 0.1 : 0.01
    const by: Record<string, Shift> = {
      ArrowLeft: { xMm: -step, yMm: 0, turnDeg: 0 },
      ArrowRight: { xMm: step, yMm: 0, turnDeg: 0 },
      ArrowUp: { xMm: 0, yMm: step, turnDeg: 0 },
      ArrowDown: { xMm: 0, yMm: -step, turnDeg: 0 },
      '+': { xMm: 0, yMm: 0, turnDeg: turn },
      '-': { xMm: 0, yMm: 0, turnDeg: -turn },
    }
    const move = by[key]
    if (move === undefined) return false
    settle(
      shift,
      within({ xMm: shift.xMm + move.xMm, yMm: shift.yMm + move.yMm, turnDeg: shift.turnDeg + move.turnDeg }),
    )
    return true
  }
  const dragged = (by: Vec2): Shift => {
    const from = takenFrom.current ?? shift
    return within({ ...from, xMm: from.xMm + by[0], yMm: from.yMm + by[1] })
  }

  const magnify = magnification(placed, full)
  const labels = edgeLabels(placed, magnify, (mm) => shown(length(mm)).figure)
  const passes = placed.margins.every((m) => m.marginMm < 0)

  return (
    <section
      aria-labelledby="flat-piece"
      className="flex min-h-0 min-w-0 flex-col border-hair md:border-l print:border-l-0"
    >
      <div className="flex items-start justify-between gap-3 px-4 pt-3">
        <div>
          <h2 id="flat-piece" className="label-strong text-body leading-tight">{t`The flat piece`}</h2>
          <p className="label text-note text-quiet">
            {passes
              ? t`film past the edge, true to size`
              : magnify === 1
                ? t`true to size; dotted is the rule`
                : t`gap drawn ${magnify} times too large; dotted is the rule`}
          </p>
        </div>
        <Button
          onClick={undo}
          disabled={before === undefined || before.length === 0}
          className="!px-3"
          title={t`Undo the last move`}
        >
          <Undo2 size={18} aria-hidden="true" /> {t`Undo`}
        </Button>
      </div>
      <div className="min-h-0 flex-1 px-1">
        <FlatPiece
          part={full.placement.outline.polygon}
          piece={placed.piece}
          margins={placed.margins}
          rules={full.placement.rules}
          magnify={magnify}
          anchors={full.plan.anchors}
          lines={carried}
          labels={labels}
          pointed={pointed === null ? null : inPlane(first.surface, flat, pointed)}
          onPoint={(at) => onPoint(at === null ? null : locate.at(at))}
          onDrag={(by) => {
            takenFrom.current ??= shift
            dispatch(pieceMoving({ partId: part.id, shift: dragged(by) }))
          }}
          onDrop={(by) => {
            const from = takenFrom.current
            if (from !== null) settle(from, dragged(by))
            takenFrom.current = null
          }}
          onKey={onKey}
          label={t`The flat piece. Arrow keys move it ${length(0.1, 2)}, with Shift ${length(1)}; plus and minus turn it.`}
        />
      </div>
      <div className="grid grid-cols-[1fr_1fr_1fr] items-start gap-4 px-4 pb-3">
        <NumberField
          unit="mm"
          digits={1}
          label={t`to the right`}
          value={shift.xMm}
          min={-mostShiftMm}
          max={mostShiftMm}
          onCommit={(mm) => settle(shift, { ...shift, xMm: mm })}
        />
        <NumberField
          unit="mm"
          digits={1}
          label={t`up`}
          value={shift.yMm}
          min={-mostShiftMm}
          max={mostShiftMm}
          onCommit={(mm) => settle(shift, { ...shift, yMm: mm })}
        />
        <NumberField
          label={t`turned left`}
          unit="°"
          digits={2}
          value={shift.turnDeg}
          min={-mostTurnDeg}
          max={mostTurnDeg}
          onCommit={(v) => settle(shift, { ...shift, turnDeg: v })}
        />
      </div>
    </section>
  )
}

/** The margin in the middle of every edge, and the worst one of all where it is. */
function edgeLabels(placed: PlacedMargins, magnify: number, show: (mm: number) => string) {
  const label = (name: string, spot: EdgeMargin, bad: boolean) => ({
    edge: name,
    at: outside(spot, magnify),
    inward: spot.inward,
    text: show(Math.abs(spot.marginMm)),
    bad,
  })
  const outer = placed.edges.filter((edge) => edge.worst.hole < 0)
  const middles = outer.flatMap((edge) => {
    const along = placed.margins.filter((m) => m.edge === edge.edge && m.hole < 0)
    const middle = along[Math.floor(along.length / 2)]
    if (middle === undefined) return []
    return [label(edge.edge, middle, outsideRule(middle, placed.rules) > 0)]
  })
  const worst = outer[0]
  if (worst === undefined || worst.outsideMm <= 0) return middles
  const far = middles.every((m) => Math.hypot(m.at[0] - worst.worst.at[0], m.at[1] - worst.worst.at[1]) > 30 * magnify)
  return far ? [...middles, label('worst', worst.worst, true)] : middles
}

/** Outside of whatever is drawn there: the part's edge as it is drawn, or the film that passes it. */
function outside({ at, inward, marginMm }: EdgeMargin, magnify: number): Vec2 {
  const out = marginMm < 0 ? -marginMm : marginMm * (magnify - 1)
  return [at[0] - inward[0] * out, at[1] - inward[1] * out]
}

/** Gaps are drawn so that a usual one is about a fiftieth of the part; film past the edge is drawn true to size. */
function magnification(placed: PlacedMargins, full: FullAnswer): number {
  const outer = placed.margins.filter((m) => m.hole < 0)
  const rules = outer.map((m) => full.placement.rules[m.edge]).filter((r) => r !== undefined)
  const mean = rules.reduce((sum, r) => sum + Math.abs(r.minMm + r.maxMm) / 2, 0) / Math.max(1, rules.length)
  if (rules.some((r) => r.maxMm < 0)) return 1
  const xs = full.placement.outline.polygon.map((p) => p[0])
  return Math.max(1, Math.min(20, Math.round((0.016 * (Math.max(...xs) - Math.min(...xs))) / Math.max(0.5, mean))))
}

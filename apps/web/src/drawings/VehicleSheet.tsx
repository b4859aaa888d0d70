import { MarkText } from './marks.tsx'
import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../ui/words.ts'
import { boundsOf, type Vec2 } from '@truelay/core/geometry'
import { type BodyPlan, type Face, type Slot, spotInSlot, spotOnSheet } from '@truelay/core/vehicle'
import { type KeyboardEvent, type PointerEvent, useMemo, useRef } from 'react'

export interface CoveredPart {
  readonly slot: string
  readonly name: string
  /** Its measured outline, mm, y up; null while nobody has measured it. */
  readonly outline: readonly Vec2[] | null
  /** Its share of the slot: left, top, right, bottom. */
  readonly within?: readonly [number, number, number, number] | undefined
}

export interface SheetMark {
  readonly id: string
  readonly slot: string
  /** Across and down the part, 0 to 1. */
  readonly at: Vec2
  readonly text: string
  readonly look: 'found' | 'later' | 'earlier'
}

interface VehicleSheetProps {
  readonly plan: BodyPlan
  readonly covered: readonly CoveredPart[]
  readonly marks: readonly SheetMark[]
  readonly chosenSlot: string | null
  readonly chosenMark: string | null
  readonly onTap?: (slot: Slot, at: Vec2) => void
  readonly onMark?: (id: string) => void
}

const faceWords: Readonly<Record<Face, Sentence>> = {
  top: say`top`,
  front: say`front`,
  rear: say`rear`,
  left: say`driver’s side`,
  right: say`passenger’s side`,
}

/** The vehicle opened like a box: what will be covered is filled, what was found is marked where it is. One to be tapped says which side is which. */
export function VehicleSheet({ plan, covered, marks, chosenSlot, chosenMark, onTap, onMark }: VehicleSheetProps) {
  const t = useWords()
  const ref = useRef<SVGSVGElement>(null)
  const unit = plan.width / 1000
  const shapes = useMemo(() => covered.map((part) => ({ part, path: partPath(plan, part) })), [plan, covered])
  const coveredSlots = new Set(covered.map((p) => p.slot))
  const tap = (slot: Slot) => (event: PointerEvent) => {
    const svg = ref.current
    const matrix = svg?.getScreenCTM()
    if (!svg || !matrix || onTap === undefined) return
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    const [u, v] = spotInSlot(slot, [p.x, p.y])
    onTap(slot, [clampShare(u), clampShare(v)])
  }
  return (
    <svg
      ref={ref}
      viewBox={`-30 -30 ${plan.width + 60} ${plan.height + 60}`}
      className="h-full w-full touch-manipulation select-none"
      role="group"
      aria-label={t`The vehicle, opened like a box`}
    >
      {plan.silhouettes.map((shape, i) => (
        <path
          key={`${shape.face}-${i}`}
          d={closed(shape.line)}
          fill={shape.glass ? 'var(--bench)' : 'var(--paper)'}
          stroke="var(--ink)"
          strokeOpacity={shape.glass ? 0.35 : 0.7}
          strokeWidth={shape.glass ? 1.2 * unit : 2 * unit}
          strokeLinejoin="round"
        />
      ))}
      {plan.wheels.map((wheel) => (
        <g key={`${wheel.at[0]}-${wheel.at[1]}`} fill="none" stroke="var(--ink)">
          <circle cx={wheel.at[0]} cy={wheel.at[1]} r={wheel.radius} fill="var(--bench)" strokeWidth={2 * unit} />
          <circle cx={wheel.at[0]} cy={wheel.at[1]} r={wheel.radius * 0.55} strokeWidth={1.2 * unit} />
        </g>
      ))}
      {plan.slots.map((slot) => (
        <path
          key={slot.id}
          d={slotPath(slot)}
          {...(onTap === undefined
            ? {}
            : {
                role: 'button',
                'aria-label': slot.name,
                tabIndex: 0,
                onPointerUp: tap(slot),
                onKeyDown: (event: KeyboardEvent) => {
                  if (event.key !== 'Enter' && event.key !== ' ') return
                  event.preventDefault()
                  onTap(slot, [0.5, 0.5])
                },
                className: 'cursor-pointer outline-none focus-visible:stroke-petrol hover:stroke-petrol',
              })}
          fill={chosenSlot === slot.id ? 'var(--amber-tint)' : 'transparent'}
          stroke={chosenSlot === slot.id ? 'var(--amber)' : 'var(--ink)'}
          strokeOpacity={chosenSlot === slot.id ? 1 : coveredSlots.has(slot.id) ? 0 : 0.45}
          strokeDasharray={chosenSlot === slot.id || coveredSlots.has(slot.id) ? undefined : `${4 * unit} ${3 * unit}`}
          strokeWidth={(chosenSlot === slot.id ? 3 : 1.2) * unit}
        />
      ))}
      {shapes.map(({ part, path }) => (
        <path
          key={part.name}
          d={path}
          pointerEvents="none"
          fill="var(--film)"
          fillOpacity={0.85}
          stroke="var(--petrol)"
          strokeWidth={1.8 * unit}
          strokeDasharray={part.outline === null ? `${4 * unit} ${3 * unit}` : undefined}
          strokeLinejoin="round"
        />
      ))}
      {onTap === undefined
        ? null
        : (['top', 'front', 'rear', 'left', 'right'] as const).map((face) => (
            <FaceName key={face} plan={plan} face={face} unit={unit} />
          ))}
      {marks.map((mark) => (
        <Mark key={mark.id} plan={plan} mark={mark} chosen={mark.id === chosenMark} unit={unit} onMark={onMark} />
      ))}
    </svg>
  )
}

const clampShare = (x: number) => Math.min(1, Math.max(0, x))

function FaceName({ plan, face, unit }: { readonly plan: BodyPlan; readonly face: Face; readonly unit: number }) {
  const t = useWords()
  const line = plan.silhouettes.find((s) => s.face === face && !s.glass)?.line
  if (line === undefined) return null
  const { min, max } = boundsOf(line)
  const middle: Vec2 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  const place: Record<Face, Vec2> = {
    top: middle,
    front: [min[0] + 70 * unit, min[1] - 10 * unit],
    rear: [max[0] - 70 * unit, min[1] - 10 * unit],
    left: [min[0] - 12 * unit, middle[1]],
    right: [min[0] - 12 * unit, middle[1]],
  }
  const [x, y] = place[face]
  const onSide = face === 'left' || face === 'right'
  return (
    <text
      x={x}
      y={y}
      textAnchor={onSide ? 'end' : 'middle'}
      fontSize={17 * unit}
      fontFamily="var(--font-label)"
      fill="var(--quiet)"
      pointerEvents="none"
    >
      {t(faceWords[face])}
    </text>
  )
}

function Mark({
  plan,
  mark,
  chosen,
  unit,
  onMark,
}: {
  readonly plan: BodyPlan
  readonly mark: SheetMark
  readonly chosen: boolean
  readonly unit: number
  readonly onMark: ((id: string) => void) | undefined
}) {
  const slot = plan.slots.find((s) => s.id === mark.slot)
  if (slot === undefined) return null
  const [x, y] = spotOnSheet(slot, mark.at)
  const size = (chosen ? 17 : 14) * unit
  const earlier = mark.look === 'earlier'
  return (
    <g
      onPointerUp={(event) => {
        event.stopPropagation()
        onMark?.(mark.id)
      }}
      className={earlier ? '' : 'cursor-pointer'}
      pointerEvents={earlier ? 'none' : undefined}
    >
      {mark.look === 'later' ? (
        <rect
          x={x - size}
          y={y - size}
          width={2 * size}
          height={2 * size}
          fill="var(--amber)"
          stroke="var(--paper)"
          strokeWidth={2.5 * unit}
        />
      ) : (
        <circle
          cx={x}
          cy={y}
          r={size}
          fill={earlier ? 'none' : 'var(--amber)'}
          stroke={earlier ? 'var(--amber)' : 'var(--paper)'}
          strokeWidth={2.5 * unit}
          strokeDasharray={earlier ? `${4 * unit} ${3 * unit}` : undefined}
        />
      )}
      <MarkText at={[x, -y]} size={17 * unit} color={earlier ? 'var(--amber)' : 'var(--paper)'}>
        {mark.text}
      </MarkText>
    </g>
  )
}

const closed = (line: readonly Vec2[]) =>
  `${line.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(0)} ${y.toFixed(0)}`).join('')}Z`

const corners: readonly Vec2[] = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
]
const slotPath = (slot: Slot) => closed(corners.map((corner) => spotOnSheet(slot, corner)))

/** The part's own outline, as large as it fits into its place; a plain box while it is not measured. */
function partPath(plan: BodyPlan, { slot: id, outline, within = [0, 0, 1, 1] }: CoveredPart): string {
  const slot = plan.slots.find((s) => s.id === id)
  if (slot === undefined) return ''
  const [left, top, right, bottom] = within
  const inSlot = ([u, v]: Vec2): Vec2 => spotOnSheet(slot, [left + u * (right - left), top + v * (bottom - top)])
  if (outline === null) return closed(corners.map(inSlot))
  const { min, max } = boundsOf(outline)
  const wide = slot.size[0] * (right - left)
  const tall = slot.size[1] * (bottom - top)
  const scale = Math.min(wide / (max[0] - min[0]), tall / (max[1] - min[1]))
  return closed(
    outline.map(([x, y]) =>
      inSlot([0.5 + ((x - (min[0] + max[0]) / 2) * scale) / wide, 0.5 - ((y - (min[1] + max[1]) / 2) * scale) / tall]),
    ),
  )
}

import { Hand as HandIcon } from 'lucide-react'
import { useWords } from '../ui/words.ts'
import { boundsOf, lerp, nearestOnOutline, type Polygon, type Vec2 } from '@truelay/core/geometry'
import type { PictureMark, PlanDrawing, StepPicture } from '@truelay/core/plan'
import { apart } from './apart.ts'
import { Disc, MarkText, Square } from './marks.tsx'
import { areaPath, openPath } from './svgPath.ts'

interface StepDrawingProps {
  readonly drawing: PlanDrawing
  readonly picture: StepPicture
  /** The sheet off the roll, as long as nothing of it is cut away. */
  readonly sheet?: Polygon | undefined
  /** Shows a length in the shop's unit. */
  readonly length: (lengthMm: number) => string
  readonly label: string
  /** Width over height of the place for the picture. */
  readonly aspect: number
  /** Measured gaps to show at the check points, with whether each is right. */
  readonly readings?: Readonly<Record<string, { readonly text: string; readonly good: boolean }>>
}

/** How wide a gap is drawn, as a share of the picture: a true one would not be seen at two metres. */
const gapShareNear = 0.06
const gapShareWhole = 0.02

/** What to do, drawn on the part as it lies in the film plane: solid ink is the part, dashed petrol the film. */
export function StepDrawing({ drawing, picture, sheet, length, label, aspect, readings }: StepDrawingProps) {
  const t = useWords()
  const view = viewOf(drawing, picture, aspect, sheet)
  // Sizes of marks are for a place of 800 by 560 and shrink with a smaller one.
  const unit = Math.min(view.width / 800, view.height / 560)
  const magnify =
    sheet !== undefined
      ? 1
      : enlargement(drawing, (picture.middle === undefined ? gapShareWhole : gapShareNear) * view.width)
  const film = picture.film === 'none' ? null : (sheet ?? (magnify === 1 ? drawing.piece : filmEdge(drawing, magnify)))
  const known = new Map(drawing.edges.map((e) => [e.name, e.line]))
  return (
    <figure className="relative size-full">
      <svg
        viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
        className="size-full"
        role="img"
        aria-label={label}
        preserveAspectRatio="xMidYMid slice"
      >
        <path
          d={areaPath(drawing.part, drawing.holes)}
          fillRule="evenodd"
          fill="var(--bench)"
          stroke="var(--ink)"
          strokeWidth={4 * unit}
        />
        {film === null ? null : (
          <path
            d={areaPath(film, sheet === undefined ? drawing.cutOuts : [])}
            fillRule="evenodd"
            fill={picture.film === 'laid' ? 'var(--film)' : 'var(--paper)'}
            fillOpacity={picture.film === 'laid' ? 0.75 : 0.92}
            stroke="var(--petrol)"
            strokeWidth={4.5 * unit}
            strokeDasharray={`${16 * unit} ${10 * unit}`}
          />
        )}
        <path d={areaPath(drawing.part, drawing.holes)} fill="none" stroke="var(--ink)" strokeWidth={4 * unit} />
        {[...picture.marks]
          .sort((a, b) => Number(a.kind === 'anchor') - Number(b.kind === 'anchor'))
          .map((mark, i) => (
            <Mark
              key={`${mark.kind}-${i}`}
              mark={mark}
              unit={unit}
              length={length}
              magnify={magnify}
              near={picture.middle !== undefined}
              edges={known}
              whole={drawing.part}
              readings={readings}
              crowded={isCrowded(mark, picture.marks, 150 * unit)}
              view={view}
            />
          ))}
      </svg>
      {magnify > 1 && film !== null ? (
        <figcaption className="label absolute bottom-2 right-3 text-note text-quiet">{t`gap drawn ${magnify} times too large`}</figcaption>
      ) : null}
    </figure>
  )
}

/** A piece of the drawing as it is shown; y points down. */
interface View {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

function viewOf(drawing: PlanDrawing, picture: StepPicture, aspect: number, sheet: Polygon = []): View {
  if (picture.middle !== undefined) {
    const r = picture.radiusMm ?? 150
    const [width, height] = aspect >= 1 ? [2 * r * aspect, 2 * r] : [2 * r, (2 * r) / aspect]
    return { x: picture.middle[0] - width / 2, y: -picture.middle[1] - height / 2, width, height }
  }
  const box = boundsOf([...drawing.part, ...drawing.piece, ...sheet])
  const middle = lerp(box.min, box.max, 0.5)
  const spareX = (box.max[0] - box.min[0]) * (picture.marks.some((m) => m.kind === 'check') ? 1.36 : 1.16)
  const spareY = (box.max[1] - box.min[1]) * (picture.marks.some((m) => m.kind === 'check') ? 1.36 : 1.2)
  const width = Math.max(spareX, spareY * aspect)
  const height = width / aspect
  return { x: middle[0] - width / 2, y: -middle[1] - height / 2, width, height }
}

function enlargement(drawing: PlanDrawing, wantedMm: number): number {
  const gaps = drawing.part.filter((_, i) => i % 8 === 0).map((p) => nearestOnOutline(drawing.piece, p).distanceMm)
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / Math.max(1, gaps.length)
  return Math.max(1, Math.round(wantedMm / Math.max(mean, 0.1)))
}

/** The film's edge as far from the part's edge as it is drawn: each gap so many times too large. */
function filmEdge(drawing: PlanDrawing, magnify: number): Vec2[] {
  return drawing.part.map((p) => {
    const { point } = nearestOnOutline(drawing.piece, p)
    return [p[0] + (point[0] - p[0]) * magnify, p[1] + (point[1] - p[1]) * magnify]
  })
}

interface MarkProps {
  readonly mark: PictureMark
  readonly unit: number
  readonly magnify: number
  readonly near: boolean
  readonly length: (lengthMm: number) => string
  readonly edges: ReadonlyMap<string, readonly Vec2[]>
  readonly whole: readonly Vec2[]
  readonly readings: StepDrawingProps['readings']
  /** Another place to measure lies so near that figures outside both would lie on each other. */
  readonly crowded: boolean
  readonly view: View
}

function Mark(props: MarkProps) {
  const t = useWords()
  const { mark, unit } = props
  switch (mark.kind) {
    case 'anchor':
      return (
        <Disc at={inwardOf(mark.at, props.view, props.near, unit)} radius={30 * unit} color="var(--petrol)">
          {mark.number}
        </Disc>
      )
    case 'gap':
      return <Gap {...props} mark={mark} />
    case 'check':
      return <Check {...props} mark={mark} />
    case 'stroke':
    case 'pull':
    case 'sweep':
      return (
        <Arrow
          from={mark.from}
          to={mark.to}
          unit={unit}
          heavy={mark.kind === 'pull'}
          text={mark.text ? t(mark.text) : undefined}
          view={props.view}
        />
      )
    case 'hand':
      return <Hand at={mark.at} unit={unit} />
    case 'zone':
      return (
        <g>
          <circle
            cx={mark.at[0]}
            cy={-mark.at[1]}
            r={mark.radiusMm}
            fill="var(--amber)"
            fillOpacity="0.16"
            stroke="var(--amber)"
            strokeWidth={3 * unit}
            strokeDasharray={`${8 * unit} ${7 * unit}`}
          />
          {mark.text === undefined ? null : (
            <Words at={mark.at} text={t(mark.text)} unit={unit} color="var(--amber)" view={props.view} />
          )}
        </g>
      )
    case 'edge': {
      const line = mark.edge === '*' ? [...props.whole, ...props.whole.slice(0, 1)] : (props.edges.get(mark.edge) ?? [])
      const middle = mark.edge === '*' ? lowest(line) : line[Math.floor(line.length / 2)]
      return (
        <g>
          <path
            d={openPath(line)}
            fill="none"
            stroke="var(--amber)"
            strokeWidth={13 * unit}
            strokeOpacity="0.75"
            strokeLinecap="round"
            strokeLinejoin="round"
          />
          {mark.text === undefined || middle === undefined ? null : (
            <Words
              at={towards(middle, props.view, 46 * unit)}
              text={t(mark.text)}
              unit={unit}
              color="var(--amber)"
              view={props.view}
            />
          )}
        </g>
      )
    }
  }
}

const lowest = (line: readonly Vec2[]) =>
  line.reduce<Vec2 | undefined>((low, p) => (low === undefined || p[1] < low[1] ? p : low), undefined)

/** A spot moved towards the middle of the view. */
const towards = (at: Vec2, view: View, by: number): Vec2 =>
  apart(at, [view.x + view.width / 2, -(view.y + view.height / 2)], -by)

/** Seen near, a number stands beside its corner and not on the part's edge. */
const inwardOf = (at: Vec2, view: View, near: boolean, unit: number): Vec2 =>
  near ? towards(at, view, 120 * unit) : at

/** Half the width of a letter on average, in heights of it. */
const halfLetter = 0.27

/** Words are moved as far into the view as it takes to read them all. */
export function withinView([x, y]: Vec2, text: string, size: number, view: View): Vec2 {
  const [halfWidth, halfHeight] = [Math.min(halfLetter * size * text.length, view.width / 2), 0.6 * size]
  const held = (value: number, from: number, to: number) => Math.min(Math.max(value, from), to)
  return [
    held(x, view.x + halfWidth, view.x + view.width - halfWidth),
    -held(-y, view.y + halfHeight, view.y + view.height - halfHeight),
  ]
}

function Words({
  at,
  text,
  unit,
  color,
  view,
}: {
  readonly at: Vec2
  readonly text: string
  readonly unit: number
  readonly color: string
  readonly view: View
}) {
  const size = 27 * unit
  return (
    <MarkText
      at={withinView(at, text, size, view)}
      size={size}
      color={color}
      rim={{ width: 7 * unit, color: 'var(--chalk)' }}
    >
      {text}
    </MarkText>
  )
}

function Gap({ mark, unit, magnify, length }: MarkProps & { readonly mark: Extract<PictureMark, { kind: 'gap' }> }) {
  const t = useWords()
  const end: Vec2 = [mark.at[0] + mark.normal[0] * mark.mm * magnify, mark.at[1] + mark.normal[1] * mark.mm * magnify]
  const text: Vec2 = [mark.at[0] - mark.normal[0] * 84 * unit, mark.at[1] - mark.normal[1] * 40 * unit]
  return (
    <g>
      <line x1={mark.at[0]} y1={-mark.at[1]} x2={end[0]} y2={-end[1]} stroke="var(--amber)" strokeWidth={6 * unit} />
      <circle cx={mark.at[0]} cy={-mark.at[1]} r={8 * unit} fill="var(--amber)" />
      <circle cx={end[0]} cy={-end[1]} r={8 * unit} fill="var(--amber)" />
      <MarkText at={text} size={38 * unit} color="var(--amber)" rim={{ width: 8 * unit, color: 'var(--paper)' }}>
        {mark.mm < 0 ? t`${length(-mark.mm)} over` : length(mark.mm)}
      </MarkText>
    </g>
  )
}

/** A hand that holds the film there. */
function Hand({ at, unit }: { readonly at: Vec2; readonly unit: number }) {
  return (
    <g>
      <circle
        cx={at[0]}
        cy={-at[1]}
        r={26 * unit}
        fill="var(--amber-tint)"
        stroke="var(--amber)"
        strokeWidth={5 * unit}
      />
      <HandIcon
        x={at[0] - 16 * unit}
        y={-at[1] - 16 * unit}
        width={32 * unit}
        height={32 * unit}
        color="var(--amber)"
      />
    </g>
  )
}

/** Whether two places to measure face each other, as across a small opening: then their figures stand on the film. */
const isCrowded = (mark: PictureMark, marks: readonly PictureMark[], withinMm: number): boolean =>
  mark.kind === 'check' &&
  marks.some(
    (other) =>
      other.kind === 'check' &&
      other.id !== mark.id &&
      Math.hypot(other.at[0] - mark.at[0], other.at[1] - mark.at[1]) < withinMm,
  )

function Check({
  mark,
  unit,
  readings,
  crowded,
}: MarkProps & { readonly mark: Extract<PictureMark, { kind: 'check' }> }) {
  const at: Vec2 = [mark.at[0] + mark.normal[0] * 36 * unit, mark.at[1] + mark.normal[1] * 36 * unit]
  const reading = readings?.[mark.id]
  const [x, y] = crowded ? [112, 70] : [-62, -34]
  const out: Vec2 = [mark.at[0] + mark.normal[0] * x * unit, mark.at[1] + mark.normal[1] * y * unit]
  return (
    <g>
      <line x1={mark.at[0]} y1={-mark.at[1]} x2={at[0]} y2={-at[1]} stroke="var(--amber)" strokeWidth={5 * unit} />
      <Square at={at} radius={20 * unit} color="var(--amber)">
        {mark.id}
      </Square>
      {reading === undefined ? null : (
        <MarkText
          at={out}
          size={26 * unit}
          color={reading.good ? 'var(--good)' : 'var(--amber)'}
          rim={{ width: 6 * unit, color: 'var(--chalk)' }}
        >
          {reading.text}
        </MarkText>
      )}
    </g>
  )
}

function Arrow({
  from,
  to,
  unit,
  heavy,
  text,
  view,
}: {
  readonly from: Vec2
  readonly to: Vec2
  readonly unit: number
  readonly heavy: boolean
  readonly text?: string | undefined
  readonly view: View
}) {
  const dx = to[0] - from[0]
  const dy = to[1] - from[1]
  const l = Math.hypot(dx, dy) || 1
  const [ux, uy] = [dx / l, dy / l]
  const head = (heavy ? 38 : 28) * unit
  const wing = (side: number): Vec2 => [
    to[0] - head * (ux * 0.87 - side * uy * 0.5),
    to[1] - head * (uy * 0.87 + side * ux * 0.5),
  ]
  const width = (heavy ? 10 : 7) * unit
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={width} strokeLinecap="round" strokeLinejoin="round">
      <path d={openPath([from, to])} />
      <path d={openPath([wing(1), to, wing(-1)])} />
      {text === undefined ? null : (
        <g stroke="none">
          <Words
            at={[from[0] - uy * 34 * unit, from[1] + ux * 34 * unit]}
            text={text}
            unit={unit * 1.25}
            color="var(--ink)"
            view={view}
          />
        </g>
      )}
    </g>
  )
}

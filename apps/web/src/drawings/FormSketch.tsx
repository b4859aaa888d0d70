import type { Sentence } from '@truelay/core/say'
import { useWords } from '../ui/words.ts'
import { type FormDoc, traceOutline } from '@truelay/core/form'
import { boundsOf, type Vec2 } from '@truelay/core/geometry'
import { type PointerEvent, useRef, useState } from 'react'
import { MarkText } from './marks.tsx'
import { areaPath, closedPath, openPath } from './svgPath.ts'

export interface SketchHandle {
  readonly key: string
  readonly at: Vec2
  readonly label: Sentence
  readonly look: 'corner' | 'through' | 'bow' | 'mark' | 'line' | 'middle'
}

export interface PhotoUnder {
  readonly url: string
  readonly widthPx: number
  readonly heightPx: number
  readonly mmPerPx: number
}

interface FormSketchProps {
  readonly form: FormDoc
  readonly handles: readonly SketchHandle[]
  /** The stretch, reading or edge that is being typed. */
  readonly chosen: {
    readonly edge?: string | undefined
    readonly stretch?: number | undefined
    readonly reading?: number | undefined
  }
  /** Where to lay the straightedge next. */
  readonly next: { readonly from: Vec2; readonly to: Vec2 } | null
  readonly photo: PhotoUnder | null
  /** Places that were tapped on the photo to give its scale. */
  readonly taps?: readonly Vec2[]
  readonly onMove: (key: string, at: Vec2, finished: boolean) => void
  readonly onTap?: ((at: Vec2) => void) | undefined
}

/** The part seen straight on over a grid, with everything that was measured; points are dragged where they belong. */
export function FormSketch({ form, handles, chosen, next, photo, taps = [], onMove, onTap }: FormSketchProps) {
  const t = useWords()
  const svg = useRef<SVGSVGElement>(null)
  const held = useRef<string | null>(null)
  const traced = traceOutline(form.name, form.start, form.outline)
  const corners = [form.start, ...form.outline.map((s) => s.to)]
  const [frozen, setFrozen] = useState<string | null>(null)
  const box = boundsOf(traced.ok ? traced.value.polygon : corners)
  const unit = Math.max(box.max[0] - box.min[0], box.max[1] - box.min[1], 60) / 100
  const view = `${box.min[0] - 12 * unit} ${-box.max[1] - 12 * unit} ${box.max[0] - box.min[0] + 24 * unit} ${box.max[1] - box.min[1] + 24 * unit}`
  const place = (event: PointerEvent): Vec2 | null => {
    const matrix = svg.current?.getScreenCTM()
    if (!matrix) return null
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    return [p.x, -p.y]
  }
  const move = (event: PointerEvent, finished: boolean) => {
    const key = held.current
    const at = place(event)
    if (key === null || at === null) return
    onMove(key, at, finished)
    if (finished) {
      held.current = null
      setFrozen(null)
    }
  }
  const grid = gridStep(unit * 100)
  return (
    <svg
      ref={svg}
      viewBox={frozen ?? view}
      className="h-full w-full touch-none select-none"
      role="group"
      aria-label={t`The part seen straight on`}
      onPointerMove={(event) => move(event, false)}
      onPointerUp={(event) => {
        if (held.current !== null) return move(event, true)
        const at = place(event)
        if (at !== null) onTap?.(at)
      }}
    >
      <defs>
        <pattern id="grid" width={grid} height={grid} patternUnits="userSpaceOnUse">
          <path d={`M${grid} 0H0V${grid}`} fill="none" stroke="var(--hair)" strokeWidth={0.15 * unit} />
        </pattern>
      </defs>
      {photo === null ? null : (
        <image
          href={photo.url}
          x={(-photo.widthPx * photo.mmPerPx) / 2}
          y={(-photo.heightPx * photo.mmPerPx) / 2}
          width={photo.widthPx * photo.mmPerPx}
          height={photo.heightPx * photo.mmPerPx}
          preserveAspectRatio="none"
        />
      )}
      <rect x={-5000} y={-5000} width={10000} height={10000} fill="url(#grid)" />
      <path
        d="M0 -5000V5000"
        stroke="var(--quiet)"
        strokeOpacity="0.5"
        strokeWidth={0.2 * unit}
        strokeDasharray={`${2 * unit} ${unit}`}
      />
      <path
        d={
          traced.ok
            ? areaPath(
                traced.value.polygon,
                form.holes.map((h) => h.outline),
              )
            : openPath(corners)
        }
        fillRule="evenodd"
        fill={traced.ok ? 'var(--film)' : 'none'}
        fillOpacity={photo === null ? 0.55 : 0.3}
        stroke={traced.ok ? 'var(--ink)' : 'var(--stop)'}
        strokeWidth={0.6 * unit}
        strokeLinejoin="round"
      />
      <Features form={form} unit={unit} />
      {chosen.edge === undefined || !traced.ok ? null : (
        <path
          d={traced.value.polygon
            .map((a, i) => {
              const b = traced.value.polygon[(i + 1) % traced.value.polygon.length] ?? a
              return traced.value.edgeOfSide[i] === chosen.edge ? openPath([a, b]) : ''
            })
            .join('')}
          fill="none"
          stroke="var(--amber)"
          strokeWidth={1.6 * unit}
        />
      )}
      {chosen.stretch === undefined ? null : (
        <path
          d={openPath([
            chosen.stretch === 0 ? form.start : (form.outline[chosen.stretch - 1]?.to ?? form.start),
            form.outline[chosen.stretch]?.to ?? form.start,
          ])}
          fill="none"
          stroke="var(--amber)"
          strokeWidth={1.2 * unit}
          strokeDasharray={`${2 * unit} ${unit}`}
        />
      )}
      {form.bow.map((reading, i) => (
        <path
          key={`${reading.name}-${i}`}
          d={openPath([reading.from, reading.to])}
          stroke={chosen.reading === i ? 'var(--amber)' : 'var(--petrol)'}
          strokeWidth={(chosen.reading === i ? 1.1 : 0.5) * unit}
          strokeOpacity={chosen.reading === i ? 1 : 0.6}
        />
      ))}
      {taps.map(([x, y], i) => (
        <path
          key={`tap-${i}`}
          d={`M${x - 3 * unit} ${-y}h${6 * unit}M${x} ${-y - 3 * unit}v${6 * unit}`}
          stroke="var(--amber)"
          strokeWidth={0.8 * unit}
          pointerEvents="none"
        />
      ))}
      {next === null ? null : <Straightedge from={next.from} to={next.to} unit={unit} />}
      {handles.map((handle) => (
        <g
          key={handle.key}
          className="cursor-grab"
          role="button"
          aria-label={t(handle.label)}
          tabIndex={0}
          onPointerDown={(event) => {
            event.stopPropagation()
            held.current = handle.key
            setFrozen(view)
            svg.current?.setPointerCapture(event.pointerId)
          }}
          onKeyDown={(event) => {
            const way = arrows[event.key]
            if (way === undefined) return
            event.preventDefault()
            onMove(handle.key, [handle.at[0] + way[0], handle.at[1] + way[1]], true)
          }}
        >
          <circle cx={handle.at[0]} cy={-handle.at[1]} r={3 * unit} fill="transparent" />
          <Shape look={handle.look} at={handle.at} unit={unit} />
        </g>
      ))}
    </svg>
  )
}

const arrows: Readonly<Record<string, Vec2>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

const gridStep = (sizeMm: number) => [5, 10, 20, 50, 100, 200, 500].find((step) => sizeMm / step < 16) ?? 1000

function Shape({
  look,
  at: [x, y],
  unit,
}: {
  readonly look: SketchHandle['look']
  readonly at: Vec2
  readonly unit: number
}) {
  const size = 1.1 * unit
  if (look === 'corner' || look === 'middle')
    return (
      <rect
        x={x - size}
        y={-y - size}
        width={2 * size}
        height={2 * size}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={0.5 * unit}
        transform={look === 'middle' ? `rotate(45 ${x} ${-y})` : undefined}
      />
    )
  if (look === 'mark')
    return (
      <path
        d={`M${x - 2 * size} ${-y}h${4 * size}M${x} ${-y - 2 * size}v${4 * size}`}
        stroke="var(--ink)"
        strokeWidth={0.6 * unit}
      />
    )
  return <circle cx={x} cy={-y} r={size} fill="var(--paper)" stroke="var(--petrol)" strokeWidth={0.5 * unit} />
}

function Features({ form, unit }: { readonly form: FormDoc; readonly unit: number }) {
  return (
    <g fill="none" stroke="var(--ink)" strokeOpacity="0.6" strokeWidth={0.4 * unit}>
      {form.bodyLines.map((line) => (
        <path key={line.name} d={openPath(line.along)} />
      ))}
      {(form.channels ?? []).map((channel) => (
        <g key={channel.name}>
          <path d={openPath(channel.along)} strokeOpacity="0.18" strokeWidth={channel.widthMm} />
          <path d={openPath(channel.along)} strokeDasharray={`${unit} ${unit}`} />
        </g>
      ))}
      {[...form.recesses, ...(form.raised ?? [])].map((feature) => (
        <path key={feature.name} d={closedPath(feature.outline)} strokeDasharray={`${1.5 * unit} ${0.8 * unit}`} />
      ))}
    </g>
  )
}

/** The straightedge where it is to be laid, with the place where its gap is read. */
function Straightedge({ from, to, unit }: { readonly from: Vec2; readonly to: Vec2; readonly unit: number }) {
  const t = useWords()
  const turn = (Math.atan2(-(to[1] - from[1]), to[0] - from[0]) * 180) / Math.PI
  const long = Math.hypot(to[0] - from[0], to[1] - from[1])
  const middle: Vec2 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
  return (
    <g pointerEvents="none">
      <rect
        x={from[0]}
        y={-from[1] - 1.2 * unit}
        width={long}
        height={2.4 * unit}
        fill="var(--amber)"
        fillOpacity="0.35"
        stroke="var(--amber)"
        strokeWidth={0.5 * unit}
        transform={`rotate(${turn} ${from[0]} ${-from[1]})`}
      />
      <circle cx={middle[0]} cy={-middle[1]} r={2.2 * unit} fill="var(--amber)" />
      <MarkText
        at={[middle[0], middle[1] + 5.2 * unit]}
        size={4 * unit}
        color="var(--amber)"
      >{t`read the gap here`}</MarkText>
    </g>
  )
}

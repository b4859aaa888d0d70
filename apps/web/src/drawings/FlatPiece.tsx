import { type EdgeMargin, type EdgeRules, outsideRule, type PlacedPiece } from '@truelay/core/align'
import { boundsOf, type Vec2 } from '@truelay/core/geometry'
import type { Anchor } from '@truelay/core/plan'
import { useRef } from 'react'
import { Disc, MarkText } from './marks.tsx'
import { areaPath, closedPath, openPath } from './svgPath.ts'

interface FlatPieceProps {
  readonly part: readonly Vec2[]
  readonly piece: PlacedPiece
  readonly margins: readonly EdgeMargin[]
  readonly rules: EdgeRules
  /** Margins are drawn this many times too large. */
  readonly magnify: number
  readonly anchors: readonly Anchor[]
  readonly lines: readonly (readonly Vec2[])[]
  readonly labels: readonly {
    readonly edge: string
    readonly at: Vec2
    readonly inward: Vec2
    readonly text: string
    readonly bad: boolean
  }[]
  readonly pointed: Vec2 | null
  readonly onPoint: (at: Vec2 | null) => void
  /** The piece is being dragged: by how much since it was taken up, mm. */
  readonly onDrag: (byMm: Vec2) => void
  readonly onDrop: (byMm: Vec2) => void
  readonly onKey: (key: string, far: boolean) => boolean
  readonly label: string
}

/** The flat piece over the part's outline in the film, its margins drawn too large; it can be dragged. */
export function FlatPiece(props: FlatPieceProps) {
  const svg = useRef<SVGSVGElement>(null)
  const taken = useRef<{ id: number; at: Vec2 } | null>(null)
  const box = boundsOf(props.part)
  const width = box.max[0] - box.min[0]
  const height = box.max[1] - box.min[1]
  const overhang = Math.max(0, ...props.margins.filter((_, i) => i % 12 === 0).map((m) => -m.marginMm))
  const pad = Math.max(width, height) * 0.04 + overhang
  const unit = Math.max((width + 2 * pad) / 400, (height + 2 * pad) / 520)
  const longest = Math.max(0, ...props.labels.map((label) => label.text.length))
  const side = pad + (10 + 5.5 * longest) * unit
  const view = [box.min[0] - side, -box.max[1] - pad, width + 2 * side, height + 2 * pad]

  const atMm = (event: { clientX: number; clientY: number }): Vec2 => {
    const matrix = svg.current?.getScreenCTM()
    if (matrix == null) return [0, 0]
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    return [p.x, -p.y]
  }
  const since = (event: { clientX: number; clientY: number }): Vec2 => {
    const [x, y] = atMm(event)
    const from = taken.current?.at ?? [x, y]
    return [x - from[0], y - from[1]]
  }

  return (
    <svg
      ref={svg}
      viewBox={view.join(' ')}
      className="size-full touch-none select-none"
      role="application"
      aria-label={props.label}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: the drawing takes the arrow keys
      tabIndex={0}
      onKeyDown={(event) => {
        if (props.onKey(event.key, event.shiftKey)) event.preventDefault()
      }}
      onPointerMove={(event) => {
        if (taken.current?.id === event.pointerId) props.onDrag(since(event))
        else props.onPoint(atMm(event))
      }}
      onPointerLeave={() => props.onPoint(null)}
    >
      <defs>
        <pattern
          id="too-near"
          width={6 * unit}
          height={6 * unit}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={6 * unit} height={6 * unit} fill="var(--amber)" />
          <rect width={1.6 * unit} height={6 * unit} fill="var(--amber-tint)" opacity="0.55" />
        </pattern>
      </defs>
      <MarginBand {...props} unit={unit} />
      <g
        className="cursor-grab active:cursor-grabbing"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          taken.current = { id: event.pointerId, at: atMm(event) }
        }}
        onPointerUp={(event) => {
          if (taken.current?.id !== event.pointerId) return
          props.onDrop(since(event))
          taken.current = null
        }}
        onPointerCancel={() => {
          props.onDrop([0, 0])
          taken.current = null
        }}
      >
        <path
          d={areaPath(props.piece.outline, props.piece.cutOuts)}
          fillRule="evenodd"
          fill="var(--paper)"
          stroke="var(--petrol)"
          strokeWidth={1.8 * unit}
        />
      </g>
      {props.magnify === 1 ? (
        <>
          <path
            d={areaPath(props.piece.outline, [props.part])}
            fillRule="evenodd"
            fill="var(--film)"
            pointerEvents="none"
          />
          <path
            d={closedPath(props.part)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.8 * unit}
            pointerEvents="none"
          />
        </>
      ) : null}
      {props.lines.map((line) => (
        <path
          key={line.join()}
          d={openPath(line)}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth={1.1 * unit}
          strokeDasharray={`${7 * unit} ${5 * unit}`}
          pointerEvents="none"
        />
      ))}
      {props.anchors.map((anchor) => (
        <Disc key={anchor.number} at={inset(anchor.at, box, 22 * unit)} radius={13 * unit} color="var(--petrol)">
          {anchor.number}
        </Disc>
      ))}
      {props.labels.map((label) => {
        const away = 15 * unit + Math.abs(label.inward[0]) * 8 * unit
        return (
          <MarkText
            key={label.edge}
            at={[label.at[0] - label.inward[0] * away, label.at[1] - label.inward[1] * away]}
            size={15.5 * unit}
            color={label.bad ? 'var(--amber)' : 'var(--ink)'}
            rim={{ width: 4 * unit, color: 'var(--chalk)' }}
          >
            {label.text}
          </MarkText>
        )
      })}
      {props.pointed === null ? null : (
        <circle
          cx={props.pointed[0]}
          cy={-props.pointed[1]}
          r={6 * unit}
          fill="var(--petrol)"
          stroke="var(--paper)"
          strokeWidth={1.5 * unit}
          pointerEvents="none"
        />
      )}
    </svg>
  )
}

/** Moves a mark at the rim towards the middle so that it does not hide the margin. */
function inset([x, y]: Vec2, box: { min: Vec2; max: Vec2 }, by: number): Vec2 {
  const mx = (box.min[0] + box.max[0]) / 2
  const my = (box.min[1] + box.max[1]) / 2
  const nearX = Math.abs(x - mx) > 0.35 * (box.max[0] - box.min[0])
  const nearY = Math.abs(y - my) > 0.35 * (box.max[1] - box.min[1])
  return [x - (nearX ? Math.sign(x - mx) * by : 0), y - (nearY ? Math.sign(y - my) * by : 0)]
}

/** The strip between film and part's edge: plain where the rule holds, hatched amber where it does not. */
function MarginBand({ margins, rules, magnify, unit }: FlatPieceProps & { readonly unit: number }) {
  const good: string[] = []
  const bad: string[] = []
  const byLoop = new Map<number, EdgeMargin[]>()
  for (const margin of margins) byLoop.set(margin.hole, [...(byLoop.get(margin.hole) ?? []), margin])
  const edges: string[] = []
  const ruleLines: string[] = []
  for (const loop of byLoop.values()) {
    const partEdge = loop.map((m): Vec2 => enlarged(m, m.marginMm, magnify))
    edges.push(closedPath(partEdge))
    if (magnify > 1) {
      for (const end of ['minMm', 'maxMm'] as const)
        ruleLines.push(closedPath(loop.map((m) => enlarged(m, rules[m.edge]?.[end] ?? m.marginMm, magnify))))
    }
    loop.forEach((m, i) => {
      const next = loop[(i + 1) % loop.length] ?? m
      const a = partEdge[i] ?? m.at
      const b = partEdge[(i + 1) % loop.length] ?? next.at
      const path = closedPath([m.film, a, b, next.film])
      if (outsideRule(m, rules) > 0.005 || outsideRule(next, rules) > 0.005) bad.push(path)
      else good.push(path)
    })
  }
  return (
    <g pointerEvents="none">
      <path d={good.join('')} fill="var(--film)" stroke="var(--film)" strokeWidth={0.6 * unit} />
      <path d={bad.join('')} fill="url(#too-near)" stroke="var(--amber)" strokeWidth={0.6 * unit} />
      {magnify > 1 ? (
        <path d={edges.join('')} fill="none" stroke="var(--ink)" strokeWidth={1.4 * unit} strokeLinejoin="round" />
      ) : null}
      <path
        d={ruleLines.join('')}
        fill="none"
        stroke="var(--quiet)"
        strokeWidth={0.8 * unit}
        strokeDasharray={`${2 * unit} ${3 * unit}`}
      />
    </g>
  )
}

/** Where the part's edge is drawn for a margin of that size: away from the film's edge, so many times too far. */
function enlarged(m: EdgeMargin, marginMm: number, magnify: number): Vec2 {
  const far = marginMm * magnify
  return [m.film[0] - m.growth[0] * far, m.film[1] - m.growth[1] * far]
}

import { boundsOf, lerp, type Vec2 } from '@truelay/core/geometry'
import type { PlanDrawing } from '@truelay/core/plan'
import { areaPath, openPath } from './svgPath.ts'

export type EdgeSeen = 'now' | 'good' | 'fault' | 'not yet'

interface LookDrawingProps {
  readonly drawing: PlanDrawing
  readonly seenOf: (edge: string) => EdgeSeen
  /** Places to read a gap at the edge in hand. */
  readonly checks: readonly { readonly id: string; readonly at: Vec2 }[]
  /** Marks that were there before. */
  readonly known: readonly { readonly at: Vec2; readonly radiusMm: number }[]
  readonly label: string
  /** Width over height of the place for the picture. */
  readonly aspect: number
}

const inks: Readonly<Record<EdgeSeen, string>> = {
  now: 'var(--petrol)',
  good: 'var(--good)',
  fault: 'var(--stop)',
  'not yet': 'var(--ink)',
}

/** The part with the edge that is walked along, and what was said of those before: a tick or a cross, never colour alone. */
export function LookDrawing({ drawing, seenOf, checks, known, label, aspect }: LookDrawingProps) {
  const { min, max } = boundsOf([...drawing.part, ...drawing.piece])
  const middle = lerp(min, max, 0.5)
  const width = Math.max(1.2 * (max[0] - min[0]), 1.24 * (max[1] - min[1]) * aspect)
  const height = width / aspect
  const unit = Math.min(width / 800, height / 560)
  return (
    <svg
      viewBox={`${middle[0] - width / 2} ${-middle[1] - height / 2} ${width} ${height}`}
      role="img"
      aria-label={label}
      className="size-full"
    >
      <path
        d={areaPath(drawing.part, drawing.holes)}
        fillRule="evenodd"
        fill="var(--film)"
        stroke="var(--ink)"
        strokeWidth={3 * unit}
      />
      {known.map(({ at, radiusMm }) => (
        <circle
          key={`${at[0]} ${at[1]}`}
          cx={at[0]}
          cy={-at[1]}
          r={Math.max(radiusMm, 18 * unit)}
          fill="none"
          stroke="var(--amber)"
          strokeWidth={5 * unit}
          strokeDasharray={`${9 * unit} ${6 * unit}`}
        />
      ))}
      {drawing.edges.map(({ name, line }) => {
        const seen = seenOf(name)
        if (seen === 'not yet') return null
        return (
          <g key={`${name} ${line[0]?.[0]}`}>
            <path
              d={openPath(line)}
              fill="none"
              stroke={inks[seen]}
              strokeWidth={(seen === 'now' ? 20 : 9) * unit}
              strokeLinecap="round"
            />
            {seen === 'now' ? null : <Said seen={seen} at={middleOf(line)} unit={unit} />}
          </g>
        )
      })}
      {checks.map(({ id, at }) => (
        <g key={id}>
          <circle
            cx={at[0]}
            cy={-at[1]}
            r={24 * unit}
            fill="var(--paper)"
            stroke="var(--amber)"
            strokeWidth={5 * unit}
          />
          <text
            x={at[0]}
            y={-at[1]}
            fontSize={28 * unit}
            fontWeight={700}
            textAnchor="middle"
            dominantBaseline="central"
            fill="var(--ink)"
          >
            {id}
          </text>
        </g>
      ))}
    </svg>
  )
}

function Said({ seen, at, unit }: { readonly seen: 'good' | 'fault'; readonly at: Vec2; readonly unit: number }) {
  const [x, y] = [at[0], -at[1]]
  const size = 11 * unit
  const sign =
    seen === 'good'
      ? `M ${x - size} ${y} L ${x - size / 4} ${y + 0.8 * size} L ${x + size} ${y - 0.8 * size}`
      : `M ${x - size} ${y - size} L ${x + size} ${y + size} M ${x + size} ${y - size} L ${x - size} ${y + size}`
  return (
    <g>
      <circle cx={x} cy={y} r={24 * unit} fill={inks[seen]} />
      <path d={sign} fill="none" stroke="var(--paper)" strokeWidth={5 * unit} strokeLinecap="round" />
    </g>
  )
}

/** Half way along a line. */
function middleOf(line: readonly Vec2[]): Vec2 {
  const lengths = line.slice(1).map((p, i) => Math.hypot(p[0] - (line[i]?.[0] ?? 0), p[1] - (line[i]?.[1] ?? 0)))
  let left = lengths.reduce((sum, mm) => sum + mm, 0) / 2
  for (const [i, mm] of lengths.entries()) {
    const [a, b] = [line[i], line[i + 1]]
    if (a !== undefined && b !== undefined && left <= mm) return lerp(a, b, mm === 0 ? 0 : left / mm)
    left -= mm
  }
  return line[0] ?? [0, 0]
}

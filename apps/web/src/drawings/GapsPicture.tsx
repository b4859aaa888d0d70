import type { GapToRead } from '@truelay/core/exercises'
import type { Vec2 } from '@truelay/core/geometry'
import { useWords } from '../ui/words.ts'
import { apart } from './gapsApart.ts'

/** A panel and the piece on it; its gaps are drawn wider than they are, so that they are seen. */
export function GapsPicture({ part, gaps }: { readonly part: readonly Vec2[]; readonly gaps: readonly GapToRead[] }) {
  const t = useWords()
  const xs = part.map(([x]) => x)
  const ys = part.map(([, y]) => y)
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  // Numbers are as large on a part that stands as on one that lies.
  const unit = Math.max((maxX - minX) / 100, (maxY - minY) / 70)
  const pad = 6 * unit
  const path = (points: readonly Vec2[]) => `M${points.map(([x, y]) => `${x} ${-y}`).join('L')}Z`
  return (
    <svg
      viewBox={`${minX - pad} ${-maxY - pad} ${maxX - minX + 2 * pad} ${maxY - minY + 2 * pad}`}
      className="size-full"
      role="img"
      aria-label={t`The part with the piece on it; gaps drawn wider than they are`}
    >
      <path d={path(part)} fill="var(--hair)" stroke="var(--ink)" strokeWidth={0.35 * unit} />
      <path
        d={path(apart(part, gaps))}
        fill="var(--film)"
        stroke="var(--petrol)"
        strokeWidth={0.45 * unit}
        strokeDasharray={`${2 * unit} ${1.2 * unit}`}
      />
      {gaps.map(({ at, normal }, i) => (
        <g key={`${at[0]} ${at[1]}`}>
          <circle
            cx={at[0] - normal[0] * 2.4 * unit}
            cy={-(at[1] - normal[1] * 2.4 * unit)}
            r={2.2 * unit}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth={0.3 * unit}
          />
          <text
            x={at[0] - normal[0] * 2.4 * unit}
            y={-(at[1] - normal[1] * 2.4 * unit) + 1.1 * unit}
            fontSize={3.1 * unit}
            fontWeight="700"
            textAnchor="middle"
            fill="var(--ink)"
          >
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  )
}

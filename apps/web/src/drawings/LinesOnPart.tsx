import type { MeasureTask } from '@truelay/core/exercises'
import { useWords } from '../ui/words.ts'

interface LinesOnPartProps {
  readonly task: MeasureTask
  readonly read: readonly number[]
  /** How unsure the surface still is under each line, mm; null while that is not told. */
  readonly unsureMm: readonly number[] | null
  readonly onPick: ((line: number) => void) | null
}

/** This unsure and more is drawn as wide as it goes, mm. */
const widestMm = 6

/** A part with the lines on which a straightedge can lie; those that are read drawn whole, the others as unsure as they are. */
export function LinesOnPart({ task, read, unsureMm, onPick }: LinesOnPartProps) {
  const t = useWords()
  const xs = task.outline.map(([x]) => x)
  const ys = task.outline.map(([, y]) => y)
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const unit = Math.max((maxX - minX) / 100, (maxY - minY) / 62)
  const pad = 5 * unit
  return (
    <svg
      viewBox={`${minX - pad} ${-maxY - pad} ${maxX - minX + 2 * pad} ${maxY - minY + 2 * pad}`}
      className="size-full"
      role="img"
      aria-label={t`The part with the lines on which the straightedge can lie`}
    >
      <path
        d={`M${task.outline.map(([x, y]) => `${x} ${-y}`).join('L')}Z`}
        fill="var(--film)"
        stroke="var(--ink)"
        strokeWidth={0.4 * unit}
      />
      {task.lines.map(({ from, to }, i) => {
        const known = read.includes(i)
        const wide = unsureMm === null ? 0 : (3.4 * Math.min(widestMm, unsureMm[i] ?? 0)) / widestMm
        const ends = { x1: from[0], y1: -from[1], x2: to[0], y2: -to[1] }
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the same lines are buttons beside the picture
          <g
            key={`${from} ${to}`}
            onClick={known || onPick === null ? undefined : () => onPick(i)}
            className={known || onPick === null ? '' : 'cursor-pointer'}
          >
            <line {...ends} stroke="transparent" strokeWidth={5 * unit} />
            {wide > 0.05 ? (
              <line
                {...ends}
                stroke="var(--amber)"
                strokeOpacity="0.55"
                strokeWidth={wide * unit}
                strokeLinecap="round"
              />
            ) : null}
            <line
              {...ends}
              stroke={known ? 'var(--petrol)' : 'var(--ink)'}
              strokeWidth={(known ? 1.1 : 0.35) * unit}
              strokeDasharray={known ? undefined : `${1.6 * unit} ${1.2 * unit}`}
            />
            <circle
              cx={from[0]}
              cy={-from[1]}
              r={2.3 * unit}
              fill={known ? 'var(--petrol)' : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth={0.3 * unit}
            />
            <text
              x={from[0]}
              y={-from[1] + 1.1 * unit}
              fontSize={3 * unit}
              fontWeight="700"
              textAnchor="middle"
              fill={known ? 'var(--on-petrol)' : 'var(--ink)'}
            >
              {i + 1}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

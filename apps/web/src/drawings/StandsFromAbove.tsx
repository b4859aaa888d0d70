import { useWords } from '../ui/words.ts'

type Spot = readonly [number, number]

interface StandsFromAboveProps {
  /** Corners of the start plate. */
  readonly plate: readonly Spot[]
  readonly targets: readonly { readonly target: number; readonly at: Spot; readonly isEnough: boolean }[]
  readonly taken: readonly Spot[]
  readonly next: Spot | null
}

/** The part from above: targets, the start plate, who stood where, and where to stand next. */
export function StandsFromAbove({ plate, targets, taken, next }: StandsFromAboveProps) {
  const t = useWords()
  const all = [...plate, ...targets.map(({ at }) => at), ...taken, ...(next === null ? [] : [next])]
  const xs = all.map(([x]) => x)
  const ys = all.map(([, y]) => y)
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const unit = Math.max(maxX - minX, maxY - minY, 1) / 100
  const pad = 9 * unit
  const middle: Spot = [
    targets.reduce((sum, { at }) => sum + at[0], 0) / Math.max(1, targets.length),
    targets.reduce((sum, { at }) => sum + at[1], 0) / Math.max(1, targets.length),
  ]
  return (
    <svg
      viewBox={`${minX - pad} ${-maxY - pad} ${maxX - minX + 2 * pad} ${maxY - minY + 2 * pad}`}
      className="size-full max-h-[34rem]"
      role="img"
      aria-label={t`The part from above, and where photographs were taken`}
    >
      <polygon
        points={plate.map(([x, y]) => `${x},${-y}`).join(' ')}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={0.5 * unit}
      />
      <text
        x={plate.reduce((sum, [x]) => sum + x, 0) / Math.max(1, plate.length)}
        y={-plate.reduce((sum, [, y]) => sum + y, 0) / Math.max(1, plate.length) + unit}
        fontSize={2.6 * unit}
        textAnchor="middle"
        fill="var(--quiet)"
      >{t`start plate`}</text>
      {targets.map(({ target, at, isEnough }) => (
        <circle
          key={target}
          cx={at[0]}
          cy={-at[1]}
          r={(isEnough ? 1.1 : 1.7) * unit}
          fill={isEnough ? 'var(--petrol)' : 'var(--amber)'}
          stroke="var(--ink)"
          strokeWidth={(isEnough ? 0 : 0.4) * unit}
        />
      ))}
      {taken.map((at, i) => (
        <Eye key={`${i}-${at[0]}`} at={at} towards={middle} size={1.8 * unit} fill="var(--quiet)" />
      ))}
      {next === null ? null : (
        <g data-testid="next-stand">
          <Eye at={next} towards={middle} size={4 * unit} fill="var(--orange)" />
          <text
            x={next[0]}
            y={-next[1] + 6.5 * unit}
            fontSize={3.4 * unit}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--ink)"
          >{t`stand here`}</text>
        </g>
      )}
    </svg>
  )
}

/** Somebody who looks at the part: a spot with the cone of what is seen. */
function Eye({ at, towards, size, fill }: { at: Spot; towards: Spot; size: number; fill: string }) {
  const turn = Math.atan2(towards[1] - at[1], towards[0] - at[0])
  const corner = (off: number): Spot => [
    at[0] + 2.6 * size * Math.cos(turn + off),
    at[1] + 2.6 * size * Math.sin(turn + off),
  ]
  return (
    <g fill={fill}>
      <polygon points={[at, corner(0.45), corner(-0.45)].map(([x, y]) => `${x},${-y}`).join(' ')} opacity={0.35} />
      <circle cx={at[0]} cy={-at[1]} r={0.7 * size} />
    </g>
  )
}

import { useWords } from '../ui/words.ts'

export interface SeenTarget {
  readonly target: number
  readonly at: readonly [number, number]
  /** Twice its sigma in space, mm. */
  readonly unsureMm: number
}

interface TargetsFromAboveProps {
  readonly targets: readonly SeenTarget[]
  /** Those of the rim, in their order. */
  readonly rim: readonly number[]
  readonly onPick: (target: number) => void
}

/** Circles grow with how unsure a target is, so many times as large as it is. */
export const unsureGrown = 30

/** Targets seen straight on, as large as they are unsure; tapped one after the other they make the rim. */
export function TargetsFromAbove({ targets, rim, onPick }: TargetsFromAboveProps) {
  const t = useWords()
  const xs = targets.map(({ at }) => at[0])
  const ys = targets.map(({ at }) => at[1])
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const unit = Math.max(maxX - minX, maxY - minY) / 100
  const pad = 8 * unit
  const by = new Map(targets.map((one) => [one.target, one]))
  const line = rim.flatMap((target) => by.get(target)?.at ?? [])
  const points = Array.from({ length: line.length / 2 }, (_, i) => `${line[2 * i]},${-(line[2 * i + 1] ?? 0)}`)
  return (
    <svg
      viewBox={`${minX - pad} ${-maxY - pad} ${maxX - minX + 2 * pad} ${maxY - minY + 2 * pad}`}
      className="size-full max-h-[34rem]"
      role="group"
      aria-label={t`Targets from above`}
    >
      {points.length < 2 ? null : (
        <polygon points={points.join(' ')} fill="var(--film)" stroke="var(--petrol)" strokeWidth={0.6 * unit} />
      )}
      {targets.map(({ target, at, unsureMm }) => {
        const turn = rim.indexOf(target)
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the same targets are buttons beside the picture
          <g key={target} onClick={() => onPick(target)} className="cursor-pointer">
            <circle
              cx={at[0]}
              cy={-at[1]}
              r={Math.min(6 * unit, unsureGrown * unsureMm)}
              fill="var(--amber)"
              opacity={0.3}
            />
            <circle cx={at[0]} cy={-at[1]} r={1.6 * unit} fill={turn < 0 ? 'var(--ink)' : 'var(--petrol)'} />
            <circle cx={at[0]} cy={-at[1]} r={3.5 * unit} fill="transparent" />
            <text
              x={at[0] + 2.2 * unit}
              y={-at[1] - 1.4 * unit}
              fontSize={2.8 * unit}
              fill="var(--ink)"
              fontWeight={turn < 0 ? 400 : 700}
            >
              {target}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

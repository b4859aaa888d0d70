import { readable } from '@truelay/core/exercises'
import { length } from '@truelay/core/say'
import { useUnits } from '../ui/units.ts'
import { useWords } from '../ui/words.ts'

interface GapRuleProps {
  readonly number: number
  readonly gapMm: number
  readonly wantedMm: number
  /** Says the gap: else it has to be read. */
  readonly told: boolean
}

/** How a rule is marked: a graduation, in mm, which of them are longer, which are numbered, and how. */
const marked = {
  mm: { stepMm: 0.5, longer: 2, numbered: 10, says: (n: number) => String(n / 2) },
  in: {
    stepMm: 25.4 / 32,
    longer: 4,
    numbered: 8,
    says: (n: number) => (n === 0 ? '0' : n % 32 === 0 ? String(n / 32) : (quarters[(n / 8) % 4] ?? '')),
  },
} as const
const quarters = ['', '¼', '½', '¾']

const mmPx = 14
const { least, most } = readable
const width = mmPx * (most - least)
const zero = -least * mmPx
const edge = { top: 2, bottom: 26 } as const
const rule = { top: 28, bottom: 62 } as const

/** A steel rule laid at a gap, seen from near: its zero at the part's edge, film from where the gap ends or over the edge. */
export function GapRule({ number, gapMm, wantedMm, told }: GapRuleProps) {
  const t = useWords()
  const { stepMm, longer, numbered, says } = marked[useUnits().length]
  const [first, last] = [Math.ceil(least / stepMm), Math.floor(most / stepMm)]
  const filmAt = zero + mmPx * Math.min(most, Math.max(least, gapMm))
  const high = edge.bottom - edge.top
  return (
    <figure className="border border-hair bg-paper px-2 pt-1 pb-1.5">
      <figcaption className="flex items-baseline justify-between gap-2 leading-snug">
        <strong className="text-lead">{number}</strong>
        <span className="text-body text-quiet">
          {told ? t`${length(gapMm)}, wished ${length(wantedMm)}` : t`wished ${length(wantedMm)}`}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${rule.bottom + 2}`}
        className="block w-full"
        role="img"
        aria-label={
          gapMm < 0
            ? t`Gap ${number}: film hangs over by ${length(-gapMm, 1)}`
            : t`Gap ${number}: the rule shows ${length(gapMm, 1)}`
        }
      >
        <rect x={zero} y={edge.top} width={width - zero} height={high} fill="var(--hair)" />
        <rect x={filmAt} y={edge.top} width={width - filmAt} height={high} fill="var(--film)" />
        <line x1={filmAt} x2={filmAt} y1={edge.top} y2={edge.bottom} stroke="var(--petrol)" strokeWidth="2.5" />
        <line x1={zero} x2={zero} y1={edge.top} y2={edge.bottom} stroke="var(--ink)" strokeWidth="2" />
        <rect
          x="0.5"
          y={rule.top}
          width={width - 1}
          height={rule.bottom - rule.top}
          fill="var(--bench)"
          stroke="var(--ink)"
          strokeWidth="1"
        />
        {Array.from({ length: last - first + 1 }, (_, i) => {
          const n = first + i
          const x = zero + mmPx * stepMm * n
          const tall = n % numbered === 0 ? 16 : n % longer === 0 ? 12 : 7
          return (
            <g key={n}>
              <line
                x1={x}
                x2={x}
                y1={rule.top}
                y2={rule.top + tall}
                stroke="var(--ink)"
                strokeWidth={n % longer === 0 ? 1.4 : 0.8}
              />
              {n % numbered === 0 ? (
                <text x={x} y={rule.bottom - 4} fontSize="14" textAnchor="middle" fill="var(--ink)">
                  {says(Math.abs(n))}
                </text>
              ) : null}
            </g>
          )
        })}
      </svg>
    </figure>
  )
}

import { filmLength } from '@truelay/core/say'
import { useWords } from '../ui/words.ts'

interface RollStripProps {
  /** As it came. */
  readonly lengthMm: number
  readonly leftMm: number
  /** From the loose end. */
  readonly spoilt: readonly (readonly [number, number])[]
  readonly className?: string
}

/** A roll laid out: what is left of it from its loose end at the left, what is spoilt, and what is gone as an empty frame. */
export function RollStrip({ lengthMm, leftMm, spoilt, className = '' }: RollStripProps) {
  const t = useWords()
  const share = (mm: number) => `${(100 * mm) / Math.max(lengthMm, leftMm)}%`
  return (
    <div
      role="img"
      aria-label={t`${filmLength(leftMm)} of ${filmLength(lengthMm)} left`}
      className={`relative h-8 border border-ink/40 bg-bench ${className}`}
    >
      <div className="absolute inset-y-0 left-0 border-r-2 border-petrol bg-film" style={{ width: share(leftMm) }} />
      {spoilt.map(([from, to]) => (
        <div
          key={from}
          className="absolute inset-y-0 border-x border-stop bg-stop-tint"
          style={{ left: share(from), width: share(to - from) }}
        >
          <svg aria-hidden="true" className="size-full" preserveAspectRatio="none" viewBox="0 0 10 10">
            <path d="M0 0L10 10M0 10L10 0" stroke="var(--stop)" vectorEffect="non-scaling-stroke" />
          </svg>
        </div>
      ))}
    </div>
  )
}

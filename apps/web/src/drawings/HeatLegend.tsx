import { temperature } from '@truelay/core/say'
import { Quantity } from '../ui/Quantity.tsx'
import { useWords } from '../ui/words.ts'
import { heatColor } from './heatColors.ts'

interface HeatLegendProps {
  readonly ambientC: number
  readonly leastC: number
  readonly mostC: number
  readonly damageC: number
}

/** What the colours mean, with the band that is wanted and where damage begins. */
export function HeatLegend({ ambientC, leastC, mostC, damageC }: HeatLegendProps) {
  const t = useWords()
  const span = damageC - ambientC
  const at = (celsius: number) => `${(100 * (celsius - ambientC)) / span}%`
  const stops = Array.from({ length: 11 }, (_, i) => {
    const [r, g, b] = heatColor(i / 10).map((c) => Math.round(255 * c))
    return `rgb(${r} ${g} ${b}) ${10 * i}%`
  })
  return (
    <div className="mt-2" aria-hidden>
      <div className="relative h-4" style={{ background: `linear-gradient(to right, ${stops.join(', ')})` }}>
        <span
          className="absolute -top-1 h-6 border-x-3 border-ink"
          style={{ left: at(leastC), width: `${(100 * (mostC - leastC)) / span}%` }}
        />
      </div>
      <div className="relative h-6 text-body">
        <span className="absolute left-0">
          <Quantity of={temperature(ambientC)} />
        </span>
        <span className="absolute -translate-x-1/2 font-bold" style={{ left: at((leastC + mostC) / 2) }}>
          {t`wanted`}
        </span>
        <span className="absolute right-0">{t`damage from ${temperature(damageC)}`}</span>
      </div>
    </div>
  )
}

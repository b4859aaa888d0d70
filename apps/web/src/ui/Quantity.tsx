import type { Measure } from '@truelay/core/say'
import { figureIn, measuresIn, type Shown } from '@truelay/words'
import { useUnits } from './units.ts'

interface QuantityProps {
  /** `length(2.5)`, `temperature(68)`, `volume(450)` … of the core's words. */
  readonly of: Measure
  /** Sets the unit apart from its figure. */
  readonly unitClass?: string
  /** The figure alone, where its unit stands beside it. */
  readonly bare?: boolean
}

const figure = figureIn('en-GB')

/** A measured quantity as a figure of a screen, in the shop's unit. */
export function Quantity({ of, unitClass = '', bare = false }: QuantityProps) {
  const { figure, unit } = useShown()(of)
  if (bare) return <>{figure}</>
  return (
    <span className="whitespace-nowrap">
      {figure}
      <span className={unitClass}>{unit === '°' ? unit : ` ${unit}`}</span>
    </span>
  )
}

/** How the shop shows what is measured. */
export function useShown(): (measure: Measure) => Shown {
  return measuresIn(useUnits(), figure)
}

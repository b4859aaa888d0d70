import type { UnitChoice } from '@truelay/core/units'
import { type Shown, showLength, showTemperature, showVolume } from '@truelay/words'
import { useUnits } from './units.ts'

type QuantityProps = (
  | { readonly lengthMm: number; readonly digits?: number }
  | { readonly temperatureC: number; readonly digits?: number }
  | { readonly volumeMl: number }
) & { readonly unitClass?: string; readonly bare?: boolean }

/** A length, temperature or volume in the shop's unit: the only place where the interface converts. */
export function Quantity({ unitClass = '', bare = false, ...quantity }: QuantityProps) {
  const { figure, unit } = shown(quantity, useUnits())
  if (bare) return <>{figure}</>
  return (
    <span className="whitespace-nowrap">
      {figure}
      <span className={unitClass}> {unit}</span>
    </span>
  )
}

function shown(
  quantity: { lengthMm: number; digits?: number } | { temperatureC: number; digits?: number } | { volumeMl: number },
  units: UnitChoice,
): Shown {
  if ('lengthMm' in quantity) return showLength(quantity.lengthMm, units.length, quantity.digits)
  if ('temperatureC' in quantity) return showTemperature(quantity.temperatureC, units.temperature, quantity.digits)
  return showVolume(quantity.volumeMl, units.volume)
}

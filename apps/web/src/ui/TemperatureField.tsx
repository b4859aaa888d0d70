import { cFromFahrenheit, fahrenheitFromC } from '@truelay/core/units'
import { NumberField } from './NumberField.tsx'
import { useUnits } from './units.ts'

interface TemperatureFieldProps {
  readonly label: string
  readonly valueC: number
  readonly digits?: number
  readonly minC: number
  readonly maxC: number
  readonly onCommitC: (valueC: number) => void
}

/** A temperature typed in the shop's unit. */
export function TemperatureField({ label, valueC, digits = 0, minC, maxC, onCommitC }: TemperatureFieldProps) {
  const fahrenheit = useUnits().temperature === 'F'
  const shown = fahrenheit ? fahrenheitFromC : (c: number) => c
  return (
    <NumberField
      label={label}
      unit={fahrenheit ? '°F' : '°C'}
      digits={digits}
      value={shown(valueC)}
      min={shown(minC)}
      max={shown(maxC)}
      onCommit={(v) => onCommitC(fahrenheit ? cFromFahrenheit(v) : v)}
    />
  )
}

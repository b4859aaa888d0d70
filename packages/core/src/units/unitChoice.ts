/** What a shop prefers to read. */
export interface UnitChoice {
  readonly length: LengthUnit
  readonly temperature: TemperatureUnit
  readonly volume: VolumeUnit
}

export const lengthUnits = ['mm', 'in'] as const
export const temperatureUnits = ['C', 'F'] as const
export const volumeUnits = ['mL', 'fl oz'] as const
export type LengthUnit = (typeof lengthUnits)[number]
export type TemperatureUnit = (typeof temperatureUnits)[number]
export type VolumeUnit = (typeof volumeUnits)[number]

export const metricUnits: UnitChoice = { length: 'mm', temperature: 'C', volume: 'mL' }

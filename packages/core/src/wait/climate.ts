import { type AnyFailure, failure } from '../result/index.ts'

/** The air in which film dries. */
export interface Climate {
  readonly roomC: number
  readonly humidityPercent: number
}

/** At which the shop's waits are what they say. */
export const usualClimate: Climate = { roomC: 20, humidityPercent: 50 }

/** What is wrong with a climate, or null. */
export function climateProblem({ roomC, humidityPercent }: Climate): AnyFailure | null {
  for (const [what, value, least, most] of [
    ['room temperature in °C', roomC, -10, 50],
    ['humidity in per cent', humidityPercent, 0, 100],
  ] as const)
    if (!(value >= least && value <= most)) return failure('WAIT_OUT_OF_RANGE', { what, value, least, most })
  return null
}

import { type AnyFailure, outOfRange } from '../result/index.ts'
import { percent, say, temperature } from '../say/index.ts'

/** The air in which film dries. */
export interface Climate {
  readonly roomC: number
  readonly humidityPercent: number
}

/** At which the shop's waits are what they say. */
export const usualClimate: Climate = { roomC: 20, humidityPercent: 50 }

/** What is wrong with a climate, or null. */
export function climateProblem({ roomC, humidityPercent }: Climate): AnyFailure | null {
  for (const [what, as, ...range] of [
    [say`room temperature`, temperature, roomC, -10, 50],
    [say`humidity`, percent, humidityPercent, 0, 100],
  ] as const) {
    const [value, least, most] = range
    if (!(value >= least && value <= most)) return outOfRange('WAIT_OUT_OF_RANGE', what, as, range)
  }
  return null
}

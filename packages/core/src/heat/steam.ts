import { inKernel } from '../kernel/index.ts'
import { done, type Result, refused } from '../result/index.ts'
import { say, temperature } from '../say/index.ts'
import { layerProblem, outside } from './checkLayers.ts'
import type { Layer } from './heatTypes.ts'
import { alone, LaneMarch } from './lane.ts'
import { slabOf } from './slab.ts'

/** A garment-type steamer at a hand's breadth: wet steam that condenses on what is cooler. */
export interface SteamFigures {
  readonly steamC: number
  readonly hWm2K: number
}
export const usualSteam: SteamFigures = { steamC: 95, hWm2K: 180 }

/** Steam brings no surface within this of its own temperature, K. */
const fallsShortK = 8
const longestS = 120

/**
 * Seconds of steam, moving over the place, until the surface is at a target; null where steam cannot get it there. It cannot
 * overheat film either: that is its point.
 * Can be refused: `HEAT_NO_LAYER`, `HEAT_OUT_OF_RANGE`.
 */
export function steamSeconds(
  layers: readonly Layer[],
  ambientC: number,
  targetC: number,
  { steamC, hWm2K }: SteamFigures = usualSteam,
): Result<number | null> {
  const problem = layerProblem(layers) ?? outside([[say`room temperature`, temperature, ambientC, -40, 80]])
  if (problem !== null) return refused(problem)
  if (targetC > steamC - fallsShortK) return done(null)
  // Moving over a hand's breadth, a spot is under the steam about half of the time.
  const steam = { gasC: steamC, hWm2K: hWm2K / 2 }
  const stepS = 0.1
  return done(
    inKernel(() => {
      const march = new LaneMarch(alone(slabOf(layers)), ambientC)
      const air = march.air([[steam, steam, steam]])
      for (let time = 0; time <= longestS; time += stepS) {
        if (march.surfaceC >= targetC) return time
        march.step(stepS, air)
      }
      return null
    }),
  )
}

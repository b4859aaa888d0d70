import { inKernel } from '../kernel/index.ts'
import { done, type Result, refused } from '../result/index.ts'
import { figure, say, seconds as asSeconds, temperature } from '../say/index.ts'
import { layerProblem, outside } from './checkLayers.ts'
import type { Layer, Wash } from './heatTypes.ts'
import { alone, LaneMarch } from './lane.ts'
import { slabOf } from './slab.ts'

export interface SteadyRequest {
  readonly ambientC: number
  /** Top layer first; the last one's back is insulated. */
  readonly layers: readonly Layer[]
  readonly gasC: number
  readonly hWm2K: number
  readonly seconds: number
  /** Left alone in still air after that. */
  readonly coolSeconds?: number | undefined
}

/** A surface under the gun and after it. */
export interface HeatCourse {
  readonly timesS: readonly number[]
  readonly surfaceC: readonly number[]
  /** At the bottom of the top layer. */
  readonly underTopC: readonly number[]
  readonly peakSurfaceC: number
  readonly peakBackC: number
}

/** How still air takes heat from a warm surface, radiation counted in, W/(m²·K). */
export const stillAirHWm2K = 10

export interface SteadyOptions {
  /** Divides every time step. */
  readonly finerTime: number
  /** Divides every slice. */
  readonly finerSpace: number
}

const shownTimes = 240

/**
 * Air of one temperature over a stack of layers for a while, then still air: what the surface does.
 * Steps grow from a hundred-thousandth of the time (surface temperature starts as a square root) to a two-hundredth.
 * Can be refused: `HEAT_NO_LAYER`, `HEAT_OUT_OF_RANGE`.
 */
export function steadyWash(
  request: SteadyRequest,
  { finerTime, finerSpace }: SteadyOptions = { finerTime: 1, finerSpace: 3 },
): Result<HeatCourse> {
  const { ambientC, layers, gasC, hWm2K, seconds, coolSeconds = 0 } = request
  const problem =
    layerProblem(layers) ??
    outside([
      [say`room temperature`, temperature, ambientC, -40, 80],
      [say`gas temperature`, temperature, gasC, -40, 1500],
      [say`heat transfer coefficient in W/(m²·K)`, figure, hWm2K, 0, 100_000],
      [say`time under the gas`, asSeconds, seconds, 1e-6, 86_400],
      [say`time to cool`, asSeconds, coolSeconds, 0, 86_400],
    ])
  if (problem !== null) return refused(problem)
  return done(
    inKernel(() => {
      const march = new LaneMarch(alone(slabOf(layers, finerSpace)), ambientC)
      const course: Course = { timesS: [0], surfaceC: [ambientC], underTopC: [ambientC] }
      let peakBackC = ambientC
      const wash = (wash: Wash, fromS: number, lastsS: number) => {
        const air = march.air([[wash, wash, wash]])
        for (const stepS of growingSteps(lastsS, finerTime)) {
          march.step(stepS, air)
          peakBackC = Math.max(peakBackC, march.backC)
          course.timesS.push(Math.min(fromS + lastsS, (course.timesS[course.timesS.length - 1] ?? 0) + stepS))
          course.surfaceC.push(march.surfaceC)
          course.underTopC.push(march.underTopC)
        }
      }
      wash({ gasC, hWm2K }, 0, seconds)
      if (coolSeconds > 0) wash({ gasC: ambientC, hWm2K: stillAirHWm2K }, seconds, coolSeconds)
      return { ...course, peakSurfaceC: Math.max(...course.surfaceC), peakBackC }
    }),
  )
}

interface Course {
  readonly timesS: number[]
  readonly surfaceC: number[]
  readonly underTopC: number[]
}

/** Steps that add up to a time: small ones first. */
function growingSteps(seconds: number, finer: number): number[] {
  const most = seconds / shownTimes
  const steps: number[] = []
  let sum = 0
  let next = most / 500
  while (sum < seconds) {
    steps.push(next)
    sum += next
    next = Math.min(most, next * 1.1)
  }
  return steps.flatMap((step) => new Array<number>(finer).fill((step * seconds) / sum / finer))
}

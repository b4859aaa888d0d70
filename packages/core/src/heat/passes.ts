import { inKernel } from '../kernel/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { length, say, speed, temperature } from '../say/index.ts'
import { layerProblem, outside } from './checkLayers.ts'
import type { Jet, Layer, Wash } from './heatTypes.ts'
import { type Lane, LaneMarch, laneOf, type StepWashes, type Swept } from './lane.ts'
import { type Slab, secondStage, slabOf } from './slab.ts'
import { stillAirHWm2K } from './steadyWash.ts'
import { slowestMmS } from './gunReading.ts'

/** The gun swept to and fro along one stroke. */
export interface Sweep {
  readonly speedMmS: number
  readonly strokeMm: number
  /** One lane, as along an edge, or a band of lanes beside each other; left out = one lane. */
  readonly swept?: Swept | undefined
}

/**
 * A surface in the middle of a stroke, for air that is one kelvin hotter than the room: the course is linear in that excess, so
 * one march serves every setting of the gun.
 */
export interface UnitCourse {
  readonly timesS: Float64Array
  /** Rise over the room per kelvin of excess. */
  readonly surface: Float64Array
  readonly underTop: Float64Array
  readonly back: Float64Array
  /** Number of the last time of each pass. */
  readonly passEnds: readonly number[]
  /** The most that the surface has risen by the end of each pass. */
  readonly peaks: readonly number[]
  /** What was marched, and the rise of all of it at the end of each pass, one after the other. */
  readonly lane: Lane
  readonly wholeAtEnd: Float64Array
}

export interface MarchOptions {
  /** Steps while the spot goes by. */
  readonly pulseSteps: number
  /** Steps while it is away. */
  readonly restSteps: number
}
export const marchDefaults: MarchOptions = { pulseSteps: 10, restSteps: 3 }

/**
 * The air over a place that is `offMm` away from the spot's own middle, for one kelvin of excess: what the jet hands over
 * is a bell across the spot, and what it leaves free is in still air.
 */
function washAt(offMm: number, jet: Jet): Wash {
  const width = jet.spotMm / 4
  const share = Math.exp(-(offMm * offMm) / (2 * width * width))
  const hWm2K = stillAirHWm2K * (1 - share) + jet.hWm2K * share
  return { gasC: (jet.hWm2K * share) / hWm2K, hWm2K }
}

/**
 * Marches through `passes` passes. The spot's heat is a bell across it (13 % at its rim); the middle of the stroke is warmed once
 * a pass. The ends of a stroke get half as much, which is why strokes go past the place.
 */
export function unitCourse(
  slab: Slab,
  jet: Jet,
  { speedMmS, strokeMm, swept = 'lane' }: Sweep,
  passes: number,
  { pulseSteps, restSteps }: MarchOptions = marchDefaults,
): UnitCourse {
  const lane = laneOf(slab, jet.spotMm, swept)
  const passS = strokeMm / speedMmS
  const pulseS = Math.min(passS, (1.6 * jet.spotMm) / speedMmS)
  const restS = (passS - pulseS) / 2
  const onePass = stepsOfPass(lane, jet, speedMmS, [
    ...(restS > 1e-9 ? [{ lastsS: restS, steps: restSteps, fromMm: -strokeMm / 2 }] : []),
    { lastsS: pulseS, steps: pulseSteps, fromMm: (-pulseS * speedMmS) / 2 },
    ...(restS > 1e-9 ? [{ lastsS: restS, steps: restSteps, fromMm: (pulseS * speedMmS) / 2 }] : []),
  ])
  return { lane, ...inKernel(() => marchPasses(lane, onePass, passes)) }
}

interface StepOfPass {
  readonly seconds: number
  /** The air over every strip. */
  readonly washes: readonly StepWashes[]
}

/** Lives within `inKernel`. */
function marchPasses(lane: Lane, onePass: readonly StepOfPass[], passes: number): Omit<UnitCourse, 'lane'> {
  const march = new LaneMarch(lane, 0)
  const steps = onePass.map(({ seconds, washes }) => ({ seconds, air: march.air(washes) }))
  const row = () => new Float64Array(1 + steps.length * passes)
  const [timesS, surface, underTop, back] = [row(), row(), row(), row()]
  const passEnds: number[] = []
  const peaks: number[] = []
  const wholeAtEnd = new Float64Array(march.temperatureC.length * passes)
  let at = 0
  let peak = 0
  for (let pass = 0; pass < passes; pass++) {
    for (const { seconds, air } of steps) {
      march.step(seconds, air)
      at++
      timesS[at] = timesS[at - 1]! + seconds
      surface[at] = march.surfaceC
      underTop[at] = march.underTopC
      back[at] = march.backC
      peak = Math.max(peak, march.surfaceC)
    }
    passEnds.push(at)
    peaks.push(peak)
    wholeAtEnd.set(march.temperatureC, pass * march.temperatureC.length)
  }
  return { timesS, surface, underTop, back, passEnds, peaks, wholeAtEnd }
}

/** The steps of one pass, the same every time. */
function stepsOfPass(
  { strips }: Lane,
  jet: Jet,
  speedMmS: number,
  stretches: readonly { readonly lastsS: number; readonly steps: number; readonly fromMm: number }[],
): StepOfPass[] {
  return stretches.flatMap(({ lastsS, steps, fromMm }) =>
    Array.from({ length: steps }, (_, k) => {
      const seconds = lastsS / steps
      const off = fromMm + k * seconds * speedMmS
      const offs = [off, off + secondStage * seconds * speedMmS, off + seconds * speedMmS]
      const washes = strips.map(({ middleMm }) => {
        const [start, between, end] = offs.map((mm) => washAt(Math.hypot(mm, middleMm), jet)) as [Wash, Wash, Wash]
        return [start, between, end] as const
      })
      return { seconds, washes }
    }),
  )
}

export interface PassesRequest extends Sweep {
  readonly ambientC: number
  /** Top layer first; the last one's back is insulated. */
  readonly layers: readonly Layer[]
  readonly jet: Jet
  readonly targetC: number
  readonly damageC: number
  /** Warm enough to be felt, cool enough to be pressed. */
  readonly pressC: number
  /** Film cuts clean below this. */
  readonly cutC: number
  readonly mostPasses?: number | undefined
  /** When the target counts as met: touched while the gun goes by, or still there when the pass ends, as a thermometer reads it. */
  readonly until?: 'touched' | 'held' | undefined
  /** So many passes and no more, whether they meet the target or not. */
  readonly exactly?: number | undefined
}

/** What so many passes do. */
export interface PassesOutcome {
  readonly timesS: readonly number[]
  readonly surfaceC: readonly number[]
  readonly underTopC: readonly number[]
  readonly peakSurfaceC: number
  readonly peakBackC: number
  /** Whole passes until the target is met; where it cannot be reached, those that were tried. */
  readonly passes: number
  readonly secondsToTarget: number | null
  /** From the end of the last pass; null where the room is too warm for it, or it takes over 15 minutes. */
  readonly coolToPressS: number | null
  readonly coolToCutS: number | null
  /** The target is met before anything gets as hot as damage. */
  readonly reachable: boolean
  /** Damage less the hottest that the surface gets. */
  readonly marginToDamageC: number
  /** What a thermometer reads right after the last pass, and what it is under the top layer then. */
  readonly readingC: number
  readonly underTopAtEndC: number
}

export const mostPassesEver = 40
const longestCoolS = 900

/**
 * How many passes to a target, and how long until the film can be pressed and cut.
 * Can be refused: `HEAT_NO_LAYER`, `HEAT_OUT_OF_RANGE`, `HEAT_STANDS_STILL`.
 */
export function passesTo(request: PassesRequest): Result<PassesOutcome> {
  const { ambientC, layers, jet, targetC, damageC, speedMmS, strokeMm, mostPasses = mostPassesEver } = request
  if (speedMmS < slowestMmS) return refused(failure('HEAT_STANDS_STILL', { speedMmS, leastMmS: slowestMmS }))
  const problem =
    layerProblem(layers) ??
    outside([
      [say`room temperature`, temperature, ambientC, -40, 80],
      [say`air temperature at the surface`, temperature, jet.gasC, -40, 1500],
      [say`warmed spot`, length, jet.spotMm, 5, 500],
      [say`speed of the gun`, speed, speedMmS, slowestMmS, 5000],
      [say`length of the stroke`, length, strokeMm, 10, 5000],
      [say`target`, temperature, targetC, -40, 300],
      [say`damage`, temperature, damageC, -40, 500],
    ])
  if (problem !== null) return refused(problem)
  if (targetC >= damageC) return refused(failure('HEAT_TARGET_DAMAGES', { targetC, damageC }))
  const slab = slabOf(layers)
  const unit = unitCourse(slab, jet, request, mostPasses)
  return done(outcomeOf(unit, jet, { ...request, speedMmS, strokeMm }))
}

/** Reads a unit course for one excess of the air. */
export function outcomeOf(unit: UnitCourse, jet: Jet, request: Omit<PassesRequest, 'layers' | 'jet'>): PassesOutcome {
  const { ambientC, targetC, damageC, pressC, cutC } = request
  const excess = jet.gasC - ambientC
  const rise = (at: number) => ambientC + excess * unit.surface[at]!
  const last = unit.timesS.length - 1
  const met = meets(unit, (targetC - ambientC) / excess, request.until ?? 'touched')
  const passes =
    request.exactly ??
    (met === null ? unit.passEnds.length : Math.max(1, unit.passEnds.findIndex((end) => end >= met) + 1))
  const end = unit.passEnds[passes - 1] ?? last
  const timesS = Array.from(unit.timesS.subarray(0, end + 1))
  const surfaceC = timesS.map((_, i) => rise(i))
  const underTopC = timesS.map((_, i) => ambientC + excess * unit.underTop[i]!)
  const peakSurfaceC = Math.max(...surfaceC)
  const size = unit.wholeAtEnd.length / unit.passEnds.length
  const whole = unit.wholeAtEnd.subarray((passes - 1) * size, passes * size)
  const wholeC = whole.map((share) => ambientC + excess * share)
  const cooled = inKernel(() => coolDown(unit.lane, wholeC, ambientC, unit.timesS[end]!, [pressC, cutC]))
  return {
    timesS: [...timesS, ...cooled.timesS],
    surfaceC: [...surfaceC, ...cooled.surfaceC],
    underTopC: [...underTopC, ...cooled.underTopC],
    peakSurfaceC,
    peakBackC: Math.max(cooled.peakBackC, ...timesS.map((_, i) => ambientC + excess * unit.back[i]!)),
    passes,
    secondsToTarget: met === null ? null : crossing(unit, met, (targetC - ambientC) / excess),
    coolToPressS: cooled.reached[0] ?? null,
    coolToCutS: cooled.reached[1] ?? null,
    reachable: met !== null && peakSurfaceC < damageC,
    marginToDamageC: damageC - peakSurfaceC,
    readingC: surfaceC[surfaceC.length - 1] ?? ambientC,
    underTopAtEndC: underTopC[underTopC.length - 1] ?? ambientC,
  }
}

/** Number of the first time that meets a rise (per kelvin of excess): any time, or only the ends of passes; null if none. */
export function meets(unit: UnitCourse, wanted: number, until: 'touched' | 'held'): number | null {
  if (until === 'held') return unit.passEnds.find((end) => unit.surface[end]! >= wanted) ?? null
  const at = unit.surface.findIndex((rise) => rise >= wanted)
  return at < 0 ? null : at
}

function crossing(unit: UnitCourse, met: number, wanted: number): number {
  if (met === 0) return 0
  const [a, b] = [unit.surface[met - 1]!, unit.surface[met]!]
  const share = b > a ? Math.min(1, Math.max(0, (wanted - a) / (b - a))) : 1
  return unit.timesS[met - 1]! + share * (unit.timesS[met]! - unit.timesS[met - 1]!)
}

/** Still air after the last pass, until the surface is below every limit. Lives within `inKernel`. */
function coolDown(lane: Lane, startC: Float64Array, ambientC: number, fromS: number, limitsC: readonly number[]) {
  const march = new LaneMarch(lane, startC)
  const air: Wash = { gasC: ambientC, hWm2K: stillAirHWm2K }
  const still = march.air(lane.strips.map(() => [air, air, air]))
  const reached: (number | null)[] = limitsC.map((limit) => (march.surfaceC <= limit ? 0 : null))
  const course = { timesS: [] as number[], surfaceC: [] as number[], underTopC: [] as number[] }
  let peakBackC = march.backC
  let after = 0
  let stepS = 0.05
  while (after < longestCoolS && (after < 5 || reached.some((r, i) => r === null && limitsC[i]! > ambientC))) {
    const before = march.surfaceC
    march.step(stepS, still)
    peakBackC = Math.max(peakBackC, march.backC)
    limitsC.forEach((limit, i) => {
      if (reached[i] === null && march.surfaceC <= limit)
        reached[i] = after + (stepS * (before - limit)) / Math.max(1e-9, before - march.surfaceC)
    })
    after += stepS
    stepS = Math.min(stepS * 1.08, 4)
    course.timesS.push(fromS + after)
    course.surfaceC.push(march.surfaceC)
    course.underTopC.push(march.underTopC)
  }
  return { ...course, reached, peakBackC }
}

import { done, failure, type Result, refused } from '../result/index.ts'
import { figure, length, say, speed, temperature } from '../say/index.ts'
import { layerProblem, outside } from './checkLayers.ts'
import type { Layer } from './heatTypes.ts'
import { type GunFactors, type GunHeld, type JetFigures, jetOf, usualJet } from './jet.ts'
import { type Sweep, unitCourse } from './passes.ts'
import { slabOf } from './slab.ts'

/** What the thermometer said right after so many passes over film on a known backing. */
export interface GunReading extends Sweep {
  readonly gun: GunHeld
  readonly layers: readonly Layer[]
  readonly ambientC: number
  readonly passes: number
  readonly surfaceC: number
}

export interface CalibrationFigures {
  /** How far an infra-red reading on film is off, °C: aim, shine, the second that it takes. */
  readonly readingC: number
  /** How well the model tells a rise by itself, as a share of it. */
  readonly modelShare: number
  /** How far guns of one type differ in the heat of their air, and in how they hand it over, as shares. */
  readonly gasSpread: number
  readonly hSpread: number
}
export const usualCalibration: CalibrationFigures = {
  readingC: 2.5,
  modelShare: 0.05,
  gasSpread: 0.2,
  hSpread: 0.35,
}

/** How well the rise of a gun is known that nobody has read, as a share: one standard deviation. */
export const unreadRiseSigma = Math.hypot(usualCalibration.gasSpread, 0.9 * usualCalibration.hSpread)

export interface GunCalibration {
  readonly factors: GunFactors
  /** How sure the rise that this gun brings is, one standard deviation as a share: what passes and margins are off by. */
  readonly riseSigma: number
  /** Measured less computed, °C, reading by reading. */
  readonly residualC: readonly number[]
}

type Logs = readonly [gas: number, h: number]

/**
 * Two factors for one gun from infra-red readings: least squares over the readings, held by what is usual for guns of
 * its type (a prior in the logarithms), Gauss-Newton. One reading settles the rise that matters; a second one at another
 * distance or pace tells heat and transfer apart.
 * Can be refused: `HEAT_NO_LAYER`, `HEAT_OUT_OF_RANGE`, `HEAT_READING_ODD`.
 */
export function calibrateGun(
  readings: readonly GunReading[],
  figures: CalibrationFigures = usualCalibration,
  jetFigures: JetFigures = usualJet,
): Result<GunCalibration> {
  for (const r of readings) {
    const problem =
      layerProblem(r.layers) ??
      outside([
        [say`room temperature`, temperature, r.ambientC, -20, 60],
        [say`number of passes`, figure, r.passes, 1, 60],
        [say`surface reading`, temperature, r.surfaceC, -20, 300],
        [say`outlet temperature`, temperature, r.gun.outletC, 30, 900],
        [say`distance`, length, r.gun.distanceMm, 20, 400],
        [say`speed of the gun`, speed, r.speedMmS, 50, 5000],
      ])
    if (problem !== null) return refused(problem)
    if (r.surfaceC <= r.ambientC + 2)
      return refused(failure('HEAT_READING_ODD', { readingC: r.surfaceC, roomC: r.ambientC }))
  }
  const riseOf = (r: GunReading, [gas, h]: Logs) => {
    const jet = jetOf(r.gun, r.ambientC, { gas: Math.exp(gas), h: Math.exp(h) }, jetFigures)
    const unit = unitCourse(slabOf(r.layers), jet, r, r.passes)
    return (jet.gasC - r.ambientC) * unit.surface[unit.surface.length - 1]!
  }
  const prior = [1 / figures.gasSpread ** 2, 1 / figures.hSpread ** 2] as const
  let logs: Logs = [0, 0]
  let normal = normalOf([], prior)
  for (let round = 0; round < 12; round++) {
    const rows = readings.map((r) => {
      const rise = riseOf(r, logs)
      const step = 1e-3
      const slopeH = (riseOf(r, [logs[0], logs[1] + step]) - rise) / step
      const sigma = Math.hypot(figures.readingC, figures.modelShare * (r.surfaceC - r.ambientC))
      return { slope: [rise, slopeH] as const, miss: r.surfaceC - r.ambientC - rise, weight: 1 / sigma ** 2 }
    })
    normal = normalOf(rows, prior)
    const right = [0, 1].map(
      (i) => rows.reduce((sum, r) => sum + r.weight * r.slope[i]! * r.miss, 0) - prior[i]! * logs[i]!,
    )
    const change = solve2(normal, [right[0]!, right[1]!])
    logs = [logs[0] + change[0], logs[1] + change[1]]
    if (Math.hypot(...change) < 1e-7) break
  }
  const residualC = readings.map((r) => r.surfaceC - r.ambientC - riseOf(r, logs))
  return done({
    factors: { gas: Math.exp(logs[0]), h: Math.exp(logs[1]) },
    riseSigma: riseSigma(normal, readings, figures, (r, at) => riseOf(r, at), logs),
    residualC,
  })
}

type Normal = readonly [number, number, number]

function normalOf(
  rows: readonly { readonly slope: readonly [number, number]; readonly weight: number }[],
  prior: readonly [number, number],
): Normal {
  const sum = (i: 0 | 1, j: 0 | 1) => rows.reduce((total, r) => total + r.weight * r.slope[i] * r.slope[j], 0)
  return [prior[0] + sum(0, 0), sum(0, 1), prior[1] + sum(1, 1)]
}

function solve2([a, b, d]: Normal, [x, y]: readonly [number, number]): readonly [number, number] {
  const det = a * d - b * b
  return [(d * x - b * y) / det, (a * y - b * x) / det]
}

/** Of the rise in a usual heat step; the share by which it follows each factor: 1 for the air, about 0.9 for the transfer. */
function riseSigma(
  normal: Normal,
  readings: readonly GunReading[],
  figures: CalibrationFigures,
  rise: (r: GunReading, at: Logs) => number,
  at: Logs,
): number {
  const [first] = readings
  const step = 1e-3
  const slopeH =
    first === undefined ? 0.9 : (rise(first, [at[0], at[1] + step]) / Math.max(1e-9, rise(first, at)) - 1) / step
  const slope = [1, slopeH] as const
  const variance = solve2(normal, slope)
  return Math.hypot(Math.sqrt(slope[0] * variance[0] + slope[1] * variance[1]), figures.modelShare)
}

import { dot2, length2, perpendicular, scale, subtract, add, type Vec2 } from '../geometry/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { degFromRad } from '../units/index.ts'
import { estimate } from './leastSquares.ts'

/** A gap read with a rule: the distance from the part's edge to the film's edge along `normal`. */
export interface GapCheck {
  readonly at: Vec2
  /** From the part's edge inward; any length. */
  readonly normal: Vec2
  readonly measuredMm: number
  readonly wantedMm: number
  /** How well the gap is read, mm, one standard deviation. */
  readonly sigmaMm?: number | undefined
}

export interface Correction {
  /** Move of the film after the turn, mm. */
  readonly moveMm: Vec2
  /** Turn of the film, counter-clockwise positive. */
  readonly turnDeg: number
  /** Centre of the turn: the mean of the checks. */
  readonly about: Vec2
  /** From there to the farthest check, mm: what a turn moves there is what the hand sees. */
  readonly farMm: number
  /** Gap that is left over its wish at each check after the correction, mm. */
  readonly residualMm: readonly number[]
  readonly sigma: { readonly moveMm: Vec2; readonly turnDeg: number }
}

/** A steel rule at arm's length under a lamp: half a graduation of 0.5 mm. */
const usualGapSigmaMm = 0.25

/**
 * Worse known than this is not known: gaps that lie close together tell no turn, gaps along one edge no move along it. A piece that was laid
 * to its marks lies nearer than this already.
 */
const knownTo = { moveMm: 10, turnDeg: 1 } as const

/**
 * The move and turn of the film that bring the measured gaps nearest to the wanted ones (weighted least squares; the
 * turn taken as small). What no gap determines, or none to 10 mm and 1°, is left alone and has an infinite
 * sigma.
 * Can be refused: `CHECKS_TOO_FEW`, `CHECK_NORMAL_ZERO`.
 */
export function correctionFromGaps(checks: readonly GapCheck[]): Result<Correction> {
  if (checks.length < 2) return refused(failure('CHECKS_TOO_FEW', { found: checks.length }))
  const unusable = checks.findIndex((c) => length2(c.normal) < 1e-9)
  if (unusable >= 0) return refused(failure('CHECK_NORMAL_ZERO', { check: unusable + 1 }))
  const units = checks.map((c) => scale(c.normal, 1 / length2(c.normal)))
  const films = checks.map((c, i) => add(c.at, scale(units[i] ?? c.normal, c.measuredMm)))
  const about = scale(
    checks.reduce<Vec2>((sum, c) => add(sum, c.at), [0, 0]),
    1 / checks.length,
  )
  const arms = films.map((film) => perpendicular(subtract(film, about)))
  const leverMm = Math.sqrt(arms.reduce((sum, arm) => sum + dot2(arm, arm), 0) / arms.length) || 1
  const withTurn = units.map((n, i) => [n[0], n[1], dot2(n, arms[i] ?? n) / leverMm] as const)
  const fit = (rows: readonly (readonly [number, number, number])[]) =>
    estimate(
      checks.map((c, i) => ({
        row: rows[i] ?? [0, 0, 0],
        wanted: c.wantedMm - c.measuredMm,
        sigma: c.sigmaMm ?? usualGapSigmaMm,
      })),
      knownTo.moveMm,
    )
  const turned = fit(withTurn)
  const tellsTurn = !(degFromRad(turned.sigma[2] / leverMm) > knownTo.turnDeg)
  const rows = tellsTurn ? withTurn : withTurn.map(([x, y]) => [x, y, 0] as const)
  const { value, sigma: known } = tellsTurn ? turned : fit(rows)
  const sigma = tellsTurn ? known : ([known[0], known[1], Number.POSITIVE_INFINITY] as const)
  const residualMm = checks.map((c, i) => {
    const row = rows[i] ?? [0, 0, 0]
    return c.measuredMm + row[0] * value[0] + row[1] * value[1] + row[2] * value[2] - c.wantedMm
  })
  return done({
    moveMm: [value[0], value[1]],
    turnDeg: degFromRad(value[2] / leverMm),
    about,
    farMm: Math.max(...arms.map(length2)),
    residualMm,
    sigma: { moveMm: [sigma[0], sigma[1]], turnDeg: degFromRad(sigma[2] / leverMm) },
  })
}

import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { boundsOf, contains, distance, lerp, nearestOnOutline, type Polygon, type Vec2 } from '../geometry/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import type { BowReading, MeasuredSpot } from './formTypes.ts'

export interface BowOptions {
  /** How well a sagitta is read under a straightedge, mm. */
  readonly readingToleranceMm: number
  /** How far a real part departs from an even bow, as a share of its largest sagitta. */
  readonly unevenShare: number
  /** How far along the part such a departure reaches, as a share of the part's diagonal. */
  readonly reachShare: number
}

export const bowDefaults: BowOptions = { readingToleranceMm: 0.5, unevenShare: 0.6, reachShare: 0.5 }

export interface FittedBow {
  heightAt(p: Vec2): number
  /** One standard deviation of what the sagitta of a chord could still be, mm. */
  unsureOfChord(from: Vec2, to: Vec2): number
  /** By how much each spot lies above what all others say of it, mm. */
  readonly spotMissMm: readonly number[]
}

/** What was read, in the part's scale: of a chord height(middle) - weighted heights of the ends, of a spot its height. */
interface Functional {
  readonly points: readonly Vec2[]
  readonly weights: readonly number[]
}

const contactToleranceMm = 2
const evenVariance = 1e4
/** Of the plane against which spots are told: as good as free. */
const planeVariance = 1e4
const relativeNugget = 1e-11

/**
 * The smoothest surface that has exactly the measured sagitta under every straightedge: an even bow (a quadratic,
 * taken as far as it goes) plus a smooth departure (universal kriging with a Matérn 5/2 covariance; Rasmussen and
 * Williams, "Gaussian Processes for Machine Learning", 2.7 and 4.2; leave-one-out residuals as in their 5.4.2).
 * The part's tilt and height are free: a straightedge cannot see them, and film does not care.
 *
 * @param outline the part seen straight on
 * @param underneath height of body lines and recesses, which the readings include
 * @param spots heights of single spots, each as sure as its sigma (a nugget of its own); the surface goes by them, not through them
 * Can be refused: `BOW_OUTSIDE`, `BOW_CHORD_SHORT`, `BOW_CONTRADICTS`, `SPOT_CONTRADICTS`.
 */
export function fitBow(
  outline: Polygon,
  readings: readonly BowReading[],
  underneath: (p: Vec2) => number,
  options: BowOptions = bowDefaults,
  spots: readonly MeasuredSpot[] = [],
): Result<FittedBow> {
  for (const reading of readings) {
    for (const p of [reading.from, reading.to]) {
      if (!contains(outline, p) && nearestOnOutline(outline, p).distanceMm > contactToleranceMm)
        return refused(failure('BOW_OUTSIDE', { reading: reading.name, xMm: p[0], yMm: p[1] }))
    }
    const planMm = distance(reading.from, reading.to)
    if (reading.chordMm !== undefined && reading.chordMm < planMm - 2 * options.readingToleranceMm)
      return refused(failure('BOW_CHORD_SHORT', { reading: reading.name, chordMm: reading.chordMm, planMm }))
  }
  // Three spots lie in a plane, whatever the part is like.
  const heights = spots.length > 3 ? spots : []
  if (readings.length + heights.length === 0)
    return done({ heightAt: () => 0, unsureOfChord: () => Number.POSITIVE_INFINITY, spotMissMm: [] })

  const box = boundsOf(outline)
  const diagonal = distance(box.min, box.max)
  const centre = lerp(box.min, box.max, 0.5)
  const scaled = (p: Vec2): Vec2 => [(2 * (p[0] - centre[0])) / diagonal, (2 * (p[1] - centre[1])) / diagonal]
  const reach = 2 * options.reachShare
  const functionals: Functional[] = [
    ...readings.map((r) => chordFunctional(scaled(r.from), scaled(r.to), r.atFraction ?? 0.5)),
    ...heights.map(({ at }) => ({ points: [scaled(at)], weights: [1] })),
  ]
  const amplitude = amplitudeMm(readings, heights, options)

  const size = functionals.length
  const covariance = Matrix.zeros(size, size)
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      const value = covarianceOf(functionals[i]!, functionals[j]!, reach)
      covariance.set(i, j, value)
      covariance.set(j, i, value)
    }
  }
  const nugget = (relativeNugget * covariance.trace()) / size
  for (let i = 0; i < size; i++) {
    const sigmaMm = heights[i - readings.length]?.sigmaMm ?? 0
    covariance.set(i, i, covariance.get(i, i) + nugget + (sigmaMm / amplitude) ** 2)
  }
  const factor = new CholeskyDecomposition(covariance)
  const inverse = factor.solve(Matrix.eye(size))

  // The gap is read square to the straightedge, the surface is a height: the tilt of a chord links the two.
  let weights = Matrix.zeros(size, 1)
  for (let round = 0; round < 4; round++) {
    const height = heightFunction(functionals, weights, reach)
    const right = readings.map((r) => {
      const rise = height(scaled(r.to)) - height(scaled(r.from))
      const featureRise = underneath(r.to) - underneath(r.from)
      const tilt = Math.hypot(1, (rise + featureRise) / distance(r.from, r.to))
      return r.sagittaMm * tilt - sagittaOf(r, underneath)
    })
    const above = heights.map(({ at, heightMm }) => heightMm - underneath(at))
    weights = factor.solve(Matrix.columnVector([...right, ...above]))
  }

  const contradiction = findContradiction(readings, heights, covariance, inverse, weights, amplitude, options)
  if (contradiction !== null) return refused(contradiction)

  const height = heightFunction(functionals, weights, reach)
  return done({
    heightAt: (p) => height(scaled(p)),
    spotMissMm: heights.map((_, i) => {
      const k = readings.length + i
      return weights.get(k, 0) / inverse.get(k, k)
    }),
    unsureOfChord: (from, to) => {
      const f = chordFunctional(scaled(from), scaled(to), 0.5)
      const k = Matrix.columnVector(functionals.map((g) => covarianceOf(f, g, reach)))
      const left = covarianceOf(f, f, reach) - k.transpose().mmul(inverse).mmul(k).get(0, 0)
      return amplitude * Math.sqrt(Math.max(0, left))
    },
  })
}

/** How far the part may depart from an even bow: a share of the largest sagitta, or of half of what its spots rise and fall. */
function amplitudeMm(readings: readonly BowReading[], spots: readonly MeasuredSpot[], options: BowOptions): number {
  const heights = spots.map(({ heightMm }) => heightMm)
  const rise = heights.length === 0 ? 0 : (Math.max(...heights) - Math.min(...heights)) / 2
  return Math.max(2, options.unevenShare * Math.max(rise, ...readings.map((r) => Math.abs(r.sagittaMm))))
}

const sagittaOf = (r: BowReading, height: (p: Vec2) => number) => {
  const t = r.atFraction ?? 0.5
  return height(lerp(r.from, r.to, t)) - (1 - t) * height(r.from) - t * height(r.to)
}

const chordFunctional = (from: Vec2, to: Vec2, t: number): Functional => ({
  points: [lerp(from, to, t), from, to],
  weights: [1, t - 1, -t],
})

const evenShapes = ([x, y]: Vec2) => [x * x, x * y, y * y] as const

function matern(r: number, reach: number) {
  const s = (Math.sqrt(5) * r) / reach
  return (1 + s + (s * s) / 3) * Math.exp(-s)
}

function covarianceOf(f: Functional, g: Functional, reach: number): number {
  let sum = 0
  for (let i = 0; i < f.points.length; i++) {
    for (let j = 0; j < g.points.length; j++)
      sum += f.weights[i]! * g.weights[j]! * matern(distance(f.points[i]!, g.points[j]!), reach)
  }
  // Of chords this is nothing: a straightedge sees no plane.
  const [p, q] = [planeOf(f), planeOf(g)]
  sum += planeVariance * (p[0]! * q[0]! + p[1]! * q[1]! + p[2]! * q[2]!)
  const a = evenOf(f)
  const b = evenOf(g)
  return sum + evenVariance * (a[0]! * b[0]! + a[1]! * b[1]! + a[2]! * b[2]!)
}

/** What it sees of height, tilt across and tilt up. Of a chord these are nothing but rounding, and taken as nothing. */
function planeOf(f: Functional): readonly number[] {
  return f.points.length > 1 ? [0, 0, 0] : [1, f.points[0]![0], f.points[0]![1]]
}

function evenOf(f: Functional): number[] {
  const sum = [0, 0, 0]
  for (let i = 0; i < f.points.length; i++) {
    const shapes = evenShapes(f.points[i]!)
    for (let k = 0; k < 3; k++) sum[k]! += f.weights[i]! * shapes[k]!
  }
  return sum
}

/** The fitted height as a function of the scaled place; everything that does not depend on the place is summed once. */
function heightFunction(functionals: readonly Functional[], weights: Matrix, reach: number): (p: Vec2) => number {
  const even = [0, 0, 0]
  const plane = [0, 0, 0]
  const count = functionals.reduce((sum, f) => sum + f.points.length, 0)
  const x = new Float64Array(count)
  const y = new Float64Array(count)
  const w = new Float64Array(count)
  let at = 0
  functionals.forEach((f, i) => {
    const weight = weights.get(i, 0)
    evenOf(f).forEach((e, k) => {
      even[k]! += weight * evenVariance * e
    })
    planeOf(f).forEach((e, k) => {
      plane[k]! += weight * planeVariance * e
    })
    f.points.forEach(([px, py], c) => {
      x[at] = px
      y[at] = py
      w[at] = weight * f.weights[c]!
      at++
    })
  })
  return ([px, py]) => {
    let height = even[0]! * px * px + even[1]! * px * py + even[2]! * py * py
    height += plane[0]! + plane[1]! * px + plane[2]! * py
    for (let k = 0; k < count; k++) {
      const dx = px - x[k]!
      const dy = py - y[k]!
      height += w[k]! * matern(Math.sqrt(dx * dx + dy * dy), reach)
    }
    return height
  }
}

/** Beyond so many standard deviations a reading has no room among the others. */
const noRoomFrom = 4

/**
 * How far each reading is from what the others say of it, in standard deviations of what they leave open
 * (leave-one-out), from the inverse covariance and its product with the readings.
 */
function departuresOf(inverse: Matrix, weights: Matrix, amplitude: number, options: BowOptions): number[] {
  return Array.from({ length: inverse.rows }, (_, i) => {
    const missMm = weights.get(i, 0) / inverse.get(i, i)
    return Math.abs(missMm) / Math.hypot(amplitude * Math.sqrt(1 / inverse.get(i, i)), options.readingToleranceMm)
  })
}

/** Inverse and weights as they are without one reading (a rank-one step down; its own row and column are nothing then). */
function without(left: number, inverse: Matrix, weights: Matrix): { inverse: Matrix; weights: Matrix } {
  const others = Array.from({ length: inverse.rows }, (_, i) => i).filter((i) => i !== left)
  const pivot = inverse.get(left, left)
  return {
    inverse: new Matrix(
      others.map((i) => others.map((j) => inverse.get(i, j) - (inverse.get(i, left) * inverse.get(left, j)) / pivot)),
    ),
    weights: Matrix.columnVector(
      others.map((i) => weights.get(i, 0) - (inverse.get(i, left) * weights.get(left, 0)) / pivot),
    ),
  }
}

/**
 * The reading that is wrong where some have no room: the one without which the others agree best (next to a wrong reading
 * right ones have no room either). Named together with the one it clashes with most.
 */
function findContradiction(
  readings: readonly BowReading[],
  spots: readonly MeasuredSpot[],
  covariance: Matrix,
  inverse: Matrix,
  weights: Matrix,
  amplitude: number,
  options: BowOptions,
) {
  const departures = departuresOf(inverse, weights, amplitude, options)
  if (Math.max(...departures) <= noRoomFrom) return null
  let worst = -1
  let least = Number.POSITIVE_INFINITY
  departures.forEach((departure, i) => {
    if (departure <= noRoomFrom) return
    const rest = inverse.rows < 2 ? null : without(i, inverse, weights)
    const left = rest === null ? [] : departuresOf(rest.inverse, rest.weights, amplitude, options)
    // Of two that would leave the others alike, the one that is farther off itself.
    const cost = Math.max(0, ...left) - 1e-6 * departure
    if (cost < least) {
      least = cost
      worst = i
    }
  })
  const missMm = weights.get(worst, 0) / inverse.get(worst, worst)
  const spot = spots[worst - readings.length]
  if (spot !== undefined)
    return failure('SPOT_CONTRADICTS', { spot: spot.name, xMm: spot.at[0], yMm: spot.at[1], offMm: missMm })
  let partner = worst === 0 ? 1 : 0
  let closest = -1
  for (let j = 0; j < readings.length; j++) {
    if (j === worst) continue
    const tie = Math.abs(covariance.get(worst, j)) / Math.sqrt(covariance.get(worst, worst) * covariance.get(j, j))
    if (tie > closest) {
      closest = tie
      partner = j
    }
  }
  return failure('BOW_CONTRADICTS', {
    first: readings[worst]!.name,
    second: readings[partner]!.name,
    measuredMm: readings[worst]!.sagittaMm,
    expectedMm: readings[worst]!.sagittaMm - missMm,
  })
}

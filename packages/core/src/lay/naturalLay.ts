import { checkSheet, type TriangleMesh } from '../geometry/index.ts'
import { andersonMixer } from '../numerics/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { finishLay } from './internal/finishLay.ts'
import { type LayOperator, layOperator } from './internal/layOperator.ts'
import { toRotations } from './internal/localSteps.ts'
import { conformal, startingLay } from './internal/startingLay.ts'
import type { Lay } from './layTypes.ts'

export interface NaturalOptions {
  /** Settled when the energy falls by less than this share in a step, three times running. */
  readonly settledShare: number
  readonly mostSteps: number
}

export const naturalDefaults: NaturalOptions = { settledShare: 1e-9, mostSteps: 2000 }

/**
 * The lay of least distortion, with the film free to slide (slip solution, nothing tacked): least sum of
 * area·((s1-1)² + (s2-1)²) over the singular values of surface -> flat, by local/global steps on one factorisation
 * (Liu et al. 2008), sped up by Anderson mixing. Pure: the same input gives the same bits.
 *
 * Assumes a membrane: no bending, no friction, no thickness.
 * Can be refused: what `checkSheet` finds (holes are allowed here), and `LAY_NOT_SETTLED`.
 */
export function naturalLay(mesh: TriangleMesh, options: Partial<NaturalOptions> = {}): Result<Lay> {
  const sheet = checkSheet(mesh, { holesExpected: true })
  if (!sheet.ok) return sheet
  const operator = layOperator(mesh)
  const first = settle(operator, startingLay(mesh, operator), { ...naturalDefaults, ...options })
  if (!first.settled) return refused(failure('LAY_NOT_SETTLED', { movingMm: first.movingMm, steps: first.steps }))
  const lay = finishLay('natural', mesh, operator, first)
  if (lay.flipped === 0) return done(lay)
  // A projection can start with folds that never open; the conformal map seldom has any.
  const again = settle(operator, conformal(mesh), { ...naturalDefaults, ...options })
  const second = finishLay('natural', mesh, operator, again)
  return done(again.settled && second.flipped < lay.flipped ? second : lay)
}

export interface Settling {
  /** `[u0…, v0…]`, length 2·V, mm. */
  readonly uv: Float64Array
  readonly settled: boolean
  readonly movingMm: number
  readonly steps: number
}

const memory = 6

/** Local/global steps from `uv` until the energy settles. */
export function settle(operator: LayOperator, start: Float64Array, options: NaturalOptions): Settling {
  const matrices = new Float64Array(4 * operator.triangles)
  const rotations = new Float64Array(4 * operator.triangles)
  const mixer = andersonMixer(start.length, memory)
  let uv = start.slice()
  let plain = start.slice()
  let energy = Number.POSITIVE_INFINITY
  let quiet = 0
  let steps = 0
  let movingMm = Number.POSITIVE_INFINITY
  let area = 0
  for (const a of operator.area) area += a
  const negligible = 1e-12 * area

  while (steps < options.mostSteps) {
    operator.matricesOf(uv, matrices)
    let now = toRotations(matrices, operator.area, rotations)
    if (now > energy) {
      // The mixed step went uphill: take the plain one instead.
      uv.set(plain)
      mixer.reset()
      operator.matricesOf(uv, matrices)
      now = toRotations(matrices, operator.area, rotations)
    }
    const fell = energy - now
    quiet = fell <= options.settledShare * now || now <= negligible ? quiet + 1 : 0
    energy = now
    operator.nearestTo(rotations, plain)
    movingMm = largestMove(uv, plain, operator.vertices)
    steps++
    if (quiet >= 3) return { uv: plain, settled: true, movingMm, steps }
    const next = new Float64Array(uv.length)
    mixer.next(uv, plain, next)
    uv = next
    plain = plain.slice()
  }
  return { uv: plain, settled: false, movingMm, steps }
}

function largestMove(a: Float64Array, b: Float64Array, vertices: number): number {
  let most = 0
  for (let v = 0; v < vertices; v++) {
    const dx = a[v]! - b[v]! - a[0]! + b[0]!
    const dy = a[vertices + v]! - b[vertices + v]! - a[vertices]! + b[vertices]!
    most = Math.max(most, dx * dx + dy * dy)
  }
  return Math.sqrt(most)
}

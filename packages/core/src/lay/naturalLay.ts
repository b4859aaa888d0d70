import { checkSheet, type TriangleMesh } from '../geometry/index.ts'
import { type FilmSystem, inKernel } from '../kernel/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { finishLay } from './internal/finishLay.ts'
import { conformal, startingLay } from './internal/startingLay.ts'
import { wholeFilm } from './internal/wholeFilm.ts'
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
  return inKernel(() => {
    const film = wholeFilm(mesh)
    const first = settle(film, startingLay(mesh, film), { ...naturalDefaults, ...options })
    if (!first.settled) return refused(failure('LAY_NOT_SETTLED', { movingMm: first.movingMm, steps: first.steps }))
    const lay = finishLay('natural', film, first)
    if (lay.flipped === 0) return done(lay)
    // A projection can start with folds that never open; the conformal map seldom has any.
    const again = settle(film, conformal(mesh), { ...naturalDefaults, ...options })
    const second = finishLay('natural', film, again)
    return done(again.settled && second.flipped < lay.flipped ? second : lay)
  })
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
export function settle(film: FilmSystem, start: Float64Array, options: NaturalOptions): Settling {
  return inKernel(() => {
    const mixed = film.mixed(memory)
    let energy = Number.POSITIVE_INFINITY
    let quiet = 0
    let steps = 0
    let area = 0
    for (const a of film.area) area += a
    const negligible = 1e-12 * area
    film.put(start)
    for (;;) {
      film.measure()
      let now = film.wantRotations()
      if (now > energy) {
        // The mixed step went uphill: take the plain one instead.
        mixed.back()
        film.measure()
        now = film.wantRotations()
      }
      const fell = energy - now
      quiet = fell <= options.settledShare * now || now <= negligible ? quiet + 1 : 0
      energy = now
      film.solve()
      steps++
      if (quiet >= 3 || steps >= options.mostSteps) break
      mixed.next()
    }
    const movingMm = film.move()
    const uv = new Float64Array(start.length)
    film.take(uv)
    return { uv, settled: quiet >= 3, movingMm, steps }
  })
}

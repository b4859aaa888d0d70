import { type FilmSystem, filmSystem, type StretchRange } from '../../kernel/index.ts'
import type { FilmMesh } from './filmMesh.ts'
import { freely } from './wholeFilm.ts'

/** A region of film that may still move, held by what is laid around it. Lives within `inKernel`. */
export interface FilmPatch {
  /** Triangles with at least one free vertex and no corner that hangs in the air. */
  readonly triangles: Int32Array
  /** Moves the free vertices of `uv` to the least distortion (local/global steps). */
  settle(uv: Float64Array): void
  /**
   * Moves them to the least distortion with every stretch of the patch inside the box (ADMM steps); where the box is
   * empty, to where it is missed least. `least` = 1 / largest stretch, `most` = 1 / (1 - compression).
   */
  pull(uv: Float64Array, box: StretchRange, steps: number): void
}

const settleSteps = 60
const settledMm = 1e-3
const penalty = 12
const memory = 4
const steadyShare = 1e-6
/** In an empty box what is carried on would grow without end. */
const mostCarried = 0.3
/** How often a pull looks whether it is where it should be, and how near that is. */
const lookEvery = 8
const insideBox = 2e-4

/**
 * @param free numbers of the vertices that may move
 * @param lies 1 for vertices that are laid and stay; all others hang in the air and hold nothing
 */
export function filmPatch(film: FilmMesh, free: Int32Array, lies: (vertex: number) => boolean): FilmPatch {
  const { vertices } = film
  const place = new Int32Array(vertices).fill(-1)
  free.forEach((v, i) => {
    place[v] = i
  })
  const holds = (v: number) => place[v]! >= 0 || lies(v)
  const triangles = touching(film, free).filter(
    (t) => holds(film.corner[3 * t]!) && holds(film.corner[3 * t + 1]!) && holds(film.corner[3 * t + 2]!),
  )
  const { system, global } = cutOut(film, free, place, triangles)
  const local = new Float64Array(2 * global.length)
  const put = (uv: Float64Array) => {
    global.forEach((v, i) => {
      local[i] = uv[v]!
      local[global.length + i] = uv[vertices + v]!
    })
    system.put(local)
  }
  const take = (uv: Float64Array) => {
    system.take(local)
    free.forEach((v, i) => {
      uv[v] = local[i]!
      uv[vertices + v] = local[global.length + i]!
    })
  }

  return {
    triangles,
    settle(uv) {
      const mixed = system.mixed(memory)
      put(uv)
      let before = Number.POSITIVE_INFINITY
      for (let step = 0; step < settleSteps; step++) {
        system.measure()
        let energy = system.wantRotations()
        if (energy > before) {
          // The mixed step went uphill: take the plain one instead.
          mixed.back()
          system.measure()
          energy = system.wantRotations()
        }
        before = energy
        system.solve()
        if (step === settleSteps - 1 || system.stepMm() < settledMm) {
          system.move()
          break
        }
        mixed.next()
      }
      take(uv)
    },
    pull(uv, box, steps) {
      put(uv)
      system.carryNothing()
      system.measure()
      for (let step = 1; step <= steps; step++) {
        system.wantBox({ box, softness: 1 / (1 + penalty), off: freely, mostCarried })
        system.solve()
        const movedMm = system.move()
        system.measure()
        if (step % lookEvery !== 0 || movedMm >= 4 * settledMm) continue
        const { least, most } = system.range()
        if (Math.max(most - box.most, box.least - least) < insideBox) break
      }
      take(uv)
    },
  }
}

function touching(film: FilmMesh, free: Int32Array): Int32Array {
  const seen = new Uint8Array(film.triangles)
  const found: number[] = []
  for (const v of free) {
    for (let p = film.around.start[v]!; p < film.around.start[v + 1]!; p++) {
      const t = film.around.triangle[p]!
      if (seen[t]) continue
      seen[t] = 1
      found.push(t)
    }
  }
  return Int32Array.from(found)
}

/** The triangles as a film of their own: its free vertices first, then those that lie; `global` tells their numbers. */
function cutOut(
  film: FilmMesh,
  free: Int32Array,
  place: Int32Array,
  triangles: Int32Array,
): { system: FilmSystem; global: Int32Array } {
  const numbers = [...free]
  const corner = new Int32Array(3 * triangles.length)
  triangles.forEach((t, i) => {
    for (let c = 0; c < 3; c++) {
      const v = film.corner[3 * t + c]!
      if (place[v] === -1) place[v] = numbers.push(v) - 1
      corner[3 * i + c] = place[v]!
    }
  })
  const global = Int32Array.from(numbers)
  const position = new Float64Array(3 * global.length)
  global.forEach((v, i) => {
    position.set(film.position.subarray(3 * v, 3 * v + 3), 3 * i)
  })
  const system = filmSystem({ corner, position, free: Int32Array.from(free.keys()), steadyShare })
  return { system, global }
}

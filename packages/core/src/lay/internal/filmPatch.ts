import { andersonMixer, nestedDissection, sparseCholesky } from '../../numerics/index.ts'
import { type FilmMesh, matrixOf } from './filmMesh.ts'
import { intoBox, outsideBox, toRotations } from './localSteps.ts'

/** Allowed singular values of surface -> flat: `least` = 1 / largest stretch, `most` = 1 / (1 - compression). */
export interface Box {
  readonly least: number
  readonly most: number
}

/** A region of film that may still move, held by what is laid around it. */
export interface FilmPatch {
  /** Triangles with at least one free vertex and no corner that hangs in the air. */
  readonly triangles: Int32Array
  /** Moves the free vertices of `uv` to the least distortion (local/global steps). */
  settle(uv: Float64Array): void
  /**
   * Moves them to the least distortion with every stretch of the patch inside the box (ADMM steps); where the box is
   * empty, to where it is missed least.
   */
  pull(uv: Float64Array, box: Box, steps: number): void
}

const settleSteps = 60
const settledMm = 1e-3
const penalty = 12
const mixed = 4
/** Most that a triangle carries on from step to step of what it misses the box by, as a change of stretch. */
const mostCarried = 0.3

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
  const triangles = touching(film, free).filter((t) =>
    [0, 1, 2].every((c) => {
      const v = film.corner[3 * t + c]!
      return place[v]! >= 0 || lies(v)
    }),
  )
  const area = Float64Array.from(triangles, (t) => film.area[t]!)
  const factor = factorOf(film, free, place, triangles)
  const count = free.length
  const matrices = new Float64Array(4 * triangles.length)
  const wanted = new Float64Array(4 * triangles.length)
  const right = new Float64Array(2 * count)

  const measure = (uv: Float64Array) => {
    for (let i = 0; i < triangles.length; i++) matrixOf(film, uv, triangles[i]!, matrices, 4 * i)
  }
  /** One global step: how far the free vertices have to move so that the matrices come nearest to `wanted`. */
  const stepTowards = () => {
    right.fill(0)
    for (let i = 0; i < triangles.length; i++) {
      const t = triangles[i]!
      const w = area[i]!
      const d00 = w * (wanted[4 * i]! - matrices[4 * i]!)
      const d01 = w * (wanted[4 * i + 1]! - matrices[4 * i + 1]!)
      const d10 = w * (wanted[4 * i + 2]! - matrices[4 * i + 2]!)
      const d11 = w * (wanted[4 * i + 3]! - matrices[4 * i + 3]!)
      for (let c = 0; c < 3; c++) {
        const k = place[film.corner[3 * t + c]!]!
        if (k < 0) continue
        const gx = film.gradient[6 * t + 2 * c]!
        const gy = film.gradient[6 * t + 2 * c + 1]!
        right[k]! += d00 * gx + d01 * gy
        right[count + k]! += d10 * gx + d11 * gy
      }
    }
    factor.solveInPlace(right, 2)
  }
  const take = (uv: Float64Array) => {
    const x = new Float64Array(2 * count)
    free.forEach((v, k) => {
      x[k] = uv[v]!
      x[count + k] = uv[vertices + v]!
    })
    return x
  }
  const put = (x: Float64Array, uv: Float64Array) => {
    free.forEach((v, k) => {
      uv[v] = x[k]!
      uv[vertices + v] = x[count + k]!
    })
  }

  return {
    triangles,
    settle(uv) {
      const mixer = andersonMixer(2 * count, mixed)
      let x = take(uv)
      let plain = x
      let before = Number.POSITIVE_INFINITY
      for (let step = 0; step < settleSteps; step++) {
        put(x, uv)
        measure(uv)
        let energy = toRotations(matrices, area, wanted)
        if (energy > before) {
          // The mixed step went uphill: take the plain one instead.
          x = plain
          mixer.reset()
          put(x, uv)
          measure(uv)
          energy = toRotations(matrices, area, wanted)
        }
        before = energy
        stepTowards()
        plain = x.map((value, i) => value + right[i]!)
        let most = 0
        for (const move of right) most = Math.max(most, Math.abs(move))
        if (most < settledMm) break
        const next = new Float64Array(2 * count)
        mixer.next(x, plain, next)
        x = next
      }
      put(plain, uv)
    },
    pull(uv, box, steps) {
      const size = 4 * triangles.length
      const carried = new Float64Array(size)
      const shifted = new Float64Array(size)
      measure(uv)
      for (let step = 0; step < steps; step++) {
        for (let i = 0; i < size; i++) shifted[i] = matrices[i]! + carried[i]!
        intoBox(shifted, box.least, box.most, 1 / (1 + penalty), wanted)
        for (let i = 0; i < size; i += 4) {
          let square = 0
          for (let k = i; k < i + 4; k++) square += (shifted[k]! - wanted[k]!) ** 2
          // In an empty box what is carried on would grow without end.
          const kept = Math.min(1, mostCarried / Math.sqrt(square))
          for (let k = i; k < i + 4; k++) {
            const gap = kept * (shifted[k]! - wanted[k]!)
            carried[k] = gap
            wanted[k]! -= gap
          }
        }
        stepTowards()
        free.forEach((v, k) => {
          uv[v]! += right[k]!
          uv[vertices + v]! += right[count + k]!
        })
        measure(uv)
        if (step % 8 === 7 && outsideBox(matrices, box.least, box.most) < 2e-4 && largest(right) < 4 * settledMm) break
      }
    },
  }
}

const largest = (values: Float64Array) => values.reduce((most, x) => Math.max(most, Math.abs(x)), 0)

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

/** The cotangent Laplacian of the free vertices, factored. */
function factorOf(film: FilmMesh, free: Int32Array, place: Int32Array, triangles: Int32Array) {
  const { graph, corner, area, gradient } = film
  const count = free.length
  const start = new Int32Array(count + 1)
  const columns: number[] = []
  free.forEach((v, k) => {
    for (let p = graph.start[v]!; p < graph.start[v + 1]!; p++) {
      const other = place[graph.column[p]!]!
      if (other >= 0) columns.push(other)
    }
    start[k + 1] = columns.length
  })
  const column = Int32Array.from(columns)
  const value = new Float64Array(column.length)
  const addTo = (row: number, col: number, x: number) => {
    for (let p = start[row]!; p < start[row + 1]!; p++) {
      if (column[p] !== col) continue
      value[p]! += x
      return
    }
  }
  for (const t of triangles) {
    for (let i = 0; i < 3; i++) {
      const a = place[corner[3 * t + i]!]!
      if (a < 0) continue
      for (let j = 0; j < 3; j++) {
        const b = place[corner[3 * t + j]!]!
        if (b < 0) continue
        const gi = 6 * t + 2 * i
        const gj = 6 * t + 2 * j
        addTo(a, b, area[t]! * (gradient[gi]! * gradient[gj]! + gradient[gi + 1]! * gradient[gj + 1]!))
      }
    }
  }
  // A breath of stiffness to where it is now: what hangs together with nothing that lies stays, the rest does not notice.
  let sum = 0
  for (let k = 0; k < count; k++) for (let p = start[k]!; p < start[k + 1]!; p++) if (column[p] === k) sum += value[p]!
  const ridge = (1e-6 * sum) / count || 1
  for (let k = 0; k < count; k++) addTo(k, k, ridge)
  const position = new Float64Array(3 * count)
  free.forEach((v, k) => {
    position.set(film.position.subarray(3 * v, 3 * v + 3), 3 * k)
  })
  return sparseCholesky({ size: count, start, column, value }, nestedDissection(start, column, position))
}

/** A symmetric sparse matrix: the whole pattern by rows, both triangles stored. */
export interface SymmetricMatrix {
  readonly size: number
  /** Row starts, length size+1. */
  readonly start: Int32Array
  /** Column of each entry. */
  readonly column: Int32Array
  /** Value of each entry. */
  readonly value: Float64Array
}

/** Adds to an entry that the pattern has. */
export function addToEntry({ start, column, value }: SymmetricMatrix, row: number, col: number, x: number): void {
  for (let p = start[row]!; p < start[row + 1]!; p++) {
    if (column[p] === col) {
      value[p]! += x
      return
    }
  }
  throw new RangeError(`the pattern has no entry ${row}, ${col}`)
}

/** P A P' = L L', ready to solve for any right-hand side. */
export interface CholeskyFactor {
  readonly size: number
  readonly nonZeros: number
  /** Solves A x = b in place for `count` right-hand sides stored one after the other, each of length `size`. */
  solveInPlace(b: Float64Array, count: number): void
}

/**
 * Factors a symmetric positive definite matrix in a given order of elimination, row by row along the elimination
 * tree (T. Davis, "Direct Methods for Sparse Linear Systems", chapter 4: up-looking Cholesky).
 * Throws `RangeError` where the matrix is not positive definite: that is the caller's mistake.
 */
export function sparseCholesky(a: SymmetricMatrix, order: Int32Array): CholeskyFactor {
  const n = a.size
  const place = new Int32Array(n)
  for (let k = 0; k < n; k++) place[order[k]!] = k
  const upper = permutedUpper(a, order, place)
  const parent = eliminationTree(n, upper.start, upper.row)
  const counts = columnCounts(n, upper.start, upper.row, parent)
  const colStart = new Int32Array(n + 1)
  for (let k = 0; k < n; k++) colStart[k + 1] = colStart[k]! + counts[k]!
  const nonZeros = colStart[n]!
  const rowIndex = new Int32Array(nonZeros)
  const value = new Float64Array(nonZeros)
  const next = colStart.slice(0, n)
  const mark = new Int32Array(n).fill(-1)
  const stack = new Int32Array(n)
  const x = new Float64Array(n)

  for (let k = 0; k < n; k++) {
    let top = n
    mark[k] = k
    let diagonal = 0
    for (let p = upper.start[k]!; p < upper.start[k + 1]!; p++) {
      let i = upper.row[p]!
      if (i === k) {
        diagonal = upper.value[p]!
        continue
      }
      x[i] = upper.value[p]!
      let length = 0
      for (; mark[i] !== k; i = parent[i]!) {
        stack[length++] = i
        mark[i] = k
      }
      while (length > 0) stack[--top] = stack[--length]!
    }
    for (; top < n; top++) {
      const i = stack[top]!
      const from = colStart[i]!
      const to = next[i]!
      const lki = x[i]! / value[from]!
      x[i] = 0
      for (let p = from + 1; p < to; p++) x[rowIndex[p]!]! -= value[p]! * lki
      diagonal -= lki * lki
      rowIndex[to] = k
      value[to] = lki
      next[i] = to + 1
    }
    if (!(diagonal > 0)) throw new RangeError(`matrix is not positive definite: pivot ${diagonal} in row ${order[k]}`)
    const at = next[k]!
    rowIndex[at] = k
    value[at] = Math.sqrt(diagonal)
    next[k] = at + 1
  }

  const work = new Float64Array(2 * n)
  return {
    size: n,
    nonZeros,
    solveInPlace(b, count) {
      let c = 0
      for (; c + 1 < count; c += 2) solveTwo(b, c * n)
      if (c < count) solveOne(b, c * n)
    },
  }

  function solveOne(b: Float64Array, offset: number) {
    for (let k = 0; k < n; k++) work[k] = b[offset + order[k]!]!
    for (let j = 0; j < n; j++) {
      const from = colStart[j]!
      const to = colStart[j + 1]!
      const xj = work[j]! / value[from]!
      work[j] = xj
      for (let p = from + 1; p < to; p++) work[rowIndex[p]!]! -= value[p]! * xj
    }
    for (let j = n - 1; j >= 0; j--) {
      const from = colStart[j]!
      const to = colStart[j + 1]!
      let xj = work[j]!
      for (let p = from + 1; p < to; p++) xj -= value[p]! * work[rowIndex[p]!]!
      work[j] = xj / value[from]!
    }
    for (let k = 0; k < n; k++) b[offset + order[k]!] = work[k]!
  }

  /** Both coordinates at once: one walk through the factor instead of two. */
  function solveTwo(b: Float64Array, offset: number) {
    for (let k = 0; k < n; k++) {
      const v = order[k]!
      work[2 * k] = b[offset + v]!
      work[2 * k + 1] = b[offset + n + v]!
    }
    for (let j = 0; j < n; j++) {
      const from = colStart[j]!
      const to = colStart[j + 1]!
      const inverse = 1 / value[from]!
      const xj = work[2 * j]! * inverse
      const yj = work[2 * j + 1]! * inverse
      work[2 * j] = xj
      work[2 * j + 1] = yj
      for (let p = from + 1; p < to; p++) {
        const l = value[p]!
        const r = 2 * rowIndex[p]!
        work[r]! -= l * xj
        work[r + 1]! -= l * yj
      }
    }
    for (let j = n - 1; j >= 0; j--) {
      const from = colStart[j]!
      const to = colStart[j + 1]!
      let xj = work[2 * j]!
      let yj = work[2 * j + 1]!
      for (let p = from + 1; p < to; p++) {
        const l = value[p]!
        const r = 2 * rowIndex[p]!
        xj -= l * work[r]!
        yj -= l * work[r + 1]!
      }
      const inverse = 1 / value[from]!
      work[2 * j] = xj * inverse
      work[2 * j + 1] = yj * inverse
    }
    for (let k = 0; k < n; k++) {
      const v = order[k]!
      b[offset + v] = work[2 * k]!
      b[offset + n + v] = work[2 * k + 1]!
    }
  }
}

/** Column k of the upper triangle of P A P': its row numbers and values. */
function permutedUpper(a: SymmetricMatrix, order: Int32Array, place: Int32Array) {
  const n = a.size
  const start = new Int32Array(n + 1)
  for (let k = 0; k < n; k++) {
    const v = order[k]!
    let count = 0
    for (let p = a.start[v]!; p < a.start[v + 1]!; p++) if (place[a.column[p]!]! <= k) count++
    start[k + 1] = start[k]! + count
  }
  const row = new Int32Array(start[n]!)
  const value = new Float64Array(start[n]!)
  for (let k = 0; k < n; k++) {
    const v = order[k]!
    let at = start[k]!
    for (let p = a.start[v]!; p < a.start[v + 1]!; p++) {
      const i = place[a.column[p]!]!
      if (i > k) continue
      row[at] = i
      value[at] = a.value[p]!
      at++
    }
  }
  return { start, row, value }
}

function eliminationTree(n: number, start: Int32Array, row: Int32Array): Int32Array {
  const parent = new Int32Array(n).fill(-1)
  const ancestor = new Int32Array(n).fill(-1)
  for (let k = 0; k < n; k++) {
    for (let p = start[k]!; p < start[k + 1]!; p++) {
      let i = row[p]!
      while (i !== -1 && i < k) {
        const above = ancestor[i]!
        ancestor[i] = k
        if (above === -1) parent[i] = k
        i = above
      }
    }
  }
  return parent
}

function columnCounts(n: number, start: Int32Array, row: Int32Array, parent: Int32Array): Int32Array {
  const counts = new Int32Array(n).fill(1)
  const mark = new Int32Array(n).fill(-1)
  for (let k = 0; k < n; k++) {
    mark[k] = k
    for (let p = start[k]!; p < start[k + 1]!; p++) {
      for (let i = row[p]!; i < k && mark[i] !== k; i = parent[i]!) {
        counts[i]!++
        mark[i] = k
      }
    }
  }
  return counts
}

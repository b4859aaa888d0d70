import { doubles, ints, kernel, type Row } from './instance.ts'

/** The upper triangle of a symmetric matrix by columns, in the order of elimination; equal entries add up. */
export interface UpperTriangle {
  readonly size: number
  /** Length size + 1. */
  readonly start: Row<Int32Array>
  readonly row: Row<Int32Array>
  readonly value: Row<Float64Array>
}

/** A = L L', ready to solve for pairs of right-hand sides. */
export interface Cholesky {
  readonly nonZeros: number
  /** Solves A x = b in place, b as pairs: 2·size numbers. */
  solve(b: Row<Float64Array>): void
}

/**
 * Factors a positive definite matrix in the order in which it stands.
 * Throws `RangeError` where it is not positive definite: that is the caller's mistake.
 */
export function cholesky({ size, start, row, value }: UpperTriangle): Cholesky {
  const k = kernel()
  const [parent, mark, next, stack, columns] = [ints(size), ints(size), ints(size), ints(size), ints(size + 1)]
  k.eliminationTree(size, start.at, row.at, parent.at, mark.at)
  const nonZeros = k.factorColumns(size, start.at, row.at, parent.at, mark.at, columns.at)
  const rowOf = ints(nonZeros)
  const factor = doubles(nonZeros)
  const x = doubles(size)
  x.values.fill(0)
  const failed = k.factorise(
    size,
    start.at,
    row.at,
    value.at,
    parent.at,
    columns.at,
    rowOf.at,
    factor.at,
    next.at,
    mark.at,
    stack.at,
    x.at,
  )
  if (failed >= 0) throw new RangeError(`matrix is not positive definite: unknown ${failed}`)
  return { nonZeros, solve: (b) => k.solvePairs(size, columns.at, rowOf.at, factor.at, b.at) }
}

/** An entry of a symmetric matrix, in one triangle only; equal ones add up. */
export interface Entry {
  readonly row: number
  readonly column: number
  readonly value: number
}

/** Puts entries in an order of elimination; every unknown of the order needs one on the diagonal. */
export function upperTriangle(order: Int32Array, entries: readonly Entry[]): UpperTriangle {
  const size = order.length
  const place = new Int32Array(size)
  order.forEach((unknown, k) => {
    place[unknown] = k
  })
  const upper = { size, start: ints(size + 1), row: ints(entries.length), value: doubles(entries.length) }
  const start = upper.start.values
  const [row, value] = [upper.row.values, upper.value.values]
  start.fill(0)
  for (const e of entries) start[Math.max(place[e.row]!, place[e.column]!) + 1]!++
  for (let k = 0; k < size; k++) start[k + 1]! += start[k]!
  const next = start.slice(0, size)
  for (const e of entries) {
    const [a, b] = [place[e.row]!, place[e.column]!]
    const at = next[Math.max(a, b)]!++
    row[at] = Math.min(a, b)
    value[at] = e.value
  }
  return upper
}

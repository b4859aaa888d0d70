import { int, num, setInt, setNum } from './memory'

/** Triangles round each vertex, as row starts (one more than vertices) and their numbers (three for each triangle). */
export function trianglesRound(vertices: i32, triangles: i32, corner: usize, start: usize, round: usize): void {
  for (let v = 0; v <= vertices; v++) setInt(start, v, 0)
  const corners = 3 * triangles
  for (let i = 0; i < corners; i++) setInt(start, int(corner, i) + 1, int(start, int(corner, i) + 1) + 1)
  for (let v = 0; v < vertices; v++) setInt(start, v + 1, int(start, v + 1) + int(start, v))
  // Filled from the back of each row, so that the starts stand when it is full.
  for (let v = vertices; v > 0; v--) setInt(start, v, int(start, v - 1))
  for (let i = 0; i < corners; i++) {
    const v = int(corner, i)
    const at = int(start, v + 1)
    setInt(round, at, i / 3)
    setInt(start, v + 1, at + 1)
  }
}

const whole: i32 = 24

/**
 * An order of elimination with little fill for a planar mesh: the vertices are split at the median of their longer side,
 * those that touch the other half become the separator; both halves are numbered first, the separator last
 * (A. George, "Nested dissection of a regular finite element mesh", 1973). `order` comes in as the vertices that are to be
 * put in order, `side` as zeros for every vertex, `stack` holds two numbers for each level.
 */
export function dissect(
  count: i32, corner: usize, start: usize, round: usize, position: usize, order: usize, side: usize, stack: usize,
): void {
  let depth = 0
  setInt(stack, 0, 0)
  setInt(stack, 1, count)
  depth = 1
  while (depth > 0) {
    depth--
    const from = int(stack, 2 * depth)
    const to = int(stack, 2 * depth + 1)
    if (to - from <= whole) continue
    const axis = longestAxis(from, to, position, order)
    const middle = split(from, to, axis, position, order)
    if (middle === from) continue
    for (let k = from; k < middle; k++) store<u8>(side + <usize>int(order, k), 1)
    // What touches the low half goes to the back.
    let high = to
    let k = middle
    while (k < high) {
      if (touches(int(order, k), corner, start, round, side)) {
        high--
        const v = int(order, k)
        setInt(order, k, int(order, high))
        setInt(order, high, v)
      } else k++
    }
    for (let k = from; k < middle; k++) store<u8>(side + <usize>int(order, k), 0)
    if (high === middle) continue
    setInt(stack, 2 * depth, from)
    setInt(stack, 2 * depth + 1, middle)
    setInt(stack, 2 * depth + 2, middle)
    setInt(stack, 2 * depth + 3, high)
    depth += 2
  }
}

function touches(v: i32, corner: usize, start: usize, round: usize, side: usize): bool {
  const end = int(start, v + 1)
  for (let p = int(start, v); p < end; p++) {
    const t = 3 * int(round, p)
    for (let c = 0; c < 3; c++) if (load<u8>(side + <usize>int(corner, t + c)) !== 0) return true
  }
  return false
}

function longestAxis(from: i32, to: i32, position: usize, order: usize): i32 {
  let longest = 0.0
  let axis = 0
  for (let a = 0; a < 3; a++) {
    let least = Infinity
    let most = -Infinity
    for (let k = from; k < to; k++) {
      const value = num(position, 3 * int(order, k) + a)
      if (value < least) least = value
      if (value > most) most = value
    }
    if (most - least > longest) {
      longest = most - least
      axis = a
    }
  }
  return axis
}

/** Puts the vertices before and from the median along an axis in two parts; gives where the second begins. All at the median are in it. */
function split(from: i32, to: i32, axis: i32, position: usize, order: usize): i32 {
  let middle = (from + to) >> 1
  splitAt(from, to, middle, axis, position, order)
  const median = num(position, 3 * int(order, middle) + axis)
  for (let k = from; k < middle; ) {
    if (num(position, 3 * int(order, k) + axis) < median) k++
    else {
      middle--
      const v = int(order, k)
      setInt(order, k, int(order, middle))
      setInt(order, middle, v)
    }
  }
  return middle
}

/** Puts the vertex that belongs at `middle` there, lesser ones before, greater ones after; equal ones by their number. */
function splitAt(from: i32, to: i32, middle: i32, axis: i32, position: usize, order: usize): void {
  let low = from
  let high = to - 1
  while (low < high) {
    const pivot = int(order, (low + high) >> 1)
    const at = num(position, 3 * pivot + axis)
    let i = low
    let j = high
    while (i <= j) {
      while (isBefore(int(order, i), pivot, at, axis, position)) i++
      while (isAfter(int(order, j), pivot, at, axis, position)) j--
      if (i <= j) {
        const v = int(order, i)
        setInt(order, i, int(order, j))
        setInt(order, j, v)
        i++
        j--
      }
    }
    if (middle <= j) high = j
    else if (middle >= i) low = i
    else return
  }
}

// @ts-expect-error: decorator
@inline function isBefore(v: i32, pivot: i32, at: f64, axis: i32, position: usize): bool {
  const x = num(position, 3 * v + axis)
  return x < at || (x === at && v < pivot)
}
// @ts-expect-error: decorator
@inline function isAfter(v: i32, pivot: i32, at: f64, axis: i32, position: usize): bool {
  const x = num(position, 3 * v + axis)
  return x > at || (x === at && v > pivot)
}

/** Parent of each unknown in the elimination tree, from the upper triangle by columns; `above` is room for as many. */
export function eliminationTree(size: i32, start: usize, row: usize, parent: usize, above: usize): void {
  for (let k = 0; k < size; k++) {
    setInt(parent, k, -1)
    setInt(above, k, -1)
    const end = int(start, k + 1)
    for (let p = int(start, k); p < end; p++) {
      let i = int(row, p)
      while (i !== -1 && i < k) {
        const next = int(above, i)
        setInt(above, i, k)
        if (next === -1) setInt(parent, i, k)
        i = next
      }
    }
  }
}

/** Starts of the factor's columns (one more than unknowns); gives how many entries it has. `mark` is room for as many as unknowns. */
export function factorColumns(size: i32, start: usize, row: usize, parent: usize, mark: usize, columns: usize): i32 {
  for (let k = 0; k <= size; k++) setInt(columns, k, 0)
  for (let k = 0; k < size; k++) {
    setInt(mark, k, k)
    setInt(columns, k + 1, int(columns, k + 1) + 1)
    const end = int(start, k + 1)
    for (let p = int(start, k); p < end; p++) {
      for (let i = int(row, p); i < k && int(mark, i) !== k; i = int(parent, i)) {
        setInt(columns, i + 1, int(columns, i + 1) + 1)
        setInt(mark, i, k)
      }
    }
  }
  for (let k = 0; k < size; k++) setInt(columns, k + 1, int(columns, k + 1) + int(columns, k))
  return int(columns, size)
}

/**
 * P A P' = L L', row by row along the elimination tree (T. Davis, "Direct Methods for Sparse Linear Systems", chapter 4:
 * up-looking Cholesky). Entries of A that stand several times are added up. The diagonal of L is kept inverted.
 * Gives -1, or the first unknown whose pivot is not positive. `next`, `mark` and `stack` are room for as many as unknowns,
 * `x` comes in as zeros.
 */
export function factorise(
  size: i32, start: usize, row: usize, value: usize, parent: usize,
  columns: usize, rowOf: usize, factor: usize, next: usize, mark: usize, stack: usize, x: usize,
): i32 {
  for (let k = 0; k < size; k++) {
    setInt(next, k, int(columns, k))
    setInt(mark, k, -1)
  }
  for (let k = 0; k < size; k++) {
    let top = size
    setInt(mark, k, k)
    let diagonal = 0.0
    const end = int(start, k + 1)
    for (let p = int(start, k); p < end; p++) {
      let i = int(row, p)
      if (i === k) {
        diagonal += num(value, p)
        continue
      }
      setNum(x, i, num(x, i) + num(value, p))
      let length = 0
      for (; int(mark, i) !== k; i = int(parent, i)) {
        setInt(stack, length++, i)
        setInt(mark, i, k)
      }
      while (length > 0) setInt(stack, --top, int(stack, --length))
    }
    for (; top < size; top++) {
      const i = int(stack, top)
      const from = int(columns, i)
      const to = int(next, i)
      const lki = num(x, i) * num(factor, from)
      setNum(x, i, 0)
      let r = rowOf + ((<usize>(from + 1)) << 2)
      let v = factor + ((<usize>(from + 1)) << 3)
      const stop = rowOf + ((<usize>to) << 2)
      for (; r < stop; r += 4, v += 8) {
        const at = x + ((<usize>load<i32>(r)) << 3)
        store<f64>(at, load<f64>(at) - load<f64>(v) * lki)
      }
      diagonal -= lki * lki
      setInt(rowOf, to, k)
      setNum(factor, to, lki)
      setInt(next, i, to + 1)
    }
    if (!(diagonal > 0)) return k
    const at = int(next, k)
    setInt(rowOf, at, k)
    setNum(factor, at, 1 / sqrt<f64>(diagonal))
    setInt(next, k, at + 1)
  }
  return -1
}

/** Solves L L' x = b in place for pairs of right-hand sides: both coordinates in one walk through the factor. */
export function solvePairs(size: i32, columns: usize, rowOf: usize, factor: usize, b: usize): void {
  for (let j = 0; j < size; j++) {
    const from = int(columns, j)
    const at = b + ((<usize>j) << 4)
    const x = f64x2.mul(v128.load(at), f64x2.splat(num(factor, from)))
    v128.store(at, x)
    const stop = rowOf + ((<usize>int(columns, j + 1)) << 2)
    let v = factor + ((<usize>(from + 1)) << 3)
    for (let p = rowOf + ((<usize>(from + 1)) << 2); p < stop; p += 4, v += 8) {
      const r = b + ((<usize>load<i32>(p)) << 4)
      v128.store(r, f64x2.sub(v128.load(r), f64x2.mul(v128.load64_splat(v), x)))
    }
  }
  for (let j = size - 1; j >= 0; j--) {
    const from = int(columns, j)
    const at = b + ((<usize>j) << 4)
    // Two sums side by side: one would wait for itself at every entry.
    let even = v128.load(at)
    let odd = f64x2.splat(0)
    const stop = rowOf + ((<usize>int(columns, j + 1)) << 2)
    let v = factor + ((<usize>(from + 1)) << 3)
    let p = rowOf + ((<usize>(from + 1)) << 2)
    for (; p + 4 < stop; p += 8, v += 16) {
      even = f64x2.sub(even, f64x2.mul(v128.load64_splat(v), v128.load(b + ((<usize>load<i32>(p)) << 4))))
      odd = f64x2.add(odd, f64x2.mul(v128.load64_splat(v, 8), v128.load(b + ((<usize>load<i32>(p, 4)) << 4))))
    }
    if (p < stop) even = f64x2.sub(even, f64x2.mul(v128.load64_splat(v), v128.load(b + ((<usize>load<i32>(p)) << 4))))
    v128.store(at, f64x2.mul(f64x2.sub(even, odd), f64x2.splat(num(factor, from))))
  }
}

import { int, num, pair, setInt, setNum, setPair } from './memory'

/** Area of each triangle and the gradients of its three hat functions in its own plane, six numbers each, from `[x, y, z, …]`. */
export function gradients(triangles: i32, corner: usize, position: usize, area: usize, gradient: usize): void {
  for (let t = 0; t < triangles; t++) {
    const a = 3 * int(corner, 3 * t)
    const b = 3 * int(corner, 3 * t + 1)
    const c = 3 * int(corner, 3 * t + 2)
    const ex = num(position, b) - num(position, a)
    const ey = num(position, b + 1) - num(position, a + 1)
    const ez = num(position, b + 2) - num(position, a + 2)
    const fx = num(position, c) - num(position, a)
    const fy = num(position, c + 1) - num(position, a + 1)
    const fz = num(position, c + 2) - num(position, a + 2)
    const x1 = sqrt<f64>(ex * ex + ey * ey + ez * ez)
    const x2 = (ex * fx + ey * fy + ez * fz) / x1
    const y2 = sqrt<f64>(max<f64>(0, fx * fx + fy * fy + fz * fz - x2 * x2))
    setNum(area, t, (x1 * y2) / 2)
    setNum(gradient, 6 * t, -1 / x1)
    setNum(gradient, 6 * t + 1, (x2 - x1) / (x1 * y2))
    setNum(gradient, 6 * t + 2, 1 / x1)
    setNum(gradient, 6 * t + 3, -x2 / (x1 * y2))
    setNum(gradient, 6 * t + 4, 0)
    setNum(gradient, 6 * t + 5, 1 / y2)
  }
}

/**
 * The cotangent Laplacian of the first `free` vertices as its upper triangle by columns; entries stand as often as triangles
 * share them, and the diagonal once as 0. `start` has one more number than there are free vertices. Gives how many entries it wrote.
 */
export function laplacian(
  triangles: i32, free: i32, corner: usize, area: usize, gradient: usize, start: usize, row: usize, value: usize,
): i32 {
  setInt(start, 0, 0)
  for (let k = 0; k < free; k++) setInt(start, k + 1, 1)
  for (let t = 0; t < triangles; t++) {
    for (let c = 0; c < 3; c++) {
      const a = int(corner, 3 * t + c)
      const b = int(corner, 3 * t + (c + 1) % 3)
      if (a < free) setInt(start, a + 1, int(start, a + 1) + 1)
      if (a < free && b < free) {
        const k = max<i32>(a, b)
        setInt(start, k + 1, int(start, k + 1) + 1)
      }
    }
  }
  for (let k = 0; k < free; k++) setInt(start, k + 1, int(start, k + 1) + int(start, k))
  const entries = int(start, free)
  for (let k = free; k > 0; k--) setInt(start, k, int(start, k - 1))
  for (let k = 0; k < free; k++) add(start, row, value, k, k, 0)
  for (let t = 0; t < triangles; t++) {
    const w = num(area, t)
    for (let c = 0; c < 3; c++) {
      const d = (c + 1) % 3
      const a = int(corner, 3 * t + c)
      const b = int(corner, 3 * t + d)
      const ax = num(gradient, 6 * t + 2 * c)
      const ay = num(gradient, 6 * t + 2 * c + 1)
      if (a < free) add(start, row, value, a, a, w * (ax * ax + ay * ay))
      if (a < free && b < free) {
        const bx = num(gradient, 6 * t + 2 * d)
        const by = num(gradient, 6 * t + 2 * d + 1)
        add(start, row, value, max<i32>(a, b), min<i32>(a, b), w * (ax * bx + ay * by))
      }
    }
  }
  return entries
}

// @ts-expect-error: decorator
@inline function add(start: usize, row: usize, value: usize, k: i32, i: i32, x: f64): void {
  const at = int(start, k + 1)
  setInt(row, at, i)
  setNum(value, at, x)
  setInt(start, k + 1, at + 1)
}

/** Adds `share` of the mean of the diagonal to it: what hangs together with nothing that lies then stays where it is. */
export function steady(size: i32, start: usize, row: usize, value: usize, share: f64): void {
  let sum = 0.0
  for (let k = 0; k < size; k++)
    for (let p = int(start, k); p < int(start, k + 1); p++) if (int(row, p) === k) sum += num(value, p)
  let ridge = (share * sum) / <f64>size
  if (!(ridge > 0)) ridge = 1
  for (let k = 0; k < size; k++)
    for (let p = int(start, k); p < int(start, k + 1); p++)
      if (int(row, p) === k) {
        setNum(value, p, num(value, p) + ridge)
        break
      }
}

/** The matrix surface -> flat of each triangle, its two columns one after the other, from `[u, v, …]`. */
export function measure(triangles: i32, corner: usize, gradient: usize, uv: usize, matrix: usize): void {
  for (let t = 0; t < triangles; t++) {
    const a = pair(uv, int(corner, 3 * t))
    const b = pair(uv, int(corner, 3 * t + 1))
    const c = pair(uv, int(corner, 3 * t + 2))
    const g = gradient + 48 * <usize>t
    setPair(matrix, 2 * t, f64x2.add(f64x2.add(
      f64x2.mul(a, v128.load64_splat(g)),
      f64x2.mul(b, v128.load64_splat(g, 16))),
      f64x2.mul(c, v128.load64_splat(g, 32))))
    setPair(matrix, 2 * t + 1, f64x2.add(f64x2.add(
      f64x2.mul(a, v128.load64_splat(g, 8)),
      f64x2.mul(b, v128.load64_splat(g, 24))),
      f64x2.mul(c, v128.load64_splat(g, 40))))
  }
}

/** What pulls at each free vertex: area times (wanted - matrix) times its gradient, summed over its triangles. */
export function pull(
  triangles: i32, free: i32, corner: usize, area: usize, gradient: usize, wanted: usize, matrix: usize, force: usize,
): void {
  memory.fill(force, 0, (<usize>free) << 4)
  for (let t = 0; t < triangles; t++) {
    const w = v128.load64_splat(area + ((<usize>t) << 3))
    const d0 = f64x2.mul(w, f64x2.sub(pair(wanted, 2 * t), pair(matrix, 2 * t)))
    const d1 = f64x2.mul(w, f64x2.sub(pair(wanted, 2 * t + 1), pair(matrix, 2 * t + 1)))
    for (let c = 0; c < 3; c++) {
      const v = int(corner, 3 * t + c)
      if (v >= free) continue
      const g = gradient + 48 * <usize>t + 16 * <usize>c
      setPair(force, v, f64x2.add(pair(force, v), f64x2.add(
        f64x2.mul(d0, v128.load64_splat(g)),
        f64x2.mul(d1, v128.load64_splat(g, 8)))))
    }
  }
}

/** The nearest rotation to each matrix; gives the energy sum A((s1-1)² + (s2-1)²) of what is there. */
export function rotations(triangles: i32, area: usize, matrix: usize, wanted: usize): f64 {
  let energy = 0.0
  for (let t = 0; t < triangles; t++) {
    const i = 4 * t
    const m00 = num(matrix, i)
    const m10 = num(matrix, i + 1)
    const m01 = num(matrix, i + 2)
    const m11 = num(matrix, i + 3)
    const px = (m00 + m11) / 2
    const py = (m10 - m01) / 2
    const p = sqrt<f64>(px * px + py * py)
    const c = p > 1e-100 ? px / p : 1
    const s = p > 1e-100 ? py / p : 0
    setNum(wanted, i, c)
    setNum(wanted, i + 1, s)
    setNum(wanted, i + 2, -s)
    setNum(wanted, i + 3, c)
    const d0 = m00 - c
    const d1 = m01 + s
    const d2 = m10 - s
    const d3 = m11 - c
    energy += num(area, t) * (d0 * d0 + d1 * d1 + d2 * d2 + d3 * d3)
  }
  return energy
}

/**
 * One step towards a box of singular values: matrix and what is carried, drawn towards 1 by `softness` and then into
 * [least, most]; what misses it is carried on (`mostCarried` at most) and reflected in `wanted`. Triangles that are let off
 * (`off` not 0) have a box of their own.
 */
export function boxStep(
  triangles: i32, off: usize, matrix: usize, carried: usize, wanted: usize,
  least: f64, most: f64, softness: f64, offLeast: f64, offMost: f64, offSoftness: f64, mostCarried: f64,
): void {
  const mostSquare = mostCarried * mostCarried
  const plusMinus = f64x2.replace_lane(f64x2.splat(1), 1, -1)
  const half = f64x2.splat(0.5)
  const one = f64x2.splat(1)
  for (let t = 0; t < triangles; t++) {
    const free = load<u8>(off + <usize>t) !== 0
    const low = free ? offLeast : least
    const high = free ? offMost : most
    const soft = free ? offSoftness : softness
    const s0 = f64x2.add(pair(matrix, 2 * t), pair(carried, 2 * t))
    const s1 = f64x2.add(pair(matrix, 2 * t + 1), pair(carried, 2 * t + 1))
    // Twice the turning part p and the stretching part q of the matrix: singular values are |p| + |q| and |p| - |q|.
    const turned = f64x2.mul(swapped(s1), plusMinus)
    const p = f64x2.add(s0, turned)
    const q = f64x2.sub(s0, turned)
    const pp = f64x2.mul(p, p)
    const qq = f64x2.mul(q, q)
    const lengths = f64x2.mul(f64x2.sqrt(f64x2.add(v128.shuffle<f64>(pp, qq, 0, 2), v128.shuffle<f64>(pp, qq, 1, 3))), half)
    const pLength = f64x2.extract_lane(lengths, 0)
    const qLength = f64x2.extract_lane(lengths, 1)
    let values = f64x2.add(f64x2.splat(pLength), f64x2.mul(f64x2.splat(qLength), plusMinus))
    values = f64x2.add(values, f64x2.mul(f64x2.splat(soft), f64x2.sub(one, values)))
    values = f64x2.pmin(f64x2.pmax(values, f64x2.splat(low)), f64x2.splat(high))
    const other = swapped(values)
    // Mean and half difference of the two, as shares of what they were.
    const parts = f64x2.mul(f64x2.add(v128.shuffle<f64>(values, other, 0, 0), f64x2.mul(v128.shuffle<f64>(other, other, 0, 0), plusMinus)), half)
    const shares = f64x2.div(parts, lengths)
    const c = pLength > 1e-100 ? f64x2.mul(f64x2.mul(p, half), f64x2.splat(f64x2.extract_lane(shares, 0))) : f64x2.replace_lane(f64x2.splat(0), 0, f64x2.extract_lane(parts, 0))
    const d = qLength > 1e-100 ? f64x2.mul(f64x2.mul(q, half), f64x2.splat(f64x2.extract_lane(shares, 1))) : f64x2.replace_lane(f64x2.splat(0), 0, f64x2.extract_lane(parts, 1))
    const w0 = f64x2.add(c, d)
    const w1 = f64x2.mul(swapped(f64x2.sub(d, c)), plusMinus)
    let g0 = f64x2.sub(s0, w0)
    let g1 = f64x2.sub(s1, w1)
    const squares = f64x2.add(f64x2.mul(g0, g0), f64x2.mul(g1, g1))
    const square = f64x2.extract_lane(squares, 0) + f64x2.extract_lane(squares, 1)
    if (square > mostSquare) {
      const kept = f64x2.splat(mostCarried / sqrt<f64>(square))
      g0 = f64x2.mul(g0, kept)
      g1 = f64x2.mul(g1, kept)
    }
    setPair(carried, 2 * t, g0)
    setPair(carried, 2 * t + 1, g1)
    setPair(wanted, 2 * t, f64x2.sub(w0, g0))
    setPair(wanted, 2 * t + 1, f64x2.sub(w1, g1))
  }
}

// @ts-ignore: decorator
@inline function swapped(xy: v128): v128 { return v128.shuffle<f64>(xy, xy, 1, 0) }

// Singular values of a triangle's matrix; the smaller is negative where the triangle is turned over.
let larger: f64 = 0
let smaller: f64 = 0

// @ts-ignore: decorator
@inline function takeValues(t: i32, matrix: usize): void {
  const first = pair(matrix, 2 * t)
  const turned = f64x2.mul(swapped(pair(matrix, 2 * t + 1)), f64x2.replace_lane(f64x2.splat(1), 1, -1))
  const p = f64x2.add(first, turned)
  const q = f64x2.sub(first, turned)
  const pp = f64x2.mul(p, p)
  const qq = f64x2.mul(q, q)
  const lengths = f64x2.sqrt(f64x2.add(v128.shuffle<f64>(pp, qq, 0, 2), v128.shuffle<f64>(pp, qq, 1, 3)))
  larger = (f64x2.extract_lane(lengths, 0) + f64x2.extract_lane(lengths, 1)) / 2
  smaller = (f64x2.extract_lane(lengths, 0) - f64x2.extract_lane(lengths, 1)) / 2
}

/** Larger and smaller singular value of each matrix. */
export function singularValues(triangles: i32, matrix: usize, out: usize): void {
  for (let t = 0; t < triangles; t++) {
    takeValues(t, matrix)
    setNum(out, 2 * t, larger)
    setNum(out, 2 * t + 1, smaller)
  }
}

/** Least and largest singular value of all triangles that are not let off, written to `out`. */
export function rangeOf(triangles: i32, off: usize, matrix: usize, out: usize): void {
  let least = Infinity
  let most = 0.0
  for (let t = 0; t < triangles; t++) {
    if (load<u8>(off + <usize>t) !== 0) continue
    takeValues(t, matrix)
    if (smaller < least) least = smaller
    if (larger > most) most = larger
  }
  setNum(out, 0, least)
  setNum(out, 1, most)
}

/** Moves the free vertices by a step; gives the square of the longest move. */
export function move(free: i32, uv: usize, step: usize): f64 {
  for (let k = 0; k < free; k++) setPair(uv, k, f64x2.add(pair(uv, k), pair(step, k)))
  return longest(free, step)
}

/** The square of the longest move of a step. */
export function longest(free: i32, step: usize): f64 {
  let most = 0.0
  for (let k = 0; k < free; k++) {
    const by = pair(step, k)
    const square = f64x2.mul(by, by)
    most = max<f64>(most, f64x2.extract_lane(square, 0) + f64x2.extract_lane(square, 1))
  }
  return most
}

/**
 * The turn and move that bring film coordinates nearest to where the vertices are seen from above: cosine, sine, and the move
 * after the turn, written to `out`.
 */
export function turnLikeSeen(vertices: i32, uv: usize, position: usize, out: usize): void {
  let film = f64x2.splat(0)
  let seen = f64x2.splat(0)
  for (let v = 0; v < vertices; v++) {
    film = f64x2.add(film, pair(uv, v))
    seen = f64x2.add(seen, v128.load(position + 24 * <usize>v))
  }
  const share = f64x2.splat(1 / <f64>vertices)
  film = f64x2.mul(film, share)
  seen = f64x2.mul(seen, share)
  let along = 0.0
  let across = 0.0
  for (let v = 0; v < vertices; v++) {
    const a = f64x2.sub(pair(uv, v), film)
    const b = f64x2.sub(v128.load(position + 24 * <usize>v), seen)
    const same = f64x2.mul(a, b)
    const crossed = f64x2.mul(a, swapped(b))
    along += f64x2.extract_lane(same, 0) + f64x2.extract_lane(same, 1)
    across += f64x2.extract_lane(crossed, 0) - f64x2.extract_lane(crossed, 1)
  }
  const length = sqrt<f64>(along * along + across * across)
  const c = length > 0 ? along / length : 1
  const s = length > 0 ? across / length : 0
  const x = f64x2.extract_lane(film, 0)
  const y = f64x2.extract_lane(film, 1)
  setNum(out, 0, c)
  setNum(out, 1, s)
  setNum(out, 2, f64x2.extract_lane(seen, 0) - (c * x - s * y))
  setNum(out, 3, f64x2.extract_lane(seen, 1) - (s * x + c * y))
}

import { int, num, setInt, setNum } from './memory'

// @ts-expect-error: decorator
@inline function endOf(corner: usize, i: i32): i32 { return int(corner, i % 3 === 2 ? i - 2 : i + 1) }

/**
 * The same side in the neighbour for every side (number i runs from corner i to the next of its triangle), -1 at the rim.
 * Gives -1, or the first side that runs a second time the same way or is met by a third triangle; then `last` holds at 0 how often
 * it stood before. `last` is room for as many as vertices, `previous` for as many as sides.
 */
export function opposites(
  vertices: i32, triangles: i32, corner: usize, opposite: usize, last: usize, previous: usize,
): i32 {
  const sides = 3 * triangles
  for (let v = 0; v < vertices; v++) setInt(last, v, -1)
  for (let i = 0; i < sides; i++) setInt(opposite, i, -1)
  for (let i = 0; i < sides; i++) {
    const a = int(corner, i)
    const b = endOf(corner, i)
    let same = 0
    let back = 0
    for (let j = int(last, a); j >= 0; j = int(previous, j)) if (endOf(corner, j) === b) same++
    for (let j = int(last, b); j >= 0; j = int(previous, j)) {
      if (endOf(corner, j) !== a) continue
      back++
      setInt(opposite, i, j)
      setInt(opposite, j, i)
    }
    if (same > 0 || back > 1) {
      setInt(last, 0, same + back)
      return i
    }
    setInt(previous, i, int(last, a))
    setInt(last, a, i)
  }
  return -1
}

// The cross product of two sides of a triangle: points outside, its length is twice the area.
let nx: f64 = 0
let ny: f64 = 0
let nz: f64 = 0

// @ts-ignore: decorator
@inline function takeNormal(t: i32, corner: usize, position: usize): void {
  const a = 3 * int(corner, 3 * t)
  const b = 3 * int(corner, 3 * t + 1)
  const c = 3 * int(corner, 3 * t + 2)
  const ux = num(position, b) - num(position, a)
  const uy = num(position, b + 1) - num(position, a + 1)
  const uz = num(position, b + 2) - num(position, a + 2)
  const vx = num(position, c) - num(position, a)
  const vy = num(position, c + 1) - num(position, a + 1)
  const vz = num(position, c + 2) - num(position, a + 2)
  nx = uy * vz - uz * vy
  ny = uz * vx - ux * vz
  nz = ux * vy - uy * vx
}

/** The first triangle whose area is not above `leastShare` of the square of the mean side, or -1. */
export function firstFlat(triangles: i32, corner: usize, position: usize, leastShare: f64): i32 {
  let sum = 0.0
  for (let i = 0; i < 3 * triangles; i++) sum += lengthOf(int(corner, i), endOf(corner, i), position)
  const mean = sum / <f64>(3 * triangles)
  for (let t = 0; t < triangles; t++) {
    takeNormal(t, corner, position)
    if (!(sqrt<f64>(nx * nx + ny * ny + nz * nz) / 2 > leastShare * mean * mean)) return t
  }
  return -1
}

/**
 * The mean normal, weighted by area and of length 1, written to `out`; gives the least cosine between it and the normal of any
 * triangle, or -1 where there is no mean normal.
 */
export function facing(triangles: i32, corner: usize, position: usize, out: usize): f64 {
  let x = 0.0
  let y = 0.0
  let z = 0.0
  for (let t = 0; t < triangles; t++) {
    takeNormal(t, corner, position)
    x += nx
    y += ny
    z += nz
  }
  const length = sqrt<f64>(x * x + y * y + z * z)
  if (!(length > 0)) return -1
  x /= length
  y /= length
  z /= length
  setNum(out, 0, x)
  setNum(out, 1, y)
  setNum(out, 2, z)
  let least = 1.0
  for (let t = 0; t < triangles; t++) {
    takeNormal(t, corner, position)
    least = min<f64>(least, (nx * x + ny * y + nz * z) / sqrt<f64>(nx * nx + ny * ny + nz * nz))
  }
  return least
}

function lengthOf(a: i32, b: i32, position: usize): f64 {
  const x = num(position, 3 * a) - num(position, 3 * b)
  const y = num(position, 3 * a + 1) - num(position, 3 * b + 1)
  const z = num(position, 3 * a + 2) - num(position, 3 * b + 2)
  return sqrt<f64>(x * x + y * y + z * z)
}

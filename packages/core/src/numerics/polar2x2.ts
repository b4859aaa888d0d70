/**
 * A 2x2 matrix as (rotation by a) times (stretch along an axis): with
 * `p = ((m00+m11)/2, (m10-m01)/2)` and `q = ((m00-m11)/2, (m10+m01)/2)` the signed singular values are
 * `|p|+|q|` and `|p|-|q|`; the second is negative exactly when the matrix turns the plane over.
 */
export function singularValues2x2(
  m00: number,
  m01: number,
  m10: number,
  m11: number,
): [larger: number, smaller: number] {
  const px = m00 + m11
  const py = m10 - m01
  const qx = m00 - m11
  const qy = m10 + m01
  const p = Math.sqrt(px * px + py * py) / 2
  const q = Math.sqrt(qx * qx + qy * qy) / 2
  return [p + q, p - q]
}

/**
 * Pulls both singular values of the matrix at `from[i..i+3]` (row by row) towards 1 by `pull` and then into
 * [least, most]; its singular directions stay. Writes the matrix to `out[i..i+3]`.
 */
export function clampSingularValues(
  from: Float64Array,
  i: number,
  least: number,
  most: number,
  pull: number,
  out: Float64Array,
): void {
  const px = (from[i]! + from[i + 3]!) / 2
  const py = (from[i + 2]! - from[i + 1]!) / 2
  const qx = (from[i]! - from[i + 3]!) / 2
  const qy = (from[i + 2]! + from[i + 1]!) / 2
  const p = Math.sqrt(px * px + py * py)
  const q = Math.sqrt(qx * qx + qy * qy)
  let larger = p + q
  let smaller = p - q
  larger += pull * (1 - larger)
  smaller += pull * (1 - smaller)
  larger = larger < least ? least : larger > most ? most : larger
  smaller = smaller < least ? least : smaller > most ? most : smaller
  const mean = (larger + smaller) / 2
  const half = (larger - smaller) / 2
  const cx = p > 1e-100 ? (px / p) * mean : mean
  const cy = p > 1e-100 ? (py / p) * mean : 0
  const sx = q > 1e-100 ? (qx / q) * half : half
  const sy = q > 1e-100 ? (qy / q) * half : 0
  out[i] = cx + sx
  out[i + 1] = sy - cy
  out[i + 2] = sy + cy
  out[i + 3] = cx - sx
}

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

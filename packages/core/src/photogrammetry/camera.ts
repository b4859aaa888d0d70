import type { Vec2 } from '../geometry/index.ts'

export type Vec3 = readonly [number, number, number]

/** What a lens does to a picture; shared by all photographs of one camera. Radial and tangential terms of Brown (1971). */
export interface Lens {
  readonly radial: Vec3
  readonly tangential: Vec2
}

/** A photograph's own figures, in its pixels: autofocus and stabiliser change them from one to the next. */
export interface Inner {
  readonly focalPx: number
  readonly middlePx: Vec2
}

/** Where a photograph was taken: from the part's coordinates to the camera's, by a turn about an axis (its length the angle, rad) and a move, mm. */
export interface Pose {
  readonly turn: Vec3
  readonly moveMm: Vec3
}

/** A spot turned about an axis by the axis' length, rad (Rodrigues). */
export function turnedBy([rx, ry, rz]: Vec3, [x, y, z]: Vec3): Vec3 {
  const angle = Math.hypot(rx, ry, rz)
  // Small turns by the series, so that a change from nothing has a slope.
  const s = angle < 1e-9 ? 1 : Math.sin(angle) / angle
  const c = angle < 1e-9 ? 0.5 : (1 - Math.cos(angle)) / (angle * angle)
  const [cx, cy, cz] = [ry * z - rz * y, rz * x - rx * z, rx * y - ry * x]
  const [dx, dy, dz] = [ry * cz - rz * cy, rz * cx - rx * cz, rx * cy - ry * cx]
  return [x + s * cx + c * dx, y + s * cy + c * dy, z + s * cz + c * dz]
}

export function inCamera({ turn, moveMm }: Pose, p: Vec3): Vec3 {
  const [x, y, z] = turnedBy(turn, p)
  return [x + moveMm[0], y + moveMm[1], z + moveMm[2]]
}

/** Where in the picture a spot in front of the camera is seen, px; x right, y down. */
export function seenAt({ radial, tangential }: Lens, { focalPx, middlePx }: Inner, [x, y, z]: Vec3): Vec2 {
  const [u, v] = [x / z, y / z]
  const r2 = u * u + v * v
  const stretch = 1 + r2 * (radial[0] + r2 * (radial[1] + r2 * radial[2]))
  const [p1, p2] = tangential
  return [
    middlePx[0] + focalPx * (u * stretch + 2 * p1 * u * v + p2 * (r2 + 2 * u * u)),
    middlePx[1] + focalPx * (v * stretch + p1 * (r2 + 2 * v * v) + 2 * p2 * u * v),
  ]
}

/** The turn of a matrix whose columns are three directions of length one, row by row. */
export function turnOfMatrix(m: readonly number[]): Vec3 {
  const at = (i: number) => m[i] ?? 0
  const cos = Math.min(1, Math.max(-1, (at(0) + at(4) + at(8) - 1) / 2))
  const angle = Math.acos(cos)
  const axis: Vec3 = [at(7) - at(5), at(2) - at(6), at(3) - at(1)]
  const size = Math.hypot(...axis)
  if (angle < 1e-9) return [axis[0] / 2, axis[1] / 2, axis[2] / 2]
  if (size > 1e-6) return [(axis[0] / size) * angle, (axis[1] / size) * angle, (axis[2] / size) * angle]
  // Half a turn: the axis from the largest of the diagonal.
  const d = [0, 4, 8].map((i) => Math.sqrt(Math.max(0, (at(i) + 1) / 2)))
  const k = d.indexOf(Math.max(...d))
  const first = d[k] ?? 1
  const v = [0, 1, 2].map((i) =>
    i === k ? first : (at(3 * Math.min(i, k) + Math.max(i, k)) + at(3 * Math.max(i, k) + Math.min(i, k))) / (4 * first),
  )
  return [(v[0] ?? 0) * angle, (v[1] ?? 0) * angle, (v[2] ?? 0) * angle]
}

import type { Vec2 } from '@truelay/core/geometry'
import { type Affine, same } from '../drawing/index.ts'
import type { Groups } from './groups.ts'

/** Further off the vertical a shape stands out of the sheet, cosine. */
const upright = 0.9999

/**
 * Where the own plane of a shape lies in the drawing, by the direction in which it is extruded (the arbitrary axis algorithm of the DXF reference);
 * null where it stands out of the sheet. Extruded downward a shape is mirrored.
 */
export function planeOf(groups: Groups): Affine | null {
  if (groups.text(210) === null && groups.text(230) === null) return same
  const [x, y, z] = [groups.number(210), groups.number(220), groups.number(230, 1)]
  const length = Math.hypot(x, y, z)
  if (length === 0) return same
  if (Math.abs(z / length) < upright) return null
  return z > 0 ? same : [-1, 0, 0, 1, 0, 0]
}

/** Kinds that are drawn in their own plane; all others stand in the drawing itself. */
export const inOwnPlane: ReadonlySet<string> = new Set([
  'LWPOLYLINE',
  'POLYLINE',
  'CIRCLE',
  'ARC',
  'INSERT',
  'TEXT',
  'HATCH',
  'SOLID',
  'TRACE',
])

/** A shape without length does not say where its end is. */
export const unitVector = ([x, y]: Vec2): Vec2 | null => {
  const length = Math.hypot(x, y)
  return length === 0 ? null : [x / length, y / length]
}

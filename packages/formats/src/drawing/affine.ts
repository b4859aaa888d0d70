import type { Vec2 } from '@truelay/core/geometry'

/** An affine map of the plane: x' = a x + c y + e, y' = b x + d y + f. */
export type Affine = readonly [number, number, number, number, number, number]

export const same: Affine = [1, 0, 0, 1, 0, 0]

export const apply = ([a, b, c, d, e, f]: Affine, [x, y]: Vec2): Vec2 => [a * x + c * y + e, b * x + d * y + f]

/** First `inner`, then `outer`. */
export const after = (outer: Affine, inner: Affine): Affine => {
  const [a, b, c, d, e, f] = inner
  const [A, B, C, D, E, F] = outer
  return [A * a + C * b, B * a + D * b, A * c + C * d, B * c + D * d, A * e + C * f + E, B * e + D * f + F]
}

/** How much a map lengthens a line at the most: its greater singular value. */
export function mostScale([a, b, c, d]: Affine): number {
  const sum = (a * a + b * b + c * c + d * d) / 2
  const area = a * d - b * c
  return Math.sqrt(sum + Math.sqrt(Math.max(0, sum * sum - area * area)))
}

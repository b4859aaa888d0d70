import type { Vec2 } from '@truelay/core/geometry'

/** A place moved away from another by so much; towards it where that is negative. */
export function apart(at: Vec2, from: Vec2, by: number): Vec2 {
  const far = Math.hypot(at[0] - from[0], at[1] - from[1]) || 1
  return [at[0] + ((at[0] - from[0]) * by) / far, at[1] + ((at[1] - from[1]) * by) / far]
}

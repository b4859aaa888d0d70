import type { Vec2 } from '../geometry/index.ts'
import type { DirectionWords } from './words.ts'

/**
 * Which end of an edge a spot lies at, in the words of the drawing ("the nose"), or null in its middle third.
 *
 * @param along spots of that edge in order
 */
export function endOfEdge(
  directions: DirectionWords,
  along: readonly { readonly at: Vec2 }[],
  spot: { readonly at: Vec2 },
): string | null {
  const first = along[0]
  const last = along[along.length - 1]
  if (first === undefined || last === undefined) return null
  const chord = [last.at[0] - first.at[0], last.at[1] - first.at[1]] as const
  const lengthSquared = chord[0] * chord[0] + chord[1] * chord[1]
  if (lengthSquared === 0) return null
  const share = ((spot.at[0] - first.at[0]) * chord[0] + (spot.at[1] - first.at[1]) * chord[1]) / lengthSquared
  if (share > 1 / 3 && share < 2 / 3) return null
  const sign = share < 0.5 ? -1 : 1
  const [x, y] = [sign * chord[0], sign * chord[1]]
  if (Math.abs(x) > Math.abs(y)) return x > 0 ? directions.right : directions.left
  return y > 0 ? directions.up : directions.down
}

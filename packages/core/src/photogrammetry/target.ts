import { ringBits, rings } from './codes.ts'

/** Radii of a target in radii of its dot: the dot is black, round it is white, then the ring of bits, then white again. */
export const targetRadii = { dot: 1, white: 2, ring: 3, margin: 3.6 } as const

/** Whether a target is white at a spot, in radii of its dot from its middle, y downward as in a picture; null outside its paper. */
export function isWhite(target: number, x: number, y: number): boolean | null {
  const r = Math.hypot(x, y)
  if (r > targetRadii.margin) return null
  if (r <= targetRadii.dot) return false
  if (r <= targetRadii.white || r > targetRadii.ring) return true
  const turn = (Math.atan2(y, x) / (2 * Math.PI) + 1) % 1
  const bit = Math.floor(turn * ringBits) % ringBits
  return (((rings[target] ?? 0) >>> bit) & 1) === 1
}

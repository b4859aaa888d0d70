/** A point or a direction in a plane, mm unless said otherwise; x right, y up. */
export type Vec2 = readonly [x: number, y: number]

export const add = (a: Vec2, b: Vec2): Vec2 => [a[0] + b[0], a[1] + b[1]]
export const subtract = (a: Vec2, b: Vec2): Vec2 => [a[0] - b[0], a[1] - b[1]]
export const scale = (a: Vec2, k: number): Vec2 => [a[0] * k, a[1] * k]
export const dot2 = (a: Vec2, b: Vec2) => a[0] * b[0] + a[1] * b[1]
export const cross2 = (a: Vec2, b: Vec2) => a[0] * b[1] - a[1] * b[0]
export const length2 = (a: Vec2) => Math.sqrt(a[0] * a[0] + a[1] * a[1])
export const distance = (a: Vec2, b: Vec2) => Math.sqrt((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2)
export const lerp = (a: Vec2, b: Vec2, t: number): Vec2 => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
/** A quarter turn counter-clockwise. */
export const perpendicular = (a: Vec2): Vec2 => [-a[1], a[0]]
/** The same direction with length 1; a zero vector stays zero. */
export const unit = (a: Vec2): Vec2 => {
  const l = length2(a)
  return l > 0 ? [a[0] / l, a[1] / l] : a
}
export const rotate = (a: Vec2, angleRad: number): Vec2 => {
  const c = Math.cos(angleRad)
  const s = Math.sin(angleRad)
  return [c * a[0] - s * a[1], s * a[0] + c * a[1]]
}

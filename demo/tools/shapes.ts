import type { OutlineSegment } from '@truelay/core/form'
import type { Vec2 } from '@truelay/core/geometry'

/** Small helpers with which the demo forms are drawn and "measured". */

export const at = (x: number, y: number): Vec2 => [round(x), round(y)]

export const round = (value: number, to = 0.01) => {
  const rounded = Math.round(value / to) * to
  return Math.abs(rounded) < to / 2 ? 0 : Number(rounded.toFixed(3))
}

export const line = (to: Vec2, edge: string): OutlineSegment => ({ kind: 'line', to, edge })
export const spline = (through: readonly Vec2[], to: Vec2, edge: string): OutlineSegment => ({
  kind: 'spline',
  through,
  to,
  edge,
})

export function circle(middle: Vec2, radiusMm: number, points = 32): Vec2[] {
  return Array.from({ length: points }, (_, i) => {
    const turn = (2 * Math.PI * i) / points
    return at(middle[0] + radiusMm * Math.cos(turn), middle[1] + radiusMm * Math.sin(turn))
  })
}

/** A rectangle with rounded corners, counter-clockwise. */
export function roundedBox(middle: Vec2, width: number, height: number, radius: number): Vec2[] {
  const points: Vec2[] = []
  const corners: [number, number, number][] = [
    [1, -1, -90],
    [1, 1, 0],
    [-1, 1, 90],
    [-1, -1, 180],
  ]
  for (const [sx, sy, from] of corners) {
    for (let k = 0; k <= 5; k++) {
      const turn = ((from + 18 * k) * Math.PI) / 180
      points.push(
        at(
          middle[0] + sx * (width / 2 - radius) + radius * Math.cos(turn),
          middle[1] + sy * (height / 2 - radius) + radius * Math.sin(turn),
        ),
      )
    }
  }
  return points
}

/** What a straightedge and a rule would read on a surface, to half a millimetre. */
export function readBow(name: string, from: Vec2, to: Vec2, height: (x: number, y: number) => number) {
  const middle = height((from[0] + to[0]) / 2, (from[1] + to[1]) / 2)
  const a = height(...from)
  const b = height(...to)
  const plan = Math.hypot(to[0] - from[0], to[1] - from[1])
  const sagitta = ((middle - (a + b) / 2) * plan) / Math.hypot(plan, b - a)
  return { name, from, to, sagittaMm: round(sagitta, 0.5) }
}

/** Readings across at several heights and up at several places, inside a box around the part. */
export function readGrid(
  box: { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number },
  height: (x: number, y: number) => number,
  across = 3,
  up = 3,
) {
  const { left, right, bottom, top } = box
  const readings = []
  for (let i = 0; i < across; i++) {
    const y = bottom + ((top - bottom) * (i + 0.5)) / across
    readings.push(readBow(`across ${i + 1}`, at(left, y), at(right, y), height))
  }
  for (let i = 0; i < up; i++) {
    const x = left + ((right - left) * (i + 0.5)) / up
    readings.push(readBow(`up ${i + 1}`, at(x, bottom), at(x, top), height))
  }
  return readings
}

import { describe, expect, test } from 'vitest'
import type { PartSurface } from '../../form/index.ts'
import type { Vec2 } from '../../geometry/index.ts'
import { triangleShape } from './triangleShape.ts'

/** One triangle of a surface over the drawing, and film on it that was stretched along a direction. */
function stretched(alongDeg: number, by: number, across: number, slope: Vec2 = [0, 0]) {
  const plan: Vec2[] = [
    [10, 20],
    [50, 26],
    [22, 61],
  ]
  const position = plan.flatMap(([x, y]) => [x, y, slope[0] * x + slope[1] * y])
  const surface = {
    plan: Float64Array.from(plan.flat()),
    mesh: { position: Float64Array.from(position), triangle: Int32Array.of(0, 1, 2) },
  } as unknown as PartSurface
  const turn = (alongDeg * Math.PI) / 180
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  // The film as it was before: shorter along the direction by `by`, across it by `across`, then laid down turned and elsewhere.
  const flat = plan.flatMap(([x, y]) => {
    const a = (x * c + y * s) / by
    const b = (-x * s + y * c) / across
    return [0.6 * a - 0.8 * b + 7, 0.8 * a + 0.6 * b - 3]
  })
  return triangleShape(surface, Float64Array.from(flat), 0)
}

describe('a triangle of stretched film', () => {
  test.each([0, 25, 60, 90, 140])('is drawn in the direction in which it was pulled: %d degrees', (deg) => {
    const { direction } = stretched(deg, 1.1, 1)
    const turn = (deg * Math.PI) / 180
    // A direction and its opposite are the same pull.
    expect(Math.abs(direction[0] * Math.cos(turn) + direction[1] * Math.sin(turn))).toBeCloseTo(1, 9)
  })
  test('across what is pressed together, where nothing is pulled', () => {
    const { direction } = stretched(30, 0.95, 1)
    const turn = (120 * Math.PI) / 180
    expect(Math.abs(direction[0] * Math.cos(turn) + direction[1] * Math.sin(turn))).toBeCloseTo(1, 9)
  })
  test('has its middle and its area on the surface', () => {
    const { at, areaMm2 } = stretched(30, 1.1, 1)
    expect(at[0]).toBeCloseTo((10 + 50 + 22) / 3, 12)
    expect(at[1]).toBeCloseTo((20 + 26 + 61) / 3, 12)
    const onPlan = Math.abs(40 * 41 - 12 * 6) / 2
    expect(areaMm2).toBeCloseTo(onPlan, 9)
    // A slope of 3 in 4 makes a quarter more of it.
    expect(stretched(30, 1.1, 1, [0.75, 0]).areaMm2).toBeCloseTo(1.25 * onPlan, 9)
  })
})

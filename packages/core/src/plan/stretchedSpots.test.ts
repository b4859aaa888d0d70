import { describe, expect, test } from 'vitest'
import { boundsOf } from '../geometry/index.ts'
import { spotMm, stretchedSpots } from './stretchedSpots.ts'
import { planOf, testPart } from './testParts.ts'

const bonnet = testPart('pipit-bonnet', 'clearcoat-hull-180', 'pipit-bonnet-piece', 600)
const { surface, worked } = bonnet.laid
const asIs = (p: readonly [number, number]): readonly [number, number] => p

describe('where film is stretched by the lay', () => {
  test('film that lies without stretch has no such spot', () => {
    expect(stretchedSpots(surface, { stretch: worked.stretch.map(() => 1) }, asIs)).toEqual([])
  })
  test('the same stretch everywhere is found everywhere', () => {
    const spots = stretchedSpots(surface, { stretch: worked.stretch.map(() => 1.02) }, asIs)
    expect(spots.length).toBeGreaterThan(20)
    for (const { stretch } of spots) expect(stretch).toBeCloseTo(0.02, 6)
    // Out to the rim on every side: within a square and a half of it.
    const { min, max } = boundsOf(surface.outline.polygon)
    const reachMm = 1.5 * spotMm(surface.outline.polygon)
    for (const k of [0, 1] as const) {
      expect(Math.min(...spots.map(({ at }) => at[k]))).toBeLessThan(min[k] + reachMm)
      expect(Math.max(...spots.map(({ at }) => at[k]))).toBeGreaterThan(max[k] - reachMm)
    }
  })
  test('one stretched end is found there, and no single triangle speaks for a whole square', () => {
    const { min, max } = boundsOf(surface.outline.polygon)
    const right = (t: number) => {
      const v = surface.mesh.triangle[3 * t] ?? 0
      return (surface.plan[2 * v] ?? 0) > max[0] - 0.1 * (max[0] - min[0])
    }
    const stretch = worked.stretch.map((_, i) => (i % 2 === 0 && right(i / 2) ? 1.05 : 1))
    const spots = stretchedSpots(surface, { stretch }, asIs)
    expect(spots.length).toBeGreaterThan(0)
    for (const spot of spots) {
      expect(spot.at[0]).toBeGreaterThan(max[0] - 0.1 * (max[0] - min[0]) - 2 * spotMm(surface.outline.polygon))
      expect(spot.stretch).toBeLessThanOrEqual(0.05)
    }
  })
  test('a plan tells them in its own plane, the most stretched first', () => {
    const { stretched = [], drawing } = planOf(bonnet)
    const { min, max } = boundsOf(drawing.part)
    for (const [i, { at, stretch }] of stretched.entries()) {
      expect(at[0]).toBeGreaterThan(min[0])
      expect(at[0]).toBeLessThan(max[0])
      expect(stretch).toBeLessThanOrEqual(stretched[i - 1]?.stretch ?? 1)
    }
  })
})

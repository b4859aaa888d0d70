import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { boundsOf, distance, rotate, type Vec2 } from '../geometry/index.ts'
import { rollSheet } from './index.ts'

const plate: readonly Vec2[] = [
  [0, 0],
  [400, 0],
  [400, 300],
  [0, 300],
]
const from = (rollWidthMm: number, mayTurn = true) => rollSheet(plate, { allowanceMm: 50, mayTurn, rollWidthMm })

describe('a sheet off the roll', () => {
  test('is the part with its allowance on all four sides', () => {
    const sheet = from(1520)
    expect(sheet).toMatchObject({ lengthMm: 500, widthMm: 400, allowanceMm: 50 })
    const { min, max } = boundsOf(sheet?.outline ?? [])
    expect([...min, ...max]).toEqual([-50, -50, 450, 350])
  })
  test('lies across the roll with its longer side where that fits, and uses the least of it', () => {
    expect(from(1520)?.ofRollMm).toBe(400)
    expect(from(500)?.ofRollMm).toBe(400)
    expect(from(450)?.ofRollMm).toBe(500)
  })
  test('does not come off a roll that is narrower than both its sides', () => {
    expect(from(399)).toBeNull()
  })
  test('film with a direction is not turned: its height has to go into the roll', () => {
    expect(from(420, false)?.ofRollMm).toBe(500)
    expect(from(390, false)).toBeNull()
  })
  test('holds every turned part with its allowance, and is a rectangle of its own size', () => {
    const random = seededRandom(7)
    for (let i = 0; i < 60; i++) {
      const turned = plate.map((p) => rotate([p[0] + 900 * random(), p[1]], 6 * random()))
      const sheet = rollSheet(turned, { allowanceMm: 25, mayTurn: true, rollWidthMm: 4000 })
      if (sheet === null) throw new Error('no sheet')
      const [a, b, c, d] = sheet.outline as [Vec2, Vec2, Vec2, Vec2]
      expect(distance(a, b)).toBeCloseTo(sheet.lengthMm, 6)
      expect(distance(b, c)).toBeCloseTo(sheet.widthMm, 6)
      expect(distance(a, c)).toBeCloseTo(distance(b, d), 6)
      const back = ([x, y]: Vec2) => rotate([x - a[0], y - a[1]], -Math.atan2(b[1] - a[1], b[0] - a[0]))
      for (const p of turned.map(back)) {
        expect(p[0]).toBeGreaterThanOrEqual(25 - 1e-6)
        expect(p[0]).toBeLessThanOrEqual(sheet.lengthMm - 25 + 1e-6)
        expect(p[1]).toBeGreaterThanOrEqual(25 - 1e-6)
        expect(p[1]).toBeLessThanOrEqual(sheet.widthMm - 25 + 1e-6)
      }
    }
  })
})

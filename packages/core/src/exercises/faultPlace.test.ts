import { describe, expect, test } from 'vitest'
import { triangleLocator, type Vec2 } from '../geometry/index.ts'
import { usualHandling } from '../lay/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { faultPlace } from './faultPlace.ts'

describe.each([4, 11, 23, 58])('film on the cap of seed %i, where it is stretched most', (seed) => {
  const { surface, pulled, filmAt } = faultPlace(seededRandom(seed), usualHandling)
  const { position, triangle } = surface.mesh
  const locate = triangleLocator(surface.plan, triangle)
  /** Where a spot of the drawing lies in space, mm. */
  const inSpace = (p: Vec2): number[] => {
    const { triangle: t, weight } = locate.nearest(p)
    return [0, 1, 2].map((axis) =>
      weight.reduce((sum, w, corner) => sum + w * position[3 * triangle[3 * t + corner]! + axis]!, 0),
    )
  }
  const long = (from: readonly number[], to: readonly number[]) => Math.hypot(...from.map((x, i) => to[i]! - x))
  /** How much longer than its film the part is along a way, on the one triangle. */
  const stretchAlong = ([u, v]: Vec2): number => {
    const [x, y] = pulled.at
    const [from, to]: [Vec2, Vec2] = [
      [x - 0.1 * u, y - 0.1 * v],
      [x + 0.1 * u, y + 0.1 * v],
    ]
    return long(inSpace(from), inSpace(to)) / long(filmAt(from), filmAt(to)) - 1
  }
  const all = Array.from(
    { length: 180 },
    (_, i): Vec2 => [Math.cos((i * Math.PI) / 180), Math.sin((i * Math.PI) / 180)],
  )

  test('its way is the one along which the part is longest for its film', () => {
    expect(Math.hypot(...pulled.way)).toBeCloseTo(1, 9)
    const most = Math.max(...all.map(stretchAlong))
    expect(most).toBeCloseTo(pulled.stretch, 3)
    // One of a fan of 24 is at most 3.75° off: by cos² that loses little of what lies between most and least.
    const least = Math.min(...all.map(stretchAlong))
    expect(most - stretchAlong(pulled.way)).toBeLessThan(0.006 * (most - least) + 1e-9)
  })
})

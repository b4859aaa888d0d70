import { expect, test } from 'vitest'
import { nearestOnOutline, type Vec2 } from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { edgeFinder } from './fingerForecast.ts'

/** The nearest edge as one would look for it: every side, the first of those that are equally near. */
function searched(polygon: readonly Vec2[], edgeOfSide: readonly string[], p: Vec2): string {
  let [best, edge] = [Number.POSITIVE_INFINITY, '']
  polygon.forEach((a, i) => {
    const { distanceMm } = nearestOnOutline([a, polygon[(i + 1) % polygon.length] ?? a], p)
    if (distanceMm < best - 1e-12) [best, edge] = [distanceMm, edgeOfSide[i] ?? '']
  })
  return edge
}

test('the nearest edge of many spots is the one that looking at every side finds, also beside a corner that points inward', () => {
  const random = seededRandom(3)
  for (let round = 0; round < 20; round++) {
    const count = 5 + Math.floor(40 * random())
    // A star with inward corners, each side with an edge of its own name.
    const polygon = Array.from({ length: count }, (_, i): Vec2 => {
      const turn = (2 * Math.PI * i) / count
      const radius = i % 2 === 0 ? 100 : 45 + 40 * random()
      return [radius * Math.cos(turn), radius * Math.sin(turn)]
    })
    const edgeOfSide = polygon.map((_, i) => `edge ${i}`)
    const find = edgeFinder({
      outline: { polygon, edgeOfSide, corners: [] },
    })
    for (let k = 0; k < 60; k++) {
      const p: Vec2 = [240 * random() - 120, 240 * random() - 120]
      expect(find(p)).toBe(searched(polygon, edgeOfSide, p))
    }
    // The corners themselves are as near to two sides: the first counts.
    for (const corner of polygon) expect(find(corner)).toBe(searched(polygon, edgeOfSide, corner))
  }
})

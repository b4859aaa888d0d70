import { describe, expect, test } from 'vitest'
import { middleOfTriangle } from '../../form/index.ts'
import { distance } from '../../geometry/index.ts'
import { required } from '../../result/index.ts'
import { usualHandling } from '../index.ts'
import { hollowPart, squarePart } from '../testParts.ts'
import { setStage } from './setStage.ts'

const film = { handling: usualHandling, laid: 'wet' as const }

test('of a square part the nearest edge of every triangle is that of its quarter', () => {
  const { surface, nearestEdge } = required(setStage(squarePart([]), film, 700))
  nearestEdge.forEach(({ edge, distanceMm }, t) => {
    const [x, y] = middleOfTriangle(surface, t)
    const byEdge = { right: 150 - x, left: 150 + x, top: 150 - y, bottom: 150 + y }
    const least = Math.min(...Object.values(byEdge))
    expect(distanceMm).toBeCloseTo(least, 9)
    // On a diagonal either will do.
    expect(byEdge[edge as keyof typeof byEdge]).toBeCloseTo(least, 9)
  })
})

describe('where a hollow lies on the mesh', () => {
  const { surface, hollows, form, film: mesh } = required(setStage(hollowPart, film, 2500))
  const [hollow] = hollows
  const [recess] = form.recesses
  if (hollow === undefined || recess === undefined) throw new Error('no recess')
  const middle = recess.outline.reduce(
    (sum, [x, y]) => [sum[0] + x / recess.outline.length, sum[1] + y / recess.outline.length] as [number, number],
    [0, 0] as [number, number],
  )
  const radius = distance(recess.outline[0] ?? [0, 0], middle)
  const away = (v: number) => distance([surface.plan[2 * v] ?? 0, surface.plan[2 * v + 1] ?? 0], middle)
  test('its bottom within, its rim around, and nothing of either farther off', () => {
    expect(hollow.name).toBe(recess.name)
    expect(hollow.floor.length).toBeGreaterThan(3)
    expect(hollow.rim.length).toBeGreaterThan(3)
    for (const v of hollow.floor) expect(away(v)).toBeLessThan(radius)
    for (const v of hollow.rim) expect(away(v)).toBeGreaterThan(radius - 1)
    expect(Math.max(...hollow.rim.map(away))).toBeLessThan(radius + 40)
  })
  test('every triangle that has a corner in it reaches into it, and no other', () => {
    const within = new Set(hollow.within)
    for (let t = 0; t < mesh.triangles; t++) {
      const nearest = Math.min(...[0, 1, 2].map((c) => away(mesh.corner[3 * t + c] ?? 0)))
      if (nearest < radius - 2) expect(within.has(t)).toBe(true)
      if (nearest > radius + 0.5) expect(within.has(t)).toBe(false)
    }
  })
})

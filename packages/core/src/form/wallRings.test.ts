import { describe, expect, test } from 'vitest'
import { triangleArea, triangleCount, type Vec2 } from '../geometry/index.ts'
import { flatPart, hollowPart, squarePart } from '../lay/testParts.ts'
import { required } from '../result/index.ts'
import { buildSurface } from './buildSurface.ts'
import { wallRunMm } from './featureHeight.ts'
import { wallRings } from './internal/wallRings.ts'

const meshes = [300, 600, 1200, 2400]
const grooved = squarePart([], {
  channels: [
    {
      name: 'groove',
      along: [
        [-140, 0],
        [140, 0],
      ],
      widthMm: 40,
      depthMm: 6,
      wallDeg: 40,
    },
  ],
})
const grip = hollowPart.recesses[0]!

/** Length of a smooth wall's profile beyond its run, mm. */
function longer(depthMm: number, runMm: number): number {
  const steps = 4000
  const h = (t: number) => depthMm * t * t * (3 - 2 * t)
  let length = 0
  for (let i = 0; i < steps; i++) length += Math.hypot(runMm / steps, h((i + 1) / steps) - h(i / steps))
  return length - runMm
}

describe('walls', () => {
  test('show nine tenths of their surface on every mesh', () => {
    const run = wallRunMm(grip)
    // A ring about the middle of the wall, as long as its outline less its slant.
    const area = (triangles: number) =>
      required(buildSurface(hollowPart, { triangles, wallRows: true })).figures.areaMm2
    const flat = required(buildSurface(flatPart, { triangles: 600 })).figures.areaMm2
    const whole = 2 * Math.PI * (55 - run / 2) * longer(grip.depthMm, run)
    for (const triangles of meshes) {
      const more = area(triangles) - flat
      expect(more / whole, `${triangles}`).toBeGreaterThan(0.88)
      expect(more / whole, `${triangles}`).toBeLessThan(1.05)
    }
  })
  test('of a groove likewise, up both sides', () => {
    const groove = grooved.channels![0]!
    const whole = 2 * 280 * longer(groove.depthMm, wallRunMm(groove))
    const flat = required(buildSurface(flatPart, { triangles: 600 })).figures.areaMm2
    for (const triangles of meshes) {
      const more = required(buildSurface(grooved, { triangles, wallRows: true })).figures.areaMm2 - flat
      // Its two ends are round and add a little.
      expect(more / whole, `${triangles}`).toBeGreaterThan(0.88)
      expect(more / whole, `${triangles}`).toBeLessThan(1.25)
    }
  })
  test('get no points of their own where the mesh shows them anyway, nor where there are none', () => {
    expect(wallRings(flatPart, 20, 100)).toEqual([])
    expect(wallRings(hollowPart, 4, 100)).toEqual([])
    expect(wallRings(hollowPart, 20, 1000).length).toBeGreaterThan(60)
  })
  test('stand further apart rather than being more than there may be', () => {
    const many = wallRings(hollowPart, 20, 1000).length
    const few = wallRings(hollowPart, 20, 40).length
    expect(few).toBeLessThan(60)
    expect(few).toBeLessThan(0.7 * many)
  })
  test('lie at heights of the wall from its foot to its top', () => {
    const heights = wallRings(hollowPart, 20, 1000).map(([x, y]: Vec2) => 55 - Math.hypot(x - 40, y - 20))
    const run = wallRunMm(grip)
    for (const up of [0, run / 3, (2 * run) / 3, run])
      expect(heights.filter((h) => Math.abs(h - up) < 0.12 * run).length, `${up}`).toBeGreaterThan(10)
    expect(Math.max(...heights)).toBeLessThan(1.1 * run)
  })
  test('leave no triangle without an area', () => {
    for (const form of [hollowPart, grooved]) {
      const { mesh } = required(buildSurface(form, { triangles: 800, wallRows: true }))
      for (let t = 0; t < triangleCount(mesh); t++) expect(triangleArea(mesh, t)).toBeGreaterThan(0.5)
    }
  })
})

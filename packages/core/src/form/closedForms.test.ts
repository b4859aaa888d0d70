import { describe, expect, test } from 'vitest'
import type { Vec2 } from '../geometry/index.ts'
import { required } from '../result/index.ts'
import { buildSurface, curvatureAt, type FormDoc, fitBow } from './index.ts'

describe('curvature', () => {
  const radius = 200
  const ball = ([x, y]: Vec2) => Math.sqrt(radius * radius - x * x - y * y)
  test.each<[number, number]>([
    [0, 0],
    [60, 0],
    [0, -80],
    [50, 90],
    [-110, 70],
  ])('of a ball is the same both ways, off its top as well: at %d, %d', (x, y) => {
    const { most, least, gauss } = curvatureAt(ball, [x, y])
    expect(most * radius).toBeCloseTo(1, 3)
    expect(least * radius).toBeCloseTo(1, 3)
    expect(gauss * radius * radius).toBeCloseTo(1, 3)
  })
  test('of a bowl is that of the ball the other way', () => {
    const { most, least, gauss } = curvatureAt((p) => -ball(p), [50, 90])
    expect(most * radius).toBeCloseTo(-1, 3)
    expect(least * radius).toBeCloseTo(-1, 3)
    expect(gauss * radius * radius).toBeCloseTo(1, 3)
  })
  test('of a leaning cylinder is one way only, whatever its direction', () => {
    for (const turn of [0, 0.4, 1.1, 2]) {
      const across = ([x, y]: Vec2) => x * Math.cos(turn) + y * Math.sin(turn)
      const { most, least } = curvatureAt((p) => Math.sqrt(radius * radius - across(p) ** 2), [40, 30])
      expect(most * radius).toBeCloseTo(1, 3)
      expect(least * radius).toBeCloseTo(0, 3)
    }
  })
  test('of z = a x y, anywhere: Gauss -a² / (1 + a² r²)²', () => {
    const a = 0.01
    for (const [x, y] of [
      [0, 0],
      [60, 0],
      [40, -70],
    ] as Vec2[]) {
      const { gauss, most, least } = curvatureAt((p) => a * p[0] * p[1], [x, y])
      expect(gauss / -(a * a)).toBeCloseTo(1 / (1 + a * a * (x * x + y * y)) ** 2, 6)
      expect(most * least).toBeCloseTo(gauss, 12)
    }
  })
})

test('the Gauss integral of a cap is that of its share of the ball', () => {
  const radius = 220
  const rim = 150
  const side = 2 * rim + 20
  const step = 4
  const columns = side / step + 1
  const heights = Array.from({ length: columns * columns }, (_, i) => {
    const [x, y] = [(i % columns) * step - side / 2, Math.floor(i / columns) * step - side / 2]
    return Math.sqrt(Math.max(0, radius * radius - x * x - y * y))
  })
  const cap: FormDoc = {
    id: 'cap',
    name: 'Cap',
    version: 1,
    family: 'panel',
    material: 'painted steel',
    start: [rim, 0],
    outline: [
      { kind: 'arc', to: [-rim, 0], radiusMm: rim, turn: 'left', edge: 'rim' },
      { kind: 'arc', to: [rim, 0], radiusMm: rim, turn: 'left', edge: 'rim' },
    ],
    edges: [{ name: 'rim', label: 'rim', code: 'stop-short' }],
    directions: { right: 'the right', left: 'the left', up: 'the top', down: 'the bottom' },
    bow: [],
    relief: { originMm: [-side / 2, -side / 2], stepMm: step, columns, heightsMm: heights, errorMm: 0 },
    bodyLines: [],
    recesses: [],
    holes: [],
    marks: [],
  }
  const { figures } = required(buildSurface(cap, { triangles: 8000 }))
  const whole = 2 * Math.PI * (1 - Math.sqrt(1 - (rim / radius) ** 2))
  // What lies round the rim's own vertices, half a triangle's height wide, is not counted.
  expect(figures.gaussIntegralSr / whole).toBeGreaterThan(0.93)
  expect(figures.gaussIntegralSr / whole).toBeLessThan(1.0)
  expect(figures.gaussAbsoluteSr).toBeGreaterThanOrEqual(figures.gaussIntegralSr)
})

describe('readings that contradict each other', () => {
  const rectangle: Vec2[] = [
    [0, 0],
    [400, 0],
    [400, 300],
    [0, 300],
  ]
  const reading = (name: string, y: number, sagittaMm: number) => ({
    name,
    from: [0, y] as Vec2,
    to: [400, y] as Vec2,
    sagittaMm,
  })
  test.each([0, 1, 2, 3, 4])('of five close to each other the one that is off is named first: number %d', (wrong) => {
    const bow = [130, 140, 150, 160, 170].map((y, i) => reading(`reading ${i}`, y, i === wrong ? 42 : 30))
    const fitted = fitBow(rectangle, bow, () => 0)
    if (fitted.ok) throw new Error('taken')
    expect(fitted.failure.code).toBe('BOW_CONTRADICTS')
    expect(fitted.failure.sentence).toSay(new RegExp(`^[^0-9]*reading ${wrong}\\b`))
    // And what the others leave room for is about what they say themselves.
    const said = JSON.stringify(fitted.failure)
    expect(said).toContain('42')
  })
})

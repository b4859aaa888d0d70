import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { perimeter, signedArea, type Vec2 } from '../geometry/index.ts'
import { buildSurface, curvatureAt, type FormDoc, fitBow, sagittaOn, traceOutline } from './index.ts'

const line = (to: Vec2, edge = 'rim') => ({ kind: 'line' as const, to, edge })
const box = (w: number, h: number) => [line([w, 0]), line([w, h]), line([0, h]), line([0, 0])]
const plain: FormDoc = {
  id: 'plate',
  name: 'Plate',
  version: 1,
  family: 'panel',
  material: 'painted steel',
  start: [0, 0],
  outline: box(400, 300),
  edges: [{ name: 'rim', label: 'rim', code: 'stop-short' }],
  directions: { right: 'the right', left: 'the left', up: 'the top', down: 'the bottom' },
  bow: [],
  bodyLines: [],
  recesses: [],
  holes: [],
  marks: [],
}
const built = (form: FormDoc, triangles = 1500) => {
  const surface = buildSurface(form, { triangles })
  if (!surface.ok) throw new Error(english(surface.failure.sentence))
  return surface.value
}
const rectangle: Vec2[] = [
  [0, 0],
  [400, 0],
  [400, 300],
  [0, 300],
]
const even = (name: string, from: Vec2, to: Vec2, radiusMm: number) => {
  const chord = Math.hypot(to[0] - from[0], to[1] - from[1])
  return { name, from, to, sagittaMm: radiusMm - Math.sqrt(radiusMm ** 2 - (chord / 2) ** 2) }
}

describe('outlines', () => {
  test('a circle of two arcs has the length and area of a circle', () => {
    const arc = (to: Vec2) => ({ kind: 'arc' as const, to, radiusMm: 50, turn: 'left' as const, edge: 'rim' })
    const traced = traceOutline('disc', [50, 0], [arc([-50, 0]), arc([50, 0])])
    if (!traced.ok) throw new Error(english(traced.failure.sentence))
    expect(perimeter(traced.value.polygon)).toBeCloseTo(2 * Math.PI * 50, 0)
    expect(signedArea(traced.value.polygon) / (Math.PI * 2500)).toBeCloseTo(1, 2)
  })
  test('a clockwise outline is turned round and keeps its edge names in place', () => {
    const traced = traceOutline(
      'box',
      [0, 0],
      [line([0, 10], 'left'), line([20, 10], 'top'), line([20, 0], 'right'), line([0, 0], 'bottom')],
    )
    if (!traced.ok) throw new Error(english(traced.failure.sentence))
    const { polygon, edgeOfSide } = traced.value
    expect(signedArea(polygon)).toBe(200)
    polygon.forEach((p, i) => {
      const q = polygon[(i + 1) % polygon.length]!
      const middle = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2]
      const side = middle[0] === 0 ? 'left' : middle[0] === 20 ? 'right' : middle[1] === 10 ? 'top' : 'bottom'
      expect(edgeOfSide[i]).toBe(side)
    })
  })
  test('a spline passes through its points', () => {
    const through: Vec2[] = [
      [30, 12],
      [60, 15],
    ]
    const traced = traceOutline('arch', [0, 0], [{ kind: 'spline', through, to: [90, 0], edge: 'rim' }, line([0, 0])])
    if (!traced.ok) throw new Error(english(traced.failure.sentence))
    for (const p of through)
      expect(traced.value.polygon.some((q) => Math.hypot(q[0] - p[0], q[1] - p[1]) < 1e-9)).toBe(true)
  })
  test.each([
    ['that does not close', [line([10, 0]), line([10, 10])], 'OUTLINE_OPEN'],
    ['that crosses itself', [line([20, 20]), line([20, 0]), line([0, 25]), line([0, 0])], 'OUTLINE_CROSSES'],
    [
      'with an arc that cannot be',
      [{ kind: 'arc' as const, to: [30, 0] as Vec2, radiusMm: 5, turn: 'left' as const, edge: 'rim' }, line([0, 0])],
      'OUTLINE_FOLDED',
    ],
    ['of nothing', [line([1, 0]), line([1, 1]), line([0, 0])], 'OUTLINE_TOO_SMALL'],
  ])('an outline %s is refused', (_, segments, code) => {
    const traced = traceOutline('it', [0, 0], segments)
    expect(traced.ok ? 'fine' : traced.failure.code).toBe(code)
  })
})

describe('bow readings', () => {
  test('each is met exactly where it was taken, tilted chords and sub-chords too', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }), (wobble) => {
        const bow = [
          { name: 'across', from: [0, 150] as Vec2, to: [400, 150] as Vec2, sagittaMm: 30 + wobble[0]! },
          { name: 'along', from: [200, 0] as Vec2, to: [200, 300] as Vec2, sagittaMm: 12 + wobble[1]! },
          { name: 'nose', from: [200, 0] as Vec2, to: [200, 120] as Vec2, sagittaMm: 3 + wobble[2]! },
          { name: 'slanting', from: [0, 0] as Vec2, to: [400, 300] as Vec2, sagittaMm: 38 + wobble[3]! },
        ]
        const fitted = fitBow(rectangle, bow, () => 0)
        if (!fitted.ok) throw new Error(english(fitted.failure.sentence))
        for (const reading of bow)
          expect(Math.abs(sagittaOn(fitted.value.heightAt, reading) - reading.sagittaMm)).toBeLessThan(1e-3)
      }),
      { numRuns: 25 },
    )
  })
  test('even readings of one radius give that radius in the middle', () => {
    const bow = [
      even('a', [0, 75], [400, 75], 900),
      even('b', [0, 150], [400, 150], 900),
      even('c', [0, 225], [400, 225], 900),
    ]
    const fitted = fitBow(rectangle, bow, () => 0)
    if (!fitted.ok) throw new Error(english(fitted.failure.sentence))
    const { most, least } = curvatureAt(fitted.value.heightAt, [200, 150])
    expect(1 / most).toBeGreaterThan(850)
    expect(1 / most).toBeLessThan(950)
    expect(Math.abs(least)).toBeLessThan(0.1 * most)
  })
  test('two readings of one chord that differ contradict each other, by name', () => {
    const one = { name: 'first', from: [0, 150] as Vec2, to: [400, 150] as Vec2, sagittaMm: 30 }
    const fitted = fitBow(rectangle, [one, { ...one, name: 'second', sagittaMm: 18 }], () => 0)
    expect(fitted.ok).toBe(false)
    if (fitted.ok) return
    expect(fitted.failure.code).toBe('BOW_CONTRADICTS')
    expect(fitted.failure.sentence).toSay(/first.*second|second.*first/)
  })
  test('readings that agree within the rule do not', () => {
    const one = { name: 'first', from: [0, 150] as Vec2, to: [400, 150] as Vec2, sagittaMm: 30 }
    expect(fitBow(rectangle, [one, { ...one, name: 'second', sagittaMm: 30.4 }], () => 0).ok).toBe(true)
  })
  test.each([
    ['outside the part', { name: 'x', from: [-50, 150] as Vec2, to: [400, 150] as Vec2, sagittaMm: 9 }, 'BOW_OUTSIDE'],
    [
      'with a chord shorter than its ends are apart',
      { name: 'x', from: [0, 150] as Vec2, to: [400, 150] as Vec2, sagittaMm: 9, chordMm: 380 },
      'BOW_CHORD_SHORT',
    ],
  ])('a reading %s is refused', (_, reading, code) => {
    const fitted = fitBow(rectangle, [reading], () => 0)
    expect(fitted.ok ? 'fine' : fitted.failure.code).toBe(code)
  })
})

describe('surfaces', () => {
  test('a flat plate keeps its area and outline, and about the triangles asked for', () => {
    const { figures } = built(plain)
    expect(figures.areaMm2).toBeCloseTo(120_000, 3)
    expect(figures.outlineMm).toBeCloseTo(1400, 6)
    expect(figures.gaussIntegralSr).toBeCloseTo(0, 9)
    expect(figures.minRadiusMm).toBe(Number.POSITIVE_INFINITY)
    expect(figures.triangles).toBeGreaterThan(1200)
    expect(figures.triangles).toBeLessThan(1900)
  })
  test('the mesh is near uniform', () => {
    const { mesh } = built({
      ...plain,
      bow: [even('a', [0, 150], [400, 150], 320), even('b', [200, 0], [200, 300], 320)],
    })
    const lengths: number[] = []
    for (let i = 0; i < mesh.triangle.length; i++) {
      const [a, b] = [3 * mesh.triangle[i]!, 3 * mesh.triangle[i % 3 === 2 ? i - 2 : i + 1]!]
      lengths.push(Math.hypot(...[0, 1, 2].map((k) => mesh.position[a + k]! - mesh.position[b + k]!)))
    }
    lengths.sort((a, b) => a - b)
    expect(lengths[Math.floor(0.98 * lengths.length)]! / lengths[Math.floor(0.02 * lengths.length)]!).toBeLessThan(2.6)
  })
  test('a body line turns the surface by its angle', () => {
    const { mesh } = built(
      {
        ...plain,
        bodyLines: [
          {
            name: 'crease',
            along: [
              [200, 0],
              [200, 300],
            ],
            turnDeg: 12,
            radiusMm: 4,
            reachMm: 4000,
          },
        ],
      },
      6000,
    )
    const height = (x: number) => {
      let best = 1e9
      let z = 0
      for (let v = 0; v < mesh.position.length; v += 3) {
        const d = Math.hypot(mesh.position[v]! - x, mesh.position[v + 1]! - 150)
        if (d < best) {
          best = d
          z = mesh.position[v + 2]!
        }
      }
      return z
    }
    const slope = (height(120) - height(40)) / 80
    expect((Math.atan(slope) * 180) / Math.PI).toBeCloseTo(6, 0)
  })
  test('a recess is as deep as it says', () => {
    const ring: Vec2[] = Array.from({ length: 40 }, (_, k) => [
      200 + 60 * Math.cos((k * Math.PI) / 20),
      150 + 60 * Math.sin((k * Math.PI) / 20),
    ])
    const { mesh, figures } = built({ ...plain, recesses: [{ name: 'dish', outline: ring, depthMm: 9, wallDeg: 30 }] })
    expect(Math.min(...mesh.position.filter((_, i) => i % 3 === 2))).toBeCloseTo(-9, 6)
    expect(figures.deepestRecessMm).toBe(9)
  })
  test('a hole is left open', () => {
    const hole: Vec2[] = Array.from({ length: 30 }, (_, k) => [
      100 + 25 * Math.cos((k * Math.PI) / 15),
      150 + 25 * Math.sin((k * Math.PI) / 15),
    ])
    const surface = built({ ...plain, holes: [{ name: 'sensor', label: 'sensor', outline: hole, code: 'stop-short' }] })
    expect(surface.loops.length).toBe(2)
    expect((120_000 - surface.figures.areaMm2) / signedArea(hole)).toBeGreaterThan(0.95)
    expect((120_000 - surface.figures.areaMm2) / signedArea(hole)).toBeLessThan(1.0001)
  })
  test('coarse or fine, every outline is filled without a gap', () => {
    const bowed = { ...plain, bow: [even('a', [0, 150], [400, 150], 500), even('b', [200, 0], [200, 300], 400)] }
    const round: FormDoc = {
      ...bowed,
      start: [0, 0],
      outline: [
        {
          kind: 'spline',
          through: [
            [100, -20],
            [250, 0],
            [400, 60],
            [380, 200],
          ],
          to: [200, 300],
          edge: 'rim',
        },
        line([0, 250]),
        line([0, 0]),
      ],
      bow: [],
    }
    for (const form of [bowed, round]) {
      for (const triangles of [60, 300, 5000, 12_000, 30_000]) {
        const { mesh, figures } = built(form, triangles)
        expect(new Set(mesh.triangle).size).toBe(mesh.position.length / 3)
        expect(figures.triangles / triangles).toBeGreaterThan(0.6)
        expect(figures.triangles / triangles).toBeLessThan(3)
      }
    }
  })
  test('the same form gives the same bits', () => {
    const form = { ...plain, bow: [even('a', [0, 150], [400, 150], 700)] }
    expect(built(form).mesh.position).toEqual(built(form).mesh.position)
  })
  test.each([
    [10, 'FORM_TOO_COARSE'],
    [1_000_000, 'FORM_TOO_FINE'],
  ])('%d triangles are refused', (triangles, code) => {
    const surface = buildSurface(plain, { triangles })
    expect(surface.ok ? 'fine' : surface.failure.code).toBe(code)
  })
  test('an outline that does not close and an opening that crosses itself are refused, each by its name', () => {
    const open = buildSurface({ ...plain, outline: plain.outline.slice(0, -1) })
    expect(open.ok ? 'fine' : open.failure.code).toBe('OUTLINE_OPEN')
    const crossed: Vec2[] = [
      [100, 100],
      [160, 160],
      [160, 100],
      [100, 165],
    ]
    const hole = { name: 'badge', label: 'badge', outline: crossed, code: 'stop-short' as const }
    const surface = buildSurface({ ...plain, holes: [hole] })
    expect(surface.ok ? 'fine' : surface.failure.code).toBe('OUTLINE_CROSSES')
    expect(surface.ok ? '' : english(surface.failure.sentence)).toContain('badge')
  })
})

import { english } from '@truelay/words'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { EdgeMargin, EdgeRules } from '../align/index.ts'
import type { FormDoc } from '../form/index.ts'
import { distance, nearestOnOutline, type Polygon, signedArea, type Vec2 } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import { demoForm, testPart } from './testParts.ts'
import { anchorsFor } from './anchors.ts'

const laid = testPart('pipit-door-left', 'clearcoat-hull-180', null, 300).laid

/**
 * A closed outline with a few edges, each of one side or of many, short or long: points on an ellipse at random angles; some sides are
 * broken up without leaving their line.
 */
const outlines = fc
  .record({
    angles: fc.uniqueArray(fc.integer({ min: 0, max: 35 }), { minLength: 4, maxLength: 9 }),
    wide: fc.integer({ min: 40, max: 900 }),
    high: fc.integer({ min: 40, max: 500 }),
    parts: fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 9, maxLength: 9 }),
    middles: fc.array(fc.integer({ min: -30, max: 30 }), { minLength: 9, maxLength: 9 }),
  })
  .map(({ angles, wide, high, parts, middles }) => {
    const corners = [...angles]
      .sort((a, b) => a - b)
      .map((k): Vec2 => [wide * Math.cos((k * Math.PI) / 18), high * Math.sin((k * Math.PI) / 18)])
    const polygon: Vec2[] = []
    const edgeOfSide: string[] = []
    corners.forEach((from, i) => {
      const to = corners[(i + 1) % corners.length] ?? from
      const pieces = parts[i] ?? 1
      for (let k = 0; k < pieces; k++) {
        polygon.push([from[0] + ((to[0] - from[0]) * k) / pieces, from[1] + ((to[1] - from[1]) * k) / pieces])
        edgeOfSide.push(`edge ${i}`)
      }
    })
    const rules: EdgeRules = Object.fromEntries(
      corners.map((_, i) => [`edge ${i}`, { minMm: (middles[i] ?? 0) - 1, maxMm: (middles[i] ?? 0) + 1 }]),
    )
    return { polygon, edgeOfSide, rules, corners }
  })
  .filter(({ polygon }) => signedArea(polygon) > 500)

const cornersOf = (
  polygon: Polygon,
  edgeOfSide: readonly string[],
  rules: EdgeRules,
  margins: readonly EdgeMargin[] = [],
) => {
  const edges = Object.keys(rules)
  const form: FormDoc = {
    ...demoForm('pipit-door-left'),
    marks: [],
    edges: edges.map((name) => ({ name, label: `${name} edge`, code: 'stop-short' as const })),
  }
  const outline = { polygon, edgeOfSide, corners: [] }
  const part = { outline, holes: [], toFlat: (p: Vec2) => p } as unknown as FlatPart
  return anchorsFor('corners first', { form, part, surface: { ...laid.surface, outline }, rules, margins })
}

test('the two wishes at a corner are those of its two edges, on edges of any length and any number of sides', () => {
  fc.assert(
    fc.property(outlines, ({ polygon, edgeOfSide, rules, corners }) => {
      const anchors = cornersOf(polygon, edgeOfSide, rules)
      expect(anchors.length).toBe(corners.length)
      for (const { at, gaps } of anchors) {
        const corner = corners.findIndex((c) => distance(c, at) < 1e-9)
        const before = `edge ${(corner + corners.length - 1) % corners.length}`
        const after = `edge ${corner}`
        expect(gaps.map((gap) => gap.edge)).toEqual([before, after])
        for (const gap of gaps) {
          const rule = rules[gap.edge] ?? { minMm: Number.NaN, maxMm: Number.NaN }
          expect(gap.wantedMm).toBeCloseTo((rule.minMm + rule.maxMm) / 2, 9)
        }
      }
    }),
    { numRuns: 200 },
  )
})

test('each is set on its own edge, no further than 70 mm and no further than half of it, and looks inward', () => {
  fc.assert(
    fc.property(outlines, ({ polygon, edgeOfSide, rules, corners }) => {
      for (const { at, gaps } of cornersOf(polygon, edgeOfSide, rules))
        for (const gap of gaps) {
          const number = Number(gap.edge.slice(5))
          const [from, to] = [corners[number] ?? at, corners[(number + 1) % corners.length] ?? at]
          expect(nearestOnOutline([from, to], gap.at).distanceMm).toBeLessThan(1e-6)
          expect(distance(gap.at, at)).toBeLessThanOrEqual(Math.min(70, distance(from, to) / 2) + 1e-6)
          expect(Math.hypot(...gap.normal)).toBeCloseTo(1, 9)
          // The outline runs counter-clockwise: inward is to the left of its run.
          const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
          expect(dx * gap.normal[1] - dy * gap.normal[0]).toBeGreaterThan(0)
        }
    }),
    { numRuns: 200 },
  )
})

test('a corner is named after its mark, or after the edges that meet there', () => {
  const square: Polygon = [
    [0, 0],
    [200, 0],
    [200, 100],
    [0, 100],
  ]
  const rules = Object.fromEntries(['a', 'b', 'c', 'd'].map((edge) => [edge, { minMm: 2, maxMm: 4 }]))
  const labels = cornersOf(square, ['a', 'b', 'c', 'd'], rules).map((anchor) => english(anchor.label))
  expect(labels).toEqual(['corner of d and a', 'corner of a and b', 'corner of b and c', 'corner of c and d'])
})

test('an outline of one edge has no corners: the flattest place is fixed instead', () => {
  const round: Polygon = Array.from({ length: 40 }, (_, k) => [
    100 * Math.cos((k * Math.PI) / 20),
    100 * Math.sin((k * Math.PI) / 20),
  ])
  const anchors = cornersOf(
    round,
    round.map(() => 'rim'),
    { rim: { minMm: 0, maxMm: 2 } },
  )
  expect(anchors.length).toBe(1)
  expect(english(anchors[0]?.label ?? { text: '', with: [] })).toContain('flattest place')
  expect(anchors[0]?.gaps).toEqual([])
})

test('the corner with the least room to its rule comes first, whether too near or too far, then each the next of the last', () => {
  const square: Polygon = [
    [0, 0],
    [400, 0],
    [400, 300],
    [0, 300],
  ]
  const edges = ['a', 'b', 'c', 'd']
  const rules = Object.fromEntries(edges.map((edge) => [edge, { minMm: 2, maxMm: 6 }]))
  const at = (corner: number, marginMm: number): EdgeMargin => ({
    ...({ inward: [0, 1], alongMm: 0, beside: null } as unknown as EdgeMargin),
    edge: edges[corner] ?? '',
    at: square[corner] ?? [0, 0],
    marginMm,
  })
  for (const tight of [0, 1, 2, 3])
    for (const marginMm of [2.2, 5.8]) {
      const margins = [0, 1, 2, 3].map((corner) => at(corner, corner === tight ? marginMm : 4))
      const places = cornersOf(square, edges, rules, margins).map((anchor) => anchor.at)
      expect(places).toEqual([0, 1, 2, 3].map((k) => square[(tight + k) % 4]))
    }
})

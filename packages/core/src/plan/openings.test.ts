import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { edgeMargins, edgeSpots } from '../align/index.ts'
import type { Polygon, Vec2 } from '../geometry/index.ts'
import { correctionFor, measuredGaps, planOfStep } from './index.ts'
import { openingChain } from './openings.ts'
import { planOf, stepOf, testPart } from './testParts.ts'

const ring = (at: Vec2, r: number): Polygon =>
  Array.from(
    { length: 36 },
    (_, k): Vec2 => [at[0] + r * Math.cos((k * Math.PI) / 18), at[1] + r * Math.sin((k * Math.PI) / 18)],
  )
const directions = { right: 'the front', left: 'the rear', up: 'the roof', down: 'the ground' }

/** A plate with round openings, and film that stops short of each by so much. */
function plate(holes: readonly { readonly name: string; readonly at: Vec2; readonly r: number }[]) {
  const outline: Polygon = [
    [-600, -150],
    [600, -150],
    [600, 150],
    [-600, 150],
  ]
  const flat = (polygon: Polygon, name: string) => ({ polygon, edgeOfSide: polygon.map(() => name), corners: [] })
  const part = { outline: flat(outline, 'rim'), holes: holes.map((h) => flat(ring(h.at, h.r), h.name)) }
  const margins = edgeMargins(edgeSpots(part, 8), { outline, cutOuts: holes.map((h) => ring(h.at, h.r + 1.5)) })
  const form = {
    directions,
    holes: holes.map((h) => ({ name: h.name, label: h.name, outline: ring(h.at, h.r), code: 'stop-short' as const })),
  }
  const rules = Object.fromEntries(holes.map((h) => [h.name, { minMm: 0.5, maxMm: 2.5 }]))
  return openingChain(form, part, margins, rules)
}
const names = (chain: ReturnType<typeof plate>) => chain.map((set) => set.map((o) => o.name))

describe('a chain of openings', () => {
  test('the middle pair first, then outward', () => {
    const sensors = [-520, -180, 190, 530].map((x, i) => ({ name: `s${i}`, at: [x, 20] as Vec2, r: 14 }))
    expect(names(plate(sensors))).toEqual([
      ['s1', 's2'],
      ['s0', 's3'],
    ])
  })
  test('openings of another size or distance are set one by one', () => {
    const mixed = [
      { name: 'handle', at: [280, 60] as Vec2, r: 60 },
      { name: 'foot', at: [-300, 60] as Vec2, r: 20 },
    ]
    expect(names(plate(mixed))).toEqual([['handle'], ['foot']])
  })
  test.each([
    ['a little', 22, [['front', 'rear']]],
    ['much', 26, [['front'], ['rear']]],
  ] as const)('two as far out whose sizes differ %s', (_, r, sets) => {
    const two = [
      { name: 'front', at: [300, 0] as Vec2, r: 20 },
      { name: 'rear', at: [-305, 0] as Vec2, r },
    ]
    expect(names(plate(two))).toEqual(sets)
  })
  test('one alone is what the film is cut for, not what it is set by', () => {
    expect(plate([{ name: 'badge', at: [0, 0], r: 40 }])).toEqual([])
  })
  test('each place to read has its own letter, its wish, and lies on the rim looking outward', () => {
    const chain = plate([
      { name: 'a', at: [-400, 0], r: 20 },
      { name: 'b', at: [10, 0], r: 40 },
      { name: 'c', at: [420, 0], r: 20 },
    ])
    const checks = chain.flat().flatMap((o) => o.checks)
    expect(new Set(checks.map((c) => c.id)).size).toBe(checks.length)
    for (const { checks: own, at, radiusMm } of chain.flat())
      for (const check of own) {
        expect(check.wantedMm).toBe(1.5)
        expect(Math.hypot(check.at[0] - at[0], check.at[1] - at[1])).toBeCloseTo(radiusMm, 0)
        const out = (check.at[0] - at[0]) * check.normal[0] + (check.at[1] - at[1]) * check.normal[1]
        expect(out).toBeGreaterThan(0.9 * radiusMm)
      }
    expect(chain[0]?.[0]?.checks.map((c) => english(c.label))).toEqual([
      'towards the rear: b',
      'towards the roof: b',
      'towards the front: b',
      'towards the ground: b',
    ])
  })
})

describe('openings are measured and corrected like gaps', () => {
  const plan = planOf(testPart('pipit-bumper', 'clearcoat-hull-180', 'pipit-bumper', 500))
  const own = planOfStep(plan, stepOf(plan, 'opening-1'))
  test('exactly as wished they are right', () => {
    const readings = own.checks.map((c) => ({ checkId: c.id, measuredMm: c.wantedMm }))
    expect(measuredGaps(own, readings).every((gap) => gap.right)).toBe(true)
  })
  test('film that sits off by a move is asked back by that move', () => {
    fc.assert(
      fc.property(fc.double({ min: -4, max: 4, noNaN: true }), fc.double({ min: -4, max: 4, noNaN: true }), (x, y) => {
        // A gap grows by as much as the film moves along its normal.
        const readings = own.checks.map((c) => ({
          checkId: c.id,
          measuredMm: c.wantedMm + x * c.normal[0] + y * c.normal[1],
        }))
        const correction = correctionFor(measuredGaps(own, readings), 0.25)
        if (!correction.ok) throw new Error('refused')
        expect(correction.value.moveMm[0]).toBeCloseTo(-x, 1)
        expect(correction.value.moveMm[1]).toBeCloseTo(-y, 1)
      }),
      { numRuns: 30 },
    )
  })
  test('the line between them is read at the places of its own edge, and nowhere else', () => {
    const line = stepOf(plan, 'line')
    const edge = line?.references.find((r) => r.kind === 'edge')
    const read = planOfStep(plan, line).checks
    expect(line?.records).toBe('gaps')
    expect(read.length).toBeGreaterThan(1)
    expect(new Set(read.map((check) => check.edge))).toEqual(new Set([edge?.kind === 'edge' ? edge.edge : '']))
    expect(read).toHaveLength(plan.checks.filter((check) => check.edge === read[0]?.edge).length)
  })
  test('why the first is set exactly is another reason than why each further one is', () => {
    const why = (id: string) => english(stepOf(plan, id)?.why ?? { text: '', with: [] })
    expect(why('opening-1')).toBe(
      'An opening shows the least shift, and what is set here moves everything further out.',
    )
    expect(why('opening-2')).toBe('Each opening is centred before the next: from here on the film can only be drawn.')
  })
  test('a step that names no places to read is asked for all', () => {
    expect(planOfStep(plan, stepOf(plan, 'soak'))).toBe(plan)
    expect(planOfStep(plan, undefined)).toBe(plan)
  })
})

import { type Vec2, signedArea } from '@truelay/core/geometry'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { DrawnLine } from '../drawing/index.ts'
import { joinLines } from './joinLines.ts'

const line = (points: readonly Vec2[], layer = '0'): DrawnLine => ({ points, closed: false, layers: [layer] })

/** A closed outline of points round a middle, broken into lines of one side or more, each turned and all mixed up as told. */
const brokenOutlines = fc
  .record({
    radii: fc.array(fc.integer({ min: 60, max: 200 }), { minLength: 5, maxLength: 14 }),
    breaks: fc.array(fc.boolean(), { minLength: 14, maxLength: 14 }),
    turned: fc.array(fc.boolean(), { minLength: 14, maxLength: 14 }),
    order: fc.shuffledSubarray([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13], { minLength: 14 }),
    gap: fc.constantFrom(0, 0.05, 0.2),
  })
  .map(({ radii, breaks, turned, order, gap }) => {
    const n = radii.length
    const outline = radii.map(
      (r, i): Vec2 => [r * Math.cos((2 * Math.PI * i) / n), r * Math.sin((2 * Math.PI * i) / n)],
    )
    const lines: DrawnLine[] = []
    let points: Vec2[] = [outline[0] as Vec2]
    for (let i = 1; i <= n; i++) {
      const to = outline[i % n] as Vec2
      points.push(to)
      if (i === n || i === 2 || breaks[i]) {
        // Ends that miss each other by a hair.
        lines.push(line([...points.slice(0, -1), [to[0] + gap, to[1]]], `layer ${lines.length}`))
        points = [to]
      }
    }
    const mixed = order
      .flatMap((k) => (lines[k] === undefined ? [] : [{ own: lines[k], turn: turned[k] === true }]))
      .map(({ own, turn }) => (turn ? { ...own, points: [...own.points].reverse() } : own))
    return { outline, mixed, gap }
  })

describe('lines joined to outlines', () => {
  test('in any order, drawn from either end, on layers of their own, they close to the outline they were', () => {
    fc.assert(
      fc.property(brokenOutlines, ({ outline, mixed, gap }) => {
        const { joined, drawnOver } = joinLines(mixed, 0.3)
        expect(drawnOver).toBe(0)
        expect(joined).toHaveLength(1)
        expect(joined[0]).toMatchObject({ closed: true })
        expect(joined[0]?.gapMm).toBeCloseTo(gap, 9)
        const area = Math.abs(signedArea(joined[0]?.points ?? []))
        expect(Math.abs(area / Math.abs(signedArea(outline)) - 1)).toBeLessThan(gap === 0 ? 1e-9 : 0.01)
      }),
      { numRuns: 300 },
    )
  })
  test('one that is met at its beginning goes on from there, with no point lost or doubled', () => {
    const { joined } = joinLines(
      [
        line([
          [100, 0],
          [0, 0],
        ]),
        line([
          [100, 0],
          [100, 80],
          [0, 80],
        ]),
      ],
      0.5,
    )
    expect(joined).toHaveLength(1)
    expect(joined[0]?.closed).toBe(false)
    const points = joined[0]?.points ?? []
    const asFound = points[0]?.[1] === 80 ? [...points].reverse() : points
    expect(asFound).toEqual([
      [0, 0],
      [100, 0],
      [100, 80],
      [0, 80],
    ])
  })
  test('ends further apart than the gap stay apart, and the outline stays open', () => {
    const open = [
      line([
        [0, 0],
        [100, 0],
        [100, 100],
      ]),
      line([
        [100, 101],
        [0, 100],
        [0, 0],
      ]),
    ]
    expect(joinLines(open, 0.9).joined.map((one) => one.closed)).toEqual([false])
    expect(joinLines(open, 1.1).joined.map((one) => one.closed)).toEqual([true])
  })
  test('what is drawn twice is used once, also when it was drawn the other way round', () => {
    const side: Vec2[] = [
      [0, 0],
      [100, 0],
      [100, 100],
    ]
    const { joined, drawnOver } = joinLines(
      [
        line(side),
        line([...side].reverse()),
        line([
          [100, 100],
          [0, 0],
        ]),
      ],
      0.5,
    )
    expect(drawnOver).toBe(1)
    expect(joined).toHaveLength(1)
    expect(joined[0]?.closed).toBe(true)
  })
})

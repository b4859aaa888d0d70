import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { contains, nearestOnOutline, selfCrossing, signedArea, type Vec2 } from '../geometry/index.ts'
import { required } from '../result/index.ts'
import { outerRim, traceOutline } from './index.ts'
import { missOfLeftOut } from './leftOutSpots.ts'
import { outlineOfTargets } from './outlineOfTargets.ts'

const box: Vec2[] = [
  [0, 0],
  [100, 0],
  [200, 0],
  [200, 80],
  [200, 160],
  [100, 160],
  [0, 160],
  [0, 80],
]
const areaOf = (rim: readonly Vec2[], paperMm: number) => {
  const { start, outline } = outlineOfTargets(rim, paperMm)
  return signedArea(required(traceOutline('part', start, outline)).polygon)
}

describe('the outline along targets of a rim', () => {
  test('a box: four edges, moved out by the paper on all sides, whichever way round it is named', () => {
    const { edges, outline } = outlineOfTargets(box, 18)
    expect(edges).toHaveLength(4)
    expect(outline.every(({ kind }) => kind === 'spline')).toBe(true)
    expect(areaOf(box, 18)).toBeCloseTo(236 * 196, -1)
    expect(areaOf([...box].reverse(), 18)).toBeCloseTo(236 * 196, -1)
    expect(areaOf(box, 0)).toBeCloseTo(200 * 160, -1)
  })
  test('a round part comes out as round as it is, though its targets are far apart', () => {
    const round = Array.from({ length: 14 }, (_, i): Vec2 => {
      const turn = (2 * Math.PI * i) / 14
      return [200 * Math.cos(turn), 200 * Math.sin(turn)]
    })
    const area = areaOf(round, 18)
    // Their polygon is 3 per cent smaller than the circle; the curve is not.
    expect(area / (Math.PI * 218 ** 2)).toBeGreaterThan(0.985)
    expect(area / (Math.PI * 218 ** 2)).toBeLessThan(1.015)
  })
})

describe('the outer ones of scattered targets', () => {
  const grid = (keep: (x: number, y: number) => boolean): Vec2[] =>
    Array.from(
      { length: 70 },
      (_, k): Vec2 => [50 * (k % 10) + 5 * Math.sin(k), 50 * Math.floor(k / 10) + 5 * Math.cos(3 * k)],
    ).filter(([x, y]) => keep(x, y))
  test('of a full grid are its border, counter-clockwise and each once', () => {
    const spots = grid(() => true)
    const rim = outerRim(spots)
    expect(new Set(rim).size).toBe(rim.length)
    expect(signedArea(rim.map((i) => spots[i] ?? [0, 0]))).toBeGreaterThan(0)
    expect(rim.length).toBe(30)
    for (const i of rim) {
      const [column, row] = [i % 10, Math.floor(i / 10)]
      expect(column === 0 || column === 9 || row === 0 || row === 6).toBe(true)
    }
  })
  test('follow a part that is not round all over', () => {
    // A corner is missing.
    const spots = grid((x, y) => !(x > 230 && y > 130))
    const rim = outerRim(spots).map((i): Vec2 => spots[i] ?? [0, 0])
    const hull = 450 * 300
    expect(signedArea(rim)).toBeLessThan(0.8 * hull)
  })
  test('hang on the usual gap, not on the order in which spots were found', () => {
    const spots = grid((x, y) => !(x > 230 && y > 130))
    const names = (rim: readonly Vec2[]) => rim.map((p) => p.join()).sort()
    const usual = names(outerRim(spots).map((i) => spots[i] ?? [0, 0]))
    // Two that were stuck close together come in the middle of the list, then at its ends.
    for (const turn of [7, 19, 33]) {
      const turned = [...spots.slice(turn), ...spots.slice(0, turn)]
      expect(names(outerRim(turned).map((i) => turned[i] ?? [0, 0]))).toEqual(usual)
    }
    const close: Vec2 = [205, 104]
    for (const place of [0, 20, spots.length]) {
      const more = [...spots.slice(0, place), close, ...spots.slice(place)]
      expect(names(outerRim(more).map((i) => more[i] ?? [0, 0]))).toEqual(usual)
    }
  })
  test('enclose all others, whatever was stuck where', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 })), {
          minLength: 4,
          maxLength: 40,
          selector: ([x, y]) => `${x} ${y}`,
        }),
        (list) => {
          const spots = list.map(([x, y], i): Vec2 => [20 * x + (i % 7) / 3, 20 * y + (i % 5) / 3])
          const rim = outerRim(spots)
          expect(new Set(rim).size).toBe(rim.length)
          const drawn = rim.map((i): Vec2 => spots[i] ?? [0, 0])
          expect(signedArea(drawn)).toBeGreaterThanOrEqual(0)
          expect(drawn.length > 3 ? selfCrossing(drawn) : null).toBeNull()
          for (const spot of spots)
            expect(contains(drawn, spot) || nearestOnOutline(drawn, spot).distanceMm < 1e-9).toBe(true)
        },
      ),
    )
  })
})

describe('spots that are left out one by one', () => {
  const spots = Array.from({ length: 25 }, (_, k) => ({
    name: `target ${k}`,
    at: [40 * (k % 5), 40 * Math.floor(k / 5)] as Vec2,
    heightMm: 0,
    sigmaMm: 0.1,
  }))
  test('those at the rim do not count: beyond them nobody knows', () => {
    const miss = spots.map((_, k) => (k === 12 ? -2 : k === 0 ? 50 : 1))
    const told = missOfLeftOut(spots, miss)
    expect(told?.worst).toMatchObject({ name: 'target 12', missMm: -2 })
    // Nine lie inside: eight are missed by 1, one by 2.
    expect(told?.rmsMm).toBeCloseTo(Math.sqrt((8 + 4) / 9), 6)
  })
  test('of three there is nothing to tell', () => {
    expect(missOfLeftOut(spots.slice(0, 3), [1, 1, 1])).toBeNull()
  })
})

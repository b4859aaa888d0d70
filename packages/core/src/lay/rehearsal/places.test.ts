import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { buildSurface, type FormDoc } from '../../form/index.ts'
import { distance } from '../../geometry/index.ts'
import { required } from '../../result/index.ts'
import { bulgedPart, flatPart, fourEdges, hollowPart, squarePart } from '../testParts.ts'
import { centreOf, deepestOf, endOf, flattestOf, highestOf } from './places.ts'
import { orderBySchool } from './schools.ts'
import { bestPlace, outOf, spotsOver, turnAround } from './spotsOver.ts'

const built = (form: FormDoc, triangles = 1200) => required(buildSurface(form, { triangles }))

/** Bowed on its right half only. */
const halfDomed = squarePart([
  { name: 'right, up', from: [100, -150], to: [100, 150], sagittaMm: 24 },
  { name: 'left, up', from: [-100, -150], to: [-100, 150], sagittaMm: 0 },
  { name: 'left, across', from: [-150, 0], to: [0, 0], sagittaMm: 0 },
  { name: 'right, across', from: [0, 0], to: [150, 0], sagittaMm: 8 },
])

describe('places that schools begin at', () => {
  test('the flattest place of a half-domed part lies in its flat half', () => {
    const spot = flattestOf(halfDomed, built(halfDomed))
    expect(spot.at[0]).toBeLessThan(-30)
    expect(english(spot.label)).toContain('towards the left')
  })
  test.each([
    ['flat', flatPart],
    ['bulged', bulgedPart],
  ])('where all of a %s part is alike they are its middle', (_, form) => {
    const surface = built(form)
    for (const spot of [flattestOf(form, surface), deepestOf(form, surface), ...highestOf(form, surface)])
      expect(distance(spot.at, [0, 0])).toBeLessThan(20)
  })
  test('a recess is deepest at its own middle, and the middle of the part is its centre', () => {
    const surface = built(hollowPart)
    expect(distance(deepestOf(hollowPart, surface).at, [40, 20])).toBeLessThan(1)
    expect(centreOf(hollowPart, surface).at[0]).toBeCloseTo(0, 9)
  })
  test('a centre that is cut out moves to the rim of the opening', () => {
    const outline = [
      [-40, -40],
      [40, -40],
      [40, 60],
      [-40, 60],
    ] as const
    const form = squarePart([], { holes: [{ name: 'lamp', label: 'lamp', outline, rule: 'cut' } as never] })
    const spot = centreOf(form, built(form))
    expect(distance(spot.at, [0, 0])).toBeCloseTo(40, 6)
  })
})

describe('the end that is begun at', () => {
  const long = (more: Partial<FormDoc> = {}): FormDoc => ({
    ...squarePart([]),
    ...fourEdges([
      [300, -60],
      [300, 60],
      [-300, 60],
      [-300, -60],
    ]),
    ...more,
  })
  const end = (form: FormDoc) => endOf(form, built(form))
  test('is the left one where both are alike', () => {
    expect(end(long()).at[0]).toBeLessThan(-250)
    expect(english(end(long()).lineLabel)).toBe('the end towards the left')
  })
  test('is the one with a mark', () => {
    const marked = end(long({ marks: [{ name: 'tab', label: 'tab', at: [280, 10], weight: 1 }] }))
    expect(marked.at[0]).toBeGreaterThan(230)
    expect(english(marked.label)).toBe('tab')
    expect(english(marked.lineLabel)).toBe('the end towards the right')
    for (const [x] of marked.line) expect(x).toBeGreaterThan(260)
  })
  test('is the flatter one', () => {
    const curled = long({
      bow: [
        { name: 'left, up', from: [-250, -60], to: [-250, 60], sagittaMm: 1.6 },
        { name: 'right, up', from: [250, -60], to: [250, 60], sagittaMm: 0 },
      ],
    })
    expect(end(curled).at[0]).toBeGreaterThan(230)
  })
})

describe('spots over a part', () => {
  test('are the same whatever the mesh, and lie on the surface', () => {
    const [a, b] = [spotsOver(built(bulgedPart, 800)), spotsOver(built(bulgedPart, 3000))]
    expect(a.spots.map((s) => s.at)).toEqual(b.spots.map((s) => s.at))
    a.spots.forEach((spot, i) => {
      expect(Math.abs(spot.position[2] - b.spots[i]!.position[2])).toBeLessThan(0.3)
    })
  })
  test('turn and stand out as on the ball that they lie on', () => {
    const { spots, near } = spotsOver(built(bulgedPart, 3000))
    const middle = [...spots].sort((p, q) => distance(p.at, [0, 0]) - distance(q.at, [0, 0]))[0]!
    const around = near(middle, 60)
    // 18 mm over 300 mm are a radius of 634 mm; within 60 mm normals turn by 60 / 634 / sqrt(2), and it stands out by 60^2 / 4 / 634.
    expect(turnAround(middle, around)).toBeCloseTo(60 / 634 / Math.SQRT2, 2)
    expect(outOf(middle, around)).toBeCloseTo(3600 / 4 / 634, 0)
  })
  test('the best of two that are worth the same lies between them', () => {
    const between = bestPlace(
      [
        { at: [0, 0], worth: 1 },
        { at: [10, 0], worth: 1 },
        { at: [500, 0], worth: 0.99 },
      ],
      50,
      0.1,
    )
    expect(between?.[0]).toBeCloseTo(5, 2)
    expect(bestPlace([], 50, 0.1)).toBeNull()
  })
  test.each([-60, -20, 40])(
    'on a ridge it lies in the middle, whichever spot of it is best by a hair (%d mm)',
    (best) => {
      const spots = Array.from({ length: 41 }, (_, i) => (i - 20) * 10).flatMap((x) =>
        [-20, 0, 20].map((y) => ({
          at: [x, y] as const,
          worth: (Math.abs(x) > 70 ? -1 : 0) - Math.abs(y) / 100 + (x === best && y === 0 ? 1e-4 : 0),
        })),
      )
      const [x, y] = bestPlace(spots, 60, 0.1) ?? [Number.NaN, Number.NaN]
      expect(Math.abs(x)).toBeLessThan(5)
      expect(Math.abs(y)).toBeLessThan(1)
    },
  )
  test('a second ridge far away draws it nowhere', () => {
    const ridge = (from: number, worth: number) =>
      Array.from({ length: 9 }, (_, i) => ({ at: [from + 10 * i, 0] as const, worth }))
    const [x] = bestPlace([...ridge(0, 1), ...ridge(500, 0.999)], 50, 0.1) ?? [Number.NaN]
    expect(x).toBeCloseTo(40, 0)
  })
})

describe('corners first', () => {
  test('of three edges and more: along the edge that stops short, which is named', () => {
    const form: FormDoc = {
      ...squarePart([]),
      edges: squarePart([]).edges.map((e) => ({ ...e, code: e.name === 'top' ? 'stop-short' : 'wrap' })),
    }
    const order = orderBySchool('corners first', form, built(form))
    expect(order.from.length).toBeGreaterThan(1)
    for (const [, y] of order.from) expect(y).toBeCloseTo(150, 6)
    expect(order.fromLabel === null ? '' : english(order.fromLabel)).toBe('the top edge')
    expect(order.anchors).toHaveLength(4)
    expect(order.anchors.every(({ pullShare }) => pullShare === 1)).toBe(true)
  })
  test('of two edges, each half way round: from one corner, and no edge is named', () => {
    const square = squarePart([])
    const form: FormDoc = {
      ...square,
      outline: square.outline.map((side, i) => ({ ...side, edge: i < 2 ? 'low' : 'high' })),
      edges: ['low', 'high'].map((name) => ({ name, label: `${name} edge`, code: 'stop-short' })),
    }
    const order = orderBySchool('corners first', form, built(form))
    expect(order.fromLabel).toBeNull()
    expect(order.from).toEqual([order.anchors[0]?.at])
  })
})

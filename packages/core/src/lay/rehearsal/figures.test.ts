import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { fitRigid, rotate, type Vec2 } from '../../geometry/index.ts'
import { bulgedPart, flatPart, hollowPart, softFilm, stageOf } from '../testParts.ts'
import {
  type Rehearsal,
  type RehearsalFigures,
  figuresOf,
  orderBySchool,
  rehearse,
  schoolNames,
  type TroubleWeights,
  troubleOf,
  troubleWeights,
} from '../index.ts'

const calm: Omit<RehearsalFigures, 'trouble'> = {
  edges: [],
  worstFingersMmPer100: 0,
  largestStretch: 0,
  largestStretchAt: [0, 0],
  largestStretchEdge: 'a',
  glueLineShare: 0,
  wrinkledShare: 0,
  hollows: [],
  farEnd: { edge: 'a', shiftMm: 0 },
  anchors: 1,
  lifts: 0,
  warmPulls: 0,
  liftedShare: 0,
  warmShare: 0,
  patternWarp: 0,
}
const trouble = (more: Partial<typeof calm>, patterned = false, weights?: TroubleWeights) =>
  troubleOf({ ...calm, ...more }, patterned, weights)
const edges = (...fingers: number[]) =>
  fingers.map((fingersMmPer100, i) => ({
    edge: `e${i}`,
    fingersMmPer100,
    afterShrinkingMmPer100: 0,
    stretch: 0,
    marginShiftMm: 0,
  }))
const hollow = (bridging: number) => ({
  name: 'scoop',
  stretch: 0.1,
  floorFirst: false,
  bridging,
  risk: 'some' as const,
})

describe('trouble', () => {
  test('a part that lies down by itself has none', () => {
    expect(trouble({})).toBe(0)
  })
  test.each<[string, Partial<typeof calm>, number]>([
    ['the worst finger and the mean of all edges', { worstFingersMmPer100: 2, edges: edges(2, 0, 1, 1) }, 2 + 1],
    ['stretch, a per cent', { largestStretch: 0.05 }, 0.3 * 5],
    ['area that may show a glue line, a per cent', { glueLineShare: 0.1 }, 0.15 * 10],
    ['area that wrinkles, a per cent', { wrinkledShare: 0.1 }, 0.1 * 10],
    ['a hollow that may bridge', { hollows: [hollow(0.25)] }, 0.75],
    ['one that will', { hollows: [hollow(1), hollow(0)] }, 3],
    ['two that may', { hollows: [hollow(0.5), hollow(0.25)] }, 2.25],
    ['what had to be lifted', { liftedShare: 0.2, lifts: 9 }, 0.015 * 20],
    ['what had to be pulled warm', { warmShare: 0.2, warmPulls: 9 }, 0.025 * 20],
    ['a far end that comes out off, either way', { farEnd: { edge: 'a', shiftMm: -4 } }, 0.05 * 4],
    ['each spot that is fixed beyond the first', { anchors: 4 }, 0.1 * 3],
    ['no anchor at all is no gain', { anchors: 0 }, 0],
  ])('counts %s', (_, more, points) => {
    expect(trouble(more)).toBeCloseTo(points, 12)
  })
  test('counts warp only on film with a pattern', () => {
    expect(trouble({ patternWarp: 0.1 })).toBe(0)
    expect(trouble({ patternWarp: 0.1 }, true)).toBeCloseTo(0.4 * 10, 12)
  })
  test('each weight counts its own trouble and no other', () => {
    const all: typeof calm = {
      ...calm,
      edges: edges(1),
      worstFingersMmPer100: 1,
      largestStretch: 0.1,
      glueLineShare: 0.1,
      wrinkledShare: 0.1,
      hollows: [hollow(0.5)],
      farEnd: { edge: 'a', shiftMm: 1 },
      anchors: 2,
      liftedShare: 0.1,
      warmShare: 0.1,
      patternWarp: 0.1,
    }
    const kinds = Object.keys(troubleWeights) as (keyof TroubleWeights)[]
    const parts = kinds.map((kind) => {
      const only = Object.fromEntries(kinds.map((k) => [k, k === kind ? troubleWeights[k] : 0]))
      return troubleOf(all, true, only as unknown as TroubleWeights)
    })
    for (const part of parts) expect(part).toBeGreaterThan(0)
    const whole = parts.reduce((sum, part) => sum + part, 0)
    expect(troubleOf(all, true)).toBeCloseTo(whole, 9)
  })
  test('more of anything is never less trouble', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(share, share, share, share, fc.integer({ min: 1, max: 6 }), (a, b, c, d, anchors) => {
        const less = { largestStretch: a, glueLineShare: b, wrinkledShare: c, liftedShare: d, anchors }
        const more = { largestStretch: a + 0.01, glueLineShare: b, wrinkledShare: c, liftedShare: d, anchors }
        expect(trouble(more)).toBeGreaterThan(trouble(less))
        expect(trouble({ ...less, anchors: anchors + 1 })).toBeGreaterThan(trouble(less))
      }),
    )
  })
})

describe('figures of a rehearsal', () => {
  const bulge = stageOf(bulgedPart)
  const order = orderBySchool('centre out', bulge.form, bulge.surface)
  const [made, later] = [0, 0.5].map((begin) => rehearse(bulge, order, { strokesBegin: [begin] })) as [
    Rehearsal,
    Rehearsal,
  ]
  const figures = figuresOf(bulge, made.order, made)
  test('are those that the rehearsal itself carries', () => {
    expect(figures).toEqual(made.figures)
  })
  test('of film laid twice, with strokes that begin half a stroke apart, are the means; steps and picture are of the first', () => {
    const twice = rehearse(bulge, order)
    expect(twice).toMatchObject({ steps: made.steps, flat: made.flat, stretch: made.stretch })
    const mean = (of: (figures: RehearsalFigures) => number) => (of(made.figures) + of(later.figures)) / 2
    for (const of of [
      (f) => f.largestStretch,
      (f) => f.liftedShare,
      (f) => f.warmShare,
      (f) => f.farEnd.shiftMm,
      (f) => f.edges[3]?.stretch ?? 0,
      (f) => f.edges[0]?.marginShiftMm ?? 0,
    ] satisfies ((figures: RehearsalFigures) => number)[]) {
      expect(of(twice.figures)).toBeCloseTo(mean(of), 12)
      expect(of(later.figures)).not.toBe(of(made.figures))
    }
    expect(twice.figures.trouble).toBe(troubleOf(twice.figures, false))
    expect(twice.figures).toMatchObject({ lifts: made.figures.lifts, warmPulls: made.figures.warmPulls })
  })
  test('name each edge once, and their worst finger', () => {
    expect(figures.edges.map((e) => e.edge)).toEqual(bulgedPart.edges.map((e) => e.name))
    expect(figures.worstFingersMmPer100).toBe(Math.max(...figures.edges.map((e) => e.fingersMmPer100)))
  })
  test('count what the steps say', () => {
    expect(figures.anchors).toBe(made.steps.filter((s) => s.kind === 'anchor').length)
    expect(figures.lifts).toBe(made.steps.filter((s) => s.lifted).length)
    expect(figures.warmPulls).toBe(made.steps.filter((s) => s.pull?.heat === 'warm').length)
    expect(figures.liftedShare).toBeGreaterThanOrEqual(0)
    expect(figures.liftedShare).toBeLessThanOrEqual(1)
  })
  test('stay within what the triangles are', () => {
    const most = Math.max(...[...made.stretch].filter((_, i) => i % 2 === 0)) - 1
    expect(figures.largestStretch).toBeLessThanOrEqual(most + 1e-12)
    expect(figures.largestStretch).toBeGreaterThan(0.3 * most)
    for (const share of [figures.glueLineShare, figures.wrinkledShare, figures.warmShare]) {
      expect(share).toBeGreaterThanOrEqual(0)
      expect(share).toBeLessThanOrEqual(1)
    }
    for (const edge of figures.edges) expect(edge.stretch).toBeLessThanOrEqual(most + 1e-12)
  })
  test('shrinking warm leaves no more film over than there was', () => {
    for (const e of figures.edges) expect(e.afterShrinkingMmPer100).toBeLessThanOrEqual(e.fingersMmPer100)
  })
  test('film that shows a glue line sooner shows it on more of the part', () => {
    const sooner = stageOf(bulgedPart, { ...softFilm, glueLineStretch: softFilm.glueLineStretch / 20 })
    expect(figuresOf(sooner, made.order, made).glueLineShare).toBeGreaterThan(figures.glueLineShare)
  })
  test('film that takes up more wrinkles less', () => {
    const firm = stageOf(bulgedPart, { ...softFilm, take: 0 })
    expect(figuresOf(firm, made.order, made).wrinkledShare).toBeGreaterThanOrEqual(figures.wrinkledShare)
  })
  test('a flat part has nothing to tell', () => {
    const flat = stageOf(flatPart, softFilm, 300)
    const { figures } = rehearse(flat, orderBySchool('centre out', flat.form, flat.surface))
    expect(figures).toMatchObject({ glueLineShare: 0, wrinkledShare: 0, lifts: 0, hollows: [] })
    expect(figures.patternWarp).toBeLessThan(1e-3)
    expect(Math.abs(figures.farEnd.shiftMm)).toBeLessThan(0.05)
  })
})

describe('how far the edge of the film moved', () => {
  const flat = stageOf(flatPart, softFilm, 300)
  const made = rehearse(flat, orderBySchool('centre out', flat.form, flat.surface))
  const spots = (xy: ArrayLike<number>) =>
    Array.from({ length: xy.length / 2 }, (_, v): Vec2 => [xy[2 * v]!, xy[2 * v + 1]!])
  const { turnRad } = fitRigid(spots(flat.surface.plan), spots(flat.worked.flat))
  /** Each spot of the film moved, as seen on the drawing. */
  const shifts = (move: (at: Vec2) => Vec2) => {
    const moved = spots(flat.worked.flat).flatMap((at, v) => {
      const [x, y] = rotate(move([flat.surface.plan[2 * v]!, flat.surface.plan[2 * v + 1]!]), turnRad)
      return [at[0] + x, at[1] + y]
    })
    const figures = figuresOf(flat, made.order, { ...made, flat: Float64Array.from(moved) })
    return { figures, by: Object.fromEntries(figures.edges.map((e) => [e.edge, e.marginShiftMm])) }
  }
  test.each<[string, Vec2]>([
    ['to the right', [2, 0]],
    ['up', [0, 3]],
    ['slanting', [-1.5, 2.5]],
  ])('moved %s: outward at the edges ahead, inward at those behind', (_, [x, y]) => {
    const { by } = shifts(() => [x, y])
    // Sides of the mesh at a corner may count to either edge.
    expect(by.right).toBeCloseTo(x, 6)
    expect(by.left).toBeCloseTo(-x, 6)
    expect(by.top).toBeCloseTo(y, 6)
    expect(by.bottom).toBeCloseTo(-y, 6)
  })
  test('drawn in at one edge alone: there', () => {
    const { by, figures } = shifts(([x]) => [x > 149 ? -1 : 0, 0])
    expect(by.right).toBeCloseTo(-1, 6)
    for (const edge of ['left', 'top', 'bottom']) expect(Math.abs(by[edge] ?? 1)).toBeLessThan(0.01)
    expect(figures.farEnd.shiftMm).toBe(by[figures.farEnd.edge])
  })
})

describe('a hollow', () => {
  const hollowed = stageOf(hollowPart)
  test('is laid from its bottom by the school that says so; no other risks less of bridging it', () => {
    const by = (school: (typeof schoolNames)[number]) =>
      rehearse(hollowed, orderBySchool(school, hollowed.form, hollowed.surface)).figures.hollows[0]
    const risks = ['none', 'some', 'high']
    const deepest = by('deepest first')
    expect(deepest).toMatchObject({ name: hollowPart.recesses[0]?.name, floorFirst: true })
    for (const school of schoolNames)
      expect(risks.indexOf(deepest?.risk ?? 'high')).toBeLessThanOrEqual(risks.indexOf(by(school)?.risk ?? 'none'))
  })
})

import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { name, say } from '../../say/index.ts'
import { bulgedPart } from '../testParts.ts'
import { compareOrders, explainBetter, orderName, orderWords } from './compare.ts'
import type { LayOrder, Rehearsal, RehearsalFigures } from './orderTypes.ts'

const [edge, otherEdge] = bulgedPart.edges.map((e) => e.name) as [string, string]
const labelOf = (name: string) => bulgedPart.edges.find((e) => e.name === name)?.label ?? name

/** Figures of an order that does nothing wrong. */
const calm: RehearsalFigures = {
  edges: [edge, otherEdge].map((name) => ({
    edge: name,
    fingersMmPer100: 0,
    afterShrinkingMmPer100: 0,
    stretch: 0,
    marginShiftMm: 0,
  })),
  worstFingersMmPer100: 0,
  largestStretch: 0,
  largestStretchAt: [0, 0],
  largestStretchEdge: edge,
  glueLineShare: 0,
  wrinkledShare: 0,
  hollows: [],
  farEnd: { edge: otherEdge, shiftMm: 0 },
  anchors: 1,
  lifts: 0,
  warmPulls: 0,
  liftedShare: 0,
  warmShare: 0,
  patternWarp: 0,
  trouble: 0,
}
const atEdge = (more: Partial<RehearsalFigures['edges'][number]>): Partial<RehearsalFigures> => ({
  edges: calm.edges.map((e) => (e.edge === edge ? { ...e, ...more } : e)),
})
const hollow = (risk: 'none' | 'some' | 'high', floorFirst = false) => ({
  hollows: [{ name: 'scoop', stretch: 0.02, floorFirst, bridging: { none: 0, some: 0.3, high: 1 }[risk], risk }],
})
const differences = (from: Partial<RehearsalFigures>, to: Partial<RehearsalFigures>, patterned = false) =>
  compareOrders(bulgedPart, { ...calm, ...from }, { ...calm, ...to }, patterned)

describe('two orders that differ in one thing', () => {
  const label = labelOf(edge)
  test.each<[string, Partial<RehearsalFigures>, Partial<RehearsalFigures>, number, string]>([
    [
      'stretch',
      atEdge({ stretch: 0.03 }),
      atEdge({ stretch: 0.01 }),
      0.6,
      `The ${label} then needs 1 % instead of 3 %.`,
    ],
    [
      'fingers',
      atEdge({ fingersMmPer100: 1.4 }),
      atEdge({ fingersMmPer100: 0.4 }),
      1,
      `0.4 mm per 100 mm is left at the ${label} instead of 1.4 mm.`,
    ],
    [
      'fingers',
      atEdge({ fingersMmPer100: 0.8 }),
      {},
      0.8,
      `No film is left at the ${label}, instead of 0.8 mm per 100 mm.`,
    ],
    [
      'largest',
      { largestStretch: 0.06, largestStretchEdge: otherEdge },
      { largestStretch: 0.02 },
      0.8,
      `The hardest place needs 2 % (by the ${label}) instead of 6 % (by the ${labelOf(otherEdge)}).`,
    ],
    [
      'largest',
      { largestStretch: 0.06 },
      { largestStretch: 0.02 },
      0.8,
      `The hardest place, by the ${label}, needs 2 % instead of 6 %.`,
    ],
    [
      'glue line',
      { glueLineShare: 0.25 },
      { glueLineShare: 0.05 },
      2.4,
      '5 % of the part can show a glue line instead of 25 %.',
    ],
    [
      'glue line',
      { glueLineShare: 0.25 },
      {},
      3,
      'Nothing is stretched so far that it shows, instead of 25 % of the part.',
    ],
    ['bridging', hollow('high'), hollow('some'), 2, 'Risk of bridging the scoop: some instead of high.'],
    [
      'bridging',
      hollow('high'),
      hollow('none', true),
      3,
      'The bottom of the scoop lies before its rim, so it cannot bridge.',
    ],
    [
      'lifts',
      { liftedShare: 0.6 },
      { liftedShare: 0.2 },
      0.6,
      '20 % of it has to be lifted and laid again instead of 60 %.',
    ],
    ['lifts', { liftedShare: 0.4 }, {}, 0.6, 'Nothing has to be lifted and laid again, instead of 40 % of it.'],
    [
      'far end',
      { farEnd: { edge, shiftMm: -3 } },
      { farEnd: { edge: otherEdge, shiftMm: 1 } },
      0.2,
      `At its far end, the ${labelOf(otherEdge)}, the film comes out 1 mm off instead of 3 mm.`,
    ],
  ])('%s: %j against %j', (what, from, to, weight, words) => {
    const [only, ...more] = differences(from, to)
    expect(more).toEqual([])
    expect(only).toMatchObject({ what, better: true })
    expect(only?.weight).toBeCloseTo(weight, 9)
    expect(only?.says).toSay(words)
  })
  test.each<[string, Partial<RehearsalFigures>, Partial<RehearsalFigures>]>([
    ['stretch', atEdge({ stretch: 0.01 }), atEdge({ stretch: 0.03 })],
    ['fingers', {}, atEdge({ fingersMmPer100: 0.8 })],
    ['largest', { largestStretch: 0.02 }, { largestStretch: 0.06 }],
    ['glue line', {}, { glueLineShare: 0.25 }],
    ['bridging', hollow('none'), hollow('high')],
    ['lifts', {}, { liftedShare: 0.3 }],
    ['far end', {}, { farEnd: { edge, shiftMm: 3 } }],
  ])('%s that got worse is told as worse, and weighs the same', (what, from, to) => {
    const [there] = differences(from, to)
    const [back] = differences(to, from)
    expect(there).toMatchObject({ what, better: false })
    expect(back).toMatchObject({ what, better: true })
    expect(there?.weight).toBeCloseTo(back?.weight ?? Number.NaN, 12)
  })
  test('the first lift of an order that had none', () => {
    expect(differences({}, { liftedShare: 0.1 })[0]?.says).toSay(
      '10 % of it has to be lifted and laid again instead of nothing.',
    )
  })
  test('a pattern warps only where there is one', () => {
    const warped = { patternWarp: 0.05 }
    expect(differences(warped, {})).toEqual([])
    const [only] = differences(warped, {}, true)
    expect(only).toMatchObject({ what: 'warp', better: true })
    expect(only?.weight).toBeCloseTo(2, 9)
    expect(only?.says).toSay('The pattern warps by 0 % instead of 5 %.')
  })
})

describe('changes that no hand would notice are left out', () => {
  test.each<[string, Partial<RehearsalFigures>, Partial<RehearsalFigures>]>([
    ['stretch', atEdge({ stretch: 0.004 }), atEdge({ stretch: 0.0041 })],
    ['fingers', atEdge({ fingersMmPer100: 0.1 }), atEdge({ fingersMmPer100: 0.199 })],
    ['largest', { largestStretch: 0.004 }, { largestStretch: 0.0079 }],
    ['glue line', { glueLineShare: 0.1 }, { glueLineShare: 0.1099 }],
    ['bridging', hollow('some'), hollow('some', true)],
    ['far end', { farEnd: { edge, shiftMm: 2 } }, { farEnd: { edge, shiftMm: -2.4 } }],
    ['nothing', {}, {}],
  ])('%s', (_, from, to) => {
    expect(differences(from, to, true)).toEqual([])
  })
  test('an edge or a hollow that only one of them has is not compared', () => {
    expect(differences(atEdge({ stretch: 0.1 }), { edges: [] })).toEqual([])
    expect(differences(hollow('high'), {})).toEqual([])
  })
})

describe('several differences', () => {
  const worse = { ...atEdge({ fingersMmPer100: 2, stretch: 0.02 }), liftedShare: 0.3, glueLineShare: 0.5 }
  test('stand in the order of what they weigh', () => {
    const found = differences(worse, {})
    expect(found.map((d) => d.what)).toEqual(['glue line', 'fingers', 'stretch', 'lifts'])
    expect(found.map((d) => d.weight)).toEqual([...found.map((d) => d.weight)].sort((a, b) => b - a))
  })
  test('the three greatest gains explain why one is better, then its greatest loss', () => {
    const as = (figures: Partial<RehearsalFigures>) => ({ figures: { ...calm, ...figures } }) as Rehearsal
    const why = english(explainBetter(bulgedPart, as(worse), as({ farEnd: { edge, shiftMm: 9 } })))
    expect(why).toContain('Nothing is stretched so far that it shows')
    expect(why).toContain('No film is left')
    expect(why).not.toContain('lift')
    expect(why).toMatch(/ It has a price\. At its far end, .+ instead of 0 mm\.$/)
    expect(english(explainBetter(bulgedPart, as(worse), as({})))).not.toContain('price')
    expect(english(explainBetter(bulgedPart, as({}), as(worse)))).toBe('')
  })
})

describe('an order in words', () => {
  const order: LayOrder = {
    school: 'centre out',
    made: 'by school',
    anchors: [{ label: say`centre`, at: [0, 0], pullShare: 0 }],
    from: [[0, 0]],
    fromLabel: null,
    flatFirst: 0,
    spiral: false,
    strokeMm: 104,
  }
  const anchors = (...shares: number[]) =>
    shares.map((pullShare, i) => ({
      label: say`${name(`corner ${i + 1}`)}`,
      at: [i, 0] as [number, number],
      pullShare,
    }))
  test.each<[Partial<LayOrder>, string]>([
    [{}, 'Fix the centre, then outward from there.'],
    [{ fromLabel: say`the top edge` }, 'Fix the centre, then sweep from the top edge to the other side.'],
    [{ spiral: true }, 'Fix the centre, then round it in widening turns.'],
    [{ school: 'hinge and release' }, 'Fix the centre, then release about 100 mm at a time from there.'],
    [
      { school: 'hinge and release', fromLabel: say`the left end` },
      'Fix the centre, then release about 100 mm at a time from the left end.',
    ],
    [{ flatFirst: 1 }, 'Fix the centre, then the flats from there, and what turns last.'],
    [{ flatFirst: 0.25 }, 'Fix the centre, then outward from there.'],
    [{ anchors: [] }, 'Then outward from there.'],
    [
      { anchors: anchors(1, 1) },
      'Fix the corner 1 and the corner 2 with the film pulled taut, then outward from there.',
    ],
    [{ anchors: anchors(1, 0) }, 'Fix the corner 1 (film pulled taut) and the corner 2, then outward from there.'],
    [{ anchors: anchors(0.25, 0) }, 'Fix the corner 1 and the corner 2, then outward from there.'],
    [
      { anchors: anchors(1, 1, 1) },
      'Fix (1) the corner 1, (2) the corner 2 and (3) the corner 3 with the film pulled taut, then outward from there.',
    ],
    [{ made: 'by search', strokeMm: 236 }, 'Fix the centre, then outward from there. Each stroke about 240 mm.'],
    [{ made: 'by search', spiral: true }, 'Fix the centre, then round it in widening turns.'],
    [{ made: 'by search', flatFirst: 1 }, 'Fix the centre, then the flats from there, and what turns last.'],
    [
      { made: 'by search', school: 'hinge and release' },
      'Fix the centre, then release about 100 mm at a time from there.',
    ],
  ])('%j', (more, words) => {
    expect(orderWords({ ...order, ...more })).toSay(words)
  })
  test('it is called by its school, until a search has changed it', () => {
    expect(orderName(order)).toSay('centre out')
    expect(orderName({ ...order, made: 'by search' })).toSay('better order')
  })
})

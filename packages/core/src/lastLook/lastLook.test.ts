import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Polygon } from '../geometry/index.ts'
import type { CheckPoint, MeasuredGap } from '../plan/index.ts'
import { planOf, testPart } from '../plan/testParts.ts'
import { practiceWith } from '../practice/index.ts'
import { verbatim } from '../say/index.ts'
import { edgesByHand, type LookedAround, lookWalk, seenFromMm, sidesAlike, sidesWords } from './index.ts'

const practice = practiceWith()
const alone: LookedAround = { otherSide: null, segments: 0, fromMm: 1500 }
const bonnet = planOf(testPart('pipit-bonnet', 'clearcoat-hull-180', null, 400))
const lamp = planOf(testPart('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 400))
const bumper = planOf(testPart('pipit-bumper', 'clearcoat-hull-180', null, 400))

const square: Polygon = [
  [0, 0],
  [100, 0],
  [100, 60],
  [0, 60],
]
const sides = ['bottom', 'right', 'top', 'left']
const edge = (name: string) => ({ ...bonnet.edges[0]!, name, label: name })
const lines = square.map((p, i) => ({ name: sides[i]!, line: [p, square[(i + 1) % 4]!] }))
const asDrawn = (part: Polygon, drawn: typeof lines) => ({
  drawing: { ...bonnet.drawing, part, edges: drawn },
  edges: sides.map(edge),
})

describe('the order of the hand', () => {
  test('clockwise from the upper left corner, whichever way round the outline is kept', () => {
    const backward = [...lines].reverse().map(({ name, line }) => ({ name, line: [...line].reverse() }))
    for (const [part, drawn] of [
      [square, lines],
      [[...square].reverse(), backward],
    ] as const)
      expect(edgesByHand(asDrawn(part, drawn)).map((e) => e.name)).toEqual(['top', 'right', 'bottom', 'left'])
  })

  test('the same wherever the outline begins', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3 }), (from) => {
        const turned = [...lines.slice(from), ...lines.slice(0, from)]
        expect(edgesByHand(asDrawn(square, turned)).map((e) => e.name)).toEqual(['top', 'right', 'bottom', 'left'])
      }),
    )
  })
})

describe('the stops of the walk', () => {
  test('every edge of a plan once, each gap at its own or at the openings', () => {
    for (const plan of [bonnet, lamp, bumper]) {
      const stops = lookWalk(plan, alone)
      const walked = stops.flatMap((stop) => stop.edge ?? [])
      expect([...walked].sort()).toEqual(plan.edges.map((e) => e.name).sort())
      expect(new Set(stops.map((stop) => stop.id)).size).toBe(stops.length)
      expect(stops.flatMap((stop) => stop.checks.map((check) => check.id)).sort()).toEqual(
        plan.checks
          .filter((check) => check.reads === 'gap')
          .map((check) => check.id)
          .sort(),
      )
    }
  })

  test('film that passed an edge before it was cut is not read again', () => {
    expect(lamp.checks.some((check) => check.reads === 'film past the edge')).toBe(true)
    expect(lookWalk(lamp, alone).flatMap((stop) => stop.checks)).toEqual([])
  })

  test('openings come after the edges', () => {
    const kinds = lookWalk(bumper, alone).map((stop) => stop.kind)
    expect(kinds).toContain('openings')
    expect(kinds.lastIndexOf('edge')).toBeLessThan(kinds.indexOf('openings'))
  })

  test('tape is looked for where some was stuck on, and only there', () => {
    const looked = (steps: Pick<(typeof bonnet.steps)[number], 'id' | 'tools'>[]) =>
      lookWalk({ ...bonnet, steps: steps.map((step) => ({ ...bonnet.steps[0]!, ...step })) }, alone).map((s) => s.kind)
    expect(looked([{ id: 'sweep', tools: ['cloth'] }])).not.toContain('tape')
    expect(looked([{ id: 'mask', tools: ['masking tape'] }])).toContain('tape')
    expect(looked([{ id: 'unmask', tools: [] }])).toContain('tape')
  })

  test('a lens is lit, a panel is not', () => {
    const kinds = (plan: typeof lamp) => lookWalk(plan, alone).map((stop) => stop.kind)
    expect(kinds(lamp)).toContain('lamp lit')
    expect(kinds(bonnet)).not.toContain('lamp lit')
  })

  test('what is only sometimes there is only sometimes asked', () => {
    const kinds = (around: Partial<LookedAround>) => lookWalk(lamp, { ...alone, ...around }).map((stop) => stop.kind)
    expect(kinds({})).not.toContain('sides')
    expect(kinds({ otherSide: 'Headlamp, right' })).toContain('sides')
    expect(kinds({})).not.toContain('shut line')
    expect(kinds({ opens: 'bonnet' })).toContain('shut line')
    expect(kinds({})).not.toContain('known marks')
  })

  test('marks of the walk-round are asked about first', () => {
    const marked = planOf(testPart('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 400), {
      found: [{ kind: 'casting marks', at: [0.5, 0.5] }],
    })
    expect(lookWalk(marked, alone)[0]?.kind).toBe('known marks')
  })

  test('as many segments as were used are counted', () => {
    const tools = lookWalk(lamp, { ...alone, segments: 3 }).find((stop) => stop.kind === 'tools')
    expect(english(tools!.how)).toContain('3 blade segments were used here')
  })

  test('wet film may still be hazy, dry film may not', () => {
    const whole = (plan: typeof lamp) => english(lookWalk(plan, alone).find((stop) => stop.kind === 'whole')!.how)
    expect(whole(bonnet)).toContain('Fine haze leaves by itself')
    expect(whole(lamp)).not.toContain('haze')
  })
})

describe('both sides', () => {
  const gap = (of: string, measuredMm: number, id = of): MeasuredGap => {
    const check: CheckPoint = {
      id,
      label: verbatim(id),
      edge: of,
      at: [0, 0],
      normal: [1, 0],
      wantedMm: 2,
      reads: 'gap',
    }
    return { check, measuredMm, right: true }
  }
  const compared = (here: MeasuredGap[], there: MeasuredGap[]) =>
    sidesAlike({ here, there, labelOf: (name) => name, practice })

  test('what is seen grows with the distance: 0.29 mm a metre for each minute of arc', () => {
    expect(seenFromMm({ lookFrom: 1000, eyeMinutes: 1 })).toBeCloseTo(0.2909, 4)
    expect(seenFromMm({ lookFrom: 3000, eyeMinutes: 2 })).toBeCloseTo(6 * 0.2909, 3)
  })

  test('edge by edge, the mean of its gaps, the most different first', () => {
    const [first, second] = compared(
      [gap('top', 2, 'A'), gap('top', 3, 'B'), gap('rear', 2)],
      [gap('top', 2.4), gap('rear', 4)],
    )
    expect(first).toMatchObject({ edge: 'rear', differenceMm: -2, seen: true })
    expect(second?.differenceMm).toBeCloseTo(0.1, 9)
    expect(second?.seen).toBe(false)
  })

  test('swapped sides differ as much the other way', () => {
    fc.assert(
      fc.property(fc.float({ min: 0, max: 5, noNaN: true }), fc.float({ min: 0, max: 5, noNaN: true }), (a, b) => {
        const [one] = compared([gap('top', a)], [gap('top', b)])
        const [other] = compared([gap('top', b)], [gap('top', a)])
        expect(one?.differenceMm).toBeCloseTo(-(other?.differenceMm ?? 0), 9)
        expect(one?.seen).toBe(other?.seen)
      }),
    )
  })

  test('an edge that was read on one side only is not compared', () => {
    expect(compared([gap('top', 2)], [gap('rear', 2)])).toEqual([])
    expect(english(sidesWords([], practice))).toContain('compare them by eye')
  })

  test('in words', () => {
    expect(english(sidesWords(compared([gap('top', 2)], [gap('top', 3.5)]), practice))).toBe(
      'top: 2 mm here, 3.5 mm there, 1.5 mm apart. From 1500 mm the eye finds 0.9 mm.',
    )
    expect(english(sidesWords(compared([gap('top', 2)], [gap('top', 2.5)]), practice))).toContain('nobody sees it')
  })
})

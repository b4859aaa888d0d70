import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  boundsOf,
  contains,
  nearestOnOutline,
  signedArea,
  standingStill,
  thinOutline,
  type Vec2,
} from '../geometry/index.ts'
import { practiceWith } from '../practice/index.ts'
import { barWidthMm, cutPattern, cutSize, enlargePattern, growByEdges, rollOrPattern } from './index.ts'
import { edgeStretches } from './growByEdges.ts'

const box = (w: number, h: number) => ({
  polygon: [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ] as Vec2[],
  edgeOfSide: ['bottom', 'right', 'top', 'left'],
  corners: [0, 1, 2, 3],
})
const size = (polygon: readonly Vec2[]) => {
  const { min, max } = boundsOf(polygon)
  return [max[0] - min[0], max[1] - min[1]]
}

describe('an outline grown edge by edge', () => {
  test('one edge outward: a strip that ends square at its corners', () => {
    const grown = growByEdges(box(100, 50), { top: 15 })
    expect(size(grown).map((s) => Math.round(s * 100) / 100)).toEqual([100, 65])
    expect(signedArea(grown)).toBeCloseTo(100 * 65, 1)
  })
  test('one outward, one inward, the others as they were', () => {
    const grown = growByEdges(box(100, 50), { top: 15, left: -3 })
    expect(signedArea(grown)).toBeCloseTo(97 * 65, 1)
  })
  test('two edges outward: a square corner between them, and no spike where they run on', () => {
    expect(signedArea(growByEdges(box(100, 50), { top: 15, right: 10 }))).toBeCloseTo(110 * 65, 0)
    // A circle cut into two edges that meet without a corner: nothing reaches further than the distance itself.
    const round = Array.from(
      { length: 72 },
      (_, i): Vec2 => [80 * Math.cos((i * Math.PI) / 36), 80 * Math.sin((i * Math.PI) / 36)],
    )
    const edgeOfSide = round.map((_, i) => (i < 36 ? 'a' : 'b'))
    const grown = growByEdges({ polygon: round, edgeOfSide }, { a: 30, b: 22 })
    for (const [x, y] of grown) expect(Math.hypot(x, y)).toBeLessThan(110.5)
  })
  test('all alike: the same distance all round', () => {
    for (const by of [-2.5, 4]) {
      const grown = growByEdges(box(100, 50), { bottom: by, right: by, top: by, left: by })
      for (const p of grown)
        expect(nearestOnOutline(box(100, 50).polygon, p).distanceMm).toBeGreaterThan(Math.abs(by) - 0.02)
      expect(size(grown)[0]).toBeCloseTo(100 + 2 * by, 1)
    }
  })
  test('the stretches of an outline begin at a corner, wherever its points begin', () => {
    const { polygon, edgeOfSide } = box(100, 50)
    for (let turn = 0; turn < 4; turn++) {
      const turned = {
        polygon: [...polygon.slice(turn), ...polygon.slice(0, turn)],
        edgeOfSide: [...edgeOfSide.slice(turn), ...edgeOfSide.slice(0, turn)],
      }
      const stretches = edgeStretches(turned)
      expect(stretches.map((s) => s.edge).sort()).toEqual(['bottom', 'left', 'right', 'top'])
      for (const { line } of stretches) expect(line.length).toBe(2)
    }
    const split = edgeStretches({ ...box(100, 50), edgeOfSide: ['a', 'b', 'b', 'a'] })
    expect(split.map((s) => [s.edge, s.line.length])).toEqual([
      ['b', 3],
      ['a', 3],
    ])
    expect(edgeStretches({ ...box(10, 10), edgeOfSide: ['rim', 'rim', 'rim', 'rim'] })).toMatchObject([{ edge: 'rim' }])
  })
  test('a sharp corner between two edges that grow differently is filled to where they meet', () => {
    const wedge = {
      polygon: [
        [0, 0],
        [200, 0],
        [0, 120],
      ] as Vec2[],
      edgeOfSide: ['base', 'slope', 'side'],
    }
    const grown = growByEdges(wedge, { base: 6, slope: 14 })
    for (const p of [
      [0, -6],
      [200, -6],
    ] as Vec2[])
      expect(nearestOnOutline(grown, p).distanceMm).toBeLessThan(0.6)
    // Along the slope everything up to its distance is film, and nothing beyond it.
    const [nx, ny] = [120 / Math.hypot(120, 200), 200 / Math.hypot(120, 200)]
    const at = (off: number): Vec2 => [100 + nx * off, 60 + ny * off]
    expect(contains(grown, at(13.8))).toBe(true)
    expect(contains(grown, at(14.3))).toBe(false)
  })
  test('where two edges run on into each other the wider strip runs out along the narrower one, without a step', () => {
    // A long plate whose lower edge changes its name in the middle.
    const polygon: Vec2[] = [
      [0, 0],
      [200, 0],
      [400, 0],
      [400, 100],
      [0, 100],
    ]
    const edgeOfSide = ['wide', 'narrow', 'end', 'top', 'end']
    const grown = growByEdges({ polygon, edgeOfSide }, { wide: 30, narrow: 10 })
    /** How far the film reaches below the plate at x. */
    const reach = (x: number) => {
      let least = 0
      grown.forEach((a, i) => {
        const b = grown[(i + 1) % grown.length] ?? a
        if (Math.min(a[0], b[0]) <= x && x <= Math.max(a[0], b[0]) && Math.abs(b[0] - a[0]) > 1e-6)
          least = Math.min(least, a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]))
      })
      return -least
    }
    expect(reach(100)).toBeCloseTo(30, 1)
    expect(reach(350)).toBeCloseTo(10, 1)
    for (let x = 190; x < 300; x += 5) expect(Math.abs(reach(x + 5) - reach(x))).toBeLessThan(2)
    expect(reach(230)).toBeCloseTo(20, 0)
  })
  test('on a rounded outline the strips run into each other without a slit or a spike between them', () => {
    const polygon = Array.from({ length: 90 }, (_, i): Vec2 => {
      const turn = (2 * Math.PI * i) / 90
      return [150 * Math.cos(turn), 80 * Math.sin(turn)]
    })
    const edgeOfSide = polygon.map((_, i) => (i > 38 && i < 52 ? 'tip' : 'rim'))
    // As it is cut: what is finer than a blade is left out.
    const grown = thinOutline(growByEdges({ polygon, edgeOfSide }, { rim: 30, tip: 20 }), 0.02, 40)
    grown.forEach((at, i) => {
      const [before, after] = [grown.at(i - 1) ?? at, grown[(i + 1) % grown.length] ?? at]
      const [inX, inY, outX, outY] = [at[0] - before[0], at[1] - before[1], after[0] - at[0], after[1] - at[1]]
      const turnDeg = (180 / Math.PI) * Math.atan2(inX * outY - inY * outX, inX * outX + inY * outY)
      expect(Math.abs(turnDeg), `at ${at}`).toBeLessThan(45)
    })
  })
  test.each([
    ['the lower and the right one', { bottom: 10, right: 6 }, 100 * 10 + 50 * 6 + 60],
    ['one by half a millimetre', { right: 0.5 }, 25],
    ['two that do not meet', { bottom: 10, top: 4 }, 100 * 14],
    ['three', { left: 5, bottom: 5, right: 8 }, 50 * 5 + 100 * 5 + 50 * 8 + 25 + 40],
    ['one, the others by nothing', { bottom: 10, right: 0, top: 0, left: 0 }, 100 * 10],
    ['all by nothing', { bottom: 0, right: 0, top: 0, left: 0 }, 0],
    ['none', {}, 0],
  ])('the film that comes to it, whichever way round the outline is drawn: %s', (_, growth, moreMm2) => {
    const { polygon, edgeOfSide } = box(100, 50)
    // Drawn the other way round: side i runs from point i to point i + 1, so the names go round by one.
    const reversed = { polygon: [...polygon].reverse(), edgeOfSide: ['top', 'right', 'bottom', 'left'] }
    for (const outline of [{ polygon, edgeOfSide }, reversed]) {
      const grown = growByEdges(outline, growth)
      expect(signedArea(grown)).toBeCloseTo(5000 + moreMm2, 0)
      const { min, max } = boundsOf(grown)
      const { bottom = 0, right = 0, top = 0, left = 0 } = growth as Record<string, number>
      ;[-left, -bottom, 100 + right, 50 + top].forEach((wanted, i) => {
        expect([...min, ...max][i]).toBeCloseTo(wanted, 1)
      })
    }
  })
  test('an edge drawn in takes its strip off the film beside it, at both of its ends', () => {
    const grown = growByEdges(box(100, 50), { bottom: -4, left: 6, right: 9 })
    const { min, max } = boundsOf(grown)
    expect(min[1]).toBeCloseTo(4, 1)
    expect([min[0], max[0]].map(Math.round)).toEqual([-6, 109])
    expect(signedArea(grown)).toBeCloseTo(46 * 115, -1)
  })
  test('a step of less than a millimetre gets no ramp; one of more does, as long as three times what it falls', () => {
    const polygon: Vec2[] = [
      [0, 0],
      [200, 0],
      [400, 0],
      [400, 100],
      [0, 100],
    ]
    const edgeOfSide = ['one', 'other', 'end', 'top', 'end']
    const areaOf = (one: number, other: number) => signedArea(growByEdges({ polygon, edgeOfSide }, { one, other }))
    const strips = (one: number, other: number) => 40_000 + 200 * (one + other)
    expect(areaOf(10, 9.2) - strips(10, 9.2)).toBeCloseTo(0, 0)
    // Half of four by twelve.
    for (const [one, other] of [
      [14, 10],
      [10, 14],
    ] as const)
      expect(areaOf(one, other) - strips(one, other)).toBeCloseTo(24, 0)
  })
  test('drawn in too far, nothing is left', () => {
    expect(growByEdges(box(10, 10), { bottom: -6, right: -6, top: -6, left: -6 })).toEqual([])
  })
})

test('a pattern is enlarged along the chosen edges only, wherever its own coordinates lie', () => {
  const part = { outline: box(200, 80), holes: [], toFlat: (p: Vec2) => p }
  const pattern = cutPattern(part, { name: 'p', growth: { bottom: -2, right: -2, top: -2, left: -2 }, marks: [] })
  const [w = 0, h = 0] = size(pattern.outline)
  const wider = enlargePattern(pattern, part, standingStill, { right: 17 })
  expect(size(wider.outline)[0]! - w).toBeCloseTo(17, 1)
  expect(size(wider.outline)[1]! - h).toBeCloseTo(0, 1)
})

describe('thinned outlines', () => {
  const circle = (n: number, r: number) =>
    Array.from(
      { length: n },
      (_, i): Vec2 => [r * Math.cos((2 * Math.PI * i) / n), r * Math.sin((2 * Math.PI * i) / n)],
    )
  test('20 000 points keep their shape within the tolerance', () => {
    const fine = circle(20_000, 300)
    const thin = thinOutline(fine, 0.05)
    expect(thin.length).toBeLessThan(300)
    for (let i = 0; i < fine.length; i += 37)
      expect(nearestOnOutline(thin, fine[i]!).distanceMm).toBeLessThanOrEqual(0.05 + 1e-9)
  })
  test('whatever the outline, no point that was left out is further off than the tolerance', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 5, max: 100, noNaN: true })), { minLength: 6, maxLength: 80 }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (radii, tolerance) => {
          const outline = radii.map(([r], i): Vec2 => {
            const turn = (2 * Math.PI * i) / radii.length
            return [r * Math.cos(turn), r * Math.sin(turn)]
          })
          const thin = thinOutline(outline, tolerance)
          return outline.every((p) => nearestOnOutline(thin, p).distanceMm <= tolerance + 1e-9)
        },
      ),
    )
  })
})

test('a hole whose edge nobody lets grow is cut as it is; one that film stops short of is cut wider', () => {
  const hole = {
    polygon: box(20, 20).polygon.map(([x, y]): Vec2 => [x + 30, y + 15]),
    edgeOfSide: ['sensor', 'sensor', 'sensor', 'sensor'],
    corners: [0, 1, 2, 3],
  }
  const part = { outline: box(100, 50), holes: [hole], toFlat: (p: Vec2) => p } as unknown as Parameters<
    typeof cutPattern
  >[0]
  const cut = (growth: Record<string, number>) => {
    const [cutOut] = cutPattern(part, { name: 'plate', growth, marks: [] }).cutOuts
    return Math.abs(signedArea(cutOut!))
  }
  expect(cut({ top: 10 })).toBeCloseTo(400, 1)
  expect(cut({ sensor: -2 })).toBeCloseTo(24 * 24 - (4 - Math.PI) * 4, 0)
})

describe('cut from the roll', () => {
  test('the sheet is the box and its allowance; film that may turn takes the least area', () => {
    const slanted = box(100, 40).polygon.map(([x, y]): Vec2 => [x * 0.8 - y * 0.6, x * 0.6 + y * 0.8])
    expect(cutSize(box(100, 40).polygon, 25, false)).toEqual({ lengthMm: 150, widthMm: 90, turnDeg: 0 })
    const turned = cutSize(slanted, 25, true)
    expect(turned.lengthMm).toBeCloseTo(150, 0)
    expect(turned.widthMm).toBeCloseTo(90, 0)
    expect(cutSize(slanted, 25, false).lengthMm).toBeGreaterThan(150)
  })
  test('what is gained by nothing is not turned: a square lies as it is drawn', () => {
    expect(cutSize(box(80, 80).polygon, 10, true)).toMatchObject({ lengthMm: 100, widthMm: 100, turnDeg: 0 })
  })
  test('nothing flat needs its allowance', () => {
    expect(cutSize(box(100, 40).polygon, 0, true)).toEqual({ lengthMm: 100, widthMm: 40, turnDeg: 0 })
  })
  test('a bar needs its face and the tuck on each side', () => {
    expect(barWidthMm(30, 10)).toBe(50)
  })
  test('the advice follows from pattern, curvature and wraps, and says why', () => {
    const practice = practiceWith()
    const edges = [
      { name: 'a', label: 'front edge', code: 'wrap' as const },
      { name: 'b', label: 'rear edge', code: 'stop-short' as const },
    ]
    const facts = {
      form: { family: 'panel' as const, edges },
      patternAtHand: true,
      neededStretch: 1.01,
      hasDirection: false,
    }
    const precut = rollOrPattern(facts, practice)
    expect(precut.advice).toBe('pre-cut')
    expect(precut.reasons).toSay('Enlarge the pattern along front edge')
    expect(precut.reasons).toHaveLength(3)
    const plain = { family: 'panel' as const, edges: edges.slice(1) }
    expect(rollOrPattern({ ...facts, form: plain }, practice).reasons).toHaveLength(2)
    expect(rollOrPattern({ ...facts, patternAtHand: false }, practice)).toMatchObject({
      advice: 'from the roll',
      allowanceMm: 125,
    })
    const sharp = rollOrPattern({ ...facts, neededStretch: 1.09 }, practice)
    expect(sharp.reasons[0]).toSay(/9(\.0)? %/)
    const wrapped = { family: 'lamp' as const, edges: edges.slice(0, 1) }
    expect(rollOrPattern({ ...facts, form: wrapped }, practice)).toMatchObject({
      advice: 'from the roll',
      allowanceMm: 38,
    })
  })
})

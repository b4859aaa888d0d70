import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { applyRigid, type Polygon, turnAbout, type Vec2 } from '../geometry/index.ts'
import {
  correctionFromGaps,
  correctionWords,
  coverage,
  dryCheck,
  edgeMargins,
  edgeSpots,
  endOfEdge,
  type GapCheck,
  matchCutOuts,
  mirrored,
  type PiecePattern,
  place,
  plainDirections,
  registerPiece,
  roomiestMove,
  ruleAt,
  summarizeEdges,
  thenPlaced,
  tolerance,
} from './index.ts'
import { estimate, type Wish } from './leastSquares.ts'

const rectangle = (w: number, h: number, inset = 0): Polygon => [
  [inset, inset],
  [w - inset, inset],
  [w - inset, h - inset],
  [inset, h - inset],
]
const part = {
  outline: { polygon: rectangle(400, 300), edgeOfSide: ['bottom', 'right', 'top', 'left'], corners: [0, 1, 2, 3] },
  holes: [],
}
const rules = Object.fromEntries(['bottom', 'right', 'top', 'left'].map((edge) => [edge, { minMm: 2, maxMm: 3 }]))
const spots = edgeSpots(part, 10)
const piece = { outline: rectangle(400, 300, 2.5), cutOuts: [] }

describe('edge margins', () => {
  test('a rectangle inside a rectangle has its inset all along, corners too', () => {
    for (const m of edgeMargins(spots, piece)) expect(m.marginMm).toBeCloseTo(2.5, 9)
  })
  test('film past the edge counts as negative', () => {
    const margins = edgeMargins(spots, { outline: rectangle(400, 300, -12), cutOuts: [] })
    for (const m of margins) expect(m.marginMm).toBeCloseTo(-12, 9)
  })
  test('a move shows on both sides with opposite signs', () => {
    const margins = edgeMargins(spots, thenPlaced(piece, { xMm: 0.7, yMm: 0, turnDeg: 0 }))
    const middle = (edge: string) => margins.filter((m) => m.edge === edge)[15]!
    expect(middle('left').marginMm).toBeCloseTo(3.2, 9)
    expect(middle('right').marginMm).toBeCloseTo(1.8, 9)
    expect(summarizeEdges(margins, rules)[0]).toMatchObject({ edge: 'left' })
  })
  test('a cut-out over a hole stops short of it on the outside', () => {
    const ring = (r: number): Polygon =>
      Array.from({ length: 60 }, (_, k) => [
        200 + r * Math.cos((k * Math.PI) / 30),
        150 + r * Math.sin((k * Math.PI) / 30),
      ])
    const holed = { ...part, holes: [{ polygon: ring(20), edgeOfSide: ring(20).map(() => 'badge'), corners: [0] }] }
    const margins = edgeMargins(edgeSpots(holed, 10), { ...piece, cutOuts: [ring(22)] })
    for (const m of margins.filter((x) => x.edge === 'badge')) expect(m.marginMm).toBeCloseTo(2, 1)
    const over = edgeMargins(edgeSpots(holed, 10), { ...piece, cutOuts: [ring(18)] })
    for (const m of over.filter((x) => x.edge === 'badge')) expect(m.marginMm).toBeCloseTo(-2, 1)
  })
})

test('coverage is a share of the part', () => {
  expect(coverage(part, piece).covered).toBeCloseTo((395 * 295) / 120_000, 6)
  expect(coverage(part, thenPlaced(piece, { xMm: 40, yMm: 0, turnDeg: 0 })).covered).toBeCloseTo(
    (357.5 * 295) / 120_000,
    6,
  )
})

test('tolerance of a centred rectangle is half a millimetre each way', () => {
  const { sideMm, upMm, turnDeg } = tolerance(edgeMargins(spots, piece), rules, [200, 150])
  expect(sideMm.plus).toBeCloseTo(0.5, 6)
  expect(sideMm.minus).toBeCloseTo(0.5, 6)
  expect(upMm.plus).toBeCloseTo(0.5, 6)
  expect(turnDeg.plus).toBeGreaterThan(0.1)
  expect(turnDeg.plus).toBeLessThan(0.16)
})

test('the first to break is the margin with the least room to its rule, inward or outward', () => {
  // 0.4 to the right leaves 0.1 at the right-hand edge and at the left; half a millimetre up leaves none at top and bottom.
  const right = edgeMargins(spots, thenPlaced(piece, { xMm: 0.4, yMm: 0.1, turnDeg: 0 }))
  const { firstToBreak } = tolerance(right, rules, [200, 150])
  const room = (m: (typeof right)[number]) => {
    const rule = ruleAt(m, rules)
    return rule === undefined ? Number.POSITIVE_INFINITY : Math.min(m.marginMm - rule.minMm, rule.maxMm - m.marginMm)
  }
  expect(firstToBreak).not.toBeNull()
  expect(room(firstToBreak!)).toBeCloseTo(Math.min(...right.map(room)), 12)
  expect(['left', 'right']).toContain(firstToBreak?.edge)
  // Where one edge has a tighter rule than the others, that one breaks first.
  const tight = { ...rules, top: { minMm: 2.4, maxMm: 2.55 } }
  expect(tolerance(edgeMargins(spots, piece), tight, [200, 150]).firstToBreak?.edge).toBe('top')
})

describe('spots along an edge', () => {
  const circle = (r: number, turn: 1 | -1): Polygon =>
    Array.from({ length: 90 }, (_, i) => {
      const angle = (turn * 2 * Math.PI * i) / 90
      return [200 + r * Math.cos(angle), 150 + r * Math.sin(angle)]
    })
  const outlineOf = (polygon: Polygon) => ({ polygon, edgeOfSide: polygon.map(() => 'rim'), corners: [0] })
  test.each([1, -1] as const)(
    'of a disc look to its middle, of a hole away from it; drawn either way round: %d',
    (turn) => {
      const disc = { outline: outlineOf(circle(100, turn)), holes: [outlineOf(circle(30, turn))] }
      const all = edgeSpots(disc, 5).spots
      expect(all.some((s) => s.hole === 0)).toBe(true)
      for (const { at, inward, hole } of all) {
        const away = Math.hypot(at[0] - 200, at[1] - 150)
        const outward = ((at[0] - 200) * inward[0] + (at[1] - 150) * inward[1]) / away
        expect(outward).toBeCloseTo(hole < 0 ? -1 : 1, 2)
        expect(Math.hypot(...inward)).toBeCloseTo(1, 12)
      }
    },
  )
  test('are no farther apart than asked', () => {
    const { spots: at } = edgeSpots(part, 7)
    at.forEach((s, i) => {
      const next = at[(i + 1) % at.length]!
      expect(Math.hypot(next.at[0] - s.at[0], next.at[1] - s.at[1])).toBeLessThanOrEqual(7 + 1e-9)
    })
  })
})

describe('registration', () => {
  const marks = [
    { name: 'a', at: [0, 0] as Vec2, weight: 1 },
    { name: 'b', at: [400, 0] as Vec2, weight: 1 },
    { name: 'c', at: [400, 300] as Vec2, weight: 1 },
  ]
  const pattern = { name: 'Piece', ...piece, marks: marks.map(({ name, at }) => ({ name, at })) }
  test('a pattern drawn anywhere comes to lie on its part', () => {
    const away = turnAbout([50, 20], 0.8, [700, -300])
    const moved = {
      ...pattern,
      outline: pattern.outline.map((p) => applyRigid(away, p)),
      marks: pattern.marks.map((m) => ({ ...m, at: applyRigid(away, m.at) })),
    }
    const found = registerPiece(part, marks, moved, spots, rules)
    if (!found.ok) throw new Error(english(found.failure.sentence))
    const back = place(moved, found.value).outline
    back.forEach((p, i) => {
      expect(Math.hypot(p[0] - piece.outline[i]![0], p[1] - piece.outline[i]![1])).toBeLessThan(0.02)
    })
  })
  test.each([
    ['far too small', { ...pattern, outline: rectangle(100, 80) }, 'PIECE_TOO_SMALL'],
    ['far too large', { ...pattern, outline: rectangle(900, 800) }, 'PIECE_TOO_LARGE'],
  ])('a piece %s is refused', (_, wrong, code) => {
    const found = registerPiece(part, marks, wrong, spots, rules)
    expect(found.ok ? 'fine' : found.failure.code).toBe(code)
  })
  test.each([
    ['just large enough', 0.61, 'fine'],
    ['just too small', 0.59, 'PIECE_TOO_SMALL'],
    ['just small enough', 1.79, 'fine'],
    ['just too large', 1.81, 'PIECE_TOO_LARGE'],
  ])('a piece %s, by its area beside what is wanted', (_, share, code) => {
    // Wanted is the piece with the middle of every rule, corners left out of account.
    const wantedMm2 = 400 * 300 - 2 * (400 + 300) * 2.5
    const high = (share * wantedMm2) / 395
    const found = registerPiece(part, marks, { ...pattern, outline: rectangle(395, high) }, spots, rules)
    expect(found.ok ? 'fine' : found.failure.code).toBe(code)
  })
  test('where marks and edges want different things, the edges win and the marks still count', () => {
    // All marks 6 mm to the right of where the edges want them: nearer to the edges' wish than to theirs.
    const shifted = marks.map((mark) => ({ ...mark, at: [mark.at[0] + 6, mark.at[1]] as Vec2 }))
    const found = registerPiece(part, shifted, pattern, spots, rules)
    if (!found.ok) throw new Error(english(found.failure.sentence))
    expect(found.value.moveMm[0]).toBeGreaterThan(0)
    expect(found.value.moveMm[0]).toBeLessThan(1)
    expect(found.value.moveMm[1]).toBeCloseTo(0, 1)
  })
  test('a piece without common marks is placed by its shape, however it is turned', () => {
    const odd: Polygon = [...rectangle(400, 300).slice(0, 3), [60, 300], [0, 220]]
    const oddPart = {
      outline: { polygon: odd, edgeOfSide: ['bottom', 'right', 'top', 'cut', 'left'], corners: [] },
      holes: [],
    }
    const oddRules = { ...rules, cut: { minMm: 2, maxMm: 3 } }
    const oddSpots = edgeSpots(oddPart, 10)
    const inset: Polygon = [
      [2.5, 2.5],
      [397.5, 2.5],
      [397.5, 297.5],
      [61.3, 297.5],
      [2.5, 219.1],
    ]
    for (const turnRad of [0.3, 2, 3.3, 5.5]) {
      const moved = place({ outline: inset, cutOuts: [] }, turnAbout([0, 0], turnRad, [70, -40]))
      const found = registerPiece(oddPart, [], { name: 'odd', ...moved, marks: [] }, oddSpots, oddRules)
      if (!found.ok) throw new Error(english(found.failure.sentence))
      const margins = edgeMargins(oddSpots, place(moved, found.value))
      expect(summarizeEdges(margins, oddRules)[0]!.outsideMm).toBeLessThan(-0.3)
    }
  })
  test('from a start that is well off, a piece with one mark comes all the way', () => {
    for (const [turnRad, x, y] of [
      [0.06, 12, -9],
      [-0.05, -8, 14],
    ] as const) {
      const start = turnAbout([200, 150], turnRad, [x, y])
      const one = marks.slice(0, 1)
      const found = registerPiece(part, one, pattern, spots, rules, start)
      if (!found.ok) throw new Error(english(found.failure.sentence))
      place(pattern, found.value).outline.forEach((p, i) => {
        expect(Math.hypot(p[0] - piece.outline[i]![0], p[1] - piece.outline[i]![1])).toBeLessThan(0.02)
      })
    }
  })
  test('an edge with a wide rule gives way to one with a tight one, by as much as it is wider', () => {
    // 4 mm to share between left and right: left may be 0 to 4, right 2 to 3.
    const wide = { ...rules, left: { minMm: 0, maxMm: 4 } }
    const narrow = { outline: rectangle(400, 300, 2).map(([x, y]): Vec2 => [x, y < 150 ? 2.5 : 297.5]), cutOuts: [] }
    const move = roomiestMove(narrow, spots, wide)
    // d mm to the right leave (d / 2) of the left one's half width and |2 - d - 2.5| / 0.5 of the right one's: alike at -0.4.
    expect(move.moveMm[0]).toBeCloseTo(-0.4, 2)
    expect(move.moveMm[1]).toBeCloseTo(0, 2)
  })
  test('the roomiest move brings a displaced piece back', () => {
    const off = thenPlaced(piece, { xMm: 1.3, yMm: -0.8, turnDeg: 0.1 })
    const back = place({ outline: off.outline, cutOuts: [] }, roomiestMove(off, spots, rules))
    expect(summarizeEdges(edgeMargins(spots, back), rules)[0]!.outsideMm).toBeLessThan(-0.4)
  })
  test('the roomiest move turns a turned piece back', () => {
    for (const turnDeg of [0.25, -0.25]) {
      const off = thenPlaced(piece, { xMm: 0, yMm: 0, turnDeg })
      const move = roomiestMove(off, spots, rules)
      expect((move.turnRad * 180) / Math.PI).toBeCloseTo(-turnDeg, 2)
    }
  })
  test('no move of a fine grid leaves more room than the roomiest one', () => {
    // A piece that is cut a little askew: there is no move with half a millimetre everywhere.
    const askew = {
      outline: [
        [2.7, 2.4],
        [397.3, 2.9],
        [397.7, 297.3],
        [2.2, 297.6],
      ] as Polygon,
      cutOuts: [],
    }
    const worst = (moved: typeof askew) => summarizeEdges(edgeMargins(spots, moved), rules)[0]!.outsideMm
    const found = worst({ ...place(askew, roomiestMove(askew, spots, rules)), cutOuts: [] } as typeof askew)
    let best = Number.POSITIVE_INFINITY
    for (let x = -0.6; x <= 0.6; x += 0.1)
      for (let y = -0.6; y <= 0.6; y += 0.1)
        for (let turnDeg = -0.12; turnDeg <= 0.12; turnDeg += 0.02)
          best = Math.min(best, worst(thenPlaced(askew, { xMm: x, yMm: y, turnDeg }) as typeof askew))
    expect(found).toBeLessThan(worst(askew))
    // It is fitted by weights, not searched: within a tenth of a millimetre of the best.
    expect(found).toBeLessThan(best + 0.1)
  })
})

describe('correction from gaps', () => {
  const places: { at: Vec2; normal: Vec2 }[] = [
    { at: [100, 0], normal: [0, 1] },
    { at: [300, 0], normal: [0, 1] },
    { at: [400, 150], normal: [-1, 0] },
    { at: [200, 300], normal: [0, -1] },
    { at: [0, 150], normal: [1, 0] },
  ]
  /** Gaps that a film shows after it was moved away from 2.5 mm everywhere, for straight edges. */
  const gapsAfter = (x: number, y: number, turnDeg: number): GapCheck[] =>
    places.map(({ at, normal }) => {
      const film: Vec2 = [at[0] + 2.5 * normal[0], at[1] + 2.5 * normal[1]]
      const a = (turnDeg * Math.PI) / 180
      const q: Vec2 = [film[0] - 200, film[1] - 150]
      const moved: Vec2 = [
        200 + q[0] * Math.cos(a) - q[1] * Math.sin(a) + x,
        150 + q[0] * Math.sin(a) + q[1] * Math.cos(a) + y,
      ]
      const n: Vec2 = [
        normal[0] * Math.cos(a) - normal[1] * Math.sin(a),
        normal[0] * Math.sin(a) + normal[1] * Math.cos(a),
      ]
      const gap = ((moved[0] - at[0]) * n[0] + (moved[1] - at[1]) * n[1]) / (n[0] * normal[0] + n[1] * normal[1])
      return { at, normal, measuredMm: gap, wantedMm: 2.5 }
    })
  test('undoes any small displacement', () => {
    const small = fc.double({ min: -4, max: 4, noNaN: true })
    fc.assert(
      fc.property(small, small, fc.double({ min: -0.5, max: 0.5, noNaN: true }), (x, y, turnDeg) => {
        const found = correctionFromGaps(gapsAfter(x, y, turnDeg))
        if (!found.ok) throw new Error(english(found.failure.sentence))
        expect(found.value.turnDeg).toBeCloseTo(-turnDeg, 1)
        for (const residual of found.value.residualMm) expect(Math.abs(residual)).toBeLessThan(0.06)
      }),
    )
  })
  test('says what gaps on one side cannot tell', () => {
    const found = correctionFromGaps(gapsAfter(1, 1, 0).slice(0, 2))
    if (!found.ok) throw new Error(english(found.failure.sentence))
    expect(found.value.sigma.moveMm[0]).toBe(Number.POSITIVE_INFINITY)
    expect(Number.isFinite(found.value.sigma.moveMm[1])).toBe(true)
    expect(found.value.moveMm[0]).toBeCloseTo(0, 9)
    expect(found.value.moveMm[1]).toBeCloseTo(-1, 2)
  })
  test('gaps close together tell no turn: the film is moved by what they say on the mean', () => {
    const near = (x: number, measuredMm: number): GapCheck => ({ at: [x, 0], normal: [0, 1], measuredMm, wantedMm: 3 })
    const found = correctionFromGaps([near(400, 2.2), near(402, 3)])
    if (!found.ok) throw new Error(english(found.failure.sentence))
    expect(found.value.turnDeg).toBe(0)
    expect(found.value.sigma.turnDeg).toBe(Number.POSITIVE_INFINITY)
    expect(found.value.moveMm[0]).toBeCloseTo(0, 9)
    expect(found.value.moveMm[1]).toBeCloseTo(0.4, 9)
    // Far apart the same readings do tell one.
    const far = correctionFromGaps([near(0, 2.2), near(400, 3)])
    expect(far.ok ? far.value.turnDeg : 0).toBeCloseTo(-0.115, 2)
  })
  test('edges that are next to parallel tell no move along them', () => {
    const tilt = 0.5 * (Math.PI / 180)
    const found = correctionFromGaps([
      { at: [0, 0], normal: [0, 1], measuredMm: 2.5, wantedMm: 3 },
      { at: [300, 0], normal: [0, 1], measuredMm: 2.5, wantedMm: 3 },
      { at: [600, 0], normal: [Math.sin(tilt), Math.cos(tilt)], measuredMm: 2.9, wantedMm: 3 },
    ])
    if (!found.ok) throw new Error(english(found.failure.sentence))
    expect(Math.hypot(...found.value.moveMm)).toBeLessThan(1)
    expect(found.value.sigma.moveMm[0]).toBe(Number.POSITIVE_INFINITY)
  })
  test('more readings make it surer', () => {
    const sigma = (count: number) => {
      const found = correctionFromGaps(gapsAfter(1, 0, 0).slice(0, count))
      return found.ok ? found.value.sigma.moveMm[1] : Number.NaN
    }
    expect(sigma(5)).toBeLessThan(sigma(3))
  })
  test('one gap is too few, and a normal of nothing has no direction', () => {
    const [one] = gapsAfter(0, 0, 0)
    expect(correctionFromGaps([one!]).ok).toBe(false)
    expect(correctionFromGaps([one!, { ...one!, normal: [0, 0] }]).ok).toBe(false)
  })
})

test('a correction in words', () => {
  expect(english(correctionWords({ moveMm: [-2.5, 0.02], turnDeg: -0.2 }))).toBe(
    'Turn the film 0.2° clockwise, then move it 2.5 mm towards the left.',
  )
  expect(english(correctionWords({ moveMm: [0.4, 1.2], turnDeg: 0 }))).toBe(
    'Move the film 1.2 mm towards the top and 0.4 mm towards the right.',
  )
  expect(english(correctionWords({ moveMm: [0, 0], turnDeg: 0.02 }))).toBe('Turn the film 0.02° counter-clockwise.')
  expect(english(correctionWords({ moveMm: [0, 0], turnDeg: 0 }))).toBe('It sits right: leave it.')
})

describe('a turn is told by what it moves', () => {
  const said = (turnDeg: number, more: object = {}) => english(correctionWords({ moveMm: [0, 0], turnDeg, ...more }))
  test('at the far end, where the hand sees it', () => {
    expect(said(0.1, { farMm: 600 })).toBe('Turn the film counter-clockwise, 1 mm at the far end.')
    expect(said(-0.2, { farMm: 900 })).toBe('Turn the film clockwise, 3.1 mm at the far end.')
  })
  test('where no far end is known, to a tenth of a degree, and to a hundredth below that', () => {
    expect(said(0.26)).toBe('Turn the film 0.3° counter-clockwise.')
    expect(said(-1.24)).toBe('Turn the film 1.2° clockwise.')
    expect(said(0.064)).toBe('Turn the film 0.06° counter-clockwise.')
  })
  test('the farthest gap is the far end', () => {
    const at = (x: number, y: number): GapCheck => ({ at: [x, y], normal: [0, 1], measuredMm: 3, wantedMm: 3 })
    const found = correctionFromGaps([at(0, 0), at(600, 0), at(300, 0)])
    expect(found.ok ? found.value.farMm : Number.NaN).toBeCloseTo(300, 0)
  })
  test('nothing finer than was read is asked for, and that is said', () => {
    const sigma = { moveMm: [0.3, 0.3] as Vec2, turnDeg: 0.05 }
    const words = (moveMm: Vec2, turnDeg: number) => english(correctionWords({ moveMm, turnDeg, farMm: 500, sigma }))
    expect(words([0.2, 1.4], 0.04)).toBe('Move the film 1.4 mm towards the top.')
    expect(words([0.2, -0.1], 0.04)).toBe('What is left is less than a rule can tell: leave it.')
    expect(words([0, 0], 0)).toBe('It sits right: leave it.')
  })
  test('what the gaps do not determine is still said: it makes them right', () => {
    const sigma = { moveMm: [Number.POSITIVE_INFINITY, 0.2] as Vec2, turnDeg: Number.POSITIVE_INFINITY }
    expect(english(correctionWords({ moveMm: [0.8, 0], turnDeg: 0, sigma }))).toBe(
      'Move the film 0.8 mm towards the right.',
    )
  })
})

test('a spot near an end of its edge is named after that end', () => {
  const along = [0, 100, 200, 300].map((x) => ({ at: [x, 0] as Vec2 }))
  expect(endOfEdge(plainDirections, along, { at: [20, 0] })).toBe('the left')
  expect(endOfEdge(plainDirections, along, { at: [290, 0] })).toBe('the right')
  expect(endOfEdge(plainDirections, along, { at: [150, 0] })).toBeNull()
})

describe('dry check', () => {
  const odd: Polygon = [...rectangle(400, 300).slice(0, 3), [60, 300], [0, 220]]
  const square = (x: number, y: number, half: number): Polygon => [
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  ]
  const edges = ['bottom', 'right', 'top', 'cut', 'left']
  const oddPart = {
    outline: { polygon: odd, edgeOfSide: edges, corners: [] },
    holes: [{ polygon: square(300, 80, 15), edgeOfSide: ['sensor', 'sensor', 'sensor', 'sensor'], corners: [] }],
  }
  const rule = { minMm: 2, maxMm: 3 }
  const oddRules = { ...Object.fromEntries(edges.map((edge) => [edge, rule])), sensor: { minMm: 0.5, maxMm: 2.5 } }
  const inset: Polygon = [
    [2.5, 2.5],
    [397.5, 2.5],
    [397.5, 297.5],
    [61.3, 297.5],
    [2.5, 219.1],
  ]
  const marks = [
    { name: 'a', at: [10, 10] as Vec2 },
    { name: 'b', at: [390, 290] as Vec2 },
    { name: 'c', at: [390, 10] as Vec2 },
  ]
  const fitting = { name: 'odd', outline: inset, cutOuts: [square(300, 80, 16.5)], marks }
  const check = (pattern: PiecePattern) => {
    const result = dryCheck({
      part: oddPart,
      holeNames: ['sensor'],
      targets: marks.map((m) => ({ ...m, weight: 1 })),
      pattern,
      spots: edgeSpots(oddPart, 10),
      rules: oddRules,
      edgeLabel: (edge) => `${edge} edge`,
    })
    if (!result.ok) throw new Error(english(result.failure.sentence))
    return result.value
  }
  test('a piece cut for the part fits, end to end', () => {
    const result = check(fitting)
    expect(result.verdict).toBe('fits')
    expect(result.covered).toBeGreaterThan(0.96)
    expect(result.marksOffMm).toBeLessThan(0.01)
    expect(result.holes).toEqual([{ name: 'sensor', coveredMm2: 0 }])
    expect(result.words.map(english)).toEqual(['Covers the part, every edge inside its rule.'])
  })
  test('a piece that fits nowhere as its edges share it, but does when it is moved, is told so', () => {
    // A step of 0.8 mm out of the right edge: evenly shared it is too near there, 0.4 mm to the left all of it is within.
    const [a, , , ...rest] = inset
    const stepped: Polygon = [
      a!,
      [397.5, 2.5],
      [397.5, 200],
      [398.3, 200],
      [398.3, 230],
      [397.5, 230],
      [397.5, 297.5],
      ...rest,
    ]
    const result = check({ ...fitting, outline: stepped })
    expect(result.verdict).toBe('fits when moved')
    expect(result.words).toSay('moved a little, all edges fit')
    expect(result.words).toSay('The right edge is')
  })
  test('its mirror image is known as the piece for the other side, with marks and without', () => {
    expect(check(mirrored(fitting)).verdict).toBe('other side')
    expect(check({ ...mirrored(fitting), marks: [] }).verdict).toBe('other side')
    expect(check({ ...fitting, marks: [] }).verdict).toBe('fits')
  })
  test('a sensor without its cut-out is said', () => {
    const result = check({ ...fitting, cutOuts: [] })
    expect(result.words).toSay('cut-out is missing: sensor')
    expect(result.holes[0]?.coveredMm2).toBeGreaterThan(800)
  })
  test('a cut-out that lies beside its sensor is none that is missing: film lies over it, and that is said', () => {
    const over = check({ ...fitting, cutOuts: [square(300, 80, 16.5).map(([x, y]): Vec2 => [x + 40, y])] })
    expect(over.holes[0]?.coveredMm2).toBeGreaterThan(800)
    expect(over.words).toSay('Film lies over sensor')
    expect(over.words).not.toSay('missing')
  })
  test('a piece that is too short stays outside, however it is moved', () => {
    const short = { ...fitting, outline: inset.map(([x, y]): Vec2 => [Math.min(x, 390), y]), marks: [] }
    const result = check(short)
    expect(result.verdict).toBe('does not fit')
    expect(result.words).toSay('However it is moved')
  })
})

describe('cut-outs in the order of the holes', () => {
  const square = (x: number, y: number): Polygon => rectangle(20, 20).map(([dx, dy]) => [x + dx, y + dy])
  const hole = (x: number, y: number) => ({ polygon: square(x, y), edgeOfSide: Array(4).fill('badge'), corners: [] })
  const matched = (holes: ReturnType<typeof hole>[], cutOuts: Polygon[]) =>
    matchCutOuts(
      { ...part, holes },
      [],
      { name: 'Piece', ...piece, cutOuts, marks: [] },
      edgeSpots({ ...part, holes }, 10),
      {
        ...rules,
        badge: { minMm: 0, maxMm: 1 },
      },
    ).cutOuts
  const [left, right] = [square(50, 60), square(300, 220)] as [Polygon, Polygon]
  test('each hole takes the nearest one, in whatever order they were drawn', () => {
    const holes = [hole(300, 220), hole(50, 60)]
    expect(matched(holes, [left, right])).toEqual([right, left])
    expect(matched(holes, [right, left])).toEqual([right, left])
  })
  test('the only hole takes the nearest one too; what is left over comes after it', () => {
    expect(matched([hole(300, 220)], [left, right])).toEqual([right, left])
  })
  test('with no hole, or a single cut-out, there is nothing to put in order', () => {
    expect(matched([], [right, left])).toEqual([right, left])
    expect(matched([hole(300, 220), hole(50, 60)], [left])).toEqual([left])
  })
})

describe('what wishes determine', () => {
  const row = (i: number): Wish['row'] => [Number(i === 0), Number(i === 1), Number(i === 2)]
  test('each unknown that is wished for, as surely as the wishes are', () => {
    const { value, sigma } = estimate([0, 1, 2].map((i) => ({ row: row(i), wanted: 3 * i, sigma: 0.5 })))
    value.forEach((v, i) => {
      expect(v).toBeCloseTo(3 * i, 12)
    })
    for (const s of sigma) expect(s).toBeCloseTo(0.5, 12)
  })
  test('twice the same wish is surer by the root of two', () => {
    const { sigma } = estimate([0, 0, 1, 2].map((i) => ({ row: row(i), wanted: 1, sigma: 0.5 })))
    expect(sigma[0]).toBeCloseTo(0.5 / Math.SQRT2, 12)
    expect(sigma[1]).toBeCloseTo(0.5, 12)
  })
  test.each([
    [0.9, true],
    [1.1, false],
  ])('what is known to %d only, where 1 is the worst, counts: %s', (sigma, counts) => {
    const found = estimate(
      [{ row: row(0), wanted: 2, sigma }, ...[1, 2].map((i) => ({ row: row(i), wanted: 1, sigma: 0.1 }))],
      1,
    )
    expect(found.value[0]).toBeCloseTo(counts ? 2 : 0, 12)
    expect(found.sigma[0]).toBe(counts ? found.sigma[0] : Number.POSITIVE_INFINITY)
    expect(Number.isFinite(found.sigma[0])).toBe(counts)
    expect(found.value[1]).toBeCloseTo(1, 12)
  })
})

describe('where two edges end differently', () => {
  const mixed = { ...rules, top: { minMm: -20, maxMm: -12 } }
  test('no rule is judged in the corner between them, and the rest is', () => {
    const margins = edgeMargins(spots, {
      outline: [
        [2.5, 2.5],
        [397.5, 2.5],
        [397.5, 316],
        [2.5, 316],
      ],
      cutOuts: [],
    })
    expect(summarizeEdges(margins, mixed)[0]!.outsideMm).toBeLessThan(-0.4)
    const judged = margins.filter((m) => ruleAt(m, mixed) !== undefined)
    expect(judged.length).toBeLessThan(margins.length)
    for (const edge of ['bottom', 'right', 'top', 'left']) expect(judged.some((m) => m.edge === edge)).toBe(true)
    expect(margins.every((m) => m.edge !== 'bottom' || ruleAt(m, rules) !== undefined)).toBe(true)
  })
})

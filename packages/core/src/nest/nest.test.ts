import { areaD, Clipper, FillRule, type PathsD } from 'clipper2-ts'
import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import {
  boundsOf,
  contains,
  nearestOnOutline,
  type Polygon,
  selfCrossing,
  signedArea,
  type Vec2,
} from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { wholeFailure } from '../result/index.ts'
import { inTheWay, layoutByHand, nestPieces, type NestRequest, putDown, whatFits } from './index.ts'
import { fewerSidesOutward } from './outward.ts'
import { sidesCross } from './overlap.ts'
import { polesOf } from './poles.ts'
import { filmOf, shapesOf } from './shape.ts'
import { drawn, expectSound, nested, rectangle } from './testLayouts.ts'
import { areaOf, jigsaw, kitOfPieces } from './testPieces.ts'

const refusal = (request: NestRequest): string => {
  const result = nestPieces(request, { effort: 1e6 })
  return result.ok ? 'laid out' : english(wholeFailure(result.failure))
}

describe('a layout on the roll', () => {
  test.each([
    ['a jigsaw of straight pieces', jigsaw(8, 3)],
    ['a jigsaw of wavy pieces with a gap', jigsaw(8, 4, { wavy: true, gapMm: 3 })],
    ['a kit with openings', kitOfPieces(9, 9)],
    ['with a border and spoilt film', { ...kitOfPieces(8, 8), borderMm: 12, spoilt: [[400, 460]] as const }],
    ['several copies in two turns', { ...twice(kitOfPieces(4, 2)), gapMm: 5 }],
    ['any turn', anyTurn(kitOfPieces(5, 6))],
  ])('%s: every copy there, apart, on sound film', (_, request) => {
    expectSound(request, nested(request))
  })

  test('single pieces and those that fill the width are proven at once: the shortest turn that fits', () => {
    const one = { rollWidthMm: 600, gapMm: 3, pieces: [{ id: 'strip', count: 1, outline: rectangle(500, 80) }] }
    expect(nested(one, 1e12).usedLengthMm).toBeCloseTo(80, 3)
    const sheets = { rollWidthMm: 600, gapMm: 0, pieces: [{ id: 'sheet', count: 3, outline: rectangle(600, 200) }] }
    expect(nested(sheets, 1e12).usedLengthMm).toBeCloseTo(600, 1)
  })

  test('four quarters of a plate find together', () => {
    const pieces = [1, 2, 3, 4].map((i) => ({ id: `quarter ${i}`, count: 1, outline: rectangle(200, 300) }))
    expect(nested({ rollWidthMm: 600, gapMm: 0, pieces }, 4e8).usedLengthMm).toBeLessThan(401)
  })

  test('a small piece is cut out of what falls out of a large one', () => {
    const hole = rectangle(300, 300)
      .map(([x, y]): Vec2 => [x + 50, y + 50])
      .reverse()
    const frame = { id: 'frame', count: 1, outline: rectangle(400, 400), cutOuts: [hole] }
    const request = {
      rollWidthMm: 410,
      gapMm: 4,
      pieces: [frame, { id: 'badge', count: 1, outline: rectangle(280, 280) }],
    }
    const found = nested(request)
    expectSound(request, found)
    expect(found.usedLengthMm).toBeLessThan(401)
  })

  test('more effort never gives a longer layout; each that is told is shorter than the one before', () => {
    const lengths: number[] = []
    const request = kitOfPieces(10, 5)
    const long = nestPieces(request, { effort: 6e8, onBetter: ({ usedLengthMm }) => lengths.push(usedLengthMm) })
    expect(long.ok && long.value.usedLengthMm).toBe(lengths.at(-1))
    expect(lengths.length).toBeGreaterThan(3)
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a))
    expect(lengths[0]).toBeGreaterThan(1.15 * lengths.at(-1)!)
  })

  test('the same seed gives the same layout, another seed another one', () => {
    const request = kitOfPieces(8, 3)
    const once = nested(request, 5e7, 7)
    expect(nested(request, 5e7, 7)).toEqual(once)
    expect(nested(request, 5e7, 8)).not.toEqual(once)
  })

  test('stopped at once, it still gives a layout that can be cut', () => {
    const request = kitOfPieces(20, 4)
    const result = nestPieces(request, { effort: 1e12, goOn: () => false })
    expect(result.ok).toBe(true)
    if (result.ok) expectSound(request, result.value)
  })

  test('pieces of one vehicle lie together, one vehicle after the other', () => {
    const kit = kitOfPieces(6, 5)
    const pieces = kit.pieces.map((piece, i) => ({ ...piece, together: i % 2 === 0 ? '0412' : '0414' }))
    const request = { ...kit, pieces, spoilt: [[900, 1000]] as const }
    const found = nested(request, 1e8)
    expectSound(request, found)
    const copies = drawn(request, found)
    const spanOf = (vehicle: string) => {
      const own = found.placements.flatMap(({ id }, i) =>
        pieces.find((piece) => piece.id === id)!.together === vehicle ? copies[i]![0]! : [],
      )
      return [boundsOf(own).min[0], boundsOf(own).max[0]] as const
    }
    expect(spanOf('0414')[0]).toBeGreaterThanOrEqual(spanOf('0412')[1] - 1e-6)
  })
})

/** Each of them twice, in no turn but two. */
function twice(request: NestRequest): NestRequest {
  return { ...request, pieces: request.pieces.map((piece) => ({ ...piece, count: 2, turns: [0, 180] })) }
}

function anyTurn(request: NestRequest): NestRequest {
  const turns = Array.from({ length: 24 }, (_, k) => 15 * k)
  return { ...request, pieces: request.pieces.map((piece) => ({ ...piece, turns })) }
}

test('whether two shapes lie over each other does not hang on which is asked first, nor on where they lie', () => {
  const request = jigsaw(8, 4, { wavy: true, gapMm: 3 })
  const shapes = request.pieces.map((piece) => shapesOf(piece, 3, 0.05).turns[1]!)
  const random = seededRandom(3)
  let over = 0
  for (let k = 0; k < 3000; k++) {
    const [a, b] = [shapes[Math.floor(random() * 8)]!, shapes[Math.floor(random() * 8)]!]
    // Sides in line with each other are the hard ones.
    const dx = k % 2 === 0 ? a.maxX - b.maxX + 0.1 + random() : (random() - 0.5) * 600
    const dy = (random() - 0.5) * 600
    const crossed = sidesCross(a, b, dx, dy)
    expect(sidesCross(b, a, -dx, -dy)).toBe(crossed)
    if (crossed) over++
  }
  expect(over).toBeGreaterThan(500)
  expect(over).toBeLessThan(2500)
})

test('finely drawn discs lie over each other exactly where their middles are too near, and touching is none', () => {
  const disc = (radiusMm: number, sides: number): Vec2[] =>
    Array.from({ length: sides }, (_, k) => {
      const turn = (2 * Math.PI * k) / sides
      return [radiusMm * Math.cos(turn), radiusMm * Math.sin(turn)]
    })
  const random = seededRandom(6)
  // More sides than anybody has yet asked for.
  for (const sides of [40, 900, 4000]) {
    const [large, small] = [filmOf([disc(100, sides)]), filmOf([disc(30, sides)])]
    for (let k = 0; k < 60; k++) {
      const away = 130 + (k % 2 === 0 ? -1 : 1) * (0.5 + 3 * random())
      const turn = 2 * Math.PI * random()
      const [dx, dy] = [away * Math.cos(turn), away * Math.sin(turn)]
      expect([sides, away, sidesCross(large, small, dx, dy)]).toEqual([sides, away, away < 130])
    }
    // One within the other, and one round the other.
    expect([sidesCross(large, small, 10, -20), sidesCross(small, large, 10, -20)]).toEqual([true, true])
  }
  // Where they cross comes first of all sides in one of them and last in the other, and neither begins in the other.
  const even = filmOf([disc(100, 4000)])
  expect([sidesCross(even, even, 0, 100), sidesCross(even, even, 0, 201)]).toEqual([true, false])
  // A saw of a thousand teeth, and a bar over it whose one leg reaches into the last of them.
  const saw = Array.from({ length: 2001 }, (_, k): Vec2 => [1000 - k / 2, 100 + (k % 2)])
  const teeth = filmOf([[[0, 0], [1000, 0], ...saw]])
  const bar = (legMm: number) =>
    filmOf([
      [
        [1100, 160],
        [-100, 160],
        [-100, 150],
        [1, 150],
        [1, 150 - legMm],
        [2, 150 - legMm],
        [2, 150],
        [1100, 150],
      ],
    ])
  expect([sidesCross(teeth, bar(48), 0, 0), sidesCross(teeth, bar(60), 0, 0)]).toEqual([false, true])

  // A corner that points at a slanting side, a thousandth off it and in it, drawn in either direction.
  const slanting: Vec2[] = [
    [0, 0],
    [300, 0],
    [0, 300],
  ]
  const pointed: Vec2[] = [
    [0, 0],
    [60, -30],
    [80, 80],
    [-30, 60],
  ]
  for (const side of [slanting, [...slanting].reverse()].map((loop) => filmOf([loop])))
    for (const corner of [pointed, [...pointed].reverse()].map((loop) => filmOf([loop])))
      for (const off of [0.001, -0.001]) {
        expect(sidesCross(side, corner, 150 + off, 150 + off)).toBe(off < 0)
        expect(sidesCross(corner, side, -150 - off, -150 - off)).toBe(off < 0)
      }
  const plate = filmOf([rectangle(300, 200)])
  const beside = [
    [300, 0],
    [-300, 40],
    [120, 200],
    [300, 200],
  ] as const
  for (const [dx, dy] of beside) expect(sidesCross(plate, plate, dx, dy)).toBe(false)
  for (const [dx, dy] of beside) expect(sidesCross(plate, plate, 0.999 * dx, 0.999 * dy)).toBe(true)
})

test('shapes drawn in whole millimetres, whose corners meet corners and sides all the time, lie over each other where clipping says so', () => {
  const random = seededRandom(12)
  const drawnAnew = (): Vec2[] => {
    const corners = 3 + Math.floor(random() * 6)
    return Array.from({ length: corners }, (_, k): Vec2 => {
      const turn = (2 * Math.PI * (k + 0.8 * random())) / corners
      const far = 2 + 6 * random()
      return [Math.round(far * Math.cos(turn)), Math.round(far * Math.sin(turn))]
    }).filter((p, i, all) => !all.slice(0, i).some((q) => p[0] === q[0] && p[1] === q[1]))
  }
  const whole = (loop: Vec2[]) => loop.length > 2 && Math.abs(signedArea(loop)) > 1 && selfCrossing(loop) === null
  const shapes = Array.from({ length: 400 }, drawnAnew).filter(whole)
  expect(shapes.length).toBeGreaterThan(200)
  const pick = () => shapes[Math.floor(random() * shapes.length)]!
  const paths = (loop: readonly Vec2[], dx = 0, dy = 0) => [loop.map(([x, y]) => ({ x: x + dx, y: y + dy }))]
  const commonArea = (one: PathsD, two: PathsD) =>
    Clipper.intersectD(one, two, FillRule.NonZero, 6).reduce((sum, path) => sum + Math.abs(areaD(path)), 0)
  const seen = { over: 0, touching: 0 }
  for (let k = 0; k < 4000; k++) {
    const [a, b] = [pick(), k % 5 === 0 ? null : pick()]
    // Now and then on a shape of its own kind.
    const other = b ?? a
    const [dx, dy] = [Math.round(12 * (random() - 0.5)), Math.round(12 * (random() - 0.5))]
    const common = commonArea(paths(a), paths(other, dx, dy))
    const [first, second] = [filmOf([a]), filmOf([other])]
    const said = [sidesCross(first, second, dx, dy), sidesCross(second, first, -dx, -dy)]
    expect({ a, other, dx, dy, said }).toEqual({ a, other, dx, dy, said: [common > 1e-3, common > 1e-3] })
    if (common > 1e-3) seen.over++
    else if (Clipper.unionD(paths(a), paths(other, dx, dy), FillRule.NonZero, 6).length === 1) seen.touching++
  }
  expect(seen.over).toBeGreaterThan(1000)
  expect(seen.touching).toBeGreaterThan(5)
})

describe('what cannot be laid out is said', () => {
  const plate = { id: 'plate', count: 1, outline: rectangle(300, 200) }
  const roll: NestRequest = { rollWidthMm: 250, gapMm: 3, pieces: [plate] }
  const crossed: Vec2[] = [
    [0, 0],
    [100, 100],
    [100, 0],
    [0, 90],
  ]
  test.each<[string, NestRequest, RegExp]>([
    ['nothing', { ...roll, pieces: [] }, /no piece to be cut/],
    ['wider than the roll', { ...roll, rollWidthMm: 180 }, /“plate” needs 200 mm across the roll, which has 180 mm/],
    ['wider by a hair', { ...roll, rollWidthMm: 199.5 }, /needs 200 mm across the roll/],
    ['longer by a hair', { ...roll, rollLengthMm: 299.5 }, /needs 300 mm along the roll/],
    ['only in a turn that does not fit', { ...roll, pieces: [{ ...plate, turns: [90] }] }, /needs 300 mm across/],
    ['a border', { ...roll, borderMm: 30 }, /has 190 mm between its borders/],
    ['all border', { ...roll, borderMm: 130 }, /leaves nothing of a roll 250 mm wide/],
    ['two of one name', { ...roll, pieces: [plate, plate] }, /two pieces “plate”/],
    ['crossed', { ...roll, pieces: [{ ...plate, outline: crossed }] }, /crosses itself near/],
    ['a line', { ...roll, pieces: [{ ...plate, outline: rectangle(300, 0) }] }, /holds no film/],
    ['a cut-out outside', { ...roll, pieces: [{ ...plate, cutOuts: [rectangle(400, 20)] }] }, /not within its outline/],
    ['spoilt backwards', { ...roll, spoilt: [[500, 400]] }, /ends before it begins/],
    ['too long for the roll', { ...roll, rollLengthMm: 250 }, /needs 300 mm along the roll.*has 250 mm/],
    ['spoilt in the middle', { ...roll, rollLengthMm: 500, spoilt: [[240, 260]] }, /longest sound stretch has 240 mm/],
    [
      'less film than they need',
      { ...roll, rollLengthMm: 500, pieces: [{ ...plate, count: 2 }] },
      /it has 500 mm left/,
    ],
  ])('%s', (_, request, says) => {
    expect(refusal(request)).toMatch(says)
  })
})

describe('what is in the way of a layout made by hand', () => {
  const frame = {
    id: 'frame',
    count: 2,
    outline: rectangle(100, 100),
    cutOuts: [rectangle(60, 60).map(([x, y]): Vec2 => [x + 20, y + 20])],
  }
  const badge = { id: 'badge', count: 1, outline: rectangle(40, 40) }
  const request: NestRequest = {
    rollWidthMm: 300,
    rollLengthMm: 1000,
    gapMm: 3,
    borderMm: 5,
    spoilt: [[500, 520]],
    pieces: [frame, badge],
  }
  const at = (id: string, xMm: number, yMm: number, turnDeg = 0) => ({ id, copy: 0, xMm, yMm, turnDeg })
  test.each([
    ['apart', [at('frame', 5, 5), at('frame', 110, 5)], []],
    [
      'nearer than the gap',
      [at('frame', 5, 5), at('frame', 107, 5)],
      [{ kind: 'near', first: 0, second: 1, apartMm: 2 }],
    ],
    ['over each other', [at('frame', 5, 5), at('frame', 50, 50)], [{ kind: 'near', first: 0, second: 1 }]],
    ['the same place', [at('frame', 5, 5), at('frame', 5, 5)], [{ kind: 'near' }]],
    ['in a cut-out', [at('frame', 5, 5), at('badge', 35, 35)], []],
    ['in a cut-out, nearer than the gap', [at('frame', 5, 5), at('badge', 26, 35)], [{ kind: 'near', apartMm: 1 }]],
    ['within the film', [at('badge', 105, 105), at('frame', 100, 100)], [{ kind: 'near' }]],
    ['over the side of the roll', [at('frame', 5, 2)], [{ kind: 'off roll', first: 0 }]],
    ['turned over its end', [at('frame', 50, 5, 90)], [{ kind: 'off roll', first: 0 }]],
    ['on spoilt film', [at('badge', 470, 5)], [{ kind: 'spoilt', first: 0 }]],
  ])('%s', (_, placements, says) => {
    expect(inTheWay(request, placements)).toMatchObject(says)
    expect(inTheWay(request, placements)).toHaveLength(says.length)
  })
})

describe('film on film', () => {
  const strip = { id: 'strip', count: 2, outline: rectangle(100, 2) }
  const request: NestRequest = { rollWidthMm: 300, gapMm: 0, pieces: [strip] }
  const at = (xMm: number, yMm: number, turnDeg = 0) => ({ id: 'strip', copy: 0, xMm, yMm, turnDeg })
  test('strips that cross with no corner in each other lie over each other, also without a gap', () => {
    expect(inTheWay(request, [at(0, 50), at(20, 0, 90)])).toMatchObject([{ kind: 'near', first: 0, second: 1 }])
  })
  test('strips that lie side to side without a gap do not, wherever they lie', () => {
    for (const x of [0, 0.1, 33.3, 99.999]) expect(inTheWay(request, [at(0, 50), at(x, 52)])).toEqual([])
  })
  test('a strip across a corner by a tenth of a millimetre is seen, by a thousandth is rounding', () => {
    expect(inTheWay(request, [at(0, 50), at(30, 51.9)])).toHaveLength(1)
    expect(inTheWay(request, [at(0, 50), at(30, 51.999)])).toEqual([])
  })
  test('a piece that the layout does not know is a mistake of the caller', () => {
    expect(() => inTheWay(request, [{ ...at(0, 0), id: 'nobody' }])).toThrow('none of 1 pieces')
  })
})

describe('what stands in for a piece', () => {
  const random = seededRandom(9)
  const bay = kitOfPieces(12, 7).pieces
  test.each([0.05, 0.6, 5])(
    'with sides that give way by %f mm it has fewer corners and holds all that it held',
    (byMm) => {
      for (const { outline } of bay) {
        const less = fewerSidesOutward(outline, byMm)
        expect(less.length).toBeLessThanOrEqual(outline.length)
        for (const p of outline) expect(contains(less, p) || nearestOnOutline(less, p).distanceMm < 1e-6).toBe(true)
        // It gives way step by step, so corners may move by a few times as much, not more.
        for (const p of less) expect(nearestOnOutline(outline, p).distanceMm).toBeLessThan(6 * byMm)
      }
    },
  )
  const turnedTo = (list: Polygon, k: number) => [...list.slice(k), ...list.slice(0, k)]
  const corners = (outline: Polygon) => outline.map(([x, y]) => `${x.toFixed(6)} ${y.toFixed(6)}`).sort()
  test.each<[string, Polygon]>([
    [
      'a corner cut off',
      [
        [0, 0],
        [300, 0],
        [300, 198],
        [298, 200],
        [0, 200],
      ],
    ],
    [
      'a notch',
      [
        [0, 0],
        [300, 0],
        [300, 200],
        [150, 200],
        [149, 199],
        [148, 200],
        [0, 200],
      ],
    ],
    [
      'a spot on a side',
      [
        [0, 0],
        [120, 0],
        [300, 0],
        [300, 200],
        [0, 200],
      ],
    ],
  ])('%s goes, wherever the outline begins, and nothing else', (what, outline) => {
    for (const k of outline.keys())
      expect(corners(fewerSidesOutward(turnedTo(outline, k), 5))).toEqual(corners(rectangle(300, 200)))
    // What is more than it may give stays.
    if (what !== 'a spot on a side') expect(fewerSidesOutward(outline, 0.1)).toEqual(outline)
  })
  test('straight sides stay where they are', () => {
    const plate = rectangle(300, 200)
    expect(fewerSidesOutward(plate, 5)).toEqual(plate)
  })
  test('its first circle is nearly the largest there is', () => {
    const first = (outline: Polygon) => polesOf([outline], Math.abs(signedArea(outline)))[0]?.radiusMm ?? 0
    for (const [long, wide] of [
      [400, 100],
      [230, 190],
    ] as const)
      expect(first(rectangle(long, wide)) / (wide / 2)).toBeGreaterThan(0.91)
    // Of a triangle with a right angle: its legs less its long side, by two.
    const triangle: Polygon = [
      [0, 0],
      [300, 0],
      [0, 225],
    ]
    expect(first(triangle) / ((300 + 225 - 375) / 2)).toBeGreaterThan(0.95)
    expect(first(triangle) / ((300 + 225 - 375) / 2)).toBeLessThanOrEqual(1)
  })
  test('its circles lie within its film and cover most of it', () => {
    for (const piece of bay) {
      const { outline, cutOuts = [] } = piece
      const poles = polesOf([outline, ...cutOuts], areaOf(piece))
      expect(poles.length).toBeLessThanOrEqual(10)
      for (const { x, y, radiusMm } of poles)
        for (let k = 0; k < 20; k++) {
          const turn = 2 * Math.PI * random()
          const p: Vec2 = [x + 0.999 * radiusMm * Math.cos(turn), y + 0.999 * radiusMm * Math.sin(turn)]
          expect(contains(outline, p) && !cutOuts.some((hole) => contains(hole, p))).toBe(true)
        }
    }
  })
})

describe('a piece put down by hand', () => {
  const plate = { id: 'plate', count: 3, outline: rectangle(100, 50) }
  const request: NestRequest = { rollWidthMm: 300, gapMm: 3, borderMm: 5, pieces: [plate] }
  const at = (xMm: number, yMm: number) => ({ id: 'plate', copy: 0, xMm, yMm, turnDeg: 0 })
  const lies = [at(5, 5), at(5, 200), at(150, 5)]

  test('stays where it was put if it is free there', () => {
    expect(putDown(request, lies, 1, at(60, 100))?.[1]).toMatchObject({ xMm: 60, yMm: 100 })
  })
  test('slips by less than a millimetre where that is all it has to', () => {
    const put = putDown(request, lies, 1, at(5, 57.6))?.[1]
    expect(put?.xMm).toBeCloseTo(5, 1)
    expect(put?.yMm).toBeCloseTo(58, 1)
  })
  test('slips close up to its neighbour, no further than it has to', () => {
    const put = putDown(request, lies, 1, at(5, 50))
    expect(put?.[1]?.xMm).toBeCloseTo(5, 1)
    expect(put?.[1]?.yMm).toBeCloseTo(58, 1)
    expect(inTheWay(request, put ?? [])).toEqual([])
  })
  test('is refused where nothing near is free, and so is a turn that leaves the roll', () => {
    expect(putDown(request, lies, 1, at(20, 10))).toBeNull()
    expect(putDown(request, lies, 1, { xMm: 5, yMm: 200, turnDeg: 90 })).toBeNull()
  })
  test('what the layout uses is reckoned anew', () => {
    const used = layoutByHand(request, [at(5, 5), at(5, 200), at(400, 5)])
    expect(used.usedLengthMm).toBe(505)
    expect(used.utilisation).toBeCloseTo((3 * 5000) / (505 * 300), 12)
  })
})

describe('what goes on the film that is left', () => {
  const plate = (id: string, long: number, wide: number, count: number) => ({
    id,
    count,
    turns: [0],
    outline: [
      [0, 0],
      [long, 0],
      [long, wide],
      [0, wide],
    ] as const satisfies readonly Vec2[],
  })
  const request = (rollLengthMm: number): NestRequest => ({
    rollWidthMm: 500,
    rollLengthMm,
    gapMm: 2,
    pieces: [plate('small', 100, 100, 3), plate('large', 400, 480, 2)],
  })

  test('large ones first, small ones beside them, nothing that would not be laid out', () => {
    expect(whatFits(request(1200))).toEqual({ small: 3, large: 2 })
    expect(whatFits(request(520))).toEqual({ small: 3, large: 1 })
    expect(whatFits(request(350))).toEqual({ small: 3, large: 0 })
    expect(whatFits(request(50))).toEqual({ small: 0, large: 0 })
  })

  test('what it says goes, goes', () => {
    for (const rollLengthMm of [200, 450, 830]) {
      const asked = request(rollLengthMm)
      const counts = whatFits(asked)
      const pieces = asked.pieces.flatMap((piece) => {
        const count = counts[piece.id] ?? 0
        return count === 0 ? [] : [{ ...piece, count }]
      })
      expect(nestPieces({ ...asked, pieces }, { effort: 1e9 }).ok).toBe(true)
    }
  })
})

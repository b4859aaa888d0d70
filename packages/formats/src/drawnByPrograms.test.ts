import { nearestOnOutline, signedArea, type Vec2 } from '@truelay/core/geometry'
import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { smoothThrough, splinePoints } from './drawing/index.ts'
import { readDxf } from './dxf/index.ts'
import { type PatternOptions, type PatternReading, patternFromDrawing, type Role } from './pattern/index.ts'
import { readSvg } from './svg/index.ts'

const options: PatternOptions = { name: 'piece', gapMm: 0.5, thinMm: 0.005 }
type Answer = ReturnType<typeof patternFromDrawing>
const fromDxf = (text: string, more: Partial<PatternOptions> = {}): Answer => {
  const drawing = readDxf(text)
  return drawing.ok ? patternFromDrawing(drawing.value, { ...options, ...more }) : { ...drawing, layers: [] }
}
const fromSvg = (text: string, more: Partial<PatternOptions> = {}): Answer => {
  const drawing = readSvg(text)
  return drawing.ok ? patternFromDrawing(drawing.value, { ...options, ...more }) : { ...drawing, layers: [] }
}
const understood = (answer: Answer): PatternReading => {
  if (!answer.ok) throw new Error(english(answer.failure.sentence))
  return answer.value
}
const areaOf = (answer: Answer) => understood(answer).areaMm2
const mendedOf = (answer: Answer) => understood(answer).mended.map(english).join(' ')

/** Groups of a DXF, code and value by turns. */
const g = (...pairs: (string | number)[]) => pairs.join('\n')
const dxf = (
  entities: readonly string[],
  {
    unit = 4,
    layers = [],
    blocks = [],
  }: { unit?: number; layers?: readonly string[]; blocks?: readonly string[] } = {},
) =>
  [
    g(0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, unit, 0, 'ENDSEC'),
    ...(layers.length > 0
      ? [g(0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LAYER'), ...layers, g(0, 'ENDTAB', 0, 'ENDSEC')]
      : []),
    ...(blocks.length > 0 ? [g(0, 'SECTION', 2, 'BLOCKS'), ...blocks, g(0, 'ENDSEC')] : []),
    g(0, 'SECTION', 2, 'ENTITIES'),
    ...entities,
    g(0, 'ENDSEC', 0, 'EOF'),
    '',
  ].join('\n')
const poly = (
  points: readonly Vec2[],
  { layer = '0', more = [] as (string | number)[], bulges = [] as number[] } = {},
) =>
  g(
    0,
    'LWPOLYLINE',
    8,
    layer,
    90,
    points.length,
    70,
    1,
    ...more,
    ...points.flatMap(([x, y], i) => [10, x, 20, y, 42, bulges[i] ?? 0]),
  )
const line = (a: Vec2, b: Vec2, layer = '0') => g(0, 'LINE', 8, layer, 10, a[0], 20, a[1], 11, b[0], 21, b[1])
const box = (x: number, y: number, w: number, h: number): Vec2[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
]
const spline = (control: readonly Vec2[], knots: readonly number[], degree: number, weights: readonly number[] = []) =>
  g(
    0,
    'SPLINE',
    8,
    '0',
    70,
    1,
    71,
    degree,
    ...knots.flatMap((k) => [40, k]),
    ...weights.flatMap((w) => [41, w]),
    ...control.flatMap(([x, y]) => [10, x, 20, y, 30, 0]),
  )
const layer = (name: string, { flags = 0, color = 7 } = {}) => g(0, 'LAYER', 2, name, 70, flags, 62, color)
const block = (name: string, ...shapes: string[]) =>
  [g(0, 'BLOCK', 2, name, 10, 0, 20, 0), ...shapes, g(0, 'ENDBLK')].join('\n')
const insert = (name: string, ...more: (string | number)[]) => g(0, 'INSERT', 8, '0', 2, name, ...more)
const svg = (inside: string, head = 'width="600mm" height="400mm" viewBox="0 0 600 400"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`
const plate = poly(box(0, 0, 400, 250))
const disc = Math.PI * 50 ** 2

describe('curves lie where they were drawn', () => {
  // A circle of nine control points with weights, as programs write it.
  const w = Math.SQRT1_2
  const round: Vec2[] = [
    [100, 0],
    [100, 100],
    [0, 100],
    [-100, 100],
    [-100, 0],
    [-100, -100],
    [0, -100],
    [100, -100],
    [100, 0],
  ]
  const quarters = [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4]
  test('a spline with weights is a circle', () => {
    const area = areaOf(fromDxf(dxf([spline(round, quarters, 2, [1, w, 1, w, 1, w, 1, w, 1])])))
    expect(area / (Math.PI * 1e4)).toBeCloseTo(1, 4)
  })
  test('a spline of one long span strays no further than it says', () => {
    const control: Vec2[] = [
      [0, 0],
      [0, 2000],
      [3000, -1500],
      [3000, 700],
    ]
    const points = splinePoints(3, [0, 0, 0, 0, 1, 1, 1, 1], control, null, 0.004)
    const off = Array.from({ length: 4001 }, (_, k) => {
      const [t, s] = [k / 4000, 1 - k / 4000]
      const c = [s ** 3, 3 * s * s * t, 3 * s * t * t, t ** 3]
      const at: Vec2 = [0, 1].map((i) => control.reduce((sum, p, j) => sum + (c[j] ?? 0) * (p[i] ?? 0), 0)) as never
      return nearestOnOutline([...points, ...[...points].reverse()], at).distanceMm
    })
    expect(Math.max(...off)).toBeLessThan(0.0045)
  })
  test('a smooth line through given points goes through them, round and open', () => {
    const through = Array.from({ length: 24 }, (_, k): Vec2 => {
      const turn = (2 * Math.PI * k) / 24
      return [200 * Math.cos(turn), 200 * Math.sin(turn)]
    })
    const closed = smoothThrough([...through, through[0] as Vec2], true, 0.004)
    expect(Math.abs(signedArea(closed)) / (Math.PI * 4e4)).toBeCloseTo(1, 4)
    for (const p of through) expect(nearestOnOutline(closed, p).distanceMm).toBeLessThan(1e-6)
    // A straight line stays one, whatever the distances of its points.
    const straight = smoothThrough(
      [
        [0, 0],
        [1, 2],
        [7, 14],
        [9, 18],
      ],
      false,
      0.001,
    )
    for (const [x, y] of straight) expect(y).toBeCloseTo(2 * x, 9)
  })
  test('a spline by its fit points is read', () => {
    const through = Array.from(
      { length: 16 },
      (_, k) => [100 * Math.cos((k * Math.PI) / 8), 100 * Math.sin((k * Math.PI) / 8)] as const,
    )
    const fit = g(
      0,
      'SPLINE',
      8,
      '0',
      70,
      1,
      71,
      3,
      ...[...through, through[0] ?? [0, 0]].flatMap(([x, y]) => [11, x, 21, y, 31, 0]),
    )
    expect(areaOf(fromDxf(dxf([fit]))) / (Math.PI * 1e4)).toBeCloseTo(1, 3)
  })
  test('an arc of a large radius keeps its tolerance', () => {
    // A slice of a circle of 40 m, 1 200 mm wide, over a chord.
    const half = Math.asin(600 / 40_000)
    const slice = 0.5 * 40_000 ** 2 * (2 * half - Math.sin(2 * half))
    const bulge = Math.tan(half / 2)
    const points: Vec2[] = [
      [0, 0],
      [1200, 0],
      [1200, 300],
      [0, 300],
    ]
    const beyond = areaOf(fromDxf(dxf([poly(points, { bulges: [bulge] })]))) - 360_000
    expect(Math.abs(beyond - slice)).toBeLessThan(0.005 * 1200)
  })
  test('arcs of an SVG are arcs, not curves like them', () => {
    const area = areaOf(fromSvg(svg('<path d="M100 200a180 180 0 1 1 360 0a180 180 0 1 1-360 0z"/>')))
    // As near as its tolerance lets lines be.
    expect(Math.abs(area / (Math.PI * 180 ** 2) - 1)).toBeLessThan((2 * 0.005) / 180)
  })
  test('an arc of an ellipse that lies askew', () => {
    const area = areaOf(fromSvg(svg('<path d="M200 200a120 60 30 1 0 0.001 0z"/>')))
    expect(area / (Math.PI * 120 * 60)).toBeCloseTo(1, 3)
  })
})

describe('a DXF shows what its drawing shows', () => {
  const circle = (x: number, y: number, r: number, ...more: (string | number)[]) =>
    g(0, 'CIRCLE', 8, '0', 10, x, 20, y, 40, r, ...more)
  test('what is extruded downward is mirrored, holes too', () => {
    const mirrored = fromDxf(dxf([plate, circle(-100, 100, 50, 210, 0, 220, 0, 230, -1)]))
    expect(areaOf(mirrored)).toBeCloseTo(100_000 - disc, -1)
    const whole = fromDxf(dxf([poly(box(0, 0, 400, 250), { more: [210, 0, 220, 0, 230, -1] }), circle(-100, 100, 50)]))
    expect(understood(whole).pattern.outline.every(([x]) => x <= 0)).toBe(true)
    expect(areaOf(whole)).toBeCloseTo(100_000 - disc, -1)
  })
  test('arcs and ellipses extruded downward close their outline', () => {
    // A stadium: its right half by a mirrored arc.
    const arc = g(0, 'ARC', 8, '0', 10, -300, 20, 50, 40, 50, 50, 90, 51, 270, 210, 0, 220, 0, 230, -1)
    const sides = [line([300, 0], [100, 0]), line([100, 0], [100, 100]), line([100, 100], [300, 100])]
    expect(areaOf(fromDxf(dxf([arc, ...sides])))).toBeCloseTo(20_000 + disc / 2, -1)
    const half = g(
      0,
      'ELLIPSE',
      8,
      '0',
      10,
      300,
      20,
      50,
      11,
      0,
      21,
      50,
      40,
      0.6,
      41,
      0,
      42,
      Math.PI,
      210,
      0,
      220,
      0,
      230,
      -1,
    )
    expect(areaOf(fromDxf(dxf([half, ...sides])))).toBeCloseTo(20_000 + (Math.PI * 50 * 30) / 2, -1)
  })
  test('an ellipse that tells neither beginning nor end goes all round', () => {
    const whole = g(0, 'ELLIPSE', 8, '0', 10, 200, 20, 125, 11, 60, 21, 0, 40, 0.5)
    const answer = fromDxf(dxf([plate, whole]))
    expect(understood(answer).pattern.cutOuts).toHaveLength(1)
    expect(areaOf(answer)).toBeCloseTo(100_000 - Math.PI * 60 * 30, -1)
  })
  test('a shape that stands out of the sheet is named, not flattened', () => {
    const upright = circle(100, 100, 50, 210, 1, 220, 0, 230, 0)
    const answer = fromDxf(dxf([plate, upright]))
    expect(areaOf(answer)).toBeCloseTo(100_000, 3)
    expect(mendedOf(answer)).toContain('1 shape that stands out of the sheet left out.')
  })
  test('several of what is left out are counted in one sentence', () => {
    const answer = fromDxf(dxf([plate, circle(100, 100, 50, 60, 1), circle(200, 100, 40, 60, 1)]))
    expect(mendedOf(answer)).toContain('2 hidden shapes left out.')
  })
  test.each([
    ['on a page of paper', circle(100, 100, 50, 67, 1), '1 shape on a page of paper left out.'],
    ['hidden', circle(100, 100, 50, 60, 1), '1 hidden shape left out.'],
    ['on a layer that is off', circle(100, 100, 50).replace('8\n0', '8\nNotes'), 'switched off'],
    ['on a frozen layer', circle(100, 100, 50).replace('8\n0', '8\nOld'), 'switched off'],
    ['of a block on a frozen layer', insert('hole', 10, 0, 20, 0).replace('8\n0', '8\nOld'), 'switched off'],
    [
      'of no layer in a block on a layer that is off',
      insert('hole', 10, 0, 20, 0).replace('8\n0', '8\nNotes'),
      'switched off',
    ],
  ])('what is %s is no cut-out, and is named', (_, shape, says) => {
    const answer = fromDxf(
      dxf([plate, shape], {
        layers: [layer('Notes', { color: -3 }), layer('OLD', { flags: 1 })],
        blocks: [block('hole', circle(100, 100, 50))],
      }),
    )
    expect(areaOf(answer)).toBeCloseTo(100_000, 3)
    expect(mendedOf(answer)).toContain(says)
  })
  test('rows and columns of a block are all there, turned with it', () => {
    const holes = insert('hole', 10, 50, 20, 50, 70, 3, 71, 2, 44, 100, 45, 120)
    const answer = fromDxf(dxf([plate, holes], { blocks: [block('HOLE', circle(0, 0, 20))] }))
    expect(understood(answer).pattern.cutOuts.length).toBe(6)
    const turned = insert('hole', 10, 350, 20, 50, 50, 90, 70, 2, 44, 100)
    const { cutOuts } = understood(fromDxf(dxf([plate, turned], { blocks: [block('hole', circle(0, 0, 20))] }))).pattern
    expect(cutOuts.map((hole) => Math.round(Math.max(...hole.map((p) => p[1])))).sort((a, b) => a - b)).toEqual([
      70, 170,
    ])
  })
  test('the edge of a filled area is an outline where no other is drawn', () => {
    const ring = g(0, 'HATCH', 8, '0', 10, 0, 20, 0, 30, 0, 2, 'SOLID', 70, 1, 71, 0, 91, 2, 92, 7, 72, 0, 73, 1, 93, 4)
    const corners = box(0, 0, 400, 250).flatMap(([x, y]) => [10, x, 20, y])
    const edges = g(
      97,
      0,
      92,
      0,
      93,
      2,
      72,
      2,
      10,
      100,
      20,
      100,
      40,
      50,
      50,
      0,
      51,
      180,
      73,
      1,
      72,
      2,
      10,
      100,
      20,
      100,
      40,
      50,
      50,
      180,
      51,
      360,
      73,
      1,
      97,
      0,
      75,
      1,
      76,
      1,
    )
    const hatch = `${ring}\n${g(...corners)}\n${edges}`
    expect(areaOf(fromDxf(dxf([hatch])))).toBeCloseTo(100_000 - disc, -1)
    // Filled first and drawn afterwards, with a cut-out: the drawn outline is the piece.
    const both = fromDxf(dxf([hatch, plate, poly(box(250, 50, 40, 40))]))
    expect(areaOf(both)).toBeCloseTo(100_000 - 1600, 3)
    const beside = fromDxf(dxf([poly(box(0, 0, 500, 300)), hatch]))
    expect(areaOf(beside)).toBeCloseTo(150_000, 3)
    expect(mendedOf(beside)).toContain('2 filled areas left out.')
  })
  test('points that only pull a smoothed polyline are none of its corners', () => {
    const vertex = ([x, y]: Vec2, flags = 0) => g(0, 'VERTEX', 8, '0', 10, x, 20, y, 70, flags)
    const corners = box(0, 0, 400, 250).map((p) => vertex(p, 8))
    const answer = fromDxf(
      dxf([g(0, 'POLYLINE', 8, '0', 66, 1, 70, 5), vertex([900, 900], 16), ...corners, g(0, 'SEQEND')]),
    )
    expect(areaOf(answer)).toBeCloseTo(100_000, 3)
  })
  test.each([
    ['microns', 13, 1000],
    ['inches', 1, 1 / 25.4],
    ['yards', 10, 1 / 914.4],
  ])('drawn in %s', (_, unit, perMm) => {
    const answer = fromDxf(dxf([poly(box(0, 0, 400 * perMm, 250 * perMm))], { unit }))
    expect(understood(answer).unitStated).toBe(true)
    expect(areaOf(answer)).toBeCloseTo(100_000, 0)
  })
})

describe('an SVG shows what a browser would', () => {
  const hole = (more: string) => `<rect width="400" height="250"/><circle cx="100" cy="100" r="50" ${more}/>`
  test.each([
    ['a class that a style sheet hides', `<style>.off{display:none}</style>${hole('class="off"')}`],
    ['an id in a style sheet', `<style>#b,#c{visibility:hidden}</style>${hole('id="c"')}`],
    ['a later rule of the same weight', `<style>.a{display:inline}.b{display:none}</style>${hole('class="b a"')}`],
    ['visibility of its own', hole('visibility="hidden"')],
    [
      'visibility of a group',
      `<rect width="400" height="250"/><g visibility="hidden"><circle cx="100" cy="100" r="50"/></g>`,
    ],
    ['neither filled nor stroked', hole('fill="none"')],
    ['filled with nothing by a style', hole('style="fill:none;stroke:none"')],
    ['seen through', hole('style="opacity:0"')],
    ['important over inline', `<style>circle{display:none!important}</style>${hole('style="display:inline"')}`],
  ])('hidden: %s', (_, inside) => {
    const answer = fromSvg(svg(inside))
    expect(areaOf(answer)).toBeCloseTo(100_000, 3)
    expect(mendedOf(answer)).toMatch(/1 hidden shape left out/)
  })
  test.each([
    [
      'shown again inside a hidden group',
      `<rect width="400" height="250"/><g visibility="hidden"><circle cx="100" cy="100" r="50" visibility="visible"/></g>`,
    ],
    ['inline over a style sheet', `<style>circle{display:none}</style>${hole('style="display:inline"')}`],
    ['a rule for print only', `<style>@media print{circle{display:none}}</style>${hole('')}`],
    ['an id before a class', `<style>#c{display:inline}.x{display:none}</style>${hole('id="c" class="x"')}`],
    ['stroked where not filled', hole('fill="none" stroke="#000"')],
  ])('shown: %s', (_, inside) => {
    expect(areaOf(fromSvg(svg(inside)))).toBeCloseTo(100_000 - disc, -1)
  })
  test('a symbol is drawn where and as large as it is used, and not where it stands', () => {
    const symbol = '<symbol id="s" viewBox="0 0 10 10"><circle cx="5" cy="5" r="5"/></symbol>'
    const answer = fromSvg(
      svg(`${symbol}<rect width="400" height="250"/><use href="#s" x="50" y="50" width="100" height="100"/>`),
    )
    expect(areaOf(answer)).toBeCloseTo(100_000 - disc, -1)
    const [own] = understood(answer).pattern.cutOuts
    expect(Math.max(...(own ?? []).map((p) => p[0]))).toBeCloseTo(150, 2)
  })
  test('an inner drawing has units of its own', () => {
    const inner = '<svg x="50" y="50" width="100" height="100" viewBox="0 0 1 1"><circle cx=".5" cy=".5" r=".5"/></svg>'
    expect(areaOf(fromSvg(svg(`<rect width="400" height="250"/>${inner}`)))).toBeCloseTo(100_000 - disc, -1)
  })
  test('a box of another shape than its viewport is fitted into it, covers it, or is squeezed', () => {
    const rect = '<rect width="400" height="250"/>'
    const head = (how: string) => `width="800mm" height="400mm" viewBox="0 0 400 400" ${how}`
    expect(understood(fromSvg(svg(rect, head('')))).widthMm).toBeCloseTo(400, 6)
    expect(understood(fromSvg(svg(rect, head('preserveAspectRatio="xMinYMin slice"')))).widthMm).toBeCloseTo(800, 6)
    const squeezed = understood(fromSvg(svg(rect, head('preserveAspectRatio="none"'))))
    expect(squeezed.widthMm).toBeCloseTo(800, 6)
    expect(squeezed.heightMm).toBeCloseTo(250, 6)
  })
  test('only one of width and height, in a real unit', () => {
    expect(
      understood(fromSvg(svg('<rect width="400" height="250"/>', 'width="500mm" viewBox="0 0 1000 1000"'))).widthMm,
    ).toBeCloseTo(200, 6)
  })
  test('pixels are 96 to the inch where nothing else is said, and that is said', () => {
    const px = (400 * 96) / 25.4
    const answer = understood(fromSvg(svg(`<rect width="${px}" height="${px}"/>`, 'width="2000" height="2000"')))
    expect(answer.widthMm).toBeCloseTo(400, 6)
    expect(answer.unitStated).toBe(false)
    expect(answer.understood.map(english).join(' ')).toContain('96 pixels to the inch')
    const millimetres = understood(
      fromSvg(svg('<rect width="400" height="250"/>', 'viewBox="0 0 500 500"'), { mmPerUnit: 1 }),
    )
    expect(millimetres.widthMm).toBeCloseTo(400, 6)
  })
  test('elements with a prefix are elements', () => {
    const prefixed =
      '<svg:svg xmlns:svg="http://www.w3.org/2000/svg" width="600mm" height="400mm" viewBox="0 0 600 400"><svg:g><svg:rect width="400" height="250"/></svg:g></svg:svg>'
    expect(areaOf(fromSvg(prefixed))).toBeCloseTo(100_000, 3)
  })
  test('what lies outside a clip path is not there', () => {
    const clip = '<clipPath id="k"><rect x="0" y="0" width="200" height="400"/></clipPath>'
    const answer = fromSvg(svg(`${clip}<g clip-path="url(#k)"><rect width="400" height="250"/></g>`))
    expect(areaOf(answer)).toBeCloseTo(50_000, 1)
    const gone = fromSvg(
      svg(`${clip}<rect width="400" height="250"/><circle cx="300" cy="100" r="50" clip-path="url(#k)"/>`),
    )
    expect(areaOf(gone)).toBeCloseTo(100_000, 3)
    expect(mendedOf(gone)).toContain('1 shape outside its clip path left out.')
  })
  test('lengths of shapes in units of their own, and in shares of the drawing', () => {
    const units = fromSvg(svg('<rect width="40cm" height="9.84251968503937in"/>', 'width="600mm"'))
    expect(areaOf(units)).toBeCloseTo(100_000, 3)
    const shares = fromSvg(
      svg('<rect width="50%" height="25%"/>', 'width="800mm" height="1000mm" viewBox="0 0 80 100"'),
    )
    expect(areaOf(shares)).toBeCloseTo(100_000, 3)
    const round = fromSvg(
      svg('<circle cx="50%" cy="50%" r="25%"/>', 'width="400mm" height="400mm" viewBox="0 0 40 40"'),
    )
    expect(areaOf(round) / (Math.PI * 1e4)).toBeCloseTo(1, 3)
  })
  test('rounded corners of two radii', () => {
    const answer = fromSvg(svg('<rect width="400" height="250" rx="40" ry="20"/>'))
    expect(areaOf(answer)).toBeCloseTo(100_000 - (4 - Math.PI) * 40 * 20, 0)
  })
  test('a file that breaks off is refused, not read as far as it goes', () => {
    const answer = fromSvg('<svg xmlns="http://www.w3.org/2000/svg"><g><rect width="400" height="250"/>')
    expect(answer.ok ? '' : english(answer.failure.sentence)).toMatch(/<svg> in it does not end|<g> in it does not end/)
  })
})

describe('lines become a piece', () => {
  const corners = box(0, 0, 400, 250)
  const sides = corners.map((p, i): [Vec2, Vec2] => [p, corners[(i + 1) % 4] as Vec2])
  const path = ([a, b]: [Vec2, Vec2], id: string) =>
    `<path id="${id}" d="M${a.join(' ')}L${b.join(' ')}" stroke="#000"/>`
  test('paths that meet are one outline, each with an id of its own', () => {
    const halves = sides.flatMap(([a, b]): [Vec2, Vec2][] => {
      const middle: Vec2 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
      return [
        [a, middle],
        [middle, b],
      ]
    })
    const answer = fromSvg(svg(halves.map((side, i) => path(side, `path${1000 + i}`)).join('')))
    expect(areaOf(answer)).toBeCloseTo(100_000, 3)
    expect(understood(answer).layers.length).toBe(1)
  })
  test('an outline may go over two layers', () => {
    const drawn = sides.map(([a, b], i) => line(a, b, i < 2 ? 'Lower' : 'Upper'))
    expect(areaOf(fromDxf(dxf(drawn)))).toBeCloseTo(100_000, 3)
  })
  test.each([0, 1, 2, 3])('a side drawn twice, in any order: side %i', (twice) => {
    const again = sides[twice] as [Vec2, Vec2]
    for (const order of [
      [...sides, again],
      [again, ...sides],
      [...sides, [again[1], again[0]] as [Vec2, Vec2]],
      [sides[2], again, sides[0], sides[1], sides[3]] as [Vec2, Vec2][],
    ]) {
      const needed = new Set(order.map(([a, b]) => [a, b].map(String).sort().join()))
      if (needed.size < 4) continue
      const answer = fromDxf(dxf(order.map(([a, b]) => line(a, b))))
      expect(areaOf(answer)).toBeCloseTo(100_000, 3)
      expect(mendedOf(answer)).toContain('used once')
    }
  })
  test('sides that lie over each other for a while', () => {
    const over = [line([0, 0], [250, 0]), line([150, 0], [400, 0]), ...sides.slice(1).map(([a, b]) => line(a, b))]
    expect(areaOf(fromDxf(dxf(over)))).toBeCloseTo(100_000, 1)
  })
  test('what hangs on a corner is no side', () => {
    const spur = line([400, 250], [460, 300])
    for (const order of [
      [spur, ...sides.map(([a, b]) => line(a, b))],
      [...sides.map(([a, b]) => line(a, b)), spur],
    ]) {
      const answer = fromDxf(dxf(order))
      expect(areaOf(answer)).toBeCloseTo(100_000, 3)
      expect(mendedOf(answer)).toContain('1 open line left out.')
    }
  })
  test('a traced stroke is its middle line, with its cut-outs', () => {
    const ring = `${poly(box(0, 0, 400, 250))}\n${poly(box(0.6, 0.6, 398.8, 248.8))}`
    const answer = fromDxf(dxf([ring]))
    expect(areaOf(answer)).toBeCloseTo(399.4 * 249.4, -1)
    expect(mendedOf(answer)).toContain('1 line is drawn as a stroke, up to 0.6 mm wide')
    const strip = fromDxf(
      dxf([poly([...box(0, 0, 400, 250).slice(0, 3), [399.5, 250], [399.5, 0.5], [0, 0.5]] as Vec2[])]),
    )
    expect(strip.ok ? '' : english(strip.failure.sentence)).toContain('edge of a drawn stroke')
  })
  test('an even border of a real width is an outline with a cut-out', () => {
    const answer = fromDxf(dxf([poly(box(0, 0, 400, 250)), poly(box(12, 12, 376, 226))]))
    expect(areaOf(answer)).toBeCloseTo(100_000 - 376 * 226, 3)
  })
  test('an island inside a cut-out is a piece of its own, and named', () => {
    const answer = fromDxf(dxf([plate, poly(box(50, 50, 200, 150)), poly(box(100, 100, 50, 50))]))
    expect(areaOf(answer)).toBeCloseTo(100_000 - 30_000, 3)
    expect(mendedOf(answer)).toContain('1 shape inside a cut-out left out: a piece of its own.')
  })
  test('the frame of a page is no piece', () => {
    const inside = '<rect width="420" height="297"/><rect x="10" y="10" width="400" height="277"/>'
    const piece = '<path d="M60 60h240v160h-240z"/><circle cx="150" cy="150" r="20"/>'
    const answer = fromSvg(svg(inside + piece, 'width="420mm" height="297mm" viewBox="0 0 420 297"'))
    expect(areaOf(answer)).toBeCloseTo(240 * 160 - Math.PI * 400, -1)
    expect(mendedOf(answer)).toContain('A frame of the page, 420 mm x 297 mm, left out.')
    const paper = fromDxf(dxf([poly(box(0, 0, 297, 210)), poly(box(50, 50, 150, 100))]))
    expect(areaOf(paper)).toBeCloseTo(15_000, 3)
    // A plate that fills its page is a plate, however it is cut out; and so is one that says so.
    const fitted = 'width="400mm" height="250mm" viewBox="0 0 400 250"'
    const holed = '<rect width="400" height="250"/><circle cx="100" cy="100" r="50"/>'
    expect(areaOf(fromSvg(svg(holed, fitted)))).toBeCloseTo(100_000 - disc, -1)
    const window = '<rect width="400" height="250"/><rect x="20" y="20" width="200" height="150"/>'
    expect(areaOf(fromSvg(svg(window, fitted)))).toBeCloseTo(70_000, 3)
    expect(mendedOf(fromSvg(svg(window, fitted)))).toContain('if it is only a frame, leave it out')
    const framed = '<rect width="400" height="250"/><path d="M20 20h300v200h-300z"/>'
    expect(areaOf(fromSvg(svg(framed, fitted)))).toBeCloseTo(60_000, 3)
    expect(areaOf(fromSvg(svg(`<g id="outline">${framed}</g>`, fitted)))).toBeCloseTo(40_000, 3)
    expect(areaOf(fromSvg(svg(`<g id="a">${framed}</g>`, fitted), { roles: { a: 'outline' } }))).toBeCloseTo(40_000, 3)
    // Film as large as a sheet of paper with nothing in it is film.
    expect(areaOf(fromDxf(dxf([poly(box(0, 0, 297, 210))])))).toBeCloseTo(297 * 210, 3)
  })
})

describe('what layers are called', () => {
  test.each([
    ['Bookmark bonnet', null],
    ['Inner fender', null],
    ['Sensor cover', null],
    ['outline with notches', 'outline'],
    ['Outline', 'outline'],
    ['CUT-OUT', 'cut-out'],
    ['cut outs', 'cut-out'],
    ['CUTOUT', 'cut-out'],
    ['sensor holes', 'cut-out'],
    ['SensorHole', 'cut-out'],
    ['reference marks', 'mark'],
    ['Marking', null],
  ] as const)('%s', (name, role) => {
    const drawing = dxf([poly(box(0, 0, 400, 250), { layer: name }), poly(box(500, 0, 20, 20), { layer: 'rest' })])
    const answer = understood(fromDxf(drawing))
    // Whatever it is called: the largest shape by itself is the piece.
    expect(answer.areaMm2).toBeCloseTo(100_000, 3)
    const inside = dxf([plate, poly(box(50, 50, 20, 20), { layer: name })])
    const roleOf = fromDxf(inside)
    const layers = roleOf.ok ? roleOf.value.layers : roleOf.layers
    expect(layers.find((own) => own.layer === name)?.role).toBe(role ?? 'cut-out')
  })
  test('a drawing that is refused names its layers, and putting one right reads it', () => {
    const drawing = dxf([
      poly(box(0, 0, 400, 250), { layer: 'Part 7' }),
      poly(
        [
          [0, 300],
          [100, 300],
          [0, 340],
          [100, 340],
        ],
        { layer: 'outline' },
      ),
    ])
    const refused = fromDxf(drawing)
    expect(refused.ok ? '' : english(refused.failure.sentence)).toContain('crosses itself')
    const layers = refused.ok ? [] : refused.layers
    expect(layers.map(({ layer }) => layer).sort()).toEqual(['Part 7', 'outline'])
    const roles: Record<string, Role> = { outline: 'leave out' }
    expect(areaOf(fromDxf(drawing, { roles }))).toBeCloseTo(100_000, 3)
  })
})

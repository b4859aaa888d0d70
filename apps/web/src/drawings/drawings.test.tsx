import { verbatim } from '@truelay/core/say'
import type { EdgeMargin } from '@truelay/core/align'
import type { Vec2 } from '@truelay/core/geometry'
import type { PlanDrawing } from '@truelay/core/plan'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, test } from 'vitest'
import { BottleDrawing } from './BottleDrawing.tsx'
import { FingerBars } from './FingerBars.tsx'
import { FlatPiece } from './FlatPiece.tsx'
import { inPlane, inSpace } from './placeOnSurface.ts'
import { StepDrawing, withinView } from './StepDrawing.tsx'
import { StretchLegend } from './StretchLegend.tsx'
import { closedPath, openPath } from './svgPath.ts'
import { cssColor, scaleEnd, signedStretch, stretchColor } from './stretchColor.ts'

const rectangle = (w: number, h: number, inset = 0): Vec2[] => [
  [inset, inset],
  [w - inset, inset],
  [w - inset, h - inset],
  [inset, h - inset],
]
test('words beside the rim of a view are moved as far in as it takes to read them', () => {
  const view = { x: -100, y: -50, width: 200, height: 100 }
  expect(withinView([3, 2], 'measure up', 10, view)).toEqual([3, 2])
  const [x, y] = withinView([-99, -49], 'measure up', 10, view)
  expect(x).toBeCloseTo(-100 + 27, 9)
  expect(y).toBeCloseTo(-44, 9)
  // Words longer than the view stay in its middle.
  expect(withinView([80, 0], 'm'.repeat(90), 10, view)[0]).toBe(0)
})

const length = (mm: number) => `${mm.toFixed(1)} mm`

describe('the stretch map', () => {
  test('rest is chalk, stretch is orange, too much film is violet', () => {
    const rest = stretchColor(0, 0.02)
    expect(rest).toEqual(stretchColor(-0, 0.02))
    const [r, , b] = stretchColor(0.02, 0.02)
    expect(r).toBeGreaterThan(b)
    const [vr, , vb] = stretchColor(-0.02, 0.02)
    expect(vb).toBeGreaterThan(vr)
    expect(stretchColor(5, 0.02)).toEqual(stretchColor(0.02, 0.02))
    expect(cssColor([1, 0, 0.5])).toBe('rgb(255 0 128)')
  })
  test('every step away from rest looks different', () => {
    const seen = new Set(Array.from({ length: 13 }, (_, i) => cssColor(stretchColor(((i - 6) / 6) * 0.03, 0.03))))
    expect(seen.size).toBe(13)
  })
  test('the greater departure counts, with its sign', () => {
    expect(signedStretch(1.03, 0.99)).toBeCloseTo(0.03, 12)
    expect(signedStretch(1.001, 0.98)).toBeCloseTo(-0.02, 12)
  })
  test('the scale ends at a round figure that holds the film', () => {
    expect(scaleEnd(Float64Array.of(1.0041, 1, 1.003, 1))).toBe(0.005)
    expect(scaleEnd(Float64Array.of(1.047, 1, 1.046, 1))).toBe(0.05)
  })
  test('the legend says both ends in per cent', () => {
    const legend = renderToStaticMarkup(<StretchLegend full={0.015} />)
    expect(legend).toContain('1.5 % too much')
    expect(legend).toContain('1.5 % stretched')
  })
})

test('up is up on the screen', () => {
  expect(
    openPath([
      [3, 1],
      [1, 2],
    ]),
  ).toBe('M3.00 -1.00L1.00 -2.00')
  expect(closedPath(rectangle(2, 1))).toMatch(/^M.*L.*L.*L.*Z$/)
})

test('a place on a triangle is the weighted mean of its corners', () => {
  const surface = { mesh: { position: Float64Array.of(0, 0, 0, 10, 0, 0, 0, 10, 5), triangle: Int32Array.of(0, 1, 2) } }
  const place = { triangle: 0, weight: [0.2, 0.3, 0.5] as const }
  expect(inSpace(surface, place)).toEqual([3, 5, 2.5])
  expect(inPlane(surface, Float64Array.of(0, 0, 4, 0, 0, 4), place)).toEqual([1.2, 2])
})

test('fingers are shown in millimetres, and none as none', () => {
  const bars = renderToStaticMarkup(
    <FingerBars
      rows={[
        { label: 'nose', mmPer100: 1.5 },
        { label: 'rear', mmPer100: 0 },
      ]}
      unit="per 100 mm"
      show={length}
    />,
  )
  expect(bars).toContain('1.5 mm')
  expect(bars).toContain('none')
})

describe('the picture of a step', () => {
  const drawing: PlanDrawing = {
    part: rectangle(400, 300),
    holes: [],
    piece: rectangle(400, 300, 2.5),
    cutOuts: [],
    edges: [
      {
        name: 'rear',
        line: [
          [0, 300],
          [400, 300],
        ],
      },
    ],
  }
  const draw = (picture: Parameters<typeof StepDrawing>[0]['picture'], readings = {}) =>
    renderToStaticMarkup(
      <StepDrawing drawing={drawing} picture={picture} length={length} label="Step" aspect={1.4} readings={readings} />,
    )

  test('a sheet off the roll is drawn as it is, with no gap drawn larger, and all of it is in the picture', () => {
    const sheet = rectangle(400, 300, -125)
    const whole = (sheetOf?: typeof sheet) =>
      renderToStaticMarkup(
        <StepDrawing
          drawing={drawing}
          picture={{ film: 'floating', marks: [] }}
          {...(sheetOf === undefined ? {} : { sheet: sheetOf })}
          length={length}
          label="Step"
          aspect={1.4}
        />,
      )
    const viewOf = (svg: string) => (/viewBox="([^"]+)"/.exec(svg)?.[1] ?? '').split(' ').map(Number)
    expect(whole()).toContain('times too large')
    expect(whole(sheet)).not.toContain('times too large')
    const [x = 0, , width = 0] = viewOf(whole(sheet))
    expect(x).toBeLessThan(-125)
    expect(x + width).toBeGreaterThan(525)
    expect(viewOf(whole())[2]).toBeLessThan(width)
  })
  test('without film only the part is drawn', () => {
    expect(draw({ film: 'none', marks: [] })).not.toContain('stroke-dasharray')
    expect(draw({ film: 'floating', marks: [] })).toContain('stroke-dasharray')
  })
  test('a corner seen near shows its gap too large, and says how much', () => {
    const near = draw({
      film: 'floating',
      middle: [60, 60],
      radiusMm: 100,
      marks: [
        { kind: 'anchor', number: 3, at: [0, 0] },
        { kind: 'gap', at: [70, 0], normal: [0, 1], mm: 2.5 },
      ],
    })
    expect(near).toContain('2.5 mm')
    expect(near).toMatch(/gap drawn \d+ times too large/)
    expect(near).toContain('>3<')
  })
  test('film past the edge is drawn outward and told as over, never as a gap', () => {
    const over = draw({ film: 'floating', marks: [{ kind: 'gap', at: [70, 0], normal: [0, 1], mm: -9 }] })
    expect(over).toContain('9.0 mm over')
    const ends = [...over.matchAll(/<line x1="70" y1="-?0" x2="70" y2="(-?[\d.]+)"/g)].map((m) => Number(m[1]))
    expect(ends[0]).toBeGreaterThan(0)
  })
  test('a pull shows both hands, and how far', () => {
    const pull = draw({
      film: 'floating',
      marks: [
        { kind: 'pull', from: [200, 150], to: [400, 150], text: verbatim('9 mm') },
        { kind: 'hand', at: [400, 150] },
        { kind: 'hand', at: [0, 150] },
      ],
    })
    expect(pull.match(/lucide-hand/g)?.length).toBe(2)
    expect(pull).toContain('9 mm')
  })
  test('check points carry their letters, and their readings once there are some', () => {
    const marks = [{ kind: 'check' as const, id: 'P', at: [100, 300] as Vec2, normal: [0, -1] as Vec2 }]
    expect(draw({ film: 'floating', marks })).toContain('>P<')
    expect(draw({ film: 'floating', marks }, { P: { text: '3.6 mm', good: false } })).toContain('3.6 mm')
  })
  test('pulls, strokes, edges and zones are all drawn', () => {
    const picture = draw({
      film: 'laid',
      marks: [
        { kind: 'pull', from: [100, 100], to: [160, 100], text: verbatim('5.9 %') },
        { kind: 'stroke', from: [100, 150], to: [160, 150] },
        { kind: 'edge', edge: 'rear', text: verbatim('heat') },
        { kind: 'edge', edge: '*' },
        { kind: 'zone', at: [50, 50], radiusMm: 20, text: verbatim('most here') },
      ],
    })
    for (const words of ['5.9 %', 'heat', 'most here']) expect(picture).toContain(words)
    expect(picture).not.toContain('NaN')
  })
})

test('bottles show what is poured, in words too', () => {
  const bottles = renderToStaticMarkup(
    <BottleDrawing
      batches={[
        {
          use: 'tack',
          school: 'weak tack',
          says: verbatim('weak tack'),
          needMl: 364,
          batchMl: 450,
          add: [
            { what: 'water', ml: 385.7 },
            { what: 'alcohol stock', ml: 64.3 },
          ],
          strength: { alcoholPercent: 10, soapMlPerL: 0 },
          warnings: [],
        },
      ]}
    />,
  )
  expect(bottles).toContain('weak tack: 386 mL of water and 64 mL of alcohol stock')
  expect(bottles).toContain('450')
})

describe('the flat piece', () => {
  const margin = (at: Vec2, marginMm: number): EdgeMargin => ({
    at,
    inward: [0, 1],
    edge: 'bottom',
    hole: -1,
    beside: null,
    marginMm,
    film: [at[0], at[1] + marginMm],
    growth: [0, 1],
  })
  const draw = (marginMm: number, magnify: number) =>
    renderToStaticMarkup(
      <FlatPiece
        part={rectangle(400, 300)}
        piece={{ outline: rectangle(400, 300, marginMm), cutOuts: [] }}
        margins={[margin([100, 0], marginMm), margin([200, 0], marginMm), margin([300, 0], marginMm)]}
        rules={{ bottom: { minMm: 2, maxMm: 3 } }}
        magnify={magnify}
        anchors={[]}
        lines={[]}
        labels={[{ edge: 'bottom', at: [200, 0], inward: [0, 1], text: String(marginMm), bad: marginMm < 2 }]}
        pointed={[10, 10]}
        onPoint={() => {}}
        onDrag={() => {}}
        onDrop={() => {}}
        onKey={() => false}
        label="The flat piece"
      />,
    )
  test('where the rule is broken the strip is hatched and its figure amber', () => {
    expect(draw(1.2, 8)).toMatch(/<path d="M[^"]+" fill="url\(#too-near\)"/)
    expect(draw(1.2, 8)).toContain('fill="var(--amber)"')
    expect(draw(2.5, 8)).toContain('<path d="" fill="url(#too-near)"')
  })
  test('the drawing can be reached and moved by keys', () => {
    expect(draw(2.5, 8)).toContain('tabindex="0"')
  })
})

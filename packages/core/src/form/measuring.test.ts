import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { boundsOf, signedArea, type Vec2 } from '../geometry/index.ts'
import {
  buildSurface,
  curvatureMap,
  type FormDoc,
  formFromScan,
  mirrorForm,
  type PartSurface,
  type Relief,
  suggestReading,
  symmetrize,
  traceOutline,
} from './index.ts'
import { isMeshedByItsTwin } from './internal/meshedByItsTwin.ts'
import { required } from '../result/index.ts'
import { mostHeights, reliefHeight } from './relief.ts'

const plate = (more: Partial<FormDoc> = {}): FormDoc => ({
  id: 'plate',
  name: 'Plate',
  version: 1,
  family: 'panel',
  material: 'painted steel',
  start: [-200, -150],
  outline: [
    { kind: 'line', to: [200, -150], edge: 'bottom' },
    { kind: 'line', to: [200, 150], edge: 'right' },
    { kind: 'line', to: [-200, 150], edge: 'top' },
    { kind: 'line', to: [-200, -150], edge: 'left' },
  ],
  edges: ['bottom', 'right', 'top', 'left'].map((name) => ({
    name,
    label: `${name} edge`,
    code: 'stop-short' as const,
  })),
  directions: { right: "the driver's side", left: "the passenger's side", up: 'up', down: 'down' },
  bow: [],
  bodyLines: [],
  recesses: [],
  holes: [],
  marks: [],
  ...more,
})
const built = (form: FormDoc, triangles = 1500) => {
  const surface = buildSurface(form, { triangles })
  if (!surface.ok) throw new Error(english(surface.failure.sentence))
  return surface.value
}
const heights = (form: FormDoc) => {
  const { position } = built(form, 4000).mesh
  return Array.from({ length: position.length / 3 }, (_, v) => ({
    x: position[3 * v]!,
    y: position[3 * v + 1]!,
    z: position[3 * v + 2]!,
  }))
}
const box = (w: number, h: number): [number, number][] => [
  [-w, -h],
  [w, -h],
  [w, h],
  [-w, h],
]

describe('features of a part', () => {
  test('a raised feature stands up by its height, a channel lies lower by its depth', () => {
    const raised = heights(plate({ raised: [{ name: 'badge', outline: box(60, 40), heightMm: 6, wallDeg: 50 }] }))
    expect(Math.max(...raised.map((p) => p.z))).toBeCloseTo(6, 6)
    expect(raised.filter((p) => Math.abs(p.x) > 70).every((p) => p.z === 0)).toBe(true)
    const channel = heights(
      plate({
        channels: [
          {
            name: 'rail',
            along: [
              [-180, 0],
              [180, 0],
            ],
            widthMm: 60,
            depthMm: 9,
            wallDeg: 45,
          },
        ],
      }),
    )
    expect(Math.min(...channel.map((p) => p.z))).toBeCloseTo(-9, 6)
    expect(channel.filter((p) => Math.abs(p.y) > 31).every((p) => p.z === 0)).toBe(true)
    expect(
      built(
        plate({
          channels: [
            {
              name: 'rail',
              along: [
                [-180, 0],
                [180, 0],
              ],
              widthMm: 60,
              depthMm: 9,
              wallDeg: 45,
            },
          ],
        }),
      ).figures.deepestRecessMm,
    ).toBe(9)
  })
  test('a channel too narrow for its walls is refused by name', () => {
    const result = buildSurface(
      plate({
        channels: [
          {
            name: 'slot',
            along: [
              [-180, 0],
              [180, 0],
            ],
            widthMm: 12,
            depthMm: 20,
            wallDeg: 40,
          },
        ],
      }),
    )
    expect(result.ok ? '' : english(result.failure.sentence)).toContain('"slot" is 12 mm wide')
  })
})

describe('the other side', () => {
  const form = plate({
    outline: [
      { kind: 'arc', to: [200, -150], radiusMm: 900, turn: 'left', edge: 'bottom' },
      { kind: 'line', to: [230, 150], edge: 'right' },
      { kind: 'spline', through: [[0, 170]], to: [-200, 150], edge: 'top' },
      { kind: 'line', to: [-200, -150], edge: 'left' },
    ],
    bow: [{ name: 'across', from: [-150, 0], to: [190, 0], sagittaMm: 12 }],
    marks: [{ name: 'badge', label: "badge, driver's side", at: [50, 0], weight: 1 }],
  })
  const other = mirrorForm(form, { id: 'other', name: 'Other', swap: [["driver's", "passenger's"]] })
  test('is the same part seen in a mirror', () => {
    const [a, b] = [built(form), built(other)]
    expect(b.figures.areaMm2 / a.figures.areaMm2).toBeCloseTo(1, 3)
    expect(boundsOf(b.outline.polygon).max[0]).toBeCloseTo(-boundsOf(a.outline.polygon).min[0], 6)
    expect(other.marks[0]).toMatchObject({ name: 'badge', label: "badge, passenger's side", at: [-50, 0] })
    expect(other.directions).toEqual(form.directions)
  })
  test('has the same mesh in a mirror, its triangles facing the eye', () => {
    const sides = [form, other].map((side) => built(side))
    const [a, b] = sides as [PartSurface, PartSurface]
    expect(b.mesh.position.length).toBe(a.mesh.position.length)
    for (let i = 0; i < a.mesh.position.length; i++)
      expect(b.mesh.position[i]).toBeCloseTo((i % 3 === 0 ? -1 : 1) * a.mesh.position[i]!, 6)
    const facing = ({ mesh: { triangle }, plan }: PartSurface, t: number) => {
      const [p, q, r] = [0, 1, 2].map((c) => [plan[2 * triangle[3 * t + c]!]!, plan[2 * triangle[3 * t + c]! + 1]!])
      return signedArea([p, q, r] as [number, number][])
    }
    for (const side of sides)
      for (let t = 0; t < side.mesh.triangle.length / 3; t++) expect(facing(side, t)).toBeGreaterThan(0)
  })
  test('one of two twins is meshed by the other, a symmetric part as it is', () => {
    const meshedByTwin = [form, other].map((side) => isMeshedByItsTwin(built(side).outline.polygon))
    expect([...meshedByTwin].sort()).toEqual([false, true])
    expect(isMeshedByItsTwin(built(plate()).outline.polygon)).toBe(false)
    // The same half turn looks the same, and still has a left and a right.
    const slanted = [
      [-200, -150],
      [100, -150],
      [200, 150],
      [-100, 150],
    ] as const
    expect(isMeshedByItsTwin(slanted)).not.toBe(isMeshedByItsTwin(slanted.map(([x, y]) => [-x, y] as const).reverse()))
  })
  test('mirrored twice it is the same document', () => {
    expect(mirrorForm(other, { id: form.id, name: form.name, swap: [["driver's", "passenger's"]] })).toEqual(form)
  })
  test('a scanned part is high where its likeness is', () => {
    const scanned = { ...form, bow: [], relief: reliefOf(slope, [-240, -200]) }
    const likeness = mirrorForm(scanned, { id: 'other', name: 'Other', swap: [] })
    const there = reliefHeight(scanned.relief)
    const here = reliefHeight(likeness.relief ?? scanned.relief)
    for (const [x, y] of spotsOfPlate) expect(here([-x, y])).toBeCloseTo(there([x, y]), 9)
    expect(mirrorForm(likeness, { id: form.id, name: form.name, swap: [] })).toEqual(scanned)
  })
})

/** Higher to the right than to the left, and bent. */
const slope = (x: number, y: number) => 0.05 * x + 0.0002 * x * x - 0.01 * y
const spotsOfPlate = [
  [-180, -100],
  [-93, 41],
  [0, 0],
  [57, -130],
  [210, 140],
] as const

/** Heights over a grid that begins at a place and is 500 by 400 mm. */
function reliefOf(
  height: (x: number, y: number) => number,
  [left, bottom]: readonly [number, number],
  stepMm = 10,
): Relief {
  const [columns, rows] = [500, 400].map((mm) => Math.round(mm / stepMm) + 1) as [number, number]
  const heightsMm = Array.from({ length: columns * rows }, (_, i) =>
    height(left + stepMm * (i % columns), bottom + stepMm * Math.floor(i / columns)),
  )
  return { originMm: [left, bottom], stepMm, columns, heightsMm, errorMm: 0.2 }
}

describe('half a part, completed', () => {
  const half = plate({
    start: [0, -150],
    outline: [
      { kind: 'line', to: [0, 150], edge: 'middle' },
      { kind: 'spline', through: [[-90, 145]], to: [-180, 130], edge: 'top' },
      { kind: 'arc', to: [-200, -130], radiusMm: 1200, turn: 'left', edge: 'side' },
      { kind: 'line', to: [0, -150], edge: 'bottom' },
    ],
    edges: ['middle', 'top', 'side', 'bottom'].map((name) => ({ name, label: name, code: 'stop-short' as const })),
  })
  const running = plate({
    ...half,
    start: [0, 150],
    outline: [
      { kind: 'spline', through: [[-90, 145]], to: [-180, 130], edge: 'top' },
      { kind: 'arc', to: [-200, -130], radiusMm: 1200, turn: 'left', edge: 'side' },
      { kind: 'line', to: [0, -150], edge: 'bottom' },
      { kind: 'line', to: [0, 150], edge: 'middle' },
    ],
    bow: [
      { name: 'up, left', from: [-100, -120], to: [-100, 120], sagittaMm: 8 },
      { name: 'up, middle', from: [0, -140], to: [0, 140], sagittaMm: 9 },
    ],
    marks: [{ name: 'corner', label: 'corner', at: [-180, 130], weight: 1 }],
  })
  test('outline, readings and marks get their likeness on the right', () => {
    const whole = symmetrize(running)
    if (!whole.ok) throw new Error(english(whole.failure.sentence))
    const traced = traceOutline('whole', whole.value.start, whole.value.outline)
    const before = traceOutline('half', running.start, running.outline)
    if (!traced.ok || !before.ok) throw new Error('not traced')
    expect(signedArea(traced.value.polygon) / signedArea(before.value.polygon)).toBeCloseTo(2, 6)
    expect(whole.value.bow.map((r) => r.name)).toEqual(['up, left', 'up, middle', 'up, left, right'])
    expect(whole.value.marks.length).toBe(2)
    expect(whole.value.edges.map((e) => e.name)).toEqual(['top', 'side', 'bottom', 'side (right)'])
    expect(built(whole.value).bowFit.worstMissMm).toBeLessThan(1e-3)
  })
  test('heights, spots and what stands at its edges do as well', () => {
    const obstacle = { name: 'washer jet', kind: 'tab' as const, at: [-195, 0] as const, widthMm: 20, reachMm: 12 }
    const spot = { name: 'top of the bulge', at: [-100, 20] as const, heightMm: 14, sigmaMm: 0.5 }
    const whole = symmetrize({
      ...running,
      spots: [spot],
      obstacles: [obstacle],
      // Its grid does not meet the middle, and what was scanned well beyond the middle counts for nothing.
      relief: reliefOf((x, y) => slope(x, y) + (x > 10 ? 99 : 0), [-243, -200]),
    })
    if (!whole.ok) throw new Error(english(whole.failure.sentence))
    expect(whole.value.spots?.map(({ at, heightMm }) => [at, heightMm])).toEqual([
      [[-100, 20], 14],
      [[100, 20], 14],
    ])
    expect(whole.value.obstacles?.map(({ at }) => at)).toEqual([
      [-195, 0],
      [195, 0],
    ])
    const { relief } = whole.value
    if (relief === undefined) throw new Error('no heights')
    for (const [x, y] of spotsOfPlate) expect(reliefHeight(relief)([x, y])).toBeCloseTo(slope(-Math.abs(x), y), 1)
  })
  test('a half that was scanned as finely as a form can hold is not too much as a whole', () => {
    const fine = symmetrize({ ...running, relief: reliefOf(slope, [-250, -200], 2.7) })
    if (!fine.ok) throw new Error(english(fine.failure.sentence))
    const { relief } = fine.value
    if (relief === undefined) throw new Error('no heights')
    expect(relief.heightsMm.length).toBeLessThanOrEqual(mostHeights)
    expect(relief.heightsMm.length).toBeGreaterThan(0.9 * mostHeights)
    for (const [x, y] of spotsOfPlate)
      expect(Math.abs(reliefHeight(relief)([x, y]) - slope(-Math.abs(x), y))).toBeLessThan(relief.errorMm)
    // What is lost between wider heights is told.
    expect(relief.errorMm).toBeGreaterThan(0.2)
    expect(relief.errorMm).toBeLessThan(0.21)
  })
  test('a half that does not end on the middle line is refused', () => {
    const off = symmetrize(plate())
    expect(off.ok ? '' : off.failure.code).toBe('HALF_NOT_ON_MIDDLE')
  })
})

describe('a form from a scan', () => {
  const square = (x: number, y: number, half: number): Vec2[] => [
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  ]
  const opening = (name: string, outline: Vec2[]) => ({ name, label: name, outline, code: 'stop-short' as const })
  const bow = (y: number) => ({
    name: `across at ${y}`,
    from: [-190, y] as const,
    to: [190, y] as const,
    sagittaMm: 6,
  })
  const part = plate({
    bow: [bow(-100), bow(0), bow(100)],
    holes: [opening('lamp', square(-100, 30, 20)), opening('badge', square(90, -60, 15))],
  })
  const whole = required(buildSurface(part, { triangles: 60_000 })).mesh
  const nearest = (x: number, y: number) => {
    const away = (t: number) =>
      Math.hypot(whole.position[3 * whole.triangle[3 * t]!]! - x, whole.position[3 * whole.triangle[3 * t]! + 1]! - y)
    return Array.from({ length: whole.triangle.length / 3 }, (_, t) => t).reduce((best, t) =>
      away(t) < away(best) ? t : best,
    )
  }
  // A scanner leaves out a spot here and there: one triangle of two millimetres.
  const missing = nearest(0, 90)
  const scan = { mesh: { ...whole, triangle: whole.triangle.filter((_, i) => Math.floor(i / 3) !== missing) } }
  const scanned = formFromScan(scan.mesh, 5)
  if (!scanned.ok) throw new Error(english(scanned.failure.sentence))
  test('its openings are counted up, what is too small for one is told as closed', () => {
    const { holes, mended } = scanned.value
    expect(holes.map(({ name, label }) => [name, label])).toEqual([
      ['opening 1', 'opening 1'],
      ['opening 2', 'opening 2'],
    ])
    const areas = holes.map(({ outline }) => signedArea(outline)).sort((a, b) => a - b)
    expect(areas[0]! / 900).toBeCloseTo(1, 1)
    expect(areas[1]! / 1600).toBeCloseTo(1, 1)
    expect(mended.map((sentence) => english(sentence))).toEqual(['1 gap of the scan, less than 3 mm across, closed.'])
  })
  test('its heights are those of the part that was scanned, its outline is that of its rim', () => {
    const { relief, start, outline } = scanned.value
    const height = reliefHeight(relief)
    const { position } = scan.mesh
    for (let v = 0; v < position.length / 3; v++)
      expect(Math.abs(height([position[3 * v]!, position[3 * v + 1]!]) - position[3 * v + 2]!)).toBeLessThan(0.5)
    const traced = traceOutline('scan', start, outline)
    if (!traced.ok) throw new Error(english(traced.failure.sentence))
    expect(signedArea(traced.value.polygon) / (400 * 300)).toBeCloseTo(1, 2)
  })
  test('what is smaller than a thumb is refused', () => {
    const small = { ...scan.mesh, position: scan.mesh.position.map((mm) => mm / 100) }
    const refusal = formFromScan(small, 5)
    expect(refusal.ok ? 'fine' : refusal.failure.code).toBe('SCAN_TOO_SMALL')
  })
})

describe('where to lay the straightedge next', () => {
  test('across the middle first, then where least is known, until enough is known', () => {
    let form = plate()
    expect(suggestReading(form, 1)).toMatchObject({ name: 'across, middle', unsureMm: null })
    const unsure: number[] = []
    for (let i = 0; i < 12; i++) {
      const next = suggestReading(form, 1)
      if (next === null) break
      unsure.push(next.unsureMm ?? 99)
      const { name, from, to } = next
      const z = (x: number, y: number) => -2e-4 * x * x - 3e-4 * y * y
      const sagittaMm = z((from[0] + to[0]) / 2, (from[1] + to[1]) / 2) - (z(...from) + z(...to)) / 2
      form = { ...form, bow: [...form.bow, { name: `${name} ${i}`, from, to, sagittaMm }] }
    }
    expect(suggestReading(form, 1)).toBe(null)
    expect(form.bow.length).toBeLessThan(12)
    expect(unsure[unsure.length - 1]).toBeLessThan(unsure[1]!)
  })
  test('nothing is suggested while the outline is open', () => {
    expect(suggestReading(plate({ outline: plate().outline.slice(0, 3) }), 1)).toBe(null)
  })
})

test('the curvature map: nought on what is flat or bent one way, of its sign on domes and saddles', () => {
  const bent = (across: number, up: number) =>
    plate({
      bow: [
        { name: 'across', from: [-190, 0], to: [190, 0], sagittaMm: across },
        { name: 'up', from: [0, -140], to: [0, 140], sagittaMm: up },
        {
          name: 'slant',
          from: [-100, -100],
          to: [100, 100],
          sagittaMm: (across * 100 ** 2) / 190 ** 2 + (up * 100 ** 2) / 140 ** 2,
        },
      ],
    })
  const mean = (form: FormDoc) => {
    const { share, fullPerM2 } = curvatureMap(built(form))
    return (share.reduce((a, b) => a + b, 0) / share.length) * fullPerM2
  }
  const dome = mean(bent(20, 12))
  expect(dome).toBeGreaterThan(0.2)
  expect(mean(bent(20, -12))).toBeLessThan(-0.2)
  expect(Math.abs(mean(bent(20, 0)))).toBeLessThan(0.05 * dome)
})

/**
 * Draws and "measures" the demo shop's parts from simple shapes, as somebody with straightedge, rule and tape would
 * note them: outline in mm, bow to half a millimetre. Every vehicle here is made up.
 * Run: `npx tsx demo/tools/makeForms.ts`; writes demo/forms/*.json except the two that were measured by hand.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { formDoc } from '@truelay/contract'
import { type FormDoc, type FormEdge, mirrorForm, type Obstacle, type OutlineSegment } from '@truelay/core/form'
import type { Vec2 } from '@truelay/core/geometry'
import { at, circle, line, readBow, readGrid, round, roundedBox, spline } from './shapes.ts'

type Draft = Omit<FormDoc, 'id' | 'name' | 'version' | 'bodyLines' | 'recesses' | 'holes' | 'directions'> &
  Partial<Pick<FormDoc, 'bodyLines' | 'recesses' | 'holes' | 'directions'>>

const onTheRight = { right: 'the front', left: 'the rear', up: 'the roof', down: 'the ground' }
const seenFromFront = {
  right: 'the driver’s side',
  left: 'the passenger’s side',
  up: 'the bonnet',
  down: 'the ground',
}
const seenFromRear = { right: 'the passenger’s side', left: 'the driver’s side', up: 'the roof', down: 'the ground' }
const swap = [
  ['passenger’s', 'driver’s'],
  ['passenger’s', 'driver’s'],
] as const

function write(id: string, name: string, draft: Draft) {
  const form = { id, name, version: 1, bodyLines: [], recesses: [], holes: [], directions: onTheRight, ...draft }
  writeFileSync(`demo/forms/${id}.json`, `${JSON.stringify(formDoc.parse(form))}\n`)
  return form as FormDoc
}

function writeOtherSide(form: FormDoc, id: string, name: string) {
  writeFileSync(`demo/forms/${id}.json`, `${JSON.stringify(formDoc.parse(mirrorForm(form, { id, name, swap })))}\n`)
}

/** A part with four edges, each bowed outward in the drawing by its own amount. */
function fourSided(
  corners: readonly [Vec2, Vec2, Vec2, Vec2],
  edges: readonly [string, string, string, string],
  outMm: readonly [number, number, number, number],
): { start: Vec2; outline: OutlineSegment[] } {
  const outline = corners.map((from, i): OutlineSegment => {
    const to = corners[(i + 1) % 4] ?? from
    const out = outMm[i] ?? 0
    const edge = edges[i] ?? ''
    if (out === 0) return line(to, edge)
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
    const length = Math.hypot(dx, dy)
    // Corners run counter-clockwise: outward is to the right of each side.
    const bowed = (t: number) => {
      const off = 4 * out * t * (1 - t)
      return at(from[0] + dx * t + (dy / length) * off, from[1] + dy * t - (dx / length) * off)
    }
    return spline([bowed(0.25), bowed(0.5), bowed(0.75)], to, edge)
  })
  return { start: corners[0], outline }
}

const edge = (name: string, label: string, code: FormEdge['code'], more: Partial<FormEdge> = {}): FormEdge => ({
  name,
  label,
  code,
  ...more,
})
const mark = (name: string, label: string, spot: Vec2, weight = 1) => ({ name, label, at: spot, weight })
const cornerMarks = (corners: readonly Vec2[], labels: readonly string[]) =>
  corners.map((spot, i) => mark(labels[i] ?? `corner ${i + 1}`, labels[i] ?? `corner ${i + 1}`, spot))

// Velmora Pipit, city hatch

{
  // Nearly straight in the middle, rolling round towards the arches, fuller below the swage line.
  const height = (x: number, y: number) =>
    -6e-5 * x * x - 3.2e-10 * x ** 4 - 7.5e-4 * (y - 40) ** 2 * (1 + 0.6 * (x / 700) ** 2)
  const corners = [at(-700, -212), at(700, -212), at(768, 182), at(-768, 182)] as const
  const sensor = (x: number, y: number, label: string) => ({
    name: label,
    label,
    outline: circle(at(x, y), 13),
    code: 'stop-short' as const,
    marginMinMm: 0.5,
    marginMaxMm: 2.5,
  })
  write('pipit-bumper', 'Velmora Pipit front bumper', {
    family: 'panel',
    material: 'painted plastic',
    directions: seenFromFront,
    ...fourSided(corners, ['flap', 'arch driver', 'top', 'arch passenger'], [14, 8, 20, 8]),
    edges: [
      edge('flap', 'bottom flap', 'wrap', { behind: 'open flange, 25 mm' }),
      edge('arch driver', 'arch edge, driver’s side', 'wrap', { behind: 'wheel arch lip' }),
      edge('top', 'top edge', 'stop-short', { line: 'trim above' }),
      edge('arch passenger', 'arch edge, passenger’s side', 'wrap', { behind: 'wheel arch lip' }),
    ],
    bow: [
      readBow('across, top', at(-720, 150), at(720, 150), height),
      readBow('across, middle', at(-700, 0), at(700, 0), height),
      readBow('across, flap', at(-670, -180), at(670, -180), height),
      readBow('across, driver’s end', at(300, 0), at(700, 0), height),
      readBow('across, passenger’s end', at(-700, 0), at(-300, 0), height),
      readBow('up, middle', at(0, -200), at(0, 190), height),
      readBow('up, driver’s side', at(500, -200), at(500, 170), height),
      readBow('up, passenger’s side', at(-500, -200), at(-500, 170), height),
      readBow('up, driver’s end', at(670, -190), at(670, 165), height),
      readBow('up, passenger’s end', at(-670, -190), at(-670, 165), height),
    ],
    bodyLines: [
      {
        name: 'swage line',
        along: [at(-600, 58), at(-300, 66), at(0, 70), at(300, 66), at(600, 58)],
        turnDeg: 7,
        radiusMm: 12,
        reachMm: 60,
      },
    ],
    holes: [
      sensor(-590, -12, 'outer sensor, passenger’s side'),
      sensor(-250, -40, 'inner sensor, passenger’s side'),
      sensor(250, -40, 'inner sensor, driver’s side'),
      sensor(590, -12, 'outer sensor, driver’s side'),
    ],
    marks: [
      mark('sensor passenger', 'inner sensor, passenger’s side', at(-250, -40), 2),
      mark('sensor driver', 'inner sensor, driver’s side', at(250, -40), 2),
      mark('top passenger', 'top corner, passenger’s side', at(-768, 182)),
      mark('top driver', 'top corner, driver’s side', at(768, 182)),
    ],
  })
}

{
  const height = (x: number, y: number) => -3e-5 * x * x - 2.4e-4 * (y - 60) * (y - 60)
  const corners = [at(-520, -330), at(470, -330), at(540, 250), at(-500, 330)] as const
  const form = write('pipit-door-right', 'Velmora Pipit front door, passenger’s side', {
    family: 'panel',
    material: 'painted steel',
    ...fourSided(corners, ['bottom', 'front', 'top', 'rear'], [6, 14, 4, 10]),
    edges: [
      edge('bottom', 'bottom edge', 'wrap', { behind: 'open flange, 15 mm' }),
      edge('front', 'front edge', 'stop-short'),
      edge('top', 'window edge', 'tuck', { behind: 'window seal' }),
      edge('rear', 'rear edge', 'wrap', { behind: 'open flange, 18 mm' }),
    ],
    bow: readGrid({ left: -480, right: 470, bottom: -310, top: 250 }, height),
    bodyLines: [
      {
        name: 'shoulder line',
        along: [at(-480, 150), at(-200, 158), at(100, 152), at(400, 138)],
        turnDeg: 8,
        radiusMm: 10,
        reachMm: 55,
      },
    ],
    holes: [
      {
        name: 'handle',
        label: 'handle',
        outline: roundedBox(at(-360, 215), 190, 44, 20),
        code: 'stop-short',
        marginMinMm: 0.5,
        marginMaxMm: 3,
      },
      {
        name: 'mirror foot',
        label: 'mirror foot',
        outline: roundedBox(at(410, 205), 110, 64, 18),
        code: 'stop-short',
        marginMinMm: 0.5,
        marginMaxMm: 3,
      },
    ],
    marks: [
      mark('handle', 'handle', at(-360, 215), 2),
      mark('mirror foot', 'mirror foot', at(410, 205), 2),
      ...cornerMarks(corners, ['rear bottom', 'front bottom', 'front top', 'rear top']),
    ],
  })
  writeOtherSide(form, 'pipit-door-left', 'Velmora Pipit front door, driver’s side')
}

{
  const height = (x: number, y: number) => -1.7e-3 * x * x - 2.6e-3 * y * y
  const form = write('pipit-mirror-right', 'Velmora Pipit mirror cap, passenger’s side', {
    family: 'panel',
    material: 'painted plastic',
    start: at(-102, -18),
    outline: [
      spline([at(-70, -54), at(0, -66), at(66, -52)], at(100, -12), 'lower'),
      spline([at(96, 28), at(60, 60), at(0, 68), at(-62, 56), at(-98, 24)], at(-102, -18), 'glass'),
    ],
    edges: [
      edge('lower', 'lower edge', 'tuck', { behind: 'gap to the lower shell' }),
      edge('glass', 'edge round the glass', 'tuck', { behind: 'gap to the frame' }),
    ],
    bow: [
      readBow('across, middle', at(-96, 0), at(96, 0), height),
      readBow('across, upper', at(-80, 38), at(80, 38), height),
      readBow('across, lower', at(-80, -38), at(80, -38), height),
      readBow('up, middle', at(0, -62), at(0, 64), height),
      readBow('up, inner', at(-60, -50), at(-60, 50), height),
      readBow('up, outer', at(60, -48), at(60, 52), height),
    ],
    marks: [mark('inner tip', 'inner tip', at(-102, -18)), mark('outer tip', 'outer tip', at(100, -12))],
  })
  writeOtherSide(form, 'pipit-mirror-left', 'Velmora Pipit mirror cap, driver’s side')
}

{
  const height = (x: number, y: number) => Math.sqrt(74 * 74 - x * x - y * y)
  const form = write('pipit-fog-right', 'Velmora Pipit fog lamp, passenger’s side', {
    family: 'lamp',
    material: 'lens plastic',
    directions: seenFromFront,
    start: at(-45, 0),
    outline: [
      { kind: 'arc', to: at(45, 0), radiusMm: 45, turn: 'left', edge: 'rim' },
      { kind: 'arc', to: at(-45, 0), radiusMm: 45, turn: 'left', edge: 'rim' },
    ],
    edges: [edge('rim', 'lip', 'lip-stop', { lip: { turnDeg: 85, depthMm: 12 } })],
    bow: [
      readBow('across', at(-44, 0), at(44, 0), height),
      readBow('up', at(0, -44), at(0, 44), height),
      readBow('slanting up', at(-31, -31), at(31, 31), height),
      readBow('slanting down', at(-31, 31), at(31, -31), height),
      readBow('across, half way', at(-22, 0), at(22, 0), height),
      readBow('up, half way', at(0, -22), at(0, 22), height),
    ],
    marks: [mark('top notch', 'notch at the top', at(0, 45)), mark('bottom notch', 'notch at the bottom', at(0, -45))],
  })
  writeOtherSide(form, 'pipit-fog-left', 'Velmora Pipit fog lamp, driver’s side')
}

writeOtherSide(
  JSON.parse(readFileSync('demo/forms/pipit-headlamp-left.json', 'utf8')),
  'pipit-headlamp-right',
  'Velmora Pipit headlamp, passenger’s side',
)

// Ondrel Skua, estate

for (const [which, label, lean, wide] of [
  ['front', 'front door pillar', 62, 66],
  ['rear', 'rear door pillar', 24, 92],
] as const) {
  const height = (x: number, y: number) => -2.2e-4 * y * y - 8e-4 * (x - (lean * y) / 480) ** 2
  const corners = [
    at(-wide / 2 - lean / 2, -236),
    at(wide / 2 - lean / 2, -236),
    at(wide / 2 + lean / 2 - 8, 240),
    at(-wide / 2 + lean / 2 + 8, 240),
  ] as const
  const form = write(`skua-pillar-${which}-right`, `Ondrel Skua ${label}, passenger’s side`, {
    family: 'panel',
    material: 'gloss trim',
    ...fourSided(corners, ['sill', 'front', 'roof', 'rear'], [2, 0, 3, 0]),
    edges: [
      edge('sill', 'lower end', 'tuck', { behind: 'waist seal' }),
      edge('front', 'front edge', 'stop-short'),
      edge('roof', 'upper end', 'tuck', { behind: 'roof seal' }),
      edge('rear', 'rear edge', 'stop-short'),
    ],
    bow: [
      readBow('up, middle', at(-lean / 2, -230), at(lean / 2, 230), height),
      readBow('up, front edge', at(wide / 2 - lean / 2 - 6, -225), at(wide / 2 + lean / 2 - 14, 225), height),
      readBow('across, low', at(-wide / 2 - lean / 3, -160), at(wide / 2 - lean / 3, -160), height),
      readBow('across, middle', at(-wide / 2 + 5, 0), at(wide / 2 - 5, 0), height),
      readBow('across, high', at(-wide / 2 + lean / 3 + 8, 160), at(wide / 2 + lean / 3 - 8, 160), height),
    ],
    marks: cornerMarks(corners, ['lower rear', 'lower front', 'upper front', 'upper rear']),
  })
  writeOtherSide(form, `skua-pillar-${which}-left`, `Ondrel Skua ${label}, driver’s side`)
}

{
  const outerHeight = (x: number, y: number) => -6.5e-4 * (x + 60) * (x + 60) - 7e-4 * y * y
  const outer = [at(-128, -72), at(120, -80), at(136, 70), at(-128, 78)] as const
  const form = write('skua-tail-outer-right', 'Ondrel Skua tail lamp, outer part, passenger’s side', {
    family: 'lamp',
    material: 'lens plastic',
    directions: seenFromRear,
    ...fourSided(outer, ['bottom', 'wing', 'top', 'inner'], [6, 14, 8, 0]),
    edges: [
      edge('bottom', 'bottom edge', 'gap-cut', { behind: 'gap to the bumper' }),
      edge('wing', 'wing edge', 'gap-cut', { behind: 'gap to the wing' }),
      edge('top', 'top edge', 'gap-cut', { behind: 'gap to the wing' }),
      edge('inner', 'edge beside the inner lamp', 'tuck', {
        behind: 'gap to the boot lid',
        line: 'line of the inner lamp',
      }),
    ],
    bow: readGrid({ left: -118, right: 128, bottom: -68, top: 70 }, outerHeight),
    marks: [
      ...cornerMarks(outer, ['lower inner', 'lower wing', 'upper wing', 'upper inner']),
      mark('line', 'line of the inner lamp', at(-128, 10), 2),
    ],
  })
  writeOtherSide(form, 'skua-tail-outer-left', 'Ondrel Skua tail lamp, outer part, driver’s side')
  const innerHeight = (x: number, y: number) => -1.6e-4 * x * x - 4e-4 * y * y
  const inner = [at(-150, -58), at(112, -70), at(112, 76), at(-150, 62)] as const
  const innerForm = write('skua-tail-inner-right', 'Ondrel Skua tail lamp, inner part, passenger’s side', {
    family: 'lamp',
    material: 'lens plastic',
    directions: seenFromRear,
    ...fourSided(inner, ['bottom', 'outer', 'top', 'plate'], [3, 0, 4, 10]),
    edges: [
      edge('bottom', 'bottom edge', 'gap-cut', { behind: 'gap to the boot lid' }),
      edge('outer', 'edge beside the outer lamp', 'tuck', { behind: 'gap to the wing' }),
      edge('top', 'top edge', 'gap-cut', { behind: 'gap to the boot lid' }),
      edge('plate', 'edge at the number plate', 'gap-cut', { behind: 'gap to the plate panel' }),
    ],
    bow: readGrid({ left: -140, right: 105, bottom: -54, top: 60 }, innerHeight),
    marks: [
      ...cornerMarks(inner, ['lower plate', 'lower outer', 'upper outer', 'upper plate']),
      mark('line', 'line of the lamp', at(112, 10), 2),
    ],
  })
  writeOtherSide(innerForm, 'skua-tail-inner-left', 'Ondrel Skua tail lamp, inner part, driver’s side')
}

{
  const curve = (x: number) => -9e-5 * x * x
  const height = (x: number, y: number) => -3.4e-5 * x * x - 5e-3 * (y - curve(x)) ** 2
  const width = 26
  const half = 690
  const along = (off: number, xs: readonly number[]) => xs.map((x) => at(x, curve(x) + off))
  const inner = [-460, -230, 0, 230, 460]
  const form = write('skua-trim-right', 'Ondrel Skua window trim strip, passenger’s side', {
    family: 'trim',
    material: 'gloss trim',
    start: at(-half, curve(half) - width / 2),
    outline: [
      spline(along(-width / 2, inner), at(half, curve(half) - width / 2), 'lower'),
      line(at(half, curve(half) + width / 2), 'front end'),
      spline(along(width / 2, [...inner].reverse()), at(-half, curve(half) + width / 2), 'upper'),
      line(at(-half, curve(half) - width / 2), 'rear end'),
    ],
    edges: [
      edge('lower', 'lower edge', 'tuck', { behind: 'door skin gap', marginMinMm: -14, marginMaxMm: -5 }),
      edge('front end', 'front end', 'tuck', { behind: 'mirror triangle', marginMinMm: -14, marginMaxMm: -5 }),
      edge('upper', 'upper edge', 'tuck', { behind: 'window seal', marginMinMm: -14, marginMaxMm: -5 }),
      edge('rear end', 'rear end', 'tuck', { behind: 'quarter seal', marginMinMm: -14, marginMaxMm: -5 }),
    ],
    bow: [
      readBow('along', at(-660, curve(660)), at(660, curve(660)), height),
      readBow('along, rear half', at(-660, curve(660)), at(-20, curve(20)), height),
      readBow('along, front half', at(20, curve(20)), at(660, curve(660)), height),
      ...[-500, 0, 500].map((x) => readBow(`across at ${x}`, at(x, curve(x) - 12), at(x, curve(x) + 12), height)),
    ],
    marks: [
      mark('front end', 'middle of the front end', at(half, curve(half))),
      mark('rear end', 'middle of the rear end', at(-half, curve(half))),
    ],
  })
  writeOtherSide(form, 'skua-trim-left', 'Ondrel Skua window trim strip, driver’s side')
}

{
  // The tail lamp bar: two columns of three strips; red below the colour change, clear above it.
  const height = (x: number, y: number) => -5e-4 * Math.max(0, x - 40) ** 2 - 9e-4 * y * y
  const rows = [
    { name: 'bottom', from: -62, to: -21 },
    { name: 'middle', from: -21, to: 21 },
    { name: 'top', from: 21, to: 62 },
  ]
  const columns = [
    { name: 'front', says: 'rear face', from: -150, to: 60 },
    { name: 'side', says: 'side', from: 60, to: 250 },
  ]
  let number = 0
  for (const column of [columns[1], columns[0]]) {
    for (const row of rows) {
      if (column === undefined) continue
      number++
      const middle = at((column.from + column.to) / 2, (row.from + row.to) / 2)
      const own = (x: number, y: number) => at(x - middle[0], y - middle[1])
      const corners = [
        own(column.from, row.from),
        own(column.to, row.from),
        own(column.to, row.to),
        own(column.from, row.to),
      ] as const
      const seam = { marginMinMm: 0, marginMaxMm: 0.6 }
      // Narrow strips carry little bleed: more than half their width would stick to itself.
      const bleed = { marginMinMm: -14, marginMaxMm: -6 }
      const lower = row.name === 'bottom'
      const upper = row.name === 'top'
      const local = (x: number, y: number) => height(x + middle[0], y + middle[1])
      write(`drover-strip-${number}-right`, `Tarnbeck Drover tail lamp strip ${number}, ${row.name} ${column.says}`, {
        family: 'lamp',
        material: 'lens plastic',
        directions: seenFromRear,
        ...fourSided(corners, ['lower', 'outer', 'upper', 'inner'], [lower ? 2 : 0, 0, upper ? 2 : 0, 0]),
        edges: [
          lower
            ? edge('lower', 'bottom edge', 'gap-cut', { behind: 'gap to the body', ...bleed })
            : edge('lower', row.name === 'middle' ? 'colour change below' : 'seam below', 'butt', {
                ...seam,
                ...(row.name === 'middle' ? { line: 'colour change' } : {}),
              }),
          column.name === 'side'
            ? edge('outer', 'wing edge', 'gap-cut', { behind: 'gap to the wing', ...bleed })
            : edge('outer', 'seam to the side strip', 'butt', seam),
          upper
            ? edge('upper', 'top edge', 'gap-cut', { behind: 'gap to the body', ...bleed })
            : edge('upper', row.name === 'bottom' ? 'colour change above' : 'seam above', 'butt', {
                ...seam,
                ...(row.name === 'bottom' ? { line: 'colour change' } : {}),
              }),
          column.name === 'front'
            ? edge('inner', 'edge at the boot lid', 'gap-cut', { behind: 'gap to the boot lid', ...bleed })
            : edge('inner', 'seam to the rear face', 'butt', seam),
        ],
        bow: [
          readBow('across', own(column.from + 5, middle[1]), own(column.to - 5, middle[1]), local),
          readBow('across, near half', own(column.from + 5, middle[1]), [0, 0], local),
          readBow('across, far half', [0, 0], own(column.to - 5, middle[1]), local),
          readBow('up', own(middle[0], row.from + 1), own(middle[0], row.to - 1), local),
        ],
        marks: cornerMarks(corners, ['lower inner', 'lower outer', 'upper outer', 'upper inner']),
      })
    }
  }
}

// Tarnbeck Drover, camper van

{
  const height = (x: number, y: number) => -6e-5 * x * x - 2e-3 * y * y
  const bar = (id: string, name: string, long: number, tall: number, badge: boolean) => {
    const obstacles: Obstacle[] = badge
      ? [{ name: 'foot of the badge', kind: 'badge', at: at(0, -tall / 2), widthMm: 40, reachMm: 10 }]
      : [{ name: 'centre pillar', kind: 'pillar', at: at(0, tall / 2), widthMm: 16, reachMm: 12 }]
    const corners = [
      at(-long / 2, -tall / 2),
      at(long / 2, -tall / 2),
      at(long / 2, tall / 2),
      at(-long / 2, tall / 2),
    ] as const
    const face = { marginMinMm: -16, marginMaxMm: -5 }
    write(id, name, {
      family: 'trim',
      material: 'gloss trim',
      directions: seenFromFront,
      ...fourSided(corners, ['lower', 'driver end', 'upper', 'passenger end'], [3, 0, 3, 0]),
      edges: [
        edge('lower', 'lower edge', 'tuck', { behind: 'slot below the bar', ...face }),
        edge('driver end', 'end, driver’s side', 'tuck', { behind: 'slot at the lamp', ...face }),
        edge('upper', 'upper edge', 'tuck', { behind: 'slot above the bar', ...face }),
        edge('passenger end', 'end, passenger’s side', 'tuck', { behind: 'slot at the lamp', ...face }),
      ],
      bow: [
        readBow('along', at(-long / 2 + 10, 0), at(long / 2 - 10, 0), height),
        ...[-0.35, 0.35].map((share) =>
          readBow(
            `across at ${round(share * long, 1)}`,
            at(share * long, -tall / 2 + 3),
            at(share * long, tall / 2 - 3),
            height,
          ),
        ),
      ],
      ...(badge
        ? {
            raised: [-270, 270].map((x) => ({
              name: x < 0 ? 'pillar, passenger’s side' : 'pillar, driver’s side',
              outline: roundedBox(at(x, 0), 26, tall - 20, 8),
              heightMm: 4,
              wallDeg: 45,
            })),
            holes: [
              {
                name: 'badge',
                label: 'badge',
                outline: circle(at(0, 0), 22),
                code: 'stop-short' as const,
                marginMinMm: 0,
                marginMaxMm: 2,
              },
            ],
          }
        : {}),
      obstacles,
      marks: [
        mark('driver end', 'end, driver’s side', at(long / 2, 0)),
        mark('passenger end', 'end, passenger’s side', at(-long / 2, 0)),
        ...(badge ? [mark('badge', 'badge', at(0, 0), 2)] : []),
      ],
    })
  }
  bar('drover-grille-top', 'Tarnbeck Drover grille, top bar with badge and pillars', 860, 68, true)
  bar('drover-grille-bar', 'Tarnbeck Drover grille bar', 820, 30, false)
}

{
  const sections: readonly (readonly [string, string, number, number])[] = [
    ['1', 'front wing', 400, 0.5],
    ['2', 'front door', 920, 0.25],
    ['3', 'sliding door', 1060, 0.25],
    ['4', 'quarter', 720, 0.3],
    ['5', 'rear corner', 330, 0.9],
  ]
  const height = (bend: number) => (x: number, y: number) => -bend * 1e-4 * x * x - 3.4e-4 * (y + 20) * (y + 20)
  for (const [number, label, long, bend] of sections) {
    const tall = 196
    const corners = [
      at(-long / 2, -tall / 2),
      at(long / 2, -tall / 2 + 6),
      at(long / 2, tall / 2 - 4),
      at(-long / 2, tall / 2),
    ] as const
    const form = write(
      `drover-rocker-${number}-right`,
      `Tarnbeck Drover lower body ${number}, ${label}, passenger’s side`,
      {
        family: 'panel',
        material: 'painted steel',
        ...fourSided(corners, ['sill', 'front', 'line', 'rear'], [0, 0, 0, 0]),
        edges: [
          edge('sill', 'sill edge', 'wrap', { behind: 'open flange, 20 mm' }),
          edge('front', 'front edge', 'stop-short'),
          edge('line', 'line above', 'stop-short'),
          edge('rear', 'rear edge', 'stop-short'),
        ],
        bow: readGrid({ left: -long / 2 + 12, right: long / 2 - 12, bottom: -85, top: 85 }, height(bend), 2, 2),
        marks: [...cornerMarks(corners, ['rear sill', 'front sill', 'front line', 'rear line'])],
      },
    )
    writeOtherSide(
      form,
      `drover-rocker-${number}-left`,
      `Tarnbeck Drover lower body ${number}, ${label}, driver’s side`,
    )
  }
}

{
  const height = (x: number, y: number) => -1.5e-5 * x * x - 7e-5 * y * y
  const corners = [at(-450, -260), at(450, -260), at(450, 250), at(-450, 262)] as const
  write('drover-side-panel', 'Tarnbeck Drover side panel with channel, passenger’s side', {
    family: 'panel',
    material: 'painted steel',
    ...fourSided(corners, ['bottom', 'front', 'top', 'rear'], [0, 3, 0, 3]),
    edges: [
      edge('bottom', 'bottom edge', 'stop-short'),
      edge('front', 'front edge', 'stop-short'),
      edge('top', 'top edge', 'stop-short'),
      edge('rear', 'rear edge', 'stop-short'),
    ],
    bow: readGrid({ left: -435, right: 435, bottom: -240, top: 235 }, height, 2, 3),
    channels: [{ name: 'rail channel', along: [at(-380, 40), at(380, 40)], widthMm: 60, depthMm: 8, wallDeg: 35 }],
    marks: cornerMarks(corners, ['rear bottom', 'front bottom', 'front top', 'rear top']),
  })
}

// Tarnbeck Drover, tail lamps in one piece with a deep recess

{
  const height = (x: number, y: number) => -4e-4 * (x - 20) ** 2 - 1e-4 * y * y
  const corners = [at(-88, -182), at(84, -186), at(94, 180), at(-82, 186)] as const
  const form = write('drover-tail-right', 'Tarnbeck Drover tail lamp, passenger’s side', {
    family: 'lamp',
    material: 'lens plastic',
    directions: seenFromRear,
    ...fourSided(corners, ['bottom', 'wing', 'top', 'door'], [4, 6, 4, 3]),
    edges: [
      edge('bottom', 'bottom edge', 'gap-cut', { behind: 'gap to the bumper' }),
      edge('wing', 'wing edge', 'gap-cut', { behind: 'gap to the wing' }),
      edge('top', 'top edge', 'gap-cut', { behind: 'gap to the roof' }),
      edge('door', 'edge at the rear door', 'gap-cut', { behind: 'gap to the rear door' }),
    ],
    // Straightedges are laid past the recess, not over it.
    bow: [
      ...[-150, 70, 110, 150].map((y) => readBow(`across at ${y}`, at(-74, y), at(74, y), height)),
      ...[-68, 66].map((x) => readBow(`up at ${x}`, at(x, -170), at(x, 170), height)),
    ],
    recesses: [{ name: 'reversing lamp', outline: roundedBox(at(0, -40), 96, 150, 28), depthMm: 16, wallDeg: 48 }],
    marks: cornerMarks(corners, ['lower door', 'lower wing', 'upper wing', 'upper door']),
  })
  writeOtherSide(form, 'drover-tail-left', 'Tarnbeck Drover tail lamp, driver’s side')
}

// Hallowen Finch, saloon

{
  const height = (x: number, y: number) => -1.2e-3 * (x + 20) ** 2 - 6.5e-3 * (y - 2) ** 2
  const corners = [at(-168, -58), at(150, -76), at(186, 66), at(-150, 60)] as const
  const form = write('finch-headlamp-right', 'Hallowen Finch headlamp, passenger’s side', {
    family: 'lamp',
    material: 'lens plastic',
    directions: { right: 'the wing', left: 'the grille', up: 'the bonnet', down: 'the bumper' },
    ...fourSided(corners, ['bottom', 'wing', 'top', 'inner'], [9, 16, 12, 5]),
    edges: [
      edge('bottom', 'bottom edge', 'gap-cut', { behind: 'gap to the bumper' }),
      edge('wing', 'wing edge', 'gap-cut', { behind: 'gap to the wing' }),
      edge('top', 'edge under the bonnet', 'tuck', { behind: 'gap to the bonnet' }),
      edge('inner', 'edge at the grille', 'gap-cut', { behind: 'gap to the grille' }),
    ],
    bow: readGrid({ left: -150, right: 165, bottom: -58, top: 58 }, height, 4, 4),
    obstacles: [
      { name: 'wing that stands proud', kind: 'neighbour stands proud', at: at(175, 10), widthMm: 60, reachMm: 0 },
    ],
    marks: cornerMarks(corners, ['lower inner', 'lower wing', 'upper wing', 'upper inner']),
  })
  writeOtherSide(form, 'finch-headlamp-left', 'Hallowen Finch headlamp, driver’s side')
}

{
  const innerHeight = (x: number, y: number) => -1.2e-4 * x * x - 3e-4 * y * y
  const inner = [at(-140, -60), at(110, -66), at(110, 72), at(-140, 64)] as const
  const innerForm = write('finch-tail-inner-right', 'Hallowen Finch tail lamp, inner part, passenger’s side', {
    family: 'lamp',
    material: 'lens plastic',
    directions: seenFromRear,
    ...fourSided(inner, ['bottom', 'outer', 'top', 'plate'], [3, 0, 4, 8]),
    edges: [
      edge('bottom', 'bottom edge', 'gap-cut', { behind: 'gap to the boot lid' }),
      edge('outer', 'edge beside the outer lamp', 'gap-cut', { behind: 'gap to the wing' }),
      edge('top', 'top edge', 'gap-cut', { behind: 'gap to the boot lid' }),
      edge('plate', 'edge at the number plate', 'gap-cut', { behind: 'gap to the plate panel' }),
    ],
    bow: readGrid({ left: -130, right: 104, bottom: -56, top: 60 }, innerHeight),
    marks: cornerMarks(inner, ['lower plate', 'lower outer', 'upper outer', 'upper plate']),
  })
  writeOtherSide(innerForm, 'finch-tail-inner-left', 'Hallowen Finch tail lamp, inner part, driver’s side')
  const outerHeight = (x: number, y: number) => -3.5e-4 * (x + 60) ** 2 - 5e-4 * y * y
  const outer = [at(-126, -72), at(122, -78), at(134, 70), at(-126, 76)] as const
  const hump = (name: string, x: number) => ({
    name,
    outline: roundedBox(at(x, 0), 74, 92, 30),
    heightMm: 7,
    wallDeg: 36,
  })
  const form = write('finch-tail-outer-right', 'Hallowen Finch tail lamp, outer part, passenger’s side', {
    family: 'lamp',
    material: 'lens plastic',
    directions: seenFromRear,
    ...fourSided(outer, ['bottom', 'wing', 'top', 'inner'], [5, 12, 7, 0]),
    edges: [
      edge('bottom', 'bottom edge', 'gap-cut', { behind: 'gap to the bumper' }),
      edge('wing', 'wing edge', 'gap-cut', { behind: 'gap to the wing' }),
      edge('top', 'top edge', 'tuck', { behind: 'gap to the wing' }),
      edge('inner', 'edge beside the inner lamp', 'gap-cut', {
        behind: 'gap to the boot lid',
        line: 'line of the inner lamp',
      }),
    ],
    bow: [
      ...[-62, 0, 60].map((y) => readBow(`across at ${y}`, at(-114, y), at(120, y), outerHeight)),
      ...[-108, -6, 104].map((x) => readBow(`up at ${x}`, at(x, -68), at(x, 66), outerHeight)),
    ],
    raised: [hump('inner lamp ring', -58), hump('outer lamp ring', 46)],
    opens: 'boot',
    marks: cornerMarks(outer, ['lower inner', 'lower wing', 'upper wing', 'upper inner']),
  })
  writeOtherSide(form, 'finch-tail-outer-left', 'Hallowen Finch tail lamp, outer part, driver’s side')
}

{
  // A door as doors are: the window edge leans, the rear edge follows the wheel arch.
  const height = (x: number, y: number) => -2.2e-5 * x * x - 1.1e-4 * (y - 40) ** 2
  const form = write('finch-door-right', 'Hallowen Finch front door, passenger’s side', {
    family: 'panel',
    material: 'painted steel',
    start: at(-390, -305),
    outline: [
      spline([at(-100, -318), at(220, -322)], at(430, -318), 'bottom'),
      spline([at(458, -120), at(470, 90)], at(462, 262), 'front'),
      spline([at(150, 292), at(-160, 306)], at(-436, 306), 'window'),
      spline([at(-492, 150), at(-512, 20)], at(-505, -70), 'rear'),
      spline([at(-462, -150), at(-420, -225)], at(-390, -305), 'arch'),
    ],
    edges: [
      edge('bottom', 'bottom edge', 'wrap', { behind: 'open flange, 16 mm' }),
      edge('front', 'front edge', 'stop-short'),
      edge('window', 'window edge', 'tuck', { behind: 'window seal' }),
      edge('rear', 'rear edge', 'wrap', { behind: 'open flange, 18 mm' }),
      edge('arch', 'edge at the wheel arch', 'wrap', { behind: 'open flange, 16 mm' }),
    ],
    bow: readGrid({ left: -420, right: 420, bottom: -290, top: 255 }, height, 4, 4),
    bodyLines: [
      {
        name: 'bend below the handle',
        along: [at(-480, 52), at(-200, 66), at(150, 72), at(448, 62)],
        turnDeg: -24,
        radiusMm: 14,
        reachMm: 80,
      },
    ],
    holes: [
      { name: 'handle', label: 'handle', outline: roundedBox(at(-370, 178), 170, 44, 16), code: 'stop-short' },
      { name: 'mirror', label: 'mirror foot', outline: roundedBox(at(372, 200), 92, 58, 18), code: 'stop-short' },
    ],
    marks: [
      mark('front bottom', 'front bottom', at(430, -318)),
      mark('front top', 'front top', at(462, 262)),
      mark('rear top', 'rear top', at(-436, 306)),
      mark('rear bottom', 'rear bottom', at(-390, -305)),
    ],
  })
  writeOtherSide(form, 'finch-door-left', 'Hallowen Finch front door, driver’s side')
}

{
  // The whole front round both headlamps, for a sheet.
  const height = (x: number, y: number) => -7e-5 * x * x - 3e-4 * (y - 20) ** 2
  write('finch-front', 'Hallowen Finch bumper front', {
    family: 'panel',
    material: 'painted plastic',
    directions: seenFromFront,
    start: at(-700, -225),
    outline: [
      spline([at(-350, -240), at(0, -246), at(350, -240)], at(700, -225), 'bottom'),
      line(at(770, 40), 'end driver’s'),
      spline([at(700, 66), at(610, 112)], at(540, 190), 'lamp driver’s'),
      spline([at(270, 206), at(0, 212), at(-270, 206)], at(-540, 190), 'top'),
      spline([at(-610, 112), at(-700, 66)], at(-770, 40), 'lamp passenger’s'),
      line(at(-700, -225), 'end passenger’s'),
    ],
    edges: [
      edge('bottom', 'bottom edge', 'surface-cut'),
      edge('end driver’s', 'end, driver’s side', 'surface-cut'),
      edge('lamp driver’s', 'edge under the headlamp, driver’s side', 'surface-cut'),
      edge('top', 'edge under the bonnet', 'surface-cut'),
      edge('lamp passenger’s', 'edge under the headlamp, passenger’s side', 'surface-cut'),
      edge('end passenger’s', 'end, passenger’s side', 'surface-cut'),
    ],
    bow: [
      ...[-200, -20, 40].map((y) => readBow(`across at ${y}`, at(-650, y), at(650, y), height)),
      ...[-610, -420, 420, 610].map((x) => readBow(`up at ${x}`, at(x, -205), at(x, 60), height)),
      ...[-420, 420].map((x) => readBow(`up at ${x}, high`, at(x, -20), at(x, 190), height)),
      readBow('up, middle, high', at(0, -20), at(0, 190), height),
    ],
    recesses: [{ name: 'air intake', outline: roundedBox(at(0, -110), 620, 96, 40), depthMm: 12, wallDeg: 28 }],
    obstacles: [
      {
        name: 'headlamp, driver’s side',
        kind: 'neighbour stands proud',
        at: at(610, 112),
        widthMm: 180,
        reachMm: 0,
      },
      {
        name: 'headlamp, passenger’s side',
        kind: 'neighbour stands proud',
        at: at(-610, 112),
        widthMm: 180,
        reachMm: 0,
      },
    ],
    marks: [mark('middle', 'middle of the badge', at(0, 150), 2)],
  })
}

for (const [number, label, long, last] of [
  ['1', 'bar under the headlamp', 620, null],
  ['2', 'bar beside the grille', 380, 'end of the bar under the headlamp'],
] as const) {
  const height = (x: number, y: number) => -9e-5 * x * x - 4e-3 * y * y
  const corners = [at(-long / 2, -17), at(long / 2, -17), at(long / 2, 17), at(-long / 2, 17)] as const
  const face = { marginMinMm: -14, marginMaxMm: -5 }
  const form = write(`finch-trim-${number}-right`, `Hallowen Finch ${label}, passenger’s side`, {
    family: 'trim',
    material: 'gloss trim',
    directions: seenFromFront,
    ...fourSided(corners, ['lower', 'outer', 'upper', 'inner'], [2, 0, 2, 0]),
    edges: [
      edge('lower', 'lower edge', 'tuck', { behind: 'slot below the bar', ...face }),
      last === null
        ? edge('outer', 'outer end', 'tuck', { behind: 'slot at the lamp', ...face })
        : edge('outer', 'end beside the first bar', 'butt', { line: last }),
      edge('upper', 'upper edge', 'tuck', { behind: 'slot above the bar', ...face }),
      edge('inner', 'inner end', 'tuck', { behind: 'slot at the grille', ...face }),
    ],
    bow: [
      readBow('along', at(-long / 2 + 10, 0), at(long / 2 - 10, 0), height),
      ...[-0.35, 0.35].map((share) =>
        readBow(`across at ${round(share * long, 1)}`, at(share * long, -15), at(share * long, 15), height),
      ),
    ],
    marks: [mark('outer end', 'outer end', at(long / 2, 0)), mark('inner end', 'inner end', at(-long / 2, 0))],
  })
  writeOtherSide(form, `finch-trim-${number}-left`, `Hallowen Finch ${label}, driver’s side`)
}

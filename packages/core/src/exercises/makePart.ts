import type { BowReading, FormDoc } from '../form/index.ts'
import type { Vec2 } from '../geometry/index.ts'
import type { ExerciseLevel } from './exercise.ts'

/** Parts that nobody has seen before, made anew for each exercise. */
export const partShapes = ['broad panel', 'side panel', 'bumper', 'round nose'] as const
export type PartShape = (typeof partShapes)[number]

/** Least and most of each measure of a shape, mm; sagittas as shares of what they span. */
const shapes: Readonly<
  Record<
    PartShape,
    {
      readonly wide: Vec2
      readonly high: Vec2
      readonly across: Vec2
      readonly up: Vec2
      /** The lower edge turns away by so much beyond what the bow says. */
      readonly nose: Vec2
    }
  >
> = {
  'broad panel': {
    wide: [900, 1350],
    high: [700, 950],
    across: [0.035, 0.055],
    up: [0.035, 0.055],
    nose: [0.01, 0.04],
  },
  'side panel': { wide: [800, 1100], high: [500, 700], across: [0.04, 0.06], up: [0.06, 0.09], nose: [0, 0.02] },
  bumper: { wide: [900, 1400], high: [350, 480], across: [0.07, 0.11], up: [0.06, 0.1], nose: [0.02, 0.06] },
  'round nose': { wide: [600, 800], high: [450, 600], across: [0.07, 0.1], up: [0.06, 0.09], nose: [0.01, 0.04] },
}

type From = (least: number, most: number) => number
const names = ['rear', 'left', 'front', 'right'] as const

/** A part from chance: from level 2 on with a hollow or an edge in it, on level 3 with both and crooked. */
export function makePart(chance: () => number, level: ExerciseLevel): FormDoc {
  const from: From = (least, most) => least + (most - least) * chance()
  const shape = partShapes[Math.floor(chance() * partShapes.length)] ?? 'broad panel'
  const { wide, high, across, up, nose } = shapes[shape]
  const [w, h] = [from(...wide), from(...high)]
  const lean = () => (level === 3 ? from(-0.08, 0.08) : level === 2 ? from(-0.03, 0.03) : 0)
  const corners: FourCorners = [
    [(w / 2) * (1 + lean()), (h / 2) * (1 + lean())],
    [(-w / 2) * (1 + lean()), (h / 2) * (1 + lean())],
    [(-w / 2) * (1 + lean()), (-h / 2) * (1 + lean())],
    [(w / 2) * (1 + lean()), (-h / 2) * (1 + lean())],
  ]
  const hollow = level === 3 || (level === 2 && chance() < 0.5)
  const ridge = level === 3 || (level === 2 && !hollow)
  return {
    ...panelOf(corners, bowOf(from, [w, h], [from(...across), from(...up), from(...nose)])),
    recesses: hollow ? [recessOf(from, [w, h])] : [],
    bodyLines: ridge ? [ridgeOf(from, [w, h])] : [],
  }
}

/** A small cap that is bowed strongly both ways: it shows on a hand's breadth what film does. */
export function makeCap(chance: () => number): FormDoc {
  const from: From = (least, most) => least + (most - least) * chance()
  const [w, h] = [from(220, 280), from(150, 190)]
  const corners: FourCorners = [
    [w / 2, h / 2],
    [-w / 2, h / 2],
    [-w / 2, -h / 2],
    [w / 2, -h / 2],
  ]
  return panelOf(corners, bowOf(from, [w, h], [from(0.15, 0.19), from(0.15, 0.19), 0]))
}

type FourCorners = readonly [Vec2, Vec2, Vec2, Vec2]

function panelOf(corners: FourCorners, bow: readonly BowReading[]): FormDoc {
  return {
    id: 'practice',
    name: 'practice',
    version: 1,
    family: 'panel',
    material: 'painted steel',
    start: corners[0],
    // From the upper right corner counter-clockwise: along the rear, down the left, along the front, up the right.
    outline: [1, 2, 3, 0].map((k, i) => ({ kind: 'line', to: corners[k] ?? [0, 0], edge: names[i] ?? 'rear' })),
    edges: names.map((name) => ({ name, label: `${name} edge`, code: 'stop-short' })),
    directions: { right: 'the right', left: 'the left', up: 'the rear', down: 'the front' },
    bow,
    bodyLines: [],
    recesses: [],
    holes: [],
    marks: [],
  }
}

function bowOf(from: From, [w, h]: Vec2, [across, up, nose]: readonly [number, number, number]): BowReading[] {
  const reading = (name: string, a: Vec2, b: Vec2, share: number): BowReading => ({
    name,
    from: a,
    to: b,
    sagittaMm: share * Math.hypot(b[0] - a[0], b[1] - a[1]),
  })
  const x = 0.46 * w
  const y = 0.46 * h
  return [
    reading('across the middle', [-x, 0], [x, 0], across),
    reading('across the rear', [-x, 0.8 * y], [x, 0.8 * y], across * from(0.95, 1.04)),
    reading('across the front', [-x, -0.8 * y], [x, -0.8 * y], across * from(0.97, 1.06)),
    reading('up the middle', [0, -y], [0, y], up + nose / 2),
    reading('up the left', [-0.8 * x, -y], [-0.8 * x, y], (up + nose / 2) * from(0.94, 1.04)),
    reading('up the right', [0.8 * x, -y], [0.8 * x, y], (up + nose / 2) * from(0.94, 1.04)),
  ]
}

function recessOf(from: From, [w, h]: Vec2): FormDoc['recesses'][number] {
  const [rx, ry] = [from(60, Math.min(95, 0.3 * w)), Math.min(0.2 * h, from(40, 70))]
  const [cx, cy] = [from(-0.25, 0.25) * w, from(-0.12, 0.12) * h]
  return {
    name: 'recess',
    outline: Array.from({ length: 24 }, (_, i): Vec2 => {
      const a = (i * Math.PI) / 12
      return [cx + rx * Math.cos(a), cy + ry * Math.sin(a)]
    }),
    depthMm: from(0.1, 0.2) * 2 * ry,
    wallDeg: from(30, 40),
  }
}

function ridgeOf(from: From, [w, h]: Vec2): FormDoc['bodyLines'][number] {
  const [left, right] = [from(-0.25, 0.3) * h, from(-0.25, 0.3) * h]
  return {
    name: 'ridge',
    along: [
      [-0.45 * w, left],
      [0, (left + right) / 2 + from(0, 0.05) * h],
      [0.45 * w, right],
    ],
    turnDeg: from(6, 14),
    radiusMm: from(12, 25),
    reachMm: from(0.08, 0.14) * h,
  }
}

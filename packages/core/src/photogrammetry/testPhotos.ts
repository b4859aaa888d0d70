import type { Vec2 } from '../geometry/index.ts'
import { seededNormal, seededRandom } from '../numerics/index.ts'
import { type Inner, inCamera, type Lens, type Pose, seenAt, type Vec3 } from './camera.ts'
import type { PhotoSet } from './photographs.ts'
import { lookingAt } from './stand.ts'

/** What a camera does that nobody tells. */
export interface TestCamera {
  readonly rayPx: number
  /** Stabiliser, px, and autofocus, a share: one standard deviation from one photograph to the next. */
  readonly middlePx: number
  readonly focalShare: number
  /** How fast the hand turns while the rows are read, rad/s. */
  readonly shakeRadPerS: number
  /** Miss of the bar, a share. */
  readonly barShare: number
  readonly lens: Lens
}

const barrel: Lens = { radial: [-0.08, 0.05, 0], tangential: [0.0004, -0.0003] }
export const idealCamera: TestCamera = {
  rayPx: 0,
  middlePx: 0,
  focalShare: 0,
  shakeRadPerS: 0,
  barShare: 0,
  lens: barrel,
}
export const phone: TestCamera = {
  rayPx: 0.15,
  middlePx: 5,
  focalShare: 0.002,
  shakeRadPerS: 0.03,
  barShare: 0.0002,
  lens: barrel,
}

/** Time in which a picture is read from its first to its last row, s. */
const readS = 0.03
export const sizePx: Vec2 = [4032, 3024]
export const focalPx = 3100
export const middlePx: Vec2 = [sizePx[0] / 2, sizePx[1] / 2]

export interface TestPart {
  readonly points: readonly Vec3[]
  /** Numbers of the points at the ends of bars. */
  readonly bars: readonly (readonly [number, number])[]
  /** Numbers of the points of the start plate. */
  readonly plate: readonly number[]
  readonly sizeMm: number
}

/** Six spots of an A4 plate, mm. */
export const plateMm: readonly Vec2[] = [
  [0, 0],
  [240, 0],
  [240, 150],
  [0, 150],
  [120, 10],
  [120, 140],
]

type Height = (x: number, y: number) => number

/** A bowed part with targets in rows, a plate in front of it and two bars beside it. */
export function testPart(wideMm: number, highMm: number, height: Height, count: number): TestPart {
  const columns = Math.round(Math.sqrt((count * wideMm) / highMm))
  const rows = Math.round(count / columns)
  const points: Vec3[] = []
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      // Not in a raster: hands stick them.
      const [x, y] = [
        ((i + 0.5 + 0.25 * Math.sin(7 * i + 3 * j)) / columns - 0.5) * wideMm,
        ((j + 0.5 + 0.25 * Math.cos(5 * i + 2 * j)) / rows - 0.5) * highMm,
      ]
      points.push([x, y, height(x, y)])
    }
  const add = (p: Vec3) => points.push(p) - 1
  const plate = plateMm.map(([x, y]) => add([x - 120, y - highMm / 2 - 220, 0]))
  const long = Math.max(700, 0.75 * wideMm)
  const beside = highMm / 2 + 60
  const bars: [number, number][] = [
    [add([-long / 2, beside, -20]), add([long / 2, beside + 15, 10])],
    [add([-wideMm / 2 - 60, -highMm / 2, 0]), add([-wideMm / 2 - 60, highMm / 2, 25])],
  ]
  return { points, bars, plate, sizeMm: Math.hypot(wideMm, highMm) }
}

/** Stands all round, from four sides and two heights, some of them with the tablet turned upright. */
export function standsRound(part: TestPart, count = 12, spreadDeg = 360): Pose[] {
  const distance = Math.max(700, 1.05 * part.sizeMm)
  return Array.from({ length: count }, (_, i) => {
    const around = ((spreadDeg / count) * i * Math.PI) / 180
    const high = ([40, 58, 75][i % 3] ?? 58) * (Math.PI / 180)
    const from: Vec3 = [
      distance * Math.cos(high) * Math.cos(around),
      distance * Math.cos(high) * Math.sin(around),
      distance * Math.sin(high),
    ]
    return lookingAt(from, [0, -40, 0], i % 2 === 0 ? 0 : Math.PI / 2)
  })
}

export interface TestRay {
  readonly photo: number
  readonly point: number
  readonly atPx: Vec2
}

/** Where everything is seen, as that camera sees it. */
export function photographed(part: TestPart, poses: readonly Pose[], camera: TestCamera, seed: number): TestRay[] {
  const normal = seededNormal(seededRandom(seed))
  const chance = seededRandom(seed + 1)
  return poses.flatMap((pose, photo) => {
    const inner: Inner = {
      focalPx: focalPx * (1 + camera.focalShare * normal()),
      middlePx: [middlePx[0] + camera.middlePx * normal(), middlePx[1] + camera.middlePx * normal()],
    }
    const way = 2 * Math.PI * chance()
    const spin: Vec3 = [
      camera.shakeRadPerS * Math.cos(way),
      camera.shakeRadPerS * Math.sin(way),
      camera.shakeRadPerS * 0.5 * normal(),
    ]
    return part.points.flatMap((p, point): TestRay[] => {
      const plain = seenAt(camera.lens, inner, inCamera(pose, p))
      // A row is read later the further down it lies; meanwhile the hand has turned on.
      const late = (plain[1] / sizePx[1] - 0.5) * readS
      const c = inCamera(pose, p)
      const turned: Vec3 = [
        c[0] + late * (spin[1] * c[2] - spin[2] * c[1]),
        c[1] + late * (spin[2] * c[0] - spin[0] * c[2]),
        c[2] + late * (spin[0] * c[1] - spin[1] * c[0]),
      ]
      const at = seenAt(camera.lens, inner, turned)
      if (c[2] < 100 || at[0] < 20 || at[1] < 20 || at[0] > sizePx[0] - 20 || at[1] > sizePx[1] - 20) return []
      return [{ photo, point, atPx: [at[0] + camera.rayPx * normal(), at[1] + camera.rayPx * normal()] }]
    })
  })
}

const longOf = (part: TestPart, [a, b]: readonly [number, number]) =>
  Math.hypot(...[0, 1, 2].map((k) => (part.points[a]?.[k] ?? 0) - (part.points[b]?.[k] ?? 0)))

/** What is measured from, of a part that a camera saw. The maker's figure of its focal length is so many times what it is. */
export function setOf(
  part: TestPart,
  camera: TestCamera,
  seed: number,
  poses = standsRound(part),
  focalTimes = 1.01,
): PhotoSet {
  const rays = photographed(part, poses, camera, seed)
  return {
    photographs: poses.map((_, i) => ({
      seen: rays.filter(({ photo }) => photo === i).map(({ point, atPx }) => ({ target: point, atPx })),
    })),
    inner: { focalPx: focalTimes * focalPx, middlePx },
    plate: new Map(part.plate.map((point, i) => [point, plateMm[i] ?? [0, 0]])),
    bars: part.bars.map((targets, i) => ({
      targets,
      lengthMm: longOf(part, targets) * (1 + (i === 0 ? camera.barShare : 0)),
    })),
  }
}

export const bumperPart = () => testPart(1600, 450, (x, y) => 260 - 260 * (x / 800) ** 2 - 90 * (y / 225) ** 2, 56)
export const bonnetPart = () => testPart(1400, 1100, (x, y) => 60 - 40 * (x / 700) ** 2 - 55 * (y / 550) ** 2, 60)
export const lampPart = () => testPart(620, 380, (x, y) => 80 - 60 * (x / 310) ** 2 - 50 * (y / 190) ** 2, 40)

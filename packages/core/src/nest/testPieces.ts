import { Clipper, EndType, FillRule, inflatePathsD, JoinType, type PathD } from 'clipper2-ts'
import { boundsOf, type Polygon, rotate, signedArea, type Vec2 } from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { radFromDeg } from '../units/index.ts'
import type { NestPiece, NestRequest } from './request.ts'

/** A rectangle taken apart into pieces, turned by quarters: laid as it was, it leaves nothing over but the gap. */
export function jigsaw(
  count: number,
  seed: number,
  { widthMm = 1000, lengthMm = 1500, gapMm = 0, wavy = false } = {},
): NestRequest {
  const random = seededRandom(seed)
  const seeds = Array.from({ length: count }, (): Vec2 => [random() * lengthMm, random() * widthMm])
  const half = gapMm / 2
  const whole: Vec2[] = [
    [0, 0],
    [lengthMm, 0],
    [lengthMm, widthMm],
    [0, widthMm],
  ]
  const pieces = seeds.map((at, i): NestPiece => {
    let cell = whole
    for (const other of seeds) if (other !== at) cell = nearerThan(cell, at, other)
    const drawn = wavy ? waved(cell, whole) : cell
    const shrunk = gapMm > 0 ? drawnIn(drawn, half) : drawn
    const turn = radFromDeg(90 * Math.floor(random() * 4))
    const [dx, dy] = shrunk[0]!
    return { id: `piece ${i + 1}`, count: 1, outline: shrunk.map(([x, y]) => rotate([x - dx, y - dy], turn)) }
  })
  return { rollWidthMm: widthMm - gapMm, gapMm, pieces }
}

const drawnIn = (polygon: Polygon, byMm: number): Vec2[] => {
  const moved = inflatePathsD([polygon.map(([x, y]) => ({ x, y }))], -byMm, JoinType.Miter, EndType.Polygon, 4, 4)
  return (moved[0] ?? []).map(({ x, y }): Vec2 => [x, y])
}

/** What of a convex polygon is nearer to `at` than to `other`. */
function nearerThan(polygon: readonly Vec2[], at: Vec2, other: Vec2): Vec2[] {
  const far = (p: Vec2) => (p[0] - at[0]) ** 2 + (p[1] - at[1]) ** 2 - (p[0] - other[0]) ** 2 - (p[1] - other[1]) ** 2
  return polygon.flatMap((p, i) => {
    const q = polygon[(i + 1) % polygon.length]!
    const [a, b] = [far(p), far(q)]
    const t = a / (a - b)
    const cut: Vec2[] = a <= 0 === b <= 0 ? [] : [[p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]]
    return a <= 0 ? [p, ...cut] : cut
  })
}

/** Inner sides as waves that neighbours share: drawn from the lesser to the greater end. */
function waved(cell: readonly Vec2[], whole: readonly Vec2[]): Vec2[] {
  const [lengthMm, widthMm] = whole[2]!
  const onRim = (p: Vec2, q: Vec2) =>
    [0, lengthMm].some((x) => Math.abs(p[0] - x) < 1e-6 && Math.abs(q[0] - x) < 1e-6) ||
    [0, widthMm].some((y) => Math.abs(p[1] - y) < 1e-6 && Math.abs(q[1] - y) < 1e-6)
  return cell.flatMap((p, i) => {
    const q = cell[(i + 1) % cell.length]!
    if (onRim(p, q)) return [p]
    const turnedRound = p[0] > q[0] || (p[0] === q[0] && p[1] > q[1])
    const [a, b] = turnedRound ? [q, p] : [p, q]
    const line = Array.from({ length: 12 }, (_, k): Vec2 => {
      const t = k / 12
      const off = 0.08 * Math.sin(2 * Math.PI * t)
      return [a[0] + t * (b[0] - a[0]) - off * (b[1] - a[1]), a[1] + t * (b[1] - a[1]) + off * (b[0] - a[0])]
    })
    return turnedRound ? [p, ...line.slice(1).reverse()] : line
  })
}

/** A rectangle cut along bent lines, the larger pieces again; turned by quarters. `digits`: behind the point of a millimetre. */
export function bentJigsaw(
  count: number,
  seed: number,
  { widthMm = 1000, lengthMm = 1500, bendMm = 60, digits = 5 } = {},
): NestRequest {
  const random = seededRandom(seed)
  const areaMm2 = (path: PathD) => Math.abs(signedArea(path.map(({ x, y }): Vec2 => [x, y])))
  let parts: PathD[] = [
    [
      { x: 0, y: 0 },
      { x: lengthMm, y: 0 },
      { x: lengthMm, y: widthMm },
      { x: 0, y: widthMm },
    ],
  ]
  for (let tries = 0; parts.length < count && tries < 100 * count; tries++) {
    parts.sort((a, b) => areaMm2(b) - areaMm2(a))
    const k = Math.floor(random() * Math.min(3, parts.length))
    const beside = besideBentLine(parts[k]!, bendMm, random)
    const cut = [
      ...Clipper.intersectD([parts[k]!], [beside], FillRule.NonZero, digits),
      ...Clipper.differenceD([parts[k]!], [beside], FillRule.NonZero, digits),
    ]
    if (cut.length !== 2 || cut.some((path) => areaMm2(path) < (0.2 * lengthMm * widthMm) / count)) continue
    parts = [...parts.slice(0, k), ...parts.slice(k + 1), ...cut]
  }
  const pieces = parts.map((path, i): NestPiece => {
    const turn = radFromDeg(90 * Math.floor(random() * 4))
    const { x: left, y: low } = path[0]!
    return { id: `piece ${i + 1}`, count: 1, outline: path.map(({ x, y }) => rotate([x - left, y - low], turn)) }
  })
  return { rollWidthMm: widthMm, gapMm: 0, pieces }
}

/** All on one side of a line across the middle of a part, with a bend in it. */
function besideBentLine(part: PathD, bendMm: number, random: () => number): PathD {
  const { min, max } = boundsOf(part.map(({ x, y }): Vec2 => [x, y]))
  const between = (from: number, to: number) => from + (to - from) * (0.3 + 0.4 * random())
  const middle: Vec2 = [between(min[0], max[0]), between(min[1], max[1])]
  const across = max[0] - min[0] > max[1] - min[1] ? Math.PI / 2 : 0
  const angle = across + 1.2 * (random() - 0.5)
  const dent = 1.5 * bendMm * (random() - 0.5)
  const far = 3000
  const points: Vec2[] = [
    [-far, 0],
    [-bendMm, 0],
    [0, dent],
    [bendMm, 0],
    [far, 0],
    [far, far],
    [-far, far],
  ]
  return points.map((p) => {
    const [x, y] = rotate(p, angle)
    return { x: x + middle[0], y: y + middle[1] }
  })
}

/** Pieces such as a kit has: long strips, lamps, plates with openings, cheeks with a bay; no two alike. */
export function kitOfPieces(count: number, seed: number, { widthMm = 1220, gapMm = 3 } = {}): NestRequest {
  const random = seededRandom(seed)
  const between = (least: number, most: number) => least + (most - least) * random()
  const pieces = Array.from({ length: count }, (_, i): NestPiece => {
    const kind = Math.floor(random() * 4)
    const [long, wide] = kind === 0 ? [between(300, 900), between(30, 90)] : [between(120, 620), between(90, 420)]
    const points = 36
    const [fourth, bay, lean] = [between(0.5, 1), between(0, 0.45), between(-0.25, 0.25)]
    const outline = Array.from({ length: points }, (_, k): Vec2 => {
      const turn = (2 * Math.PI * k) / points
      const [c, s] = [Math.cos(turn), Math.sin(turn)]
      const square = (v: number) => Math.sign(v) * Math.abs(v) ** fourth
      const x = (long / 2) * square(c)
      const dent = kind === 2 && s > 0 ? bay * Math.exp(-36 * (x / long) ** 2) : 0
      return [
        x + lean * (wide / 2) * square(s),
        (wide / 2) * square(s) * (1 - 2 * dent) + (kind === 0 ? (0.25 * x * x) / long : 0),
      ]
    })
    const ringed = kind === 3 && long > 250 && wide > 200
    const cutOuts = ringed ? [outline.map(([x, y]): Vec2 => [x * 0.5, y * 0.5]).reverse()] : []
    return { id: `piece ${i + 1}`, count: 1, outline, ...(cutOuts.length > 0 ? { cutOuts } : {}) }
  })
  return { rollWidthMm: widthMm, gapMm, pieces }
}

export const areaOf = ({ outline, cutOuts = [] }: NestPiece) =>
  Math.abs(signedArea(outline)) - cutOuts.reduce((sum, hole) => sum + Math.abs(signedArea(hole)), 0)

import type { Vec2 } from '@truelay/core/geometry'
import SVGPathCommander from 'svg-path-commander'
import { arcPoints, cubicPoints } from '../drawing/index.ts'

export interface OutlineLine {
  readonly points: readonly Vec2[]
  readonly closed: boolean
}

export function pairs(text: string): Vec2[] {
  const numbers = (text.match(/[-+]?(?:\d*\.\d+|\d+\.?)(?:e[-+]?\d+)?/gi) ?? []).map(Number)
  const points: Vec2[] = []
  for (let i = 0; i + 1 < numbers.length; i += 2) points.push([numbers[i] ?? 0, numbers[i + 1] ?? 0])
  return points
}

interface Rounded {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly rx: number | null
  readonly ry: number | null
}

/** A rectangle, its corners rounded by one radius or by two. */
export function rectangle({ x, y, width, height, rx, ry }: Rounded, tolerance: number): Vec2[] {
  const a = Math.min(Math.max(0, rx ?? ry ?? 0), width / 2)
  const b = Math.min(Math.max(0, ry ?? rx ?? 0), height / 2)
  const corner = (cx: number, cy: number, from: number): Vec2[] =>
    a === 0 || b === 0
      ? [[cx, cy]]
      : arcPoints([cx, cy], a, from, from + Math.PI / 2, tolerance, { ratio: b / a, turn: 0 })
  const [inX, inY] = a === 0 || b === 0 ? [0, 0] : [a, b]
  return [
    ...corner(x + width - inX, y + inY, -Math.PI / 2),
    ...corner(x + width - inX, y + height - inY, 0),
    ...corner(x + inX, y + height - inY, Math.PI / 2),
    ...corner(x + inX, y + inY, Math.PI),
  ]
}

/** Every stretch of a path as a fine line. */
export function pathLines(d: string, tolerance: number): OutlineLine[] {
  if (d.trim() === '') return []
  const lines: OutlineLine[] = []
  let points: Vec2[] = []
  let closed = false
  const end = () => {
    if (points.length > 1) lines.push({ points, closed })
    points = []
    closed = false
  }
  for (const segment of SVGPathCommander.normalizePath(d)) {
    const [command, ...n] = segment as [string, ...number[]]
    const point = (k: number): Vec2 => [n[k] ?? 0, n[k + 1] ?? 0]
    const from = points.at(-1) ?? [0, 0]
    switch (command) {
      case 'M':
        end()
        points = [point(0)]
        break
      case 'L':
        points.push(point(0))
        break
      case 'C':
        points.push(...cubicPoints(from, point(0), point(2), point(4), tolerance))
        break
      case 'Q': {
        // A quadratic curve as the cubic that it is.
        const [handle, to] = [point(0), point(2)]
        const towards = (a: Vec2): Vec2 => [a[0] + (2 / 3) * (handle[0] - a[0]), a[1] + (2 / 3) * (handle[1] - a[1])]
        points.push(...cubicPoints(from, towards(from), towards(to), to, tolerance))
        break
      }
      case 'A':
        points.push(...ellipticArc(from, n, tolerance))
        break
      case 'Z': {
        closed = true
        const first = points[0]
        end()
        if (first !== undefined) points = [first]
        break
      }
    }
  }
  end()
  return lines
}

/** Points of an arc after its start: from its two ends to its middle (SVG 1.1, appendix F.6.5). */
function ellipticArc(from: Vec2, n: readonly number[], tolerance: number): Vec2[] {
  const [rxGiven = 0, ryGiven = 0, degrees = 0, large = 0, sweep = 0, x = 0, y = 0] = n
  const to: Vec2 = [x, y]
  let [rx, ry] = [Math.abs(rxGiven), Math.abs(ryGiven)]
  if (rx === 0 || ry === 0 || (from[0] === x && from[1] === y)) return [to]
  const turn = (degrees * Math.PI) / 180
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const [hx, hy] = [(from[0] - x) / 2, (from[1] - y) / 2]
  const [px, py] = [cos * hx + sin * hy, -sin * hx + cos * hy]
  const tooSmall = (px / rx) ** 2 + (py / ry) ** 2
  if (tooSmall > 1) {
    rx *= Math.sqrt(tooSmall)
    ry *= Math.sqrt(tooSmall)
  }
  const under = (rx * py) ** 2 + (ry * px) ** 2
  const root = Math.sqrt(Math.max(0, (rx * ry) ** 2 / under - 1)) * (large === sweep ? -1 : 1)
  const [mx, my] = [(root * rx * py) / ry, (-root * ry * px) / rx]
  const middle: Vec2 = [cos * mx - sin * my + (from[0] + x) / 2, sin * mx + cos * my + (from[1] + y) / 2]
  const begin = Math.atan2((py - my) / ry, (px - mx) / rx)
  let sweptTo = Math.atan2((-py - my) / ry, (-px - mx) / rx)
  if (sweep !== 0 && sweptTo < begin) sweptTo += 2 * Math.PI
  if (sweep === 0 && sweptTo > begin) sweptTo -= 2 * Math.PI
  const points = arcPoints(middle, rx, begin, sweptTo, tolerance, { ratio: ry / rx, turn }).slice(1)
  points[points.length - 1] = to
  return points
}

import { distance, insideOf, lerp, type Vec2 } from '../../geometry/index.ts'
import { seededRandom } from '../../numerics/index.ts'
import type { TracedOutline } from '../formTypes.ts'

export type Height = (p: Vec2) => number

/** Length of the straight piece from a to b on the surface, mm. */
export const lengthOnSurface = (a: Vec2, b: Vec2, height: Height) => Math.hypot(distance(a, b), height(b) - height(a))

/**
 * Points along an outline about `spacingMm` apart on the surface; every corner is kept.
 * Closer where the outline turns, so that no side cuts the curve by more than `cutToleranceMm`.
 */
export function sampleOutline(
  outline: TracedOutline,
  spacingMm: number,
  height: Height,
  cutToleranceMm: number,
): Vec2[] {
  const { polygon, corners } = outline
  const count = polygon.length
  const points: Vec2[] = []
  for (let c = 0; c < corners.length; c++) {
    const from = corners[c]!
    const to = c + 1 < corners.length ? corners[c + 1]! : corners[0]! + count
    const stretch = Array.from({ length: to - from + 1 }, (_, k) => polygon[(from + k) % count]!)
    points.push(...sampleStretch(stretch, spacingMm, height, cutToleranceMm).slice(0, -1))
  }
  return points
}

/** The same along an open line, both ends kept. */
export function sampleStretch(
  line: readonly Vec2[],
  spacingMm: number,
  height: Height,
  cutToleranceMm: number,
): Vec2[] {
  const along = [0]
  for (let i = 1; i < line.length; i++) {
    const parts = Math.max(1, Math.ceil(distance(line[i - 1]!, line[i]!) / spacingMm))
    let length = 0
    for (let k = 0; k < parts; k++)
      length += lengthOnSurface(
        lerp(line[i - 1]!, line[i]!, k / parts),
        lerp(line[i - 1]!, line[i]!, (k + 1) / parts),
        height,
      )
    along.push(along[i - 1]! + length)
  }
  const total = along[along.length - 1]!
  let turn = 0
  for (let i = 1; i + 1 < line.length; i++) {
    const ax = line[i]![0] - line[i - 1]![0]
    const ay = line[i]![1] - line[i - 1]![1]
    const bx = line[i + 1]![0] - line[i]![0]
    const by = line[i + 1]![1] - line[i]![1]
    turn += Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by))
  }
  // An arc of length s and turn q cut by n chords is missed by s q / (8 n^2) at most.
  const forCurve = Math.ceil(Math.sqrt((total * turn) / (8 * cutToleranceMm)))
  const parts = Math.max(1, Math.round(total / spacingMm), forCurve)
  const points: Vec2[] = [line[0]!]
  let i = 1
  for (let k = 1; k < parts; k++) {
    const wanted = (total * k) / parts
    while (along[i]! < wanted) i++
    points.push(lerp(line[i - 1]!, line[i]!, (wanted - along[i - 1]!) / (along[i]! - along[i - 1]!)))
  }
  points.push(line[line.length - 1]!)
  return points
}

/** A hexagonal grid of points inside the outline, at least `clearanceMm` from every outline, hole and line (a line of one point: that point). */
export function hexagonInside(
  outline: readonly Vec2[],
  holes: readonly (readonly Vec2[])[],
  lines: readonly (readonly Vec2[])[],
  spacingMm: number,
  clearanceMm: number,
): Vec2[] {
  const xs = outline.map((p) => p[0])
  const ys = outline.map((p) => p[1])
  const minX = Math.min(...xs)
  const maxX = Math.max(...xs)
  const minY = Math.min(...ys)
  const maxY = Math.max(...ys)
  const rowMm = (spacingMm * Math.sqrt(3)) / 2
  const near = nearChecker([...lines, ...[outline, ...holes].map((o) => [...o, o[0]!])], clearanceMm)
  const onPart = insideOf(outline)
  const inHoles = holes.map(insideOf)
  const points: Vec2[] = []
  // A hair off the grid: rows of points on exact lines and circles make robust predicates slow.
  const chance = seededRandom(1)
  const offGrid = () => 0.02 * spacingMm * (chance() - 0.5)
  for (let r = 0, y = minY + rowMm / 2; y < maxY; r++, y += rowMm) {
    for (let x = minX + (r % 2 === 0 ? 0.25 : 0.75) * spacingMm; x < maxX; x += spacingMm) {
      const p: Vec2 = [x + offGrid(), y + offGrid()]
      if (near(p) || !onPart(p) || inHoles.some((inHole) => inHole(p))) continue
      points.push(p)
    }
  }
  return points
}

/** Whether a point is within `clearanceMm` of any of the lines; by a grid of marked cells. */
function nearChecker(lines: readonly (readonly Vec2[])[], clearanceMm: number): (p: Vec2) => boolean {
  const cell = clearanceMm
  const spots = new Map<string, Vec2[]>()
  for (const line of lines) {
    for (let i = 0; i < Math.max(1, line.length - 1); i++) {
      const [a, b] = [line[i]!, line[i + 1] ?? line[i]!]
      const parts = Math.max(1, Math.ceil(distance(a, b) / (0.25 * clearanceMm)))
      for (let k = 0; k <= parts; k++) {
        const p = lerp(a, b, k / parts)
        const key = `${Math.floor(p[0] / cell)},${Math.floor(p[1] / cell)}`
        const list = spots.get(key)
        if (list) list.push(p)
        else spots.set(key, [p])
      }
    }
  }
  return (p) => {
    const c = Math.floor(p[0] / cell)
    const r = Math.floor(p[1] / cell)
    for (let dc = -1; dc <= 1; dc++) {
      for (let dr = -1; dr <= 1; dr++) {
        for (const q of spots.get(`${c + dc},${r + dr}`) ?? []) if (distance(p, q) < clearanceMm) return true
      }
    }
    return false
  }
}

import { distance, lerp, selfCrossing, signedArea, subtract, cross2, dot2, type Vec2 } from '../geometry/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import type { OutlineSegment, TracedOutline } from './formTypes.ts'

/** No point of a traced arc or spline is further than this from the true curve. */
const chordToleranceMm = 0.02
/** Sides of a traced spline stay shorter than this, so that a lay can bend them, mm. */
const longestSideMm = 30
const closingToleranceMm = 0.5
const sharpTurnRad = 0.35

/**
 * Lines, arcs and splines as one fine counter-clockwise polygon.
 * Splines are centripetal Catmull-Rom through their points (Barry and Goldman 1988).
 * Can be refused: `OUTLINE_OPEN`, `OUTLINE_FOLDED`, `OUTLINE_CROSSES`, `OUTLINE_TOO_SMALL`.
 */
export function traceOutline(what: string, start: Vec2, segments: readonly OutlineSegment[]): Result<TracedOutline> {
  const points: Vec2[] = [start]
  const edgeOfSide: string[] = []
  const corners: number[] = [0]
  let from = start
  for (const [index, segment] of segments.entries()) {
    const traced = traceSegment(what, index + 1, from, segment)
    if (!traced.ok) return traced
    for (const point of traced.value) {
      points.push(point)
      edgeOfSide.push(segment.edge)
    }
    corners.push(points.length - 1)
    from = segment.to
  }
  const gapMm = distance(points[points.length - 1]!, start)
  if (gapMm > closingToleranceMm) return refused(failure('OUTLINE_OPEN', { what, gapMm }))
  points.pop()
  corners.pop()
  return finish(what, points, edgeOfSide, corners)
}

/** A plain polygon as a traced outline with one edge name all round. */
export function tracePolygon(what: string, polygon: readonly Vec2[], edge: string): Result<TracedOutline> {
  return finish(
    what,
    [...polygon],
    polygon.map(() => edge),
    [0],
  )
}

function finish(what: string, points: Vec2[], edgeOfSide: string[], corners: number[]): Result<TracedOutline> {
  const area = signedArea(points)
  if (Math.abs(area) < 25) return refused(failure('OUTLINE_TOO_SMALL', { what, areaMm2: Math.abs(area) }))
  const crossing = selfCrossing(points)
  if (crossing !== null) return refused(failure('OUTLINE_CROSSES', { what, xMm: crossing[0], yMm: crossing[1] }))
  const count = points.length
  const sharp = points.flatMap((p, i) => {
    const a = subtract(p, points[(i + count - 1) % count]!)
    const b = subtract(points[(i + 1) % count]!, p)
    return Math.abs(Math.atan2(cross2(a, b), dot2(a, b))) > sharpTurnRad ? [i] : []
  })
  const all = [...new Set([...corners, ...sharp])].sort((a, b) => a - b)
  const traced = { polygon: points, edgeOfSide, corners: all }
  return done(area > 0 ? traced : runBack(traced))
}

/** The same outline run through the other way. */
export function runBack({ polygon, edgeOfSide, corners }: TracedOutline): TracedOutline {
  const count = polygon.length
  return {
    polygon: polygon.map((_, i) => polygon[count - 1 - i]!),
    edgeOfSide: edgeOfSide.map((_, i) => edgeOfSide[(2 * count - 2 - i) % count] ?? ''),
    corners: corners.map((i) => count - 1 - i).sort((a, b) => a - b),
  }
}

function traceSegment(what: string, number: number, from: Vec2, segment: OutlineSegment): Result<Vec2[]> {
  switch (segment.kind) {
    case 'line':
      return done([segment.to])
    case 'arc':
      return traceArc(what, number, from, segment)
    case 'spline':
      return done(traceSpline([from, ...segment.through, segment.to]))
  }
}

function traceArc(
  what: string,
  number: number,
  from: Vec2,
  { to, radiusMm, turn }: Extract<OutlineSegment, { kind: 'arc' }>,
): Result<Vec2[]> {
  const chordMm = distance(from, to)
  if (!(radiusMm >= chordMm / 2 - 1e-9) || chordMm === 0)
    return refused(failure('OUTLINE_FOLDED', { what, segment: number, radiusMm, chordMm }))
  const half = Math.asin(Math.min(1, chordMm / 2 / radiusMm))
  const left = turn === 'left' ? 1 : -1
  const middle = lerp(from, to, 0.5)
  const toCentre = radiusMm * Math.cos(half)
  const along = subtract(to, from)
  const centre: Vec2 = [
    middle[0] + ((-along[1] * left) / chordMm) * toCentre,
    middle[1] + ((along[0] * left) / chordMm) * toCentre,
  ]
  const begin = Math.atan2(from[1] - centre[1], from[0] - centre[0])
  const stepRad = 2 * Math.acos(Math.max(0, 1 - chordToleranceMm / radiusMm))
  const steps = Math.max(2, Math.ceil((2 * half) / stepRad))
  const points: Vec2[] = []
  for (let k = 1; k < steps; k++) {
    const angle = begin + left * 2 * half * (k / steps)
    points.push([centre[0] + radiusMm * Math.cos(angle), centre[1] + radiusMm * Math.sin(angle)])
  }
  points.push(to)
  return done(points)
}

function traceSpline(through: readonly Vec2[]): Vec2[] {
  const n = through.length
  const at = (i: number): Vec2 => {
    if (i < 0) return subtract([2 * through[0]![0], 2 * through[0]![1]], through[1]!)
    if (i >= n) return subtract([2 * through[n - 1]![0], 2 * through[n - 1]![1]], through[n - 2]!)
    return through[i]!
  }
  const points: Vec2[] = []
  for (let i = 0; i + 1 < n; i++) {
    const p = [at(i - 1), at(i), at(i + 1), at(i + 2)] as const
    const fine = Math.max(2, Math.ceil(distance(p[1], p[2]) / 6))
    const traced = Array.from({ length: fine }, (_, k): Vec2 => (k + 1 === fine ? p[2] : catmullRom(p, (k + 1) / fine)))
    points.push(...withoutNeedless([p[1], ...traced]).slice(1))
  }
  return points
}

/** Leaves out points that lie within the tolerance of the chord between their neighbours, sides staying short. */
function withoutNeedless(line: readonly Vec2[]): Vec2[] {
  const kept: Vec2[] = line.slice(0, 1)
  let from = 0
  for (let i = 2; i < line.length; i++) {
    const a = line[from]!
    const b = line[i]!
    const chord = subtract(b, a)
    const length = distance(a, b)
    const off = line.slice(from + 1, i).some((p) => Math.abs(cross2(chord, subtract(p, a))) > chordToleranceMm * length)
    if (off || length > longestSideMm) {
      kept.push(line[i - 1]!)
      from = i - 1
    }
  }
  kept.push(line[line.length - 1]!)
  return kept
}

function catmullRom(p: readonly [Vec2, Vec2, Vec2, Vec2], fraction: number): Vec2 {
  const t0 = 0
  const t1 = t0 + Math.sqrt(distance(p[0], p[1]))
  const t2 = t1 + Math.sqrt(distance(p[1], p[2]))
  const t3 = t2 + Math.sqrt(distance(p[2], p[3]))
  const t = t1 + (t2 - t1) * fraction
  const mix = (a: Vec2, b: Vec2, ta: number, tb: number) => lerp(a, b, (t - ta) / (tb - ta))
  const a1 = mix(p[0], p[1], t0, t1)
  const a2 = mix(p[1], p[2], t1, t2)
  const a3 = mix(p[2], p[3], t2, t3)
  return mix(mix(a1, a2, t0, t2), mix(a2, a3, t1, t3), t1, t2)
}

import { distance, distanceToLine, type Vec2 } from '@truelay/core/geometry'

/** Curves become lines that are nowhere further off than this, mm. */
export const curveToleranceMm = 0.004

/** Points of a cubic Bezier curve after its start; flat to `tolerance` (Wang 1984 bound on the number of pieces). */
export function cubicPoints(a: Vec2, b: Vec2, c: Vec2, d: Vec2, tolerance: number): Vec2[] {
  const bend = Math.max(
    Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1]),
    Math.hypot(b[0] - 2 * c[0] + d[0], b[1] - 2 * c[1] + d[1]),
  )
  const pieces = Math.min(5000, Math.max(1, Math.ceil(Math.sqrt((6 * bend) / (8 * tolerance)))))
  return Array.from({ length: pieces }, (_, i): Vec2 => {
    const t = (i + 1) / pieces
    const s = 1 - t
    const [wa, wb, wc, wd] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t]
    return i + 1 === pieces
      ? d
      : [wa * a[0] + wb * b[0] + wc * c[0] + wd * d[0], wa * a[1] + wb * b[1] + wc * c[1] + wd * d[1]]
  })
}

/** Points of an ellipse's arc, both ends included; angles in radians, counter-clockwise if `to` is larger. */
export function arcPoints(
  middle: Vec2,
  radius: number,
  from: number,
  to: number,
  tolerance: number,
  minor = { ratio: 1, turn: 0 },
): Vec2[] {
  const step = 2 * Math.acos(Math.max(0, 1 - tolerance / Math.max(radius, tolerance)))
  const pieces = Math.min(20_000, Math.max(4, Math.ceil(Math.abs(to - from) / Math.max(step, 1e-4))))
  const [cos, sin] = [Math.cos(minor.turn), Math.sin(minor.turn)]
  return Array.from({ length: pieces + 1 }, (_, i): Vec2 => {
    const angle = from + ((to - from) * i) / pieces
    const x = radius * Math.cos(angle)
    const y = radius * minor.ratio * Math.sin(angle)
    return [middle[0] + x * cos - y * sin, middle[1] + x * sin + y * cos]
  })
}

/** The arc between two points that a DXF bulge means: the tangent of a quarter of its angle, positive to the left. */
export function bulgePoints(a: Vec2, b: Vec2, bulge: number, tolerance: number): Vec2[] {
  const chord = Math.hypot(b[0] - a[0], b[1] - a[1])
  if (Math.abs(bulge) < 1e-9 || chord === 0) return [b]
  const angle = 4 * Math.atan(bulge)
  const radius = chord / 2 / Math.sin(Math.abs(angle) / 2)
  const toMiddle = radius * Math.cos(angle / 2) * Math.sign(bulge)
  const middle: Vec2 = [
    (a[0] + b[0]) / 2 - ((b[1] - a[1]) / chord) * toMiddle,
    (a[1] + b[1]) / 2 + ((b[0] - a[0]) / chord) * toMiddle,
  ]
  const from = Math.atan2(a[1] - middle[1], a[0] - middle[0])
  const points = arcPoints(middle, radius, from, from + angle, tolerance).slice(1)
  points[points.length - 1] = b
  return points
}

/** A stretch between two knots is halved at most so often. */
const mostHalvings = 12

/** Points of a B-spline (de Boor 1972), rational where weights are given, nowhere further off than `tolerance`; both ends included. */
export function splinePoints(
  degree: number,
  knots: readonly number[],
  control: readonly Vec2[],
  weights: readonly number[] | null,
  tolerance: number,
): Vec2[] {
  const at = (t: number) => deBoor(degree, knots, control, weights, t)
  const stops = [...new Set(knots.slice(degree, knots.length - degree))]
  const points: Vec2[] = [at(stops[0] ?? 0)]
  for (let k = 0; k + 1 < stops.length; k++) {
    const [from, to] = [stops[k] ?? 0, stops[k + 1] ?? 1]
    flatten(at, { from, to, tolerance }, points)
  }
  return points
}

/** Adds the points of a curve after its start; where it strays from a chord, the stretch is halved. */
function flatten(
  at: (t: number) => Vec2,
  { from, to, tolerance }: { readonly from: number; readonly to: number; readonly tolerance: number },
  points: Vec2[],
): void {
  const half = (t0: number, p0: Vec2, t1: number, p1: Vec2, left: number): void => {
    const middle = at((t0 + t1) / 2)
    const strays = [at(t0 + (t1 - t0) * 0.23), middle, at(t0 + (t1 - t0) * 0.77)].some(
      (p) => distanceToLine([p0, p1], p) > tolerance,
    )
    if (strays && left > 0) {
      half(t0, p0, (t0 + t1) / 2, middle, left - 1)
      half((t0 + t1) / 2, middle, t1, p1, left - 1)
    } else points.push(p1)
  }
  // A stretch that winds back could look straight as a whole.
  const pieces = 4
  for (let k = 0; k < pieces; k++) {
    const [t0, t1] = [from + ((to - from) * k) / pieces, from + ((to - from) * (k + 1)) / pieces]
    half(t0, at(t0), t1, at(t1), mostHalvings)
  }
}

/** Directions of length one in which a curve leaves its first point and comes into its last; null: unbent. */
export interface EndSlopes {
  readonly from: Vec2 | null
  readonly to: Vec2 | null
}

/**
 * Points of the smooth curve through given points: cubic between each two, with steady curvature, by the lengths of their chords (de Boor 1978,
 * chapter IV); its ends unbent, or all round where it is closed.
 */
export function smoothThrough(
  through: readonly Vec2[],
  closed: boolean,
  tolerance: number,
  ends: EndSlopes = { from: null, to: null },
): Vec2[] {
  const points = through.filter((p, i) => i === 0 || distance(p, through[i - 1] as Vec2) > 0)
  const first = points[0]
  const last = points.at(-1)
  if (first === undefined || last === undefined || points.length < 3) return [...points]
  const round = closed && points.length > 3
  if (round && distance(first, last) === 0) points.pop()
  const slopes = round ? slopesRound(points) : slopesOpen(points, ends)
  const out: Vec2[] = [first]
  for (let k = 0; k + (round ? 0 : 1) < points.length; k++) {
    const next = (k + 1) % points.length
    const [a, d] = [points[k] as Vec2, points[next] as Vec2]
    const third = distance(a, d) / 3
    const [at, into] = [slopes[k] as Vec2, slopes[next] as Vec2]
    out.push(
      ...cubicPoints(
        a,
        [a[0] + third * at[0], a[1] + third * at[1]],
        [d[0] - third * into[0], d[1] - third * into[1]],
        d,
        tolerance,
      ),
    )
  }
  return out
}

/** Slopes at the points of an open curve by its length, its ends unbent where they are not given: one sweep down and one up. */
function slopesOpen(points: readonly Vec2[], { from, to }: EndSlopes = { from: null, to: null }): Vec2[] {
  const n = points.length
  const [h, rise] = chords(points, n - 1)
  const axis = (c: 0 | 1): number[] => {
    const diagonal = new Array<number>(n).fill(0)
    const right = new Array<number>(n).fill(0)
    const over = new Array<number>(n).fill(0)
    diagonal[0] = from === null ? 2 : 1
    over[0] = from === null ? 1 : 0
    right[0] = from === null ? 3 * (rise[0]?.[c] ?? 0) : from[c]
    for (let k = 1; k < n; k++) {
      const [before, after] = [h[k - 1] ?? 1, h[k] ?? 0]
      const end = k === n - 1
      const under = end ? Number(to === null) : after
      const own = end ? (to === null ? 2 : 1) : 2 * (before + after)
      const wanted = end
        ? (to?.[c] ?? 3 * (rise[k - 1]?.[c] ?? 0))
        : 3 * (after * (rise[k - 1]?.[c] ?? 0) + before * (rise[k]?.[c] ?? 0))
      const share = under / (diagonal[k - 1] ?? 1)
      diagonal[k] = own - share * (over[k - 1] ?? 0)
      over[k] = before
      right[k] = wanted - share * (right[k - 1] ?? 0)
    }
    const slope = new Array<number>(n).fill(0)
    for (let k = n - 1; k >= 0; k--)
      slope[k] = ((right[k] ?? 0) - (k === n - 1 ? 0 : (over[k] ?? 0) * (slope[k + 1] ?? 0))) / (diagonal[k] ?? 1)
    return slope
  }
  const [x, y] = [axis(0), axis(1)]
  return points.map((_, k) => [x[k] ?? 0, y[k] ?? 0])
}

/** Slopes of a closed curve: its beginning is drawn on past both ends until it no longer feels them. */
function slopesRound(points: readonly Vec2[]): Vec2[] {
  const n = points.length
  const beside = Math.max(n, 24)
  const long = Array.from({ length: n + 2 * beside }, (_, k) => points[(((k - beside) % n) + n) % n] as Vec2)
  return slopesOpen(long).slice(beside, beside + n)
}

/** Lengths of the chords, and how steep each is. */
function chords(points: readonly Vec2[], many: number): [number[], Vec2[]] {
  const h = Array.from({ length: many }, (_, k) => distance(points[k] as Vec2, points[k + 1] as Vec2))
  const rise = h.map((length, k): Vec2 => {
    const [a, b] = [points[k] as Vec2, points[k + 1] as Vec2]
    return [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
  })
  return [h, rise]
}

function deBoor(
  degree: number,
  knots: readonly number[],
  control: readonly Vec2[],
  weights: readonly number[] | null,
  t: number,
): Vec2 {
  let span = degree
  while (span < control.length - 1 && t >= (knots[span + 1] ?? Number.POSITIVE_INFINITY)) span++
  const d = Array.from({ length: degree + 1 }, (_, j) => {
    const [x, y] = control[span - degree + j] ?? [0, 0]
    const w = weights?.[span - degree + j] ?? 1
    return [x * w, y * w, w] as [number, number, number]
  })
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const low = knots[j + span - degree] ?? 0
      const high = knots[j + 1 + span - r] ?? 1
      const share = high === low ? 0 : (t - low) / (high - low)
      const [before, now] = [d[j - 1], d[j]]
      if (before === undefined || now === undefined) continue
      d[j] = [0, 1, 2].map((k) => (1 - share) * (before[k] ?? 0) + share * (now[k] ?? 0)) as [number, number, number]
    }
  const [x, y, w] = d[degree] ?? [0, 0, 1]
  return [x / w, y / w]
}

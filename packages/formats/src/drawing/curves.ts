import type { Vec2 } from '@truelay/core/geometry'

/** Curves become lines that are nowhere further off than this, mm. */
export const curveToleranceMm = 0.004

/** Points of a cubic Bezier curve after its start; flat to `tolerance` (Wang 1984 bound on the number of pieces). */
export function cubicPoints(a: Vec2, b: Vec2, c: Vec2, d: Vec2, tolerance: number): Vec2[] {
  const bend = Math.max(
    Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1]),
    Math.hypot(b[0] - 2 * c[0] + d[0], b[1] - 2 * c[1] + d[1]),
  )
  const pieces = Math.min(500, Math.max(1, Math.ceil(Math.sqrt((6 * bend) / (8 * tolerance)))))
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
  const pieces = Math.min(2000, Math.max(4, Math.ceil(Math.abs(to - from) / Math.max(step, 1e-3))))
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

/** Points of a B-spline (de Boor 1972), rational where weights are given; both ends included. */
export function splinePoints(
  degree: number,
  knots: readonly number[],
  control: readonly Vec2[],
  weights: readonly number[] | null,
): Vec2[] {
  const first = knots[degree] ?? 0
  const last = knots[knots.length - 1 - degree] ?? 1
  const spans = Math.max(1, control.length - degree)
  const pieces = Math.min(4000, spans * 40)
  return Array.from({ length: pieces + 1 }, (_, i) =>
    deBoor(degree, knots, control, weights, first + ((last - first) * i) / pieces),
  )
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

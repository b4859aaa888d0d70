import { signedArea, type Vec2 } from '../geometry/index.ts'
import type { FormDoc, OutlineSegment } from './formTypes.ts'

/** A sharper turn of the rim is a corner; between corners it runs on as a curve. */
const cornerRad = (40 * Math.PI) / 180
/** A corner is moved out no further than so many times its targets. */
const mostMitre = 2

/**
 * The outline of a part along targets that were stuck along its rim: each touches the edge with its paper, so that the edge lies `paperMm` outside of
 * its middle. Curves between corners, an edge from each corner to the next.
 */
export function outlineOfTargets(rim: readonly Vec2[], paperMm: number): Pick<FormDoc, 'start' | 'outline' | 'edges'> {
  const around = signedArea(rim) >= 0 ? rim : [...rim].reverse()
  const count = around.length
  const at = (i: number): Vec2 => around[((i % count) + count) % count] ?? [0, 0]
  const bends = around.map((p, i) => bendOf(at(i - 1), p, at(i + 1)))
  const edge = around.map((p, i) => movedOut(at(i - 1), p, at(i + 1), paperMm))
  const sharpest = bends.indexOf(Math.max(...bends))
  const corners = Array.from({ length: count }, (_, k) => (sharpest + k) % count).filter(
    (i, k) => k === 0 || (bends[i] ?? 0) > cornerRad,
  )
  // A rim without a second corner is cut in two, so that no curve ends where it begins.
  if (corners.length === 1) corners.push((sharpest + Math.floor(count / 2)) % count)
  const outline = corners.map((from, k): OutlineSegment => {
    const to = corners[(k + 1) % corners.length] ?? from
    const between = Array.from({ length: (to - from + count - 1) % count }, (_, n) => edge[(from + 1 + n) % count])
    const name = `edge ${k + 1}`
    const end = edge[to] ?? [0, 0]
    const through = between.filter((p) => p !== undefined)
    return through.length === 0
      ? { kind: 'line', to: end, edge: name }
      : { kind: 'spline', through, to: end, edge: name }
  })
  return {
    start: edge[sharpest] ?? [0, 0],
    outline,
    edges: corners.map((_, k) => ({ name: `edge ${k + 1}`, label: `edge ${k + 1}`, code: 'stop-short' as const })),
  }
}

/** How far the rim turns at a target, to either side. */
function bendOf(a: Vec2, p: Vec2, b: Vec2): number {
  const turn = Math.atan2(b[1] - p[1], b[0] - p[0]) - Math.atan2(p[1] - a[1], p[0] - a[0])
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)))
}

/** A spot of a counter-clockwise rim moved out, so that both sides that meet there are moved by so much. */
function movedOut(a: Vec2, p: Vec2, b: Vec2, byMm: number): Vec2 {
  const outward = (from: Vec2, to: Vec2): Vec2 => {
    const long = Math.hypot(to[0] - from[0], to[1] - from[1])
    return [(to[1] - from[1]) / long, -(to[0] - from[0]) / long]
  }
  const [m, n] = [outward(a, p), outward(p, b)]
  const [x, y] = [m[0] + n[0], m[1] + n[1]]
  const long = Math.hypot(x, y)
  if (long < 1e-9) return [round(p[0]), round(p[1])]
  // The half turn between the two is known from how long their sum is.
  const mitre = Math.min(mostMitre, 2 / long)
  return [round(p[0] + (byMm * mitre * x) / long), round(p[1] + (byMm * mitre * y) / long)]
}

/** Nobody sticks a target nearer to an edge than to half a millimetre. */
const round = (v: number) => Math.round(2 * v) / 2

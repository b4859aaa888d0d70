import { signedArea, thinOutline, type Vec2 } from '../geometry/index.ts'
import type { FormDoc, OutlineSegment } from './formTypes.ts'

const mostSegments = 160
/** A sharper turn begins another edge. */
const cornerRad = 0.6

/** A rim of points as the outline of a form: counter-clockwise, thinned, an edge from each corner to the next. */
export function outlineOfRim(plan: readonly Vec2[]): Pick<FormDoc, 'start' | 'outline' | 'edges'> {
  const turned = signedArea(plan) >= 0 ? [...plan] : [...plan].reverse()
  let tolerance = 0.2
  let thin = thinOutline(turned, tolerance)
  while (thin.length > mostSegments) {
    tolerance *= 1.5
    thin = thinOutline(turned, tolerance)
  }
  const count = thin.length
  const turnsAt = thin.map((p, i) => {
    const a = thin[(i + count - 1) % count]!
    const b = thin[(i + 1) % count]!
    const before = Math.atan2(p[1] - a[1], p[0] - a[0])
    const after = Math.atan2(b[1] - p[1], b[0] - p[0])
    return Math.abs(Math.atan2(Math.sin(after - before), Math.cos(after - before)))
  })
  // The sharpest corner begins, so that no edge is cut in two by the start.
  const first = turnsAt.indexOf(Math.max(...turnsAt))
  const ordered = Array.from({ length: count }, (_, k) => thin[(first + k) % count]!)
  let edge = 1
  const outline = ordered.map((_, k): OutlineSegment => {
    if (k > 0 && turnsAt[(first + k) % count]! > cornerRad) edge++
    const to = ordered[(k + 1) % count]!
    return { kind: 'line', to: [round(to[0]), round(to[1])], edge: `edge ${edge}` }
  })
  const start = ordered[0]!
  return {
    start: [round(start[0]), round(start[1])],
    outline,
    edges: Array.from({ length: edge }, (_, i) => ({
      name: `edge ${i + 1}`,
      label: `edge ${i + 1}`,
      code: 'stop-short' as const,
    })),
  }
}

const round = (x: number) => Math.round(x * 100) / 100

import { boundsOf, contains, nearestOnOutline, type Polygon, signedArea } from '@truelay/core/geometry'
import type { JoinedLine } from './joinLines.ts'

/** A closed line, with what it lies in. */
export interface Loop extends JoinedLine {
  readonly areaMm2: number
  /** Within how many others it lies. */
  readonly depth: number
}

/** Closed lines, the largest first, each with how deep it lies in others. */
export function nested(lines: readonly JoinedLine[]): Loop[] {
  const sized = lines
    .map((line) => ({ line, areaMm2: Math.abs(signedArea(line.points)), box: boundsOf(line.points) }))
    .sort((a, b) => b.areaMm2 - a.areaMm2)
  return sized.map(({ line, areaMm2, box }, k) => ({
    ...line,
    areaMm2,
    depth: sized
      .slice(0, k)
      .filter(
        (other) =>
          other.areaMm2 > areaMm2 &&
          other.box.min[0] <= box.min[0] + slackMm &&
          other.box.min[1] <= box.min[1] + slackMm &&
          other.box.max[0] >= box.max[0] - slackMm &&
          other.box.max[1] >= box.max[1] - slackMm &&
          liesIn(other.line.points, line.points),
      ).length,
  }))
}

const slackMm = 0.01
/** So many points of a line tell whether it lies in another one. */
const asked = 200

export function liesIn(outer: Polygon, inner: Polygon): boolean {
  const stride = Math.max(1, Math.floor(inner.length / asked))
  return inner.every(
    (p, i) => i % stride !== 0 || contains(outer, p) || nearestOnOutline(outer, p).distanceMm < slackMm,
  )
}

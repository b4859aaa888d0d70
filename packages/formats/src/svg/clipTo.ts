import type { Vec2 } from '@truelay/core/geometry'
import { ClipperD, ClipType, FillRule, type PathsD } from 'clipper2-ts'
import type { OutlineLine } from './outlines.ts'

/** Decimal places to which lines are cut, in the unit of the drawing. */
const places = 5

const paths = (lines: readonly OutlineLine[]): PathsD => lines.map(({ points }) => points.map(([x, y]) => ({ x, y })))

/** What of some lines lies inside closed shapes; each by itself, as a hole is a line like any other here. */
export function clipTo(lines: readonly OutlineLine[], shapes: readonly OutlineLine[]): OutlineLine[] {
  return lines.flatMap((line) => {
    const clipper = new ClipperD(places)
    if (line.closed) clipper.addSubjectPaths(paths([line]))
    else clipper.addOpenSubjectPaths(paths([line]))
    clipper.addClipPaths(paths(shapes))
    const closed: PathsD = []
    const open: PathsD = []
    clipper.execute(ClipType.Intersection, FillRule.NonZero, closed, open)
    return (line.closed ? closed : open).map(
      (path): OutlineLine => ({ points: path.map(({ x, y }): Vec2 => [x, y]), closed: line.closed }),
    )
  })
}

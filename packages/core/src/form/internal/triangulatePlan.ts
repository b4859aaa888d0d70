/// <reference path="./cdt2d.d.ts" />
import cdt2d from 'cdt2d'
import Delaunator from 'delaunator'
import { insideOf, type Polygon, type Vec2 } from '../../geometry/index.ts'
import { sideKey } from './relaxMesh.ts'

/**
 * Triangles between points of the plan, inside the outline and outside the holes, with every given side kept;
 * counter-clockwise, length 3·T. A plain Delaunay triangulation usually has all sides already and is much faster
 * than the constrained one, which serves where a side is missing.
 */
export function triangulatePlan(
  points: readonly Vec2[],
  sides: readonly (readonly [number, number])[],
  outline: Polygon,
  holes: readonly Polygon[],
): Int32Array {
  const plain = Delaunator.from(points as [number, number][]).triangles
  const present = new Set<number>()
  for (let i = 0; i < plain.length; i++)
    present.add(sideKey(plain[i]!, plain[i % 3 === 2 ? i - 2 : i + 1]!, points.length))
  if (!sides.every(([a, b]) => present.has(sideKey(a, b, points.length))))
    return counterClockwise(points, cdt2d(points, sides, { exterior: false }))
  const onPart = insideOf(outline)
  const inHoles = holes.map(insideOf)
  const kept: [number, number, number][] = []
  for (let i = 0; i < plain.length; i += 3) {
    const [a, b, c] = [plain[i]!, plain[i + 1]!, plain[i + 2]!]
    if (isSliver(points[a]!, points[b]!, points[c]!)) continue
    const middle: Vec2 = [
      (points[a]![0] + points[b]![0] + points[c]![0]) / 3,
      (points[a]![1] + points[b]![1] + points[c]![1]) / 3,
    ]
    if (onPart(middle) && !inHoles.some((inHole) => inHole(middle))) kept.push([a, b, c])
  }
  return counterClockwise(points, kept)
}

/** Whether three points lie on one line: such a triangle only closes the hull over a straight stretch of rim. */
function isSliver(a: Vec2, b: Vec2, c: Vec2): boolean {
  const twice = Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]))
  const longest = Math.max(
    (b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2,
    (c[0] - b[0]) ** 2 + (c[1] - b[1]) ** 2,
    (a[0] - c[0]) ** 2 + (a[1] - c[1]) ** 2,
  )
  return twice < 1e-7 * longest
}

function counterClockwise(points: readonly Vec2[], cells: readonly (readonly [number, number, number])[]): Int32Array {
  const triangle = new Int32Array(3 * cells.length)
  cells.forEach(([a, b, c], t) => {
    const [p, q, r] = [points[a]!, points[b]!, points[c]!]
    const turnsLeft = (q[0] - p[0]) * (r[1] - p[1]) - (r[0] - p[0]) * (q[1] - p[1]) > 0
    triangle.set(turnsLeft ? [a, b, c] : [a, c, b], 3 * t)
  })
  return triangle
}

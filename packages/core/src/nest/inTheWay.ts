import { boundsOf, contains, type Polygon, type Vec2 } from '../geometry/index.ts'
import type { NestPiece, NestPlacement, NestRequest } from './request.ts'
import { turnedBy } from './shape.ts'

/** What keeps a layout from being cut: two copies too near, or one that leaves its roll or lies on spoilt film. Copies by their place in the list. */
export type InTheWay =
  | { readonly kind: 'near'; readonly first: number; readonly second: number; readonly apartMm: number }
  | { readonly kind: 'off roll'; readonly first: number }
  | { readonly kind: 'spoilt'; readonly first: number }

/** What reckoning and files round off, mm. */
const roundedMm = 0.005

/** A piece as it lies on the roll: outline first, then its cut-outs. */
export const lying = ({ outline, cutOuts = [] }: NestPiece, { xMm, yMm, turnDeg }: NestPlacement): Polygon[] =>
  [outline, ...cutOuts].map((loop) =>
    loop.map((p): Vec2 => {
      const [x, y] = turnedBy(p, turnDeg)
      return [x + xMm, y + yMm]
    }),
  )

/**
 * Everything that is in the way of a layout, however it was made: reckoned from the pieces themselves, side by side.
 * @param only the copy that it is about, where it is about one
 */
export function inTheWay(request: NestRequest, placements: readonly NestPlacement[], only?: number): InTheWay[] {
  const { rollWidthMm, rollLengthMm = Infinity, gapMm, borderMm = 0, spoilt = [] } = request
  const byId = new Map(request.pieces.map((piece) => [piece.id, piece]))
  const copies = placements.map((placed) => {
    const loops = lying(byId.get(placed.id)!, placed)
    return { loops, ...boundsOf(loops[0]!) }
  })
  const found: InTheWay[] = []
  copies.forEach(({ min, max }, first) => {
    if (only !== undefined && only !== first) return
    const inside = Math.min(min[0], min[1], rollWidthMm - max[1], rollLengthMm - max[0]) >= borderMm - roundedMm
    if (!inside) found.push({ kind: 'off roll', first })
    if (spoilt.some(([from, to]) => min[0] < to - roundedMm && max[0] > from + roundedMm))
      found.push({ kind: 'spoilt', first })
  })
  for (let second = 0; second < copies.length; second++)
    for (let first = 0; first < second; first++) {
      if (only !== undefined && only !== first && only !== second) continue
      const [a, b] = [copies[first]!, copies[second]!]
      const reach = gapMm + roundedMm
      if (a.min[0] > b.max[0] + reach || b.min[0] > a.max[0] + reach) continue
      if (a.min[1] > b.max[1] + reach || b.min[1] > a.max[1] + reach) continue
      const apartMm = filmApart(a.loops, b.loops)
      if (apartMm < gapMm - roundedMm || apartMm < 0) found.push({ kind: 'near', first, second, apartMm })
    }
  return found
}

/** Least distance between two pieces, mm; below 0 where they lie over each other. */
function filmApart(a: readonly Polygon[], b: readonly Polygon[]): number {
  let nearest = Infinity
  for (const p of a) for (const q of b) nearest = Math.min(nearest, linesApart(p, q))
  if (nearest === 0) return crossing(a, b) ? -1 : 0
  return inFilm(a, b[0]![0]!) || inFilm(b, a[0]![0]!) ? -nearest : nearest
}

const inFilm = ([outline, ...cutOuts]: readonly Polygon[], p: Vec2) =>
  contains(outline!, p) && !cutOuts.some((hole) => contains(hole, p))

/** Lines that meet: whether they cross, or only touch. A middle of a side, or a corner, then lies in the film of the other. */
const crossing = (a: readonly Polygon[], b: readonly Polygon[]) =>
  [
    [a, b],
    [b, a],
  ].some(([one, other]) =>
    one!.some((loop) =>
      loop.some((p, i) => {
        const q = loop[(i + 1) % loop.length]!
        const middle: Vec2 = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2]
        return wellWithin(other!, p) || wellWithin(other!, middle)
      }),
    ),
  )

const wellWithin = (film: readonly Polygon[], p: Vec2) =>
  inFilm(film, p) && film.every((loop) => linesApart([p, p], loop) > roundedMm)

function linesApart(p: Polygon, q: Polygon): number {
  let nearest = Infinity
  for (let i = 0; i < p.length; i++) {
    const [a, b] = [p[i]!, p[(i + 1) % p.length]!]
    for (let j = 0; j < q.length; j++) nearest = Math.min(nearest, sidesApart(a, b, q[j]!, q[(j + 1) % q.length]!))
    if (nearest === 0) return 0
  }
  return nearest
}

function sidesApart(a: Vec2, b: Vec2, c: Vec2, d: Vec2): number {
  const side = (p: Vec2, q: Vec2, r: Vec2) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])
  if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return 0
  return Math.min(offSide(a, c, d), offSide(b, c, d), offSide(c, a, b), offSide(d, a, b))
}

function offSide(p: Vec2, a: Vec2, b: Vec2): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)))
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy)
}

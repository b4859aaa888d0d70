import { type Bounds, boundsOf, contains, type Polygon, type Vec2 } from '../geometry/index.ts'
import type { NestPiece, NestPlacement } from './request.ts'
import { turnedBy } from './shape.ts'

/** What reckoning and files round off, mm. */
export const roundedMm = 0.005

/** A piece as it lies on the roll: outline first, then its cut-outs. */
export const lying = ({ outline, cutOuts = [] }: NestPiece, { xMm, yMm, turnDeg }: NestPlacement): Polygon[] =>
  [outline, ...cutOuts].map((loop) =>
    loop.map((p): Vec2 => {
      const [x, y] = turnedBy(p, turnDeg)
      return [x + xMm, y + yMm]
    }),
  )

/** One copy as it lies, with its box. */
export interface LyingCopy extends Bounds {
  readonly loops: readonly Polygon[]
}

export function lyingCopy(piece: NestPiece, placed: NestPlacement): LyingCopy {
  const loops = lying(piece, placed)
  return { loops, ...boundsOf(loops[0]!) }
}

/**
 * Least distance between two copies, from their sides, mm; infinite from `reachMm` on, which is not looked at; below 0 where they lie over each
 * other by more than is rounded off.
 */
export function filmApart(a: LyingCopy, b: LyingCopy, reachMm: number): number {
  if (boxesApart(a, b, reachMm)) return Infinity
  const [fromA, fromB] = [sidesNear(a, b, reachMm), sidesNear(b, a, reachMm)]
  let nearest = Infinity
  for (const [p, q] of fromA)
    for (const [r, s] of fromB) {
      const endsMm = Math.min(offSide(p, r, s), offSide(q, r, s), offSide(r, p, q), offSide(s, p, q))
      // Sides that cross well within both of them: film lies on film.
      if (cross(p, q, r, s)) {
        if (endsMm > roundedMm) return -endsMm
        nearest = 0
      } else if (endsMm < nearest) nearest = endsMm
    }
  const overMm = within(fromA, b) || within(fromB, a)
  if (overMm > 0) return -overMm
  // No side is near: one may still lie wholly in the film of the other.
  const swallowed = nearest > roundedMm && (inFilm(a, b.loops[0]![0]!) || inFilm(b, a.loops[0]![0]!))
  return swallowed ? -Math.min(nearest, reachMm) : nearest < reachMm ? nearest : Infinity
}

type Side = readonly [Vec2, Vec2]

const boxesApart = (a: Bounds, b: Bounds, byMm: number) =>
  a.min[0] > b.max[0] + byMm || b.min[0] > a.max[0] + byMm || a.min[1] > b.max[1] + byMm || b.min[1] > a.max[1] + byMm

/** Sides of a copy that come near the box of another. */
function sidesNear({ loops }: LyingCopy, { min, max }: Bounds, byMm: number): Side[] {
  const near: Side[] = []
  for (const loop of loops)
    for (let i = 0; i < loop.length; i++) {
      const [p, q] = [loop[i]!, loop[i + 1 === loop.length ? 0 : i + 1]!]
      if (Math.max(p[0], q[0]) < min[0] - byMm || Math.min(p[0], q[0]) > max[0] + byMm) continue
      if (Math.max(p[1], q[1]) < min[1] - byMm || Math.min(p[1], q[1]) > max[1] + byMm) continue
      near.push([p, q])
    }
  return near
}

/** How far a corner or a middle of these sides lies within the film of the other: the first by more than is rounded off, mm; 0 where none does. */
function within(sides: readonly Side[], film: LyingCopy): number {
  for (const [p, q] of sides)
    for (const at of [p, [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2] as const]) {
      if (!inFilm(film, at)) continue
      const byMm = fromRim(film, at)
      if (byMm > roundedMm) return byMm
    }
  return 0
}

const inFilm = ({ loops: [outline, ...cutOuts], min, max }: LyingCopy, p: Vec2) =>
  p[0] > min[0] &&
  p[0] < max[0] &&
  p[1] > min[1] &&
  p[1] < max[1] &&
  contains(outline!, p) &&
  !cutOuts.some((hole) => contains(hole, p))

function fromRim({ loops }: LyingCopy, p: Vec2): number {
  let nearest = Infinity
  for (const loop of loops)
    for (let i = 0; i < loop.length; i++)
      nearest = Math.min(nearest, offSide(p, loop[i]!, loop[i + 1 === loop.length ? 0 : i + 1]!))
  return nearest
}

const beside = (p: Vec2, q: Vec2, r: Vec2) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])

const cross = (p: Vec2, q: Vec2, r: Vec2, s: Vec2) =>
  beside(p, q, r) * beside(p, q, s) < 0 && beside(r, s, p) * beside(r, s, q) < 0

function offSide(p: Vec2, a: Vec2, b: Vec2): number {
  const dx = b[0] - a[0]
  const dy = b[1] - a[1]
  const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)))
  const x = p[0] - a[0] - t * dx
  const y = p[1] - a[1] - t * dy
  return Math.sqrt(x * x + y * y)
}

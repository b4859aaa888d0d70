import { areaD, Clipper, EndType, FillRule, inflatePathsD, JoinType, type PathsD } from 'clipper2-ts'
import { expect } from 'vitest'
import { boundsOf, rotate, type Vec2 } from '../geometry/index.ts'
import { radFromDeg } from '../units/index.ts'
import { inTheWay, type Nested, nestPieces, type NestRequest } from './index.ts'
import { areaOf } from './testPieces.ts'

export const rectangle = (long: number, wide: number): Vec2[] => [
  [0, 0],
  [long, 0],
  [long, wide],
  [0, wide],
]
export const nested = (request: NestRequest, effort = 2e8, seed = 1): Nested => {
  const result = nestPieces(request, { effort, seed })
  if (!result.ok) throw new Error(result.failure.code)
  return result.value
}
/** Each copy as it lies, drawn here anew: turned about its own origin, then moved. */
export const drawn = (request: NestRequest, { placements }: Nested) =>
  placements.map(({ id, xMm, yMm, turnDeg }) => {
    const { outline, cutOuts = [] } = request.pieces.find((piece) => piece.id === id)!
    return [outline, ...cutOuts].map((loop) =>
      loop.map((p): Vec2 => {
        const [x, y] = rotate(p, radFromDeg(turnDeg))
        return [x + xMm, y + yMm]
      }),
    )
  })

/** Film of a piece, wider by so much all round; by clipping, which the search does not use. */
function film(loops: readonly (readonly Vec2[])[], byMm: number): PathsD {
  const paths = loops.map((loop) => loop.map(([x, y]) => ({ x, y })))
  const solid = Clipper.differenceD([paths[0]!], paths.slice(1), FillRule.NonZero, 5)
  return byMm === 0 ? solid : inflatePathsD(solid, byMm, JoinType.Round, EndType.Polygon, 2, 5, 0.0005)
}

/** What holds of every layout: all copies there, on the roll, in turns that are allowed, apart by the gap. */
export function expectSound(request: NestRequest, found: Nested) {
  const { gapMm, rollWidthMm, borderMm = 0, spoilt = [] } = request
  const counted = new Map<string, number>()
  for (const { id, copy, turnDeg } of found.placements) {
    expect(copy).toBe(counted.get(id) ?? 0)
    counted.set(id, copy + 1)
    expect(request.pieces.find((piece) => piece.id === id)!.turns ?? [0, 90, 180, 270]).toContain(turnDeg)
  }
  for (const { id, count } of request.pieces) expect(counted.get(id) ?? 0).toBe(count)
  const copies = drawn(request, found)
  for (const [outline] of copies) {
    const { min, max } = boundsOf(outline!)
    expect(Math.min(min[0], min[1])).toBeGreaterThan(borderMm - 0.01)
    expect(max[1]).toBeLessThan(rollWidthMm - borderMm + 0.01)
    expect(max[0]).toBeLessThan(found.usedLengthMm - borderMm + 0.01)
    for (const [from, to] of spoilt) expect(min[0] > to - 0.01 || max[0] < from + 0.01).toBe(true)
  }
  // Half the gap less a hundredth of a millimetre round each: none may overlap.
  const wide = copies.map((loops) => film(loops, Math.max(0, gapMm / 2 - 0.005)))
  for (let a = 0; a < wide.length; a++)
    for (let b = 0; b < a; b++) {
      const over = Clipper.intersectD(wide[a]!, wide[b]!, FillRule.NonZero, 5)
      // Two lines that only touch may enclose slivers of rounding.
      expect(over.reduce((sum, path) => sum + Math.abs(areaD(path)), 0)).toBeLessThan(0.02)
    }
  expect(inTheWay(request, found.placements)).toEqual([])
  const areaMm2 = request.pieces.reduce((sum, piece) => sum + piece.count * areaOf(piece), 0)
  expect(found.utilisation).toBeCloseTo(areaMm2 / (found.usedLengthMm * rollWidthMm), 9)
}

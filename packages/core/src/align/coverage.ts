import { areaD, Clipper, FillRule, type PathsD } from 'clipper2-ts'
import { type Polygon, signedArea } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import type { PlacedPiece } from './edgeMargins.ts'

export interface Coverage {
  /** Share of the part under film, 0..1. */
  readonly covered: number
  /** Area of the part that stays bare, mm². */
  readonly bareMm2: number
  /** Area of holes (sensors, washers) under film, mm². */
  readonly coveredHolesMm2: number
}

/** What is to be covered. */
export type CoveredPart = Pick<FlatPart, 'outline' | 'holes'>

const decimals = 3
const asPath = (polygon: Polygon) => {
  const points = polygon.map(([x, y]) => ({ x, y, z: 0 }))
  return signedArea(polygon) >= 0 ? points : points.reverse()
}

/** How much of the part lies under the piece, by polygon clipping to 0.001 mm. */
export function coverage(part: CoveredPart, piece: PlacedPiece): Coverage {
  const holes: PathsD = part.holes.map((h) => asPath(h.polygon))
  const whole: PathsD = [asPath(part.outline.polygon)]
  const toCover = holes.length > 0 ? Clipper.differenceD(whole, holes, FillRule.NonZero, decimals) : whole
  const outline: PathsD = [asPath(piece.outline)]
  const film =
    piece.cutOuts.length > 0
      ? Clipper.differenceD(outline, piece.cutOuts.map(asPath), FillRule.NonZero, decimals)
      : outline
  const wanted = total(toCover)
  const under = total(Clipper.intersectD(toCover, film, FillRule.NonZero, decimals))
  return {
    covered: under / wanted,
    bareMm2: wanted - under,
    coveredHolesMm2: holes.length > 0 ? total(Clipper.intersectD(holes, film, FillRule.NonZero, decimals)) : 0,
  }
}

const total = (paths: PathsD) => paths.reduce((sum, path) => sum + areaD(path), 0)

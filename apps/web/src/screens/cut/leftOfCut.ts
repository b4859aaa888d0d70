import { lying, type Nested, type NestRequest } from '@truelay/core/nest'
import { type FreeRectangle, freeRectangle } from '@truelay/core/stock'

/** The largest rectangle that a layout leaves of the film that is cut off; of an offcut, of all of it. Null where none is worth keeping. */
export function leftOfCut(
  request: NestRequest,
  { placements, usedLengthMm }: Nested,
  leastSideMm: number,
  ofOffcut: boolean,
): FreeRectangle | null {
  const byId = new Map(request.pieces.map((piece) => [piece.id, piece]))
  const outlines = placements.flatMap((placed) => {
    const piece = byId.get(placed.id)
    const [outline] = piece === undefined ? [] : lying(piece, placed)
    return outline === undefined ? [] : [outline]
  })
  // A spoilt stretch is as good as taken.
  const spoilt = (request.spoilt ?? []).map(([from, to]): (typeof outlines)[number] => [
    [from, 0],
    [to, 0],
    [to, request.rollWidthMm],
    [from, request.rollWidthMm],
  ])
  const lengthMm = ofOffcut ? (request.rollLengthMm ?? usedLengthMm) : usedLengthMm
  return freeRectangle([...outlines, ...spoilt], { lengthMm, widthMm: request.rollWidthMm }, leastSideMm)
}

import { boundsOf, signedArea } from '../geometry/index.ts'
import { lying, lyingCopy } from './filmApart.ts'
import { copiesOf, isOnRoll, tooNear } from './inTheWay.ts'
import type { Nested, NestPlacement, NestRequest } from './request.ts'

/** How far a piece may slip to where it is free, and in how many directions that is tried. */
const slipsMm = [0.5, 1, 2, 4, 7, 11, 16, 22, 30] as const
const directions = 24
/** How near to its wish it is pushed back, mm. */
const closeMm = 0.01

/**
 * A copy put down by hand: where it was wished, or where it is free near by, close up to its neighbours. Null where nothing near is free.
 * @param index of the copy in the list
 */
export function putDown(
  request: NestRequest,
  placements: readonly NestPlacement[],
  index: number,
  wished: Pick<NestPlacement, 'xMm' | 'yMm' | 'turnDeg'>,
): NestPlacement[] | null {
  const moved = placements[index]
  const piece = request.pieces.find(({ id }) => id === moved?.id)
  if (moved === undefined || piece === undefined) return null
  const others = copiesOf(
    request,
    placements.filter((_, i) => i !== index),
  )
  const at = (xMm: number, yMm: number) =>
    placements.map((placed, i) => (i === index ? { ...placed, ...wished, xMm, yMm } : placed))
  const free = (xMm: number, yMm: number) => {
    const copy = lyingCopy(piece, { ...moved, ...wished, xMm, yMm })
    if (!isOnRoll(request, copy)) return false
    const blocking = others.findIndex((other) => tooNear(request, copy, other) !== null)
    // What was in the way here is in the way next to it as well: it is asked first.
    if (blocking > 0) others.unshift(...others.splice(blocking, 1))
    return blocking < 0
  }
  if (free(wished.xMm, wished.yMm)) return at(wished.xMm, wished.yMm)
  for (const slipMm of slipsMm) {
    let nearest: { readonly mm: number; readonly to: readonly [number, number] } | null = null
    for (let k = 0; k < directions; k++) {
      const [dx, dy] = [Math.cos((2 * Math.PI * k) / directions), Math.sin((2 * Math.PI * k) / directions)]
      const along = (mm: number) => [wished.xMm + mm * dx, wished.yMm + mm * dy] as const
      if (!free(...along(slipMm))) continue
      const mm = leastFree((tried) => free(...along(tried)), slipMm)
      if (nearest === null || mm < nearest.mm) nearest = { mm, to: along(mm) }
    }
    if (nearest !== null) return at(...nearest.to)
  }
  return null
}

/** Between 0, which is not free, and `freeMm`, which is. */
function leastFree(free: (mm: number) => boolean, freeMm: number): number {
  let no = 0
  let yes = freeMm
  while (yes - no > closeMm) {
    const middle = (no + yes) / 2
    if (free(middle)) yes = middle
    else no = middle
  }
  return yes
}

/** What a layout uses, from where its pieces lie. */
export function layoutByHand(
  { rollWidthMm, borderMm = 0, pieces }: NestRequest,
  placements: readonly NestPlacement[],
): Nested {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  let [areaMm2, endMm] = [0, 0]
  for (const placed of placements) {
    const piece = byId.get(placed.id)
    if (piece === undefined) continue
    const [outline, ...cutOuts] = lying(piece, placed).map((loop) => ({ loop, areaMm2: Math.abs(signedArea(loop)) }))
    if (outline === undefined) continue
    areaMm2 += outline.areaMm2 - cutOuts.reduce((sum, hole) => sum + hole.areaMm2, 0)
    endMm = Math.max(endMm, boundsOf(outline.loop).max[0])
  }
  const usedLengthMm = endMm + borderMm
  return { usedLengthMm, utilisation: usedLengthMm > 0 ? areaMm2 / (usedLengthMm * rollWidthMm) : 0, placements }
}

import { filmApart, type LyingCopy, lyingCopy, roundedMm } from './filmApart.ts'
import type { NestPlacement, NestRequest } from './request.ts'

/** What keeps a layout from being cut: two copies too near, or one that leaves its roll or lies on spoilt film. Copies by their place in the list. */
export type InTheWay =
  | { readonly kind: 'near'; readonly first: number; readonly second: number; readonly apartMm: number }
  | { readonly kind: 'off roll'; readonly first: number }
  | { readonly kind: 'spoilt'; readonly first: number }

/** Everything that is in the way of a layout, however it was made: reckoned from the pieces themselves, side by side. */
export function inTheWay(request: NestRequest, placements: readonly NestPlacement[]): InTheWay[] {
  const copies = copiesOf(request, placements)
  return [
    ...copies.flatMap((copy, first) => (offRoll(request, copy) ? [{ kind: 'off roll' as const, first }] : [])),
    ...copies.flatMap((copy, first) => (onSpoilt(request, copy) ? [{ kind: 'spoilt' as const, first }] : [])),
    ...copies.flatMap((b, second) =>
      copies.slice(0, second).flatMap((a, first) => {
        const apartMm = tooNear(request, a, b)
        return apartMm === null ? [] : [{ kind: 'near' as const, first, second, apartMm }]
      }),
    ),
  ]
}

export function copiesOf({ pieces }: NestRequest, placements: readonly NestPlacement[]): LyingCopy[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  return placements.map((placed) => {
    const piece = byId.get(placed.id)
    if (piece === undefined) throw new RangeError(`a copy of "${placed.id}", which is none of ${pieces.length} pieces`)
    return lyingCopy(piece, placed)
  })
}

/** Whether one copy may lie where it lies, as far as the roll goes. */
export const isOnRoll = (request: NestRequest, copy: LyingCopy) => !offRoll(request, copy) && !onSpoilt(request, copy)

const offRoll = ({ rollWidthMm, rollLengthMm = Infinity, borderMm = 0 }: NestRequest, { min, max }: LyingCopy) =>
  Math.min(min[0], min[1], rollWidthMm - max[1], rollLengthMm - max[0]) < borderMm - roundedMm

const onSpoilt = ({ spoilt = [] }: NestRequest, { min, max }: LyingCopy) =>
  spoilt.some(([from, to]) => min[0] < to - roundedMm && max[0] > from + roundedMm)

/** How near, mm, where that is less than the gap; null where it is not. */
export function tooNear({ gapMm }: NestRequest, a: LyingCopy, b: LyingCopy): number | null {
  const apartMm = filmApart(a, b, gapMm + roundedMm)
  return apartMm < gapMm - roundedMm || apartMm < 0 ? apartMm : null
}

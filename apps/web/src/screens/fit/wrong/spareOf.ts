import { type JobBundle, type Part, sparesUsed } from '@truelay/contract'
import { counted, name, say, type Sentence } from '@truelay/core/say'
import type { Fitting } from '../fitting.ts'

/** The spare of the kit for a part: what is left of it, and what its label says. */
export interface SpareOfKit {
  readonly left: number
  readonly says: Sentence
}

/** Null where the kit has none left, or the part is cut from the roll. */
export function spareOf({ pieces }: JobBundle, { pieceId }: Part, state: Fitting): SpareOfKit | null {
  const piece = pieces.find(({ id }) => id === pieceId)
  const left = piece === undefined ? 0 : piece.spares - sparesUsed(state)
  if (piece === undefined || left <= 0) return null
  return {
    left,
    says: say`${name(piece.name)}, lot ${name(piece.lot)}: ${counted(left, '# in the box', '# in the box')}`,
  }
}

import { name, say, type Sentence } from '@truelay/core/say'
import type { Piece } from '@truelay/contract'

export type LabelReading =
  | { readonly kind: 'piece'; readonly piece: Piece; readonly lot: string }
  | { readonly kind: 'problem'; readonly problem: Sentence }

/** What a scanned label says, against the pieces that belong to this job. */
export function readLabel(text: string, pieces: readonly Piece[], nameOfKit: (id: string) => string): LabelReading {
  const match = text.trim().match(/^TL1\/([^/]+)\/(.+)$/)
  if (match === null)
    return {
      kind: 'problem',
      problem: say`"${name(text.trim().slice(0, 40))}" is no label of this shop. Scan the square code, or tick the piece in the list.`,
    }
  const [, id = '', lot = ''] = match
  const piece = pieces.find((p) => p.id === id)
  if (piece === undefined)
    return {
      kind: 'problem',
      problem: say`"${name(id)}" belongs to no kit of this job. Put it aside: it is from another box.`,
    }
  if (lot.length > 40)
    return {
      kind: 'problem',
      problem: say`The lot on the label of ${name(piece.name)} in ${name(nameOfKit(piece.kitId))} is too long.`,
    }
  return { kind: 'piece', piece, lot }
}

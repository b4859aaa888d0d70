import type { Piece, Shelf, WholeKit } from '@truelay/contract'
import { list, name, say, type Sentence } from '@truelay/core/say'

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** What of a piece is otherwise, in words. */
function differences(before: Piece, after: Piece): Sentence[] {
  const told: Sentence[] = []
  if (before.name !== after.name) told.push(say`name ${name(after.name)}`)
  if (before.lot !== after.lot) told.push(say`lot ${name(after.lot)} instead of ${name(before.lot)}`)
  if (before.filmId !== after.filmId) told.push(say`another film`)
  if (before.formId !== after.formId) told.push(say`another part`)
  if (!same(before.pattern, after.pattern)) told.push(say`another pattern`)
  if (before.count !== after.count || before.spares !== after.spares) told.push(say`another number in the box`)
  if (before.side !== after.side || before.kitId !== after.kitId) told.push(say`another side or kit`)
  return told
}

/** What a kit that is brought in would replace on the shelf, each in a sentence; nothing where it is new or the same. */
export function changesOf({ kit, pieces }: WholeKit, shelf: Shelf): Sentence[] {
  const known = shelf.kits.find((k) => k.id === kit.id)
  const kitItself =
    known === undefined || same(known, kit) ? [] : [say`the name, the note or the order of ${name(known.name)}`]
  return [
    ...kitItself,
    ...pieces.flatMap((piece) => {
      const before = shelf.pieces.find((p) => p.id === piece.id)
      if (before === undefined) return []
      const told = differences(before, piece)
      return told.length === 0 ? [] : [say`${name(before.name)}: ${list(told)}`]
    }),
  ]
}

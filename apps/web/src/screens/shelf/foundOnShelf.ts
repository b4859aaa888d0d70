import type { Film, Kit, Piece, Shelf } from '@truelay/contract'
import { holdsWords } from '../../ui/holdsWords.ts'

interface FoundOnShelf {
  readonly kits: readonly { readonly kit: Kit; readonly pieces: readonly Piece[] }[]
  readonly films: readonly Film[]
}

/** What of a shelf has some words in it: a kit by its name or note with all that is in it, else those of its pieces that have them in name or lot. */
export function foundOnShelf(shelf: Shelf, sought: string): FoundOnShelf {
  const kits = shelf.kits.flatMap((kit) => {
    const inKit = shelf.pieces.filter((piece) => piece.kitId === kit.id)
    if (holdsWords(sought, [kit.name, kit.note])) return [{ kit, pieces: inKit }]
    const pieces = inKit.filter((piece) => holdsWords(sought, [kit.name, piece.name, piece.lot]))
    return pieces.length === 0 ? [] : [{ kit, pieces }]
  })
  return { kits, films: shelf.films.filter((film) => holdsWords(sought, [film.name, film.type])) }
}

import type { Film, FilmId } from '@truelay/contract'

/** Whether a lens sits in a place of a vehicle. */
export const isLensSlot = (slot: string) => /lamp|strip/.test(slot)

/** The film that a shop would take for a place without thinking twice: lamps get tint, bars vinyl, the rest paint film. */
export function usualFilm(slot: string, films: readonly Film[]): FilmId | null {
  const type = isLensSlot(slot) ? 'lens tint' : /grille|trim/.test(slot) ? 'trim vinyl' : 'paint film'
  return (films.find((film) => film.type === type) ?? films[0])?.id ?? null
}

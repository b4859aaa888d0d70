import type { Film, FilmId } from '@truelay/contract'

/** The film that a shop would take for a place without thinking twice: lamps get tint, bars vinyl, the rest paint film. */
export function usualFilm(slot: string, films: readonly Film[]): FilmId | null {
  const type = /lamp|strip/.test(slot) ? 'lens tint' : /grille|trim/.test(slot) ? 'trim vinyl' : 'paint film'
  return (films.find((film) => film.type === type) ?? films[0])?.id ?? null
}

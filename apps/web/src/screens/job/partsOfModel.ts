import type { Film, FilmId, ModelPart } from '@truelay/contract'
import type { BodyPlan } from '@truelay/core/vehicle'

/** Whether a lens sits in a place of a vehicle. */
export const isLensSlot = (slot: string) => /lamp|strip/.test(slot)

/** The film that a shop would take for a place without thinking twice: lamps get tint, bars vinyl, the rest paint film. */
export function usualFilm(slot: string, films: readonly Film[]): FilmId | null {
  const type = isLensSlot(slot) ? 'lens tint' : /grille|trim/.test(slot) ? 'trim vinyl' : 'paint film'
  return (films.find((film) => film.type === type) ?? films[0])?.id ?? null
}

/** What a model knows of itself, and every other place of such a vehicle, to be measured when it is first needed. */
export const partsOfModel = (known: readonly ModelPart[], plan: BodyPlan): ModelPart[] => [
  ...known,
  ...plan.slots
    .filter((slot) => !known.some((part) => part.slot === slot.id))
    .map(({ id, name }) => ({ name, slot: id, formId: null, pieceId: null, filmId: null })),
]

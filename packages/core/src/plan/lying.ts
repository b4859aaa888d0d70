import type { FormDoc } from '../form/index.ts'
import { name, say, type Sentence } from '../say/index.ts'
import type { FilmDoc } from './filmDoc.ts'

/**
 * Whether firm film goes down on a form in growing circles: dry, every edge ends on the crest of a lip, so that there is no bleed to
 * hold, pull or cut.
 */
export const liesAsDome = (form: Pick<FormDoc, 'edges'>, film: Pick<FilmDoc, 'laid'>): boolean =>
  film.laid === 'dry' && form.edges.length > 0 && form.edges.every((edge) => edge.code === 'lip-stop')

/** What speaks against a film on a form: it is meant for something else. Null where nothing does. */
export function filmDoubt(
  form: Pick<FormDoc, 'material' | 'name'>,
  film: Pick<FilmDoc, 'name' | 'transmission' | 'patterned' | 'type'>,
): Sentence | null {
  const tinted = film.type === 'lens tint' || (film.transmission ?? 1) < 1 || film.patterned === true
  const lens = form.material === 'lens plastic'
  if (tinted && !lens) return say`${name(film.name)} is film for lenses, and ${name(form.name)} is none. Really?`
  if (film.type === 'trim vinyl' && lens)
    return say`${name(film.name)} lets no light through, and ${name(form.name)} is a lens. Really?`
  return null
}

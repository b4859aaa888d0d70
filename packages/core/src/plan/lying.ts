import { type FormDoc, middleOfTriangle, type PartSurface } from '../form/index.ts'
import { edgeAt, type WorkedLay } from '../lay/index.ts'
import { name, say, type Sentence } from '../say/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { FoundOnPart } from './findings.ts'
import type { PieceCut } from './pieceCut.ts'

/**
 * Whether firm film goes down on a form in growing circles: dry, every edge ends on the crest of a lip, so that there is no bleed to
 * hold, pull or cut.
 */
export const liesAsDome = (form: Pick<FormDoc, 'edges'>, film: Pick<FilmDoc, 'laid'>): boolean =>
  film.laid === 'dry' && form.edges.length > 0 && form.edges.every((edge) => edge.code === 'lip-stop')

/**
 * Whether a lens has places that are given their film one by one, so that nothing is pulled over the whole: humps that are worked one at a
 * time, and recesses over which wet tint is bunched.
 */
export const takesItsOwnFilm = (
  form: Pick<FormDoc, 'material' | 'recesses' | 'raised'>,
  film: Pick<FilmDoc, 'laid' | 'type'>,
): boolean =>
  form.material === 'lens plastic' &&
  ((form.raised ?? []).length > 0 || (form.recesses.length > 0 && film.laid === 'wet' && film.type === 'lens tint'))

/** Whether a lamp is laid with one pull from side to side: a dry piece with bleed, plain, on a lens that takes heat. */
export const drawnAcross = (
  form: Pick<FormDoc, 'material' | 'edges'>,
  film: Pick<FilmDoc, 'laid' | 'patterned'>,
  cut: Pick<PieceCut, 'way'>,
  found: readonly FoundOnPart[],
): boolean =>
  form.material === 'lens plastic' &&
  film.laid === 'dry' &&
  film.patterned !== true &&
  cut.way !== 'from the roll' &&
  !found.some((f) => f.kind === 'cracked lens' || f.kind === 'crazed lens')

/** Where a printed pattern would have to be drawn further than it bears: film is left over there that no pull takes up. */
export function patternWarps(
  surface: PartSurface,
  worked: Pick<WorkedLay, 'neededStretch' | 'stretch'>,
  film: Pick<FilmDoc, 'patterned' | 'handling'>,
): { readonly edge: string; readonly percent: number; readonly mostPercent: number } | null {
  const most = film.handling.patternStretch
  if (film.patterned !== true || worked.neededStretch - 1 <= most) return null
  let [tightest, least] = [0, Number.POSITIVE_INFINITY]
  for (let t = 0; t < worked.stretch.length / 2; t++) {
    const minor = worked.stretch[2 * t + 1] ?? 1
    if (minor < least) [tightest, least] = [t, minor]
  }
  const edge = edgeAt(surface, middleOfTriangle(surface, tightest))
  return { edge, percent: 100 * (worked.neededStretch - 1), mostPercent: 100 * most }
}

/** A small spot that a piece is laid without: beside which edge, its size, and what film would have to do there. */
export interface HardSpot {
  readonly edge: string
  readonly areaMm2: number
  readonly misfitPercent: number
}

/** The small spots that a piece is laid without, the hardest first. */
export const hardSpotsOf = (surface: PartSurface, { badSpots }: Pick<WorkedLay, 'badSpots'>): HardSpot[] =>
  badSpots.map(({ triangle, areaMm2, stretch, compression }) => ({
    edge: edgeAt(surface, middleOfTriangle(surface, triangle)),
    areaMm2,
    misfitPercent: 100 * Math.max(stretch - 1, compression),
  }))

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

import type { PartsRequest } from './mixByParts.ts'

/** The ways of using liquids under film. */
export type LiquidSchool =
  | 'light slip'
  | 'heavy slip'
  | 'water only'
  | 'weak tack'
  | 'strong tack'
  | 'hybrid'
  | 'tack only'
  | 'single fluid'
  | 'dry'

export interface Recipe {
  readonly school: LiquidSchool
  readonly says: string
  /** Parts of volume, for a maker's fluid; the strengths of the others are figures of practice. */
  readonly parts?: PartsRequest['parts']
}

/** Every school of liquids by name. */
export const recipes: readonly Recipe[] = [
  { school: 'light slip', says: 'light slip' },
  { school: 'heavy slip', says: 'heavy slip' },
  { school: 'water only', says: 'clean water mist' },
  { school: 'weak tack', says: 'weak tack' },
  { school: 'strong tack', says: 'strong tack' },
  { school: 'hybrid', says: 'hybrid' },
  { school: 'tack only', says: 'tack only' },
  {
    school: 'single fluid',
    says: 'maker’s single fluid',
    parts: [
      { what: 'water', parts: 2 },
      { what: 'activator concentrate', parts: 1 },
    ],
  },
  { school: 'dry', says: 'nothing, laid dry' },
]

export const recipeOf = (school: LiquidSchool): Recipe => {
  const recipe = recipes.find((r) => r.school === school)
  if (recipe === undefined) throw new RangeError(`no recipe for the school "${school}"`)
  return recipe
}

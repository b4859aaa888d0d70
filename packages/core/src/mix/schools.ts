import { say, type Sentence } from '../say/index.ts'
import type { PartsRequest } from './mixByParts.ts'

/** The ways of using liquids under film. */
export const liquidSchools = [
  'light slip',
  'heavy slip',
  'water only',
  'weak tack',
  'strong tack',
  'hybrid',
  'tack only',
  'single fluid',
  'dry',
] as const
export type LiquidSchool = (typeof liquidSchools)[number]

/** A school as it is named among choices. */
export const liquidSchoolWords: Readonly<Record<LiquidSchool, Sentence>> = {
  'light slip': say`light slip`,
  'heavy slip': say`heavy slip`,
  'water only': say`water only`,
  'weak tack': say`weak tack`,
  'strong tack': say`strong tack`,
  hybrid: say`hybrid`,
  'tack only': say`tack only`,
  'single fluid': say`single fluid`,
  dry: say`dry`,
}

export interface Recipe {
  readonly school: LiquidSchool
  readonly says: Sentence
  /** Parts of volume, for a maker's fluid; the strengths of the others are figures of practice. */
  readonly parts?: PartsRequest['parts']
}

/** Every school of liquids by name. */
export const recipes: readonly Recipe[] = [
  { school: 'light slip', says: say`light slip` },
  { school: 'heavy slip', says: say`heavy slip` },
  { school: 'water only', says: say`clean water mist` },
  { school: 'weak tack', says: say`weak tack` },
  { school: 'strong tack', says: say`strong tack` },
  { school: 'hybrid', says: say`hybrid` },
  { school: 'tack only', says: say`tack only` },
  {
    school: 'single fluid',
    says: say`maker’s single fluid`,
    parts: [
      { what: 'water', parts: 2 },
      { what: 'activator concentrate', parts: 1 },
    ],
  },
  { school: 'dry', says: say`nothing, laid dry` },
]

export const recipeOf = (school: LiquidSchool): Recipe => {
  const recipe = recipes.find((r) => r.school === school)
  if (recipe === undefined) throw new RangeError(`no recipe for the school "${school}"`)
  return recipe
}

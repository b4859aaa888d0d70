import { say, type Sentence } from '../say/index.ts'

/** Strength of a solution, by volume of the finished batch. */
export interface Strength {
  readonly alcoholPercent: number
  readonly soapMlPerL: number
}

export const ingredients = ['water', 'alcohol stock', 'soap', 'activator concentrate'] as const
export type Ingredient = (typeof ingredients)[number]

export const ingredientWords: Readonly<Record<Ingredient, Sentence>> = {
  water: say`water`,
  'alcohol stock': say`alcohol stock`,
  soap: say`soap`,
  'activator concentrate': say`activator concentrate`,
}

export interface Addition {
  readonly what: Ingredient
  readonly ml: number
}

export interface WantedStrength {
  readonly alcoholPercent?: number | undefined
  readonly soapMlPerL?: number | undefined
}

export interface Stock {
  /** Strength of the alcohol on the shelf, for example 70. */
  readonly alcoholPercent?: number | undefined
}

export interface MixLimits {
  /** Alcohol above this is not for lenses and painted plastic, per cent. */
  readonly lensAlcoholPercent: number
  /** Soap above this is slow to bond and leaves residue, mL per litre. */
  readonly muchSoapMlPerL: number
}

export const mixDefaults: MixLimits = { lensAlcoholPercent: 20, muchSoapMlPerL: 15 }

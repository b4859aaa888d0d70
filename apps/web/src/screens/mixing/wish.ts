import {
  type Batch,
  type LiquidSchool,
  mixBatch,
  mixByParts,
  recipeOf,
  recipes,
  type Stock,
  type Strength,
  strengthWords,
} from '@truelay/core/mix'
import { mixLimits, strengthOf } from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'
import { nothing, type Sentence } from '@truelay/core/say'
import type { Result } from '@truelay/core/result'

/** What is wanted in a bottle: a school, or a strength of one's own. */
export interface Wish {
  readonly school: LiquidSchool | 'own'
  /** Used where the school is one's own. */
  readonly own: Strength
}

export const firstWish: Wish = { school: 'weak tack', own: { alcoholPercent: 12, soapMlPerL: 0 } }

/** Schools that are mixed at all. */
export const mixedSchools = recipes.filter((r) => r.school !== 'dry')

/** The strength that a wish comes to; null where a maker's fluid is mixed by parts. */
export function wishedStrength({ school, own }: Wish, practice: Practice): Strength | null {
  if (school === 'own') return own
  const wanted = strengthOf(school, practice)
  return wanted === null ? null : { alcoholPercent: wanted.alcoholPercent ?? 0, soapMlPerL: wanted.soapMlPerL ?? 0 }
}

export function wishWords(wish: Wish, practice: Practice): Sentence {
  if (wish.school !== 'own') return recipeOf(wish.school).says
  const strength = wishedStrength(wish, practice)
  return strength === null ? nothing : strengthWords(strength)
}

/** A fresh batch of a wish. */
export function freshBatch(wish: Wish, practice: Practice, stock: Stock, batchMl: number): Result<Batch> {
  const parts = wish.school === 'own' ? undefined : recipeOf(wish.school).parts
  if (parts !== undefined) return mixByParts({ parts, batchMl })
  const target = wishedStrength(wish, practice) ?? { alcoholPercent: 0, soapMlPerL: 0 }
  return mixBatch({ target, stock, batchMl }, mixLimits(practice))
}

import { done, failure, type Result, refused } from '../result/index.ts'
import { say, type Sentence, volume } from '../say/index.ts'
import { strengthOfPours } from './measure.ts'
import { checkStock, mixWarnings, outside } from './mixBatch.ts'
import { type MixLimits, mixDefaults, type Stock, type Strength } from './mixTypes.ts'

/** What somebody remembers to have put in, mL. */
export interface PutIn {
  readonly waterMl: number
  readonly alcoholStockMl: number
  readonly soapMl: number
}

export interface WhatItIs {
  readonly volumeMl: number
  readonly strength: Strength
  readonly warnings: readonly Sentence[]
}

/**
 * The strength of a bottle from what went into it. Can be refused: `MIX_NOTHING_IN`, `MIX_OUT_OF_RANGE`, `MIX_NO_STOCK`.
 */
export function whatIsIt(put: PutIn, stock: Stock, limits: MixLimits = mixDefaults): Result<WhatItIs> {
  const problem =
    outside(say`water`, volume, put.waterMl, 0, 100_000) ??
    outside(say`alcohol stock`, volume, put.alcoholStockMl, 0, 100_000) ??
    outside(say`soap`, volume, put.soapMl, 0, 100_000) ??
    checkStock(put.alcoholStockMl > 0 ? 1 : 0, stock)
  if (problem) return refused(problem)
  const { totalMl, strength } = strengthOfPours(
    [
      { what: 'water', ml: put.waterMl },
      { what: 'alcohol stock', ml: put.alcoholStockMl },
      { what: 'soap', ml: put.soapMl },
    ],
    stock,
  )
  if (totalMl === 0) return refused(failure('MIX_NOTHING_IN', {}))
  return done({ volumeMl: totalMl, strength, warnings: mixWarnings(strength, limits) })
}

/** How far apart two strengths are, 0 = alike: soap by its ratio, alcohol by 5 % steps. */
export function strengthDistance(a: Strength, b: Strength): number {
  const soap = Math.abs(Math.log((a.soapMlPerL + 0.3) / (b.soapMlPerL + 0.3)))
  return Math.hypot(soap, (a.alcoholPercent - b.alcoholPercent) / 5)
}

/** The one of some named strengths that a bottle comes closest to. */
export function closestTo<N extends { readonly strength: Strength }>(
  strength: Strength,
  named: readonly N[],
): N | null {
  return named.reduce<N | null>(
    (best, next) =>
      best === null || strengthDistance(strength, next.strength) < strengthDistance(strength, best.strength)
        ? next
        : best,
    null,
  )
}

/** Two bottles that may stand in for each other: a quarter more or less soap, 2 % alcohol. */
export const isAlike = (a: Strength, b: Strength) => strengthDistance(a, b) < 0.45

import { done, failure, outOfRange, type Result, refused } from '../result/index.ts'
import { percent, perLitre, type Said, say, type Sentence, volume } from '../say/index.ts'
import {
  type Addition,
  type MixLimits,
  mixDefaults,
  type Stock,
  type Strength,
  type WantedStrength,
} from './mixTypes.ts'

export interface Batch {
  /** In the order of pouring: water, alcohol, soap last so that it does not foam. */
  readonly add: readonly Addition[]
  readonly strength: Strength
  readonly warnings: readonly Sentence[]
}

export interface MixRequest {
  readonly target: WantedStrength
  readonly stock: Stock
  readonly batchMl: number
}

const mostBatchMl = 100_000
const mostSoapMlPerL = 200

/**
 * What to pour for a batch. By volume, volumes taken as adding up (mixing alcohol and water shrinks by up to about
 * 3 %, which the convention ignores); soap is counted per litre of the finished batch.
 * Can be refused: `MIX_OUT_OF_RANGE`, `MIX_NO_STOCK`, `MIX_TARGET_ABOVE_STOCK`, `MIX_NO_ROOM_FOR_SOAP`.
 */
export function mixBatch({ target, stock, batchMl }: MixRequest, limits: MixLimits = mixDefaults): Result<Batch> {
  const alcoholPercent = target.alcoholPercent ?? 0
  const soapMlPerL = target.soapMlPerL ?? 0
  const range =
    outside(say`batch volume`, volume, batchMl, 1, mostBatchMl) ??
    checkStrength(say`wanted`, { alcoholPercent, soapMlPerL }) ??
    checkStock(alcoholPercent, stock)
  if (range) return refused(range)
  const alcoholStockMl = alcoholPercent > 0 ? (batchMl * alcoholPercent) / (stock.alcoholPercent ?? 100) : 0
  const soapMl = (batchMl * soapMlPerL) / 1000
  const waterMl = batchMl - alcoholStockMl - soapMl
  if (waterMl < -1e-9)
    return refused(
      failure('MIX_NO_ROOM_FOR_SOAP', { mostPercent: (stock.alcoholPercent ?? 100) * (1 - soapMlPerL / 1000) }),
    )
  return done({
    add: additions(Math.max(0, waterMl), alcoholStockMl, soapMl),
    strength: { alcoholPercent, soapMlPerL },
    warnings: mixWarnings({ alcoholPercent, soapMlPerL }, limits),
  })
}

export const additions = (waterMl: number, alcoholStockMl: number, soapMl: number): Addition[] => {
  const all: Addition[] = [
    { what: 'water', ml: waterMl },
    { what: 'alcohol stock', ml: alcoholStockMl },
    { what: 'soap', ml: soapMl },
  ]
  return all.filter(({ ml }) => ml > 1e-9)
}

export function mixWarnings(strength: Strength, limits: MixLimits = mixDefaults): Sentence[] {
  const warnings: Sentence[] = []
  if (strength.alcoholPercent > limits.lensAlcoholPercent)
    warnings.push(
      say`More than ${percent(limits.lensAlcoholPercent, 1)} alcohol: never on lenses or painted plastic, it can craze and crack them.`,
    )
  if (strength.alcoholPercent > 0)
    warnings.push(
      say`Alcohol vapour catches fire: fresh air, no flame, and let it flash off before a hot gun comes near.`,
    )
  if (strength.soapMlPerL > limits.muchSoapMlPerL)
    warnings.push(
      say`More than ${perLitre(limits.muchSoapMlPerL)} of soap: the film will hardly grab, and residue stays.`,
    )
  return warnings
}

/** What is wrong with a figure of a mix, or null. */
export const outside = (what: Sentence, as: (value: number) => Said, value: number, least: number, most: number) =>
  value >= least && value <= most ? null : outOfRange('MIX_OUT_OF_RANGE', what, as, [value, least, most])

const shareOf = (value: number) => percent(value, 2)

export const checkStrength = (whose: Sentence, strength: Strength) =>
  outside(say`${whose} alcohol`, shareOf, strength.alcoholPercent, 0, 100) ??
  outside(say`${whose} soap`, perLitre, strength.soapMlPerL, 0, mostSoapMlPerL)

export function checkStock(alcoholPercent: number, stock: Stock) {
  if (alcoholPercent === 0) return null
  if (stock.alcoholPercent === undefined) return failure('MIX_NO_STOCK', { targetPercent: alcoholPercent })
  const range = outside(say`stock strength`, shareOf, stock.alcoholPercent, 1, 100)
  if (range) return range
  return alcoholPercent > stock.alcoholPercent
    ? failure('MIX_TARGET_ABOVE_STOCK', { targetPercent: alcoholPercent, stockPercent: stock.alcoholPercent })
    : null
}

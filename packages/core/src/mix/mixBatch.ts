import { done, failure, type Result, refused } from '../result/index.ts'
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
  readonly warnings: readonly string[]
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
 * Can be refused: `MIX_OUT_OF_RANGE`, `MIX_NO_STOCK`, `MIX_TARGET_ABOVE_STOCK`.
 */
export function mixBatch({ target, stock, batchMl }: MixRequest, limits: MixLimits = mixDefaults): Result<Batch> {
  const alcoholPercent = target.alcoholPercent ?? 0
  const soapMlPerL = target.soapMlPerL ?? 0
  const range =
    outOfRange('batch volume in mL', batchMl, 1, mostBatchMl) ??
    checkStrength('wanted', { alcoholPercent, soapMlPerL }) ??
    checkStock(alcoholPercent, stock)
  if (range) return refused(range)
  const alcoholStockMl = alcoholPercent > 0 ? (batchMl * alcoholPercent) / (stock.alcoholPercent ?? 100) : 0
  const soapMl = (batchMl * soapMlPerL) / 1000
  const waterMl = batchMl - alcoholStockMl - soapMl
  if (waterMl < -1e-9)
    return refused(
      failure('MIX_OUT_OF_RANGE', { what: 'water left in the batch in mL', value: waterMl, least: 0, most: batchMl }),
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

export function mixWarnings(strength: Strength, limits: MixLimits = mixDefaults): string[] {
  const warnings: string[] = []
  if (strength.alcoholPercent > limits.lensAlcoholPercent)
    warnings.push(
      `More than ${limits.lensAlcoholPercent} % alcohol: never on lenses or painted plastic, it can craze and crack them.`,
    )
  if (strength.alcoholPercent > 0)
    warnings.push('Alcohol vapour catches fire: fresh air, no flame, and let it flash off before a hot gun comes near.')
  if (strength.soapMlPerL > limits.muchSoapMlPerL)
    warnings.push(
      `More than ${limits.muchSoapMlPerL} mL of soap per litre: the film will hardly grab, and residue stays.`,
    )
  return warnings
}

export const outOfRange = (what: string, value: number, least: number, most: number) =>
  value >= least && value <= most ? null : failure('MIX_OUT_OF_RANGE', { what, value, least, most })

export const checkStrength = (whose: string, strength: Strength) =>
  outOfRange(`${whose} alcohol in per cent`, strength.alcoholPercent, 0, 100) ??
  outOfRange(`${whose} soap in mL per litre`, strength.soapMlPerL, 0, mostSoapMlPerL)

export function checkStock(alcoholPercent: number, stock: Stock) {
  if (alcoholPercent === 0) return null
  if (stock.alcoholPercent === undefined) return failure('MIX_NO_STOCK', { targetPercent: alcoholPercent })
  const range = outOfRange('stock strength in per cent', stock.alcoholPercent, 1, 100)
  if (range) return range
  return alcoholPercent > stock.alcoholPercent
    ? failure('MIX_TARGET_ABOVE_STOCK', { targetPercent: alcoholPercent, stockPercent: stock.alcoholPercent })
    : null
}

import { done, failure, type Result, refused } from '../result/index.ts'
import { say, type Sentence, volume } from '../say/index.ts'
import { additions, checkStock, checkStrength, mixWarnings, outside } from './mixBatch.ts'
import {
  type Addition,
  type MixLimits,
  mixDefaults,
  type Stock,
  type Strength,
  type WantedStrength,
} from './mixTypes.ts'

export interface RepairRequest {
  readonly have: { readonly volumeMl: number } & WantedStrength
  /** What is left out stays as it comes. */
  readonly target: WantedStrength
  readonly stock: Stock
  readonly bottleMl: number
}

export interface Repair {
  readonly pourOffMl: number
  readonly add: readonly Addition[]
  readonly finalMl: number
  readonly strength: Strength
  readonly warnings: readonly Sentence[]
}

/**
 * How to put a wrong batch right: the smallest pour-off that lets the result fit the bottle, then what to add.
 * For a kept volume v the final volume is k·v, where k is the largest of the dilutions that alcohol, soap and water
 * each ask for; so v is as much as fits.
 * Can be refused: `MIX_OUT_OF_RANGE`, `MIX_OVERFULL`, `MIX_NO_STOCK`, `MIX_TARGET_ABOVE_STOCK`, `MIX_BEYOND_REPAIR`, `MIX_NEVER_REACHED`.
 */
export function repairBatch(
  { have, target, stock, bottleMl }: RepairRequest,
  limits: MixLimits = mixDefaults,
): Result<Repair> {
  const is: Strength = { alcoholPercent: have.alcoholPercent ?? 0, soapMlPerL: have.soapMlPerL ?? 0 }
  const range =
    outside(say`bottle size`, volume, bottleMl, 1, 100_000) ??
    outside(say`volume in the bottle`, volume, have.volumeMl, 0.001, 100_000) ??
    checkStrength(say`present`, is) ??
    checkStrength(say`wanted`, { alcoholPercent: target.alcoholPercent ?? 0, soapMlPerL: target.soapMlPerL ?? 0 })
  if (range) return refused(range)
  if (have.volumeMl > bottleMl) return refused(failure('MIX_OVERFULL', { volumeMl: have.volumeMl, bottleMl }))
  const rises = (target.alcoholPercent ?? 0) > is.alcoholPercent
  // A batch that is too strong needs water only, whatever stock is at hand.
  const stockProblem = rises ? checkStock(target.alcoholPercent ?? 0, stock) : null
  if (stockProblem) return refused(stockProblem)

  const stockShare = (stock.alcoholPercent ?? 100) / 100
  const alcohol = {
    is: is.alcoholPercent / 100,
    wanted: target.alcoholPercent === undefined ? null : target.alcoholPercent / 100,
  }
  const soap = { is: is.soapMlPerL / 1000, wanted: target.soapMlPerL === undefined ? null : target.soapMlPerL / 1000 }
  for (const [what, part] of [
    [say`alcohol`, alcohol],
    [say`soap`, soap],
  ] as const) {
    if (part.wanted === 0 && part.is > 0) return refused(failure('MIX_BEYOND_REPAIR', { what }))
  }

  const dilutionOf = (part: { is: number; wanted: number | null }) =>
    part.wanted === null || part.wanted === 0 ? 1 : part.is / part.wanted
  // Water cannot be taken out: its share in what is kept bounds the final volume from below as well.
  const addedShare = (alcohol.wanted === null ? 0 : alcohol.wanted / stockShare) + (soap.wanted ?? 0)
  const keptShare = (alcohol.wanted === null ? 0 : alcohol.is / stockShare) + (soap.wanted === null ? 0 : soap.is)
  const forWater = addedShare < 1 ? (1 - keptShare) / (1 - addedShare) : 1
  const dilution = Math.max(1, dilutionOf(alcohol), dilutionOf(soap), forWater)
  const keptMl = Math.min(have.volumeMl, bottleMl / dilution)
  const finalMl = dilution * keptMl
  const alcoholStockMl =
    alcohol.wanted === null ? 0 : Math.max(0, (finalMl * alcohol.wanted - keptMl * alcohol.is) / stockShare)
  const soapMl = soap.wanted === null ? 0 : Math.max(0, finalMl * soap.wanted - keptMl * soap.is)
  const waterMl = finalMl - keptMl - alcoholStockMl - soapMl
  // What stock and soap ask for is more than there is to be: only a batch without any of the old one would reach it.
  if (waterMl < -1e-9 * finalMl)
    return refused(
      failure('MIX_NEVER_REACHED', { stockPercent: 100 * stockShare, targetPercent: target.alcoholPercent ?? 0 }),
    )
  const strength: Strength = {
    alcoholPercent: (100 * (keptMl * alcohol.is + alcoholStockMl * stockShare)) / finalMl,
    soapMlPerL: (1000 * (keptMl * soap.is + soapMl)) / finalMl,
  }
  return done({
    pourOffMl: have.volumeMl - keptMl,
    add: additions(Math.max(0, waterMl), alcoholStockMl, soapMl),
    finalMl,
    strength,
    warnings: mixWarnings(strength, limits),
  })
}

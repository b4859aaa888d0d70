import { done, failure, outOfRange, type Result, refused } from '../result/index.ts'
import { percent, perLitre, say, volume } from '../say/index.ts'
import { type Batch, additions, checkStock, checkStrength, mixWarnings, outside } from './mixBatch.ts'
import { type MixLimits, mixDefaults, type Stock, type Strength } from './mixTypes.ts'

export interface TopUpRequest {
  /** What is left of the old batch. */
  readonly have: { readonly volumeMl: number } & Strength
  readonly target: Strength
  readonly stock: Stock
  /** What the bottle should hold afterwards. */
  readonly finalMl: number
}

/**
 * What to add to the rest of an old batch so that so much of the target results; nothing is poured off.
 * Can be refused: `MIX_OUT_OF_RANGE`, `MIX_OVERFULL`, `MIX_NO_STOCK`, `MIX_TARGET_ABOVE_STOCK`, `MIX_CANNOT_TOP_UP`.
 */
export function topUp({ have, target, stock, finalMl }: TopUpRequest, limits: MixLimits = mixDefaults): Result<Batch> {
  const problem =
    outside(say`volume wanted`, volume, finalMl, 1, 100_000) ??
    outside(say`volume in the bottle`, volume, have.volumeMl, 0.001, 100_000) ??
    checkStrength(say`present`, have) ??
    checkStrength(say`wanted`, target) ??
    (have.volumeMl > finalMl ? failure('MIX_OVERFULL', { volumeMl: have.volumeMl, bottleMl: finalMl }) : null)
  if (problem) return refused(problem)
  const share = have.volumeMl / finalMl
  for (const [what, is, wanted, as] of [
    [say`alcohol`, have.alcoholPercent, target.alcoholPercent, (x: number) => percent(x, 2)],
    [say`soap`, have.soapMlPerL, target.soapMlPerL, perLitre],
  ] as const)
    if (share * is > wanted + 1e-9)
      return refused(failure('MIX_CANNOT_TOP_UP', { what, wouldBe: as(share * is), wanted: as(wanted) }))
  const lacking = target.alcoholPercent - share * have.alcoholPercent
  const stockProblem = lacking > 1e-9 ? checkStock(target.alcoholPercent, stock) : null
  if (stockProblem) return refused(stockProblem)
  const alcoholMl = lacking > 1e-9 ? (finalMl * lacking) / (stock.alcoholPercent ?? 100) : 0
  const soapMl = (finalMl * (target.soapMlPerL - share * have.soapMlPerL)) / 1000
  const waterMl = finalMl - have.volumeMl - alcoholMl - soapMl
  if (waterMl < -1e-9)
    return refused(
      outOfRange('MIX_OUT_OF_RANGE', say`volume wanted`, volume, [
        finalMl,
        Math.ceil(finalMl - waterMl / (1 - target.alcoholPercent / (stock.alcoholPercent ?? 100))),
        100_000,
      ]),
    )
  const { alcoholPercent, soapMlPerL } = target
  return done({
    add: additions(Math.max(0, waterMl), alcoholMl, Math.max(0, soapMl)),
    strength: { alcoholPercent, soapMlPerL },
    warnings: mixWarnings(target, limits),
  })
}

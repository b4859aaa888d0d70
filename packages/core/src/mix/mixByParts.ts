import { done, type Result, refused } from '../result/index.ts'
import { figure, say, volume } from '../say/index.ts'
import { type Batch, outside } from './mixBatch.ts'
import { type Ingredient, ingredientWords } from './mixTypes.ts'

export interface PartsRequest {
  /** In the order of pouring; at least one part each. */
  readonly parts: readonly { readonly what: Ingredient; readonly parts: number }[]
  readonly batchMl: number
}

/**
 * A batch by parts of volume, for a maker's fluid whose strength is the maker's affair: 2 parts water and 1 part
 * concentrate of 900 mL are 600 and 300 mL. Can be refused: `MIX_OUT_OF_RANGE`.
 */
export function mixByParts({ parts, batchMl }: PartsRequest): Result<Batch> {
  const range =
    outside(say`batch volume`, volume, batchMl, 1, 100_000) ??
    parts
      .map((p) => outside(say`parts of ${ingredientWords[p.what]}`, figure, p.parts, 0.01, 1000))
      .find((problem) => problem !== null)
  if (range) return refused(range)
  const whole = parts.reduce((sum, p) => sum + p.parts, 0)
  return done({
    add: parts.map((p) => ({ what: p.what, ml: (batchMl * p.parts) / whole })),
    strength: { alcoholPercent: 0, soapMlPerL: 0 },
    warnings: [say`A maker’s fluid: follow the instructions on its bottle.`],
  })
}

import { name, say } from '@truelay/core/say'
import type { LiquidBatch } from '@truelay/contract'

/** What is in a bottle now: one of the shop, or any other. */
export interface Present {
  /** Null where the bottle is none of the shop's. */
  readonly batchId: LiquidBatch['id'] | null
  readonly volumeMl: number
  readonly alcoholPercent: number
  readonly soapMlPerL: number
  readonly bottleMl: number
}

export const anyBottle: Present = {
  batchId: null,
  volumeMl: 500,
  alcoholPercent: 20,
  soapMlPerL: 0,
  bottleMl: 1000,
}

export const presentOf = ({ id, leftMl, strength, bottleMl }: LiquidBatch): Present => ({
  batchId: id,
  volumeMl: leftMl,
  ...strength,
  bottleMl,
})

export const bottleName = (batch: LiquidBatch) => say`${name(batch.number)}, ${batch.says}`

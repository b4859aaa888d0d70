import type { LiquidBatch } from '@truelay/contract'

/** What a fit has to know of a bottle. */
export type Bottle = Pick<LiquidBatch, 'id' | 'number' | 'says' | 'strength'>

/** A bottle of the shop is in hand, as it goes into the log. */
export const bottleTaken = (stepId: string, use: 'slip' | 'tack', bottle: Bottle, asPlanned: boolean) => ({
  kind: 'bottleTaken' as const,
  stepId,
  use,
  batchId: bottle.id,
  batchNumber: bottle.number,
  says: bottle.says,
  alcoholPercent: bottle.strength.alcoholPercent,
  soapMlPerL: bottle.strength.soapMlPerL,
  asPlanned,
})

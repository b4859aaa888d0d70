import type { LiquidBatch } from '@truelay/contract'

/** A bottle of the shop is in hand, as it goes into the log. */
export const bottleTaken = (stepId: string, use: 'slip' | 'tack', bottle: LiquidBatch, asPlanned: boolean) => ({
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

import { batch, batchId, type FitEventOf, type LiquidBatch } from '@truelay/contract'
import { recipes } from '@truelay/core/mix'

/** What was mixed during a fit stands on the bench like any other batch. */
export function batchOfEvent(event: FitEventOf<'batchMixed'>): LiquidBatch {
  const { batchMl, at, personId, says } = event
  return batch.parse({
    id: batchId.parse(event.id),
    number: event.batchNumber,
    says,
    school: recipes.find((recipe) => recipe.says === says)?.school ?? null,
    strength: { alcoholPercent: event.alcoholPercent, soapMlPerL: event.soapMlPerL },
    bottleMl: batchMl,
    leftMl: batchMl,
    waterKind: 'distilled',
    add: event.add ?? [],
    mixedAt: at,
    personId,
    emptiedAt: null,
    history: [{ at, personId, what: 'mixed', says, leftMl: batchMl }],
  })
}

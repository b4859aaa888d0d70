import { type JobBundle, type Part, standing } from '@truelay/contract'
import type { PlannedBatch, PlanStep } from '@truelay/core/plan'
import { bottleTaken } from './bottleTaken.ts'
import type { Fitting } from './fitting.ts'
import type { NewFitEvent } from './useFit.ts'
import type { StandIn } from './useStandIns.ts'

interface Doing {
  readonly bundle: Pick<JobBundle, 'job' | 'parts'>
  readonly part: Pick<Part, 'id'>
  readonly state: Pick<Fitting, 'logged'>
  readonly step: PlanStep
  /** Bottles of the shop that may take the place of what would be mixed, by use. */
  readonly standIns: ReadonlyMap<string, Pick<StandIn, 'bottle' | 'taken'>>
  /** What is mixed, where the step is one of mixing. */
  readonly liquids: readonly PlannedBatch[]
  /** A fresh segment is in the knife. */
  readonly fresh: boolean
}

/** What goes into the log when a step is done: what was mixed or taken, what was cut, and that it is done. */
export function doneEvents({
  bundle,
  part,
  state,
  step,
  liquids: planned,
  standIns,
  fresh,
}: Doing): readonly NewFitEvent[] {
  const liquids = step.records === 'batches' ? planned : []
  const place = bundle.parts.findIndex((p) => p.id === part.id) + 1
  const mixedBefore = standing(state, 'batchMixed').length
  const mixed = liquids.filter((liquid) => standIns.get(liquid.use)?.taken !== true)
  return [
    ...mixed.map((batch, i) => ({
      kind: 'batchMixed' as const,
      stepId: step.id,
      batchNumber: `${bundle.job.number}.${place}-${mixedBefore + i + 1}`,
      school: batch.school,
      says: batch.says,
      batchMl: batch.batchMl,
      alcoholPercent: batch.strength.alcoholPercent,
      soapMlPerL: batch.strength.soapMlPerL,
      add: batch.add.map(({ what, ml }) => ({ what, ml })),
    })),
    ...liquids.flatMap(({ use }) => {
      const standIn = standIns.get(use)
      return standIn?.taken === true ? [bottleTaken(step.id, use, standIn.bottle, true)] : []
    }),
    ...(step.records === 'blade'
      ? [{ kind: 'bladeUsed' as const, stepId: step.id, fresh, cutMm: step.cutMm ?? 0 }]
      : []),
    { kind: 'stepDone' as const, stepId: step.id },
  ]
}

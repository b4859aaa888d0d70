import type { PartPlan } from '@truelay/core/plan'
import { z } from 'zod'
import { moment, personId } from '../ids.ts'
import { stepId } from './defineFitEvent.ts'
import { fitEvent } from './fitEvents.ts'
import type { Begun } from './fitState.ts'

/** Where a fit stands, as it is kept beside its log: all but the plan, which stays in the event with which it began. */
export const keptFit = z.strictObject({
  /** The event that began it. */
  beginId: z.uuid(),
  phase: z.enum(['fitting', 'finished']),
  startedAt: moment,
  startedBy: personId,
  done: z.array(
    z.strictObject({
      stepId,
      at: moment,
      personId,
      earlySeconds: z.number().optional(),
      waitMinutes: z.number().optional(),
      answered: z.boolean().optional(),
    }),
  ),
  logged: z.array(z.strictObject({ stands: z.enum(['with its step', 'for good']), event: fitEvent })),
})
export type KeptFit = z.infer<typeof keptFit>

/** What is kept of a fit. */
export const keepFit = ({ plan: _, ...state }: Begun, beginId: string): KeptFit =>
  ({ ...state, beginId }) as unknown as KeptFit

/** The fit as it was kept, with its plan. */
export function fitFromKept({ beginId: _, ...kept }: KeptFit, plan: PartPlan): Begun {
  return { ...kept, logged: kept.logged as unknown as Begun['logged'], plan }
}

import { z } from 'zod'
import { moment, partId, personId } from '../ids.ts'
import type { Begun } from './fitState.ts'

/** What every event carries. */
export const common = {
  /** Made by the tablet: sent twice, stored once. */
  id: z.uuid(),
  partId,
  personId,
  /** The tablet's clock when it happened. */
  at: moment,
}
export const stepId = z.string().min(1).max(60)

/** An event of a step with what is its own. */
export const eventOfStep = <const K extends string, S extends z.core.$ZodShape>(kind: K, shape: S) =>
  z.strictObject({ ...common, kind: z.literal(kind), stepId, ...shape })

/**
 * Upon what an event acts: where a fit has gone on meanwhile, on another tablet, it is too late for it. What was only seen is never too late.
 */
export type ActsOn = 'the beginning' | 'the step in hand' | 'the step done last' | 'nothing'

/** One kind of event: what it carries, and what it does to the state. */
export interface FitEventKind<S extends z.ZodType> {
  readonly schema: S
  readonly actsOn: ActsOn
  /** The state after it; the state itself where it makes no sense there. */
  readonly fold: (state: Begun, event: z.infer<S>) => Begun
}

export const defineFitEvent = <S extends z.ZodType>(kind: FitEventKind<S>): FitEventKind<S> => kind

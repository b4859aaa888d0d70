import type { PartPlan } from '@truelay/core/plan'
import type { Sentence } from '@truelay/core/say'
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

/** What a line of the record may look up. */
export interface RecordContext {
  readonly plan: PartPlan
  readonly nameOf: (personId: string) => string
  readonly headlineOf: (stepId: string) => Sentence
}

/** A line of the record: its schema, and how it comes from its event. */
export interface RecordLine<E, L extends z.ZodType> {
  readonly schema: L
  readonly of: (event: E, context: RecordContext) => z.infer<L>
}

/**
 * Upon what an event acts: where a fit has gone on meanwhile, on another tablet, it is too late for it. What was only seen is never too late.
 */
export type ActsOn = 'the beginning' | 'the step in hand' | 'the step done last' | 'nothing'

/** One kind of event, whole: what it carries, what it does to the state, what stands of it in the record. */
export interface FitEventKind<S extends z.ZodType, L extends z.ZodType> {
  readonly schema: S
  readonly actsOn: ActsOn
  /** The state after it; the state itself where it makes no sense there. */
  readonly fold: (state: Begun, event: z.infer<S>) => Begun
  readonly line: RecordLine<z.infer<S>, L>
}

/** A kind of event that leaves no line in the record. */
export const unrecorded = { schema: z.never(), of: () => undefined as never }

export const defineFitEvent = <S extends z.ZodType, L extends z.ZodType = z.ZodNever>(
  kind: Omit<FitEventKind<S, L>, 'line'> & { readonly line?: RecordLine<z.infer<S>, L> },
): FitEventKind<S, L> => ({ ...kind, line: kind.line ?? (unrecorded as unknown as RecordLine<z.infer<S>, L>) })

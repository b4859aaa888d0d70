import type { PartPlan } from '@truelay/core/plan'
import type { Sentence } from '@truelay/core/say'
import type { z } from 'zod'
import type { FitEventKind } from '../defineFitEvent.ts'

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

/** What an event leaves in the record. It stands beside the events: a tablet sends those, and only papers read these. */
export const defineRecordLine = <S extends z.ZodType, L extends z.ZodType>(
  _kind: FitEventKind<S>,
  line: RecordLine<z.infer<S>, L>,
): RecordLine<z.infer<S>, L> => line

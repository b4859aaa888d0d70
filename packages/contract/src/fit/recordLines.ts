import { z } from 'zod'
import type { RecordContext } from './defineFitEvent.ts'
import { fitEventKinds } from './events/index.ts'
import { type FitEventName, fitEventNames } from './fitEvents.ts'
import type { Begun } from './fitState.ts'

type Kinds = typeof fitEventKinds
/** The record's lines by the kind of event from which they come. */
export type RecordLines = { [K in FitEventName]: z.infer<Kinds[K]['line']['schema']>[] }

export const recordLines = z.strictObject(
  Object.fromEntries(fitEventNames.map((kind) => [kind, z.array(fitEventKinds[kind].line.schema)])),
) as unknown as z.ZodType<RecordLines, RecordLines>

/** What stands of a fit, as lines of the record. */
export function linesOf({ logged }: Pick<Begun, 'logged'>, context: RecordContext): RecordLines {
  const lines = noLines() as Record<string, unknown[]>
  for (const { event } of logged) {
    const { line } = fitEventKinds[event.kind as FitEventName]
    const of = line.of as (event: unknown, context: RecordContext) => unknown
    const told = of(event, context)
    if (told !== undefined) lines[event.kind]?.push(told)
  }
  return lines as RecordLines
}

export const noLines = (): RecordLines =>
  Object.fromEntries(fitEventNames.map((kind) => [kind, []])) as unknown as RecordLines

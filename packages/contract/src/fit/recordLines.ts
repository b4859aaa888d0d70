import { z } from 'zod'
import { type FitEventName, fitEventNames } from './fitEvents.ts'
import type { Begun } from './fitState.ts'
import type { RecordContext } from './lines/defineRecordLine.ts'
import { lineKinds } from './lines/index.ts'

type Kinds = typeof lineKinds
/** The record's lines by the kind of event from which they come. */
export type RecordLines = { [K in FitEventName]: z.infer<Kinds[K]['schema']>[] }

export const recordLines = z.strictObject(
  Object.fromEntries(fitEventNames.map((kind) => [kind, z.array(lineKinds[kind].schema)])),
) as unknown as z.ZodType<RecordLines, RecordLines>

/** What stands of a fit, as lines of the record. */
export function linesOf({ logged }: Pick<Begun, 'logged'>, context: RecordContext): RecordLines {
  const lines = noLines() as Record<string, unknown[]>
  for (const { event } of logged) {
    const line = lineKinds[event.kind as FitEventName]
    const of = line.of as (event: unknown, context: RecordContext) => unknown
    const told = of(event, context)
    if (told !== undefined) lines[event.kind]?.push(told)
  }
  return lines as RecordLines
}

export const noLines = (): RecordLines =>
  Object.fromEntries(fitEventNames.map((kind) => [kind, []])) as unknown as RecordLines

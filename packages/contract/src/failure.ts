import { z } from 'zod'

/** What the server answers when it cannot do what was asked. */
export const wireFailure = z.strictObject({
  code: z.string(),
  sentence: z.string(),
  fix: z.string(),
  /** Where in the request, for example "shift.xMm". */
  where: z.string().optional(),
})
export type WireFailure = z.infer<typeof wireFailure>

/** The first problem of a document that did not pass its schema, in one sentence. */
export function sayProblem(error: z.ZodError): { where: string; sentence: string } {
  const issue = error.issues[0]
  const where =
    issue === undefined
      ? ''
      : issue.path
          .map((key, i) => (typeof key === 'number' ? `[${key}]` : `${i > 0 ? '.' : ''}${String(key)}`))
          .join('')
  const missing = issue?.code === 'invalid_type' && issue.message.endsWith('received undefined')
  const message = missing
    ? `is missing; a ${issue.expected} is expected there`
    : (issue?.message ?? 'is not what was expected')
  return { where, sentence: where === '' ? message : `${where}: ${message}` }
}

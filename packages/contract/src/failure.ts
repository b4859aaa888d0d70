import { name, say, type Sentence, verbatim, sentence } from '@truelay/core/say'
import { z } from 'zod'

/** What the server answers when it cannot do what was asked. */
export const wireFailure = z.strictObject({
  code: z.string(),
  sentence,
  fix: sentence,
  /** Where in the request, for example "shift.xMm". */
  where: z.string().optional(),
})
export type WireFailure = z.infer<typeof wireFailure>

/** A rule of our own that a document broke, as an issue of its schema: the sentence travels as data. */
export const asIssue = (says: Sentence) => ({ code: 'custom' as const, message: says.text, params: { says } })

/** The first problem of a document that did not pass its schema, in one sentence; what is a whole sentence already names its field in the field's own words. */
export function sayProblem(error: z.ZodError): { readonly where: string; readonly sentence: Sentence } {
  const issue = error.issues[0]
  const where =
    issue === undefined
      ? ''
      : issue.path
          .map((key, i) => (typeof key === 'number' ? `[${key}]` : `${i > 0 ? '.' : ''}${String(key)}`))
          .join('')
  const says = wordsOf(issue)
  return { where, sentence: where === '' || says.text.endsWith('.') ? says : say`${name(where)}: ${says}` }
}

/** What the first rule of our own says that a document broke; null where something else of it is wrong, such as a figure. */
export function ownRule(error: z.ZodError): Sentence | null {
  const issue = error.issues[0]
  return issue?.code === 'custom' ? (sentence.safeParse(issue.params?.says).data ?? null) : null
}

function wordsOf(issue: z.core.$ZodIssue | undefined): Sentence {
  if (issue === undefined) return say`is not what was expected`
  const own = ownRule(new z.ZodError([issue]))
  if (own !== null) return own
  if (issue.code === 'invalid_type' && issue.message.endsWith('received undefined'))
    return say`is missing; a ${name(issue.expected)} is expected there`
  return verbatim(issue.message)
}

/** For a change of which each field may be left out, but not all of them. */
export const saysSomething = (change: object): boolean => Object.keys(change).length > 0
export const nothingSaid = asIssue(say`says nothing that is to be otherwise`)

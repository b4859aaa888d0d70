import { mixRequest, repairRequest } from '@truelay/contract'
import { mixBatch, repairBatch } from '@truelay/core/mix'
import { z } from 'zod'
import { readDocument, valueOrBadInput } from '../input.ts'

const anyObject = z.record(z.string(), z.unknown(), 'must be an object with "target", "stock" and "batchMl"')

/** `mix REQUEST.json`: a batch from stock, or with `have` the repair of a wrong one. */
export function mix(file: string | undefined) {
  const asked = readDocument(
    file,
    anyObject.transform((value, context) => {
      const schema = 'have' in value ? repairRequest : mixRequest
      const parsed = schema.safeParse(value)
      if (parsed.success) return parsed.data
      for (const issue of parsed.error.issues)
        context.addIssue({ code: 'custom', message: issue.message, path: issue.path })
      return z.NEVER
    }),
  )
  return 'have' in asked ? valueOrBadInput(repairBatch(asked)) : valueOrBadInput(mixBatch(asked))
}

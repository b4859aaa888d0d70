import { judgeRequest } from '@truelay/contract'
import { judgeFault } from '@truelay/core/judge'
import { practiceWith } from '@truelay/core/practice'
import { readDocument, valueOrBadInput } from '../input.ts'

/** `judge CASE.json`: the causes of a fault, the likeliest first, and what to do where the work stands. */
export const judge = (file: string | undefined) =>
  valueOrBadInput(judgeFault(readDocument(file, judgeRequest), practiceWith()))

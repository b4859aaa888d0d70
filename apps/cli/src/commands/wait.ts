import { waitRequest } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { waitNow } from '@truelay/core/wait'
import { readDocument, valueOrBadInput } from '../input.ts'

/** `wait REQUEST.json`: how long a wait takes in such air. */
export const wait = (file: string | undefined) =>
  valueOrBadInput(waitNow(readDocument(file, waitRequest), practiceWith()))

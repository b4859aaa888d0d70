import { bottleUse } from '@truelay/core/plan'
import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { bottleTaken } from '../events/bottleTaken.ts'
import { defineRecordLine } from './defineRecordLine.ts'

/** Which bottle was in hand. */
export const bottleTakenLine = defineRecordLine(bottleTaken, {
  schema: z.strictObject({
    number: z.string(),
    says: sentence,
    use: bottleUse,
    asPlanned: z.boolean(),
    at: moment,
    by: z.string(),
  }),
  of: ({ batchNumber, says, use, asPlanned, at, personId }, { nameOf }) => ({
    number: batchNumber,
    says,
    use,
    asPlanned,
    at,
    by: nameOf(personId),
  }),
})

import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { strength } from '../../partPlan.ts'
import { batchMixed } from '../events/batchMixed.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { batchMl } = batchMixed.schema.shape

/** Which liquid was mixed, how strong, when and by whom. */
export const batchMixedLine = defineRecordLine(batchMixed, {
  schema: z.strictObject({
    number: z.string(),
    says: sentence,
    batchMl,
    ...strength.shape,
    at: moment,
    by: z.string(),
  }),
  of: ({ batchNumber, says, batchMl, alcoholPercent, soapMlPerL, at, personId }, { nameOf }) => ({
    number: batchNumber,
    says,
    batchMl,
    alcoholPercent,
    soapMlPerL,
    at,
    by: nameOf(personId),
  }),
})

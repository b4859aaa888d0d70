import { z } from 'zod'
import { moment } from '../../ids.ts'
import { spoilSettled } from '../events/spoilSettled.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { outcome, from } = spoilSettled.schema.shape

/** What became of a spoilt piece. */
export const spoilSettledLine = defineRecordLine(spoilSettled, {
  schema: z.strictObject({ outcome, from, at: moment, by: z.string() }),
  of: ({ outcome, from, at, personId }, { nameOf }) => ({
    outcome,
    ...(from === undefined ? {} : { from }),
    at,
    by: nameOf(personId),
  }),
})

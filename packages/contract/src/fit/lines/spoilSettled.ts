import { z } from 'zod'
import { moment } from '../../ids.ts'
import { spoilSettled } from '../events/spoilSettled.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { outcome } = spoilSettled.schema.shape

/** What became of a spoilt piece. */
export const spoilSettledLine = defineRecordLine(spoilSettled, {
  schema: z.strictObject({ outcome, at: moment, by: z.string() }),
  of: ({ outcome, at, personId }, { nameOf }) => ({ outcome, at, by: nameOf(personId) }),
})

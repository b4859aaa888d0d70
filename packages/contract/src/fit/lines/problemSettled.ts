import { z } from 'zod'
import { moment } from '../../ids.ts'
import { problemSettled } from '../events/problemSettled.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { problemId, outcome } = problemSettled.schema.shape

/** What became of something that was wrong, and who said so. */
export const problemSettledLine = defineRecordLine(problemSettled, {
  schema: z.strictObject({ problemId, outcome, at: moment, by: z.string() }),
  of: ({ problemId, outcome, at, personId }, { nameOf }) => ({ problemId, outcome, at, by: nameOf(personId) }),
})

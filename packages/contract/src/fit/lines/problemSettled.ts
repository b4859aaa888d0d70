import { z } from 'zod'
import { moment } from '../../ids.ts'
import { problemSettled } from '../events/problemSettled.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { problemId, outcome, cure } = problemSettled.schema.shape

/** What became of something that was wrong, and who said so. */
export const problemSettledLine = defineRecordLine(problemSettled, {
  schema: z.strictObject({ problemId, outcome, cure, at: moment, by: z.string() }),
  of: ({ problemId, outcome, cure, at, personId }, { nameOf }) => ({
    problemId,
    outcome,
    ...(cure === undefined ? {} : { cure }),
    at,
    by: nameOf(personId),
  }),
})

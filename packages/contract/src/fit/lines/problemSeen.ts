import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { problemSeen } from '../events/problemSeen.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { problem, place } = problemSeen.schema.shape

/** What was wrong, where and during which step. */
export const problemSeenLine = defineRecordLine(problemSeen, {
  schema: z.strictObject({
    problem,
    place,
    during: sentence,
    comeBack: z.boolean(),
    at: moment,
    by: z.string(),
  }),
  of: ({ problem, place, comeBack, stepId, at, personId }, { nameOf, headlineOf }) => ({
    problem,
    place,
    during: headlineOf(stepId),
    comeBack,
    at,
    by: nameOf(personId),
  }),
})

import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { problemSeen } from '../events/problemSeen.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { id, problem, place, cause, photos, when } = problemSeen.schema.shape

/** What was wrong, where and during which step. */
export const problemSeenLine = defineRecordLine(problemSeen, {
  schema: z.strictObject({
    id,
    problem,
    place,
    cause,
    photos,
    when,
    during: sentence,
    comeBack: z.boolean(),
    at: moment,
    by: z.string(),
  }),
  of: ({ id, problem, place, cause, photos, when, comeBack, stepId, at, personId }, { nameOf, headlineOf }) => ({
    id,
    problem,
    place,
    ...(cause === undefined ? {} : { cause }),
    ...(photos === undefined ? {} : { photos }),
    ...(when === undefined ? {} : { when }),
    during: headlineOf(stepId),
    comeBack,
    at,
    by: nameOf(personId),
  }),
})

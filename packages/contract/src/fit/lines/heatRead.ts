import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { heatRead } from '../events/heatRead.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { readC, wantedC } = heatRead.schema.shape

/** What the thermometer showed in a step. */
export const heatReadLine = defineRecordLine(heatRead, {
  schema: z.strictObject({ during: sentence, readC, wantedC, at: moment, by: z.string() }),
  of: ({ stepId, readC, wantedC, at, personId }, { nameOf, headlineOf }) => ({
    during: headlineOf(stepId),
    readC,
    wantedC,
    at,
    by: nameOf(personId),
  }),
})

import { z } from 'zod'
import { moment } from '../../ids.ts'
import { pullMade } from '../events/pullMade.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { place, needed } = pullMade.schema.shape

/** How far the film had to be pulled in a step. */
export const pullMadeLine = defineRecordLine(pullMade, {
  schema: z.strictObject({ place, needed, at: moment, by: z.string() }),
  of: ({ place, needed, at, personId }, { nameOf }) => ({ place, needed, at, by: nameOf(personId) }),
})

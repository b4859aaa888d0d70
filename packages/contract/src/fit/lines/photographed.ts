import { z } from 'zod'
import { moment } from '../../ids.ts'
import { photographed } from '../events/photographed.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { when, photo } = photographed.schema.shape

/** The part before and after. */
export const photographedLine = defineRecordLine(photographed, {
  schema: z.strictObject({ at: moment, by: z.string(), when, photo }),
  of: ({ at, personId, when, photo }, { nameOf }) => ({ at, by: nameOf(personId), when, photo }),
})

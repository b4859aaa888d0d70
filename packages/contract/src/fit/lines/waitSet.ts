import { z } from 'zod'
import { moment } from '../../ids.ts'
import { waitSet } from '../events/waitSet.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { roomC, humidityPercent, source, minutes } = waitSet.schema.shape

/** How long a wait was set to be, and in which air. */
export const waitSetLine = defineRecordLine(waitSet, {
  schema: z.strictObject({ at: moment, roomC, humidityPercent, source, minutes }),
  of: ({ at, roomC, humidityPercent, source, minutes }) => ({ at, roomC, humidityPercent, source, minutes }),
})

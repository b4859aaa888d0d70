import { z } from 'zod'
import { bladeUsed } from '../events/bladeUsed.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { cutMm } = bladeUsed.schema.shape

/** How much a blade has cut, and whether it was fresh. */
export const bladeUsedLine = defineRecordLine(bladeUsed, {
  schema: z.strictObject({ fresh: z.boolean(), cutMm }),
  of: ({ fresh, cutMm }) => ({ fresh, cutMm }),
})

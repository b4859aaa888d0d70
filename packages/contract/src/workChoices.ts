import { edgeCodes } from '@truelay/core/form'
import { liquidSchools } from '@truelay/core/mix'
import type { WorkChoices } from '@truelay/core/plan'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'

const edgeName = z.string().min(1).max(60)
const liquidSchool = z.enum(liquidSchools)

/** What was chosen for a part: how its edges end, and on what it floats. */
export const workChoices = mirrors<WorkChoices>()(
  z.strictObject({
    ends: z.record(edgeName, z.enum(edgeCodes)).refine((ends) => Object.keys(ends).length <= 60, 'at most 60 edges'),
    liquids: z.strictObject({ slip: liquidSchool, tack: liquidSchool }).nullable(),
  }),
)

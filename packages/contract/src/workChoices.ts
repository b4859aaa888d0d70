import { edgeCodes } from '@truelay/core/form'
import { liquidSchools } from '@truelay/core/mix'
import { cutWays, type WorkChoices } from '@truelay/core/plan'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'

const edgeName = z.string().min(1).max(60)
const liquidSchool = z.enum(liquidSchools)

/** What was chosen for a part: how its edges end, on what it floats, where its film comes from and how many work on it. */
export const workChoices = mirrors<WorkChoices>()(
  z.strictObject({
    ends: z.record(edgeName, z.enum(edgeCodes)).refine((ends) => Object.keys(ends).length <= 60, 'at most 60 edges'),
    liquids: z.strictObject({ slip: liquidSchool, tack: liquidSchool }).nullable(),
    cut: z.enum(cutWays).nullable(),
    hands: z.union([z.literal(1), z.literal(2)]).nullable(),
  }),
)

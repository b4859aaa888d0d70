import { edgeCodes } from '@truelay/core/form'
import { liquidSchools } from '@truelay/core/mix'
import { filmLayers, type LightChoice } from '@truelay/core/light'
import { cutWays, type WorkChoices } from '@truelay/core/plan'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'

const edgeName = z.string().min(1).max(60)
const liquidSchool = z.enum(liquidSchools)

const share = z.number().min(0.05).max(1)
/** What the light of a lamp passes besides one layer of film, and how dark it is wished. */
const lightChoice = mirrors<LightChoice>()(
  z.strictObject({
    lensShare: share,
    layers: z.union([z.literal(filmLayers[0]), z.literal(filmLayers[1]), z.literal(filmLayers[2])]),
    mostShare: share.nullable(),
    otherLamps: z.boolean(),
  }),
)

/** What was chosen for a part: how its edges end, on what it floats, where its film comes from, how many work on it and what light is to be left. */
export const workChoices = mirrors<WorkChoices>()(
  z.strictObject({
    ends: z.record(edgeName, z.enum(edgeCodes)).refine((ends) => Object.keys(ends).length <= 60, 'at most 60 edges'),
    liquids: z.strictObject({ slip: liquidSchool, tack: liquidSchool }).nullable(),
    cut: z.enum(cutWays).nullable(),
    hands: z.union([z.literal(1), z.literal(2)]).nullable(),
    light: lightChoice.nullable(),
  }),
)

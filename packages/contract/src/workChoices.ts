import { edgeCodes } from '@truelay/core/form'
import { liquidSchools } from '@truelay/core/mix'
import { filmLayers, type LightChoice } from '@truelay/core/light'
import { cutWays, type WorkChange, type WorkChoices } from '@truelay/core/plan'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'
import { nothingSaid, saysSomething } from './failure.ts'
import { nameOnForm } from './formDoc.ts'

const liquidSchool = z.enum(liquidSchools)

const share = z.number().min(0.05).max(1)
/** What the light of a lamp passes besides one layer of film, and how dark it is wished. */
const lensAndWish = z.strictObject({
  lensShare: share,
  layers: z.union([z.literal(filmLayers[0]), z.literal(filmLayers[1]), z.literal(filmLayers[2])]),
  mostShare: share.nullable(),
  otherLamps: z.boolean(),
})
const lightChoice = mirrors<LightChoice>()(lensAndWish)

const atMostEdges = <S extends z.ZodType<object>>(ends: S) =>
  ends.refine((named) => Object.keys(named).length <= 60, 'at most 60 edges')

const chosen = z.strictObject({
  ends: atMostEdges(z.record(nameOnForm, z.enum(edgeCodes))),
  liquids: z.strictObject({ slip: liquidSchool, tack: liquidSchool }).nullable(),
  cut: z.enum(cutWays).nullable(),
  hands: z.union([z.literal(1), z.literal(2)]).nullable(),
  light: lightChoice.nullable(),
})

/** What was chosen for a part: how its edges end, on what it floats, where its film comes from, how many work on it and what light is to be left. */
export const workChoices = mirrors<WorkChoices>()(chosen)

/** A change of some of it: what is not named stays, and two tablets that change different things both count. */
export const workChange = mirrors<WorkChange>()(
  chosen
    .extend({
      ends: atMostEdges(z.record(nameOnForm, z.enum(edgeCodes).nullable())),
      light: lensAndWish.exactPartial().nullable(),
    })
    .exactPartial()
    .refine(saysSomething, nothingSaid),
)

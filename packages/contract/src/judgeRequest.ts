import { type FaultCase, faultKinds, faultStages } from '@truelay/core/judge'
import { schoolNames } from '@truelay/core/lay'
import { filmTypes, findingKinds, waysLaid } from '@truelay/core/plan'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'
import { faultAnswers } from './fit/faultAnswers.ts'

const share = z.number().min(0).max(2)
const minutes = z.number().min(0).max(100_000)
const surfaceC = z.number().min(-40).max(600)
const fits = z.number().int().min(0).max(100_000)
const answer = z.boolean().optional()

export const faultEvidence = z.strictObject({
  excessMmPer100: z.number().min(0).max(100).optional(),
  stretch: share.optional(),
  glueLineStretch: share.gt(0).optional(),
  hollow: answer,
  minutesEarly: minutes.optional(),
  minutesDry: minutes.optional(),
  slipSoapMlPerL: z.number().min(0).max(1000).optional(),
  askedSoapMlPerL: z.number().min(0).max(1000).optional(),
  tackAlcoholPercent: z.number().min(0).max(100).optional(),
  askedAlcoholPercent: z.number().min(0).max(100).optional(),
  roomC: z.number().min(-40).max(60).optional(),
  humidityPercent: z.number().min(0).max(100).optional(),
  hottestC: surfaceC.optional(),
  leastC: surfaceC.optional(),
  damageC: surfaceC.optional(),
  bladeCutMm: z.number().min(0).max(1e7).optional(),
  bladeLastsMm: z.number().gt(0).max(1e7).optional(),
  found: z.array(z.enum(findingKinds)).max(60).optional(),
  earlierFits: fits.optional(),
  earlierSame: fits.optional(),
  answers: faultAnswers.optional(),
})

/** A fault to be judged. */
export const judgeRequest = z.strictObject({
  fault: z.enum(faultKinds),
  place: z.string().min(1).max(80).optional(),
  school: z.enum(schoolNames).optional(),
  stage: z.enum(faultStages),
  film: z.strictObject({
    type: z.enum(filmTypes),
    laid: z.enum(waysLaid),
    patterned: z.boolean().optional(),
  }),
  evidence: faultEvidence.default({}),
  takesHeat: answer,
})
mirrors<FaultCase>()(judgeRequest)

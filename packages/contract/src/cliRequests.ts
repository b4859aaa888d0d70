import type { GapCheck } from '@truelay/core/align'
import type { LightRequest } from '@truelay/core/light'
import type { MixRequest, RepairRequest } from '@truelay/core/mix'
import { z } from 'zod'
import { point } from './geometry.ts'

const strength = z.strictObject({ alcoholPercent: z.number().optional(), soapMlPerL: z.number().optional() })
const stock = z.strictObject({ alcoholPercent: z.number().optional() }).default({})

export const mixRequest = z.strictObject({ target: strength, stock, batchMl: z.number() }) satisfies z.ZodType<
  MixRequest,
  unknown
>
export const repairRequest = z.strictObject({
  have: strength.extend({ volumeMl: z.number() }),
  target: strength,
  stock,
  bottleMl: z.number(),
}) satisfies z.ZodType<RepairRequest, unknown>

const gapMm = z.number().min(-1000).max(1000)
export const alignRequest = z.strictObject({
  checks: z
    .array(
      z.strictObject({
        at: point,
        normal: z.tuple([z.number(), z.number()]),
        measuredMm: gapMm,
        wantedMm: gapMm,
        sigmaMm: z.number().positive().max(100).optional(),
      }) satisfies z.ZodType<GapCheck>,
    )
    .max(1000),
})

export const lightRequest = z.strictObject({
  lampCandela: z.number().positive().optional(),
  layers: z.array(z.strictObject({ transmission: z.number() })),
  overlapLayers: z.number().int().min(0).max(20).optional(),
}) satisfies z.ZodType<LightRequest>

import type { GapCheck } from '@truelay/core/align'
import type { LightRequest } from '@truelay/core/light'
import type { MixRequest, RepairRequest } from '@truelay/core/mix'
import { z } from 'zod'
import { point } from '@truelay/core/geometry'
import { waitKinds } from '@truelay/core/wait'

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

const layer = z.strictObject({
  name: z.string().max(60),
  thicknessMm: z.number(),
  conductivityWmK: z.number(),
  densityKgm3: z.number(),
  specificHeatJkgK: z.number(),
})
export const heatRequest = z.strictObject({
  ambientC: z.number(),
  /** Top layer first. */
  layers: z.array(layer).max(40),
  exposure: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('steady'), gasC: z.number(), hWm2K: z.number(), seconds: z.number() }),
    z.strictObject({
      kind: z.literal('passes'),
      gun: z.strictObject({
        outletC: z.number().min(-40).max(1500),
        distanceMm: z.number().min(10).max(1000),
        spotMm: z.number(),
      }),
      speedMmS: z.number(),
      strokeMm: z.number(),
      targetC: z.number(),
      damageC: z.number(),
      pressC: z.number().optional(),
      cutC: z.number().optional(),
    }),
  ]),
  coolSeconds: z.number().optional(),
})

export const waitRequest = z.strictObject({
  roomC: z.number(),
  humidityPercent: z.number(),
  kind: z.enum(waitKinds),
  alcoholPercent: z.number().optional(),
})

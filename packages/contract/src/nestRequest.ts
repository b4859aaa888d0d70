import type { NestRequest } from '@truelay/core/nest'
import { polygon } from '@truelay/core/geometry'
import { z } from 'zod'

const lengthMm = z.number().min(0).max(1_000_000)

/** Pieces for one roll, as on the command line; with the seconds it may take. */
export const nestRequest = z.strictObject({
  rollWidthMm: z.number().positive().max(10_000),
  rollLengthMm: z.number().positive().max(1_000_000).optional(),
  gapMm: z.number().min(0).max(500),
  borderMm: z.number().min(0).max(5000).optional(),
  spoilt: z
    .array(z.tuple([lengthMm, lengthMm]))
    .max(200)
    .optional(),
  pieces: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(120),
        name: z.string().min(1).max(120).optional(),
        count: z.number().int().min(0).max(500),
        outline: polygon,
        cutOuts: z.array(polygon).max(200).optional(),
        turns: z.array(z.number().min(-360).max(360)).min(1).max(72).optional(),
        together: z.string().min(1).max(120).optional(),
      }),
    )
    .max(500)
    .refine((pieces) => pieces.reduce((sum, { count }) => sum + count, 0) <= mostCopies, {
      error: `no more than 1000 pieces at once`,
    }),
  seconds: z.number().gt(0).max(600).default(10),
  seed: z.number().int().min(0).max(4_294_967_295).default(1),
}) satisfies z.ZodType<NestRequest, unknown>

const mostCopies = 1000

import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { jobId, moment, partId, personId } from './ids.ts'

/** Why a part is not in the plan of the day. */
export const leftOutOf = ['not measured', 'cannot be planned', 'a visit'] as const

/** Who does what when in the shop, from the moment it was made on; kept by the server, so that all tablets see the same. */
export const dayPlan = z.strictObject({
  madeAt: moment,
  works: z.array(
    z.strictObject({
      id: z.string().max(200),
      jobId,
      /** Null: the vehicle comes, or leaves. */
      partId: partId.nullable(),
      stepIds: z.array(z.string().max(600)).max(400),
      /** The first of its steps; null where there is none. */
      says: sentence.nullable(),
      people: z.array(personId).max(30),
      startAt: moment,
      endAt: moment,
      /** Why it does not start earlier. */
      because: sentence,
    }),
  ),
  /** Vehicles that would leave after they were promised. */
  late: z.array(z.strictObject({ jobId, minutes: z.number().int().positive() })),
  leftOut: z.array(z.strictObject({ jobId, partId, why: z.enum(leftOutOf) })),
  /** Everything is done by then; and no plan could be done before. */
  endsAt: moment,
  noSoonerThan: moment,
})
export type DayPlan = z.infer<typeof dayPlan>
export type DayWork = DayPlan['works'][number]

/** The plan as it is kept; `making`: a new one is being reckoned. */
export const shopDayPlan = z.strictObject({ plan: dayPlan.nullable(), making: z.boolean() })
export type ShopDayPlan = z.infer<typeof shopDayPlan>

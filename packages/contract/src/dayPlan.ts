import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { jobId, modelId, moment, partId, personId } from './ids.ts'
import { newPart } from './newJob.ts'

/** Why a part is not in the plan of the day. */
export const leftOutOf = ['not measured', 'cannot be planned', 'a visit'] as const

/** When a vehicle is ready by the plan, and how sure that is: of days as they really go, so many keep the promise, and nine of ten are ready by `sureAt`. */
const promise = z.strictObject({
  jobId,
  readyAt: moment,
  chance: z.number().min(0).max(1),
  sureAt: moment,
})

/** Who does what when in the shop, from the moment it was made on; kept by the server, so that all tablets see the same. */
export const dayPlan = z.strictObject({
  madeAt: moment,
  works: z.array(
    z.strictObject({
      id: z.string().max(200),
      jobId,
      /** Null: the vehicle comes, or leaves. */
      partId: partId.nullable(),
      /** Empty for a look at edges that were laid before. */
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
  promises: z.array(promise).optional(),
  /** Parts where a greatest wait is over: they come first. */
  overdue: z.array(z.strictObject({ jobId, partId, minutes: z.number().int().positive() })).optional(),
  /** The one change that would make the vehicles least late, and by how much altogether. */
  helps: z.strictObject({ says: sentence, minutes: z.number().int().positive() }).optional(),
  leftOut: z.array(z.strictObject({ jobId, partId, why: z.enum(leftOutOf) })),
  /** Everything is done by then; and no plan could be done before. */
  endsAt: moment,
  noSoonerThan: moment,
})
export type DayPlan = z.infer<typeof dayPlan>
export type DayWork = DayPlan['works'][number]
export type DayPromise = z.infer<typeof promise>

/** What somebody has said of a part: who does it, and that it waits until then. */
export const dayPin = z.strictObject({ partId, personId: personId.nullable(), notBefore: moment.nullable() })
export type DayPin = z.infer<typeof dayPin>

/** What people have said the plan of the day has to keep to. */
export const dayWishes = z.strictObject({
  pins: z.array(dayPin).max(200),
  /** Who is not here until when: ill, called away. */
  away: z.array(z.strictObject({ personId, until: moment })).max(60),
})
export type DayWishes = z.infer<typeof dayWishes>
export const noWishes: DayWishes = { pins: [], away: [] }

/** What has become otherwise since the first plan of the day. */
export const dayChanges = z.strictObject({
  since: moment,
  /** Vehicles that are ready at another time: minutes later, below 0 earlier. */
  jobs: z.array(z.strictObject({ jobId, laterMinutes: z.number().int() })),
  /** Parts that somebody else has now. */
  hands: z.array(z.strictObject({ partId, people: z.array(personId).max(30) })),
})
export type DayChanges = z.infer<typeof dayChanges>

/** The plan as it is kept; `making`: a better one is being looked for. */
export const shopDayPlan = z.strictObject({
  plan: dayPlan.nullable(),
  making: z.boolean(),
  wishes: dayWishes.optional(),
  changes: dayChanges.nullable().optional(),
})
export type ShopDayPlan = z.infer<typeof shopDayPlan>

/** What a change of the plan would cost. */
export const dayTried = z.strictObject({
  /** The same without the change, reckoned alike. */
  without: z.array(promise),
  /** Null: no plan was found with it. */
  plan: dayPlan.pick({ late: true, promises: true, endsAt: true }).nullable(),
  /** When each pinned part would be done. */
  done: z.array(z.strictObject({ partId, at: moment })),
})
export type DayTried = z.infer<typeof dayTried>

/** A vehicle that may come: what is to be done, and where. */
export const askedPromise = z.strictObject({
  modelId,
  bay: z.string().trim().max(20),
  personId,
  arrivesAt: moment,
  parts: z.array(newPart).min(1).max(60),
})
export type AskedPromise = z.infer<typeof askedPromise>

/** When it can be promised for: nine of ten days keep it. Null: no plan was found. */
export const earliestPromise = z.strictObject({
  readyAt: moment.nullable(),
  sureAt: moment.nullable(),
  /** Parts of which nobody knows yet how long they take. */
  unknown: z.number().int().min(0),
})
export type EarliestPromise = z.infer<typeof earliestPromise>

/** Of the steps that were done today: what they took against what was planned, by kind of step. */
export const dayTaught = z.strictObject({
  phases: z.array(
    z.strictObject({
      phase: z.string().max(20),
      steps: z.number().int(),
      plannedMinutes: z.number(),
      workedMinutes: z.number(),
    }),
  ),
})
export type DayTaught = z.infer<typeof dayTaught>

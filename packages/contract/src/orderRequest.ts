import { type Day, type DayTask, mostPeople } from '@truelay/core/order'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'

const id = z.string().min(1).max(120)
/** Ten weeks. */
const minute = z.number().min(0).max(100_800)
const wholeMinutes = z.number().int().min(0).max(100_800)

/** A day to be planned. */
export const dayToPlan = z.strictObject({
  people: z.array(z.strictObject({ id, skills: z.array(id).max(60).optional() })).max(mostPeople),
  tools: z.array(z.strictObject({ id, count: z.number().int().min(0).max(1000) })).max(200),
  tasks: z
    .array(
      z.strictObject({
        id,
        minutes: wholeMinutes.max(10_080),
        people: z.number().int().min(0).max(mostPeople),
        skill: id.optional(),
        tools: z.array(id).max(40),
        after: z.array(z.strictObject({ task: id, minMinutes: minute, maxMinutes: minute.optional() })).max(200),
        notBefore: minute.optional(),
        notAfter: minute.optional(),
      }),
    )
    .max(3000),
  holds: z
    .array(z.strictObject({ tool: id, from: id, to: id }))
    .max(500)
    .optional(),
  breaks: z
    .array(z.strictObject({ people: z.array(id).max(mostPeople).optional(), from: wholeMinutes, to: wholeMinutes }))
    .max(500)
    .optional(),
})
/** What only the day of a shop asks for stands in no file. */
type WrittenDay = Omit<Day, 'handOverMinutes' | 'changeOverMinutes' | 'tasks'> & {
  readonly tasks: readonly Omit<DayTask, 'sameHands' | 'begunBy'>[]
}
mirrors<WrittenDay>()(dayToPlan)

/** The same on the command line, with the seconds of processor time it may take. */
export const orderRequest = dayToPlan.extend({ seconds: z.number().gt(0).max(600).default(2) })

import { practiceKeys, type PracticeKey, practiceProblem } from '@truelay/core/practice'
import { z } from 'zod'
import { personId } from './ids.ts'

export const units = z.strictObject({
  length: z.enum(['mm', 'in']),
  temperature: z.enum(['C', 'F']),
  volume: z.enum(['mL', 'fl oz']),
})
export type Units = z.infer<typeof units>

/** The shop's own figures where they differ from the defaults; each must lie in its range. */
export const ownPractice = z
  .partialRecord(z.enum(practiceKeys as [PracticeKey, ...PracticeKey[]]), z.number())
  .superRefine((own, context) => {
    for (const [key, value] of Object.entries(own)) {
      const problem = practiceProblem(key as PracticeKey, value)
      if (problem !== null) context.addIssue({ code: 'custom', path: [key], message: problem })
    }
  })

export const person = z.strictObject({ id: personId, name: z.string().min(1).max(60), role: z.string().min(1).max(60) })
export type Person = z.infer<typeof person>

export const shop = z.strictObject({
  name: z.string().min(1).max(80),
  units,
  theme: z.enum(['day', 'bay']),
  stockAlcoholPercent: z.number().min(1).max(100),
  practice: ownPractice,
})
export type Shop = z.infer<typeof shop>

/** A change of some settings. */
export const shopChange = shop.omit({ name: true, units: true }).extend({ units: units.partial() }).partial()
export type ShopChange = z.infer<typeof shopChange>

import { z } from 'zod'
import { nothingSaid, saysSomething } from './failure.ts'
import { weekHours } from './hours.ts'
import { moment, personId } from './ids.ts'

export const roles = ['lead', 'installer', 'new hand'] as const
export type Role = (typeof roles)[number]

/** Whether a role may do what at least another is needed for: a lead may all, a new hand the least. */
export const mayDo = (role: Role, least: Role): boolean => roles.indexOf(role) <= roles.indexOf(least)

/** What somebody has to be let do by a lead who has watched it; installers and leads may it by their role. */
export const skills = ['stretch film'] as const
export type Skill = (typeof skills)[number]

/** That a lead has seen somebody do it well. */
export const confirmedSkill = z.strictObject({ skill: z.enum(skills), at: moment, by: personId })

export type ConfirmedSkill = z.infer<typeof confirmedSkill>

export const person = z.strictObject({
  id: personId,
  name: z.string().min(1).max(60),
  role: z.enum(roles),
  /** Null = the hours of the shop. */
  hours: weekHours.nullable(),
  /** When they left the shop; what they did stays theirs. Null while they work here. */
  leftAt: moment.nullable(),
  /** Left out: nothing yet. */
  confirmed: z.array(confirmedSkill).max(20).optional(),
})
export type Person = z.infer<typeof person>

const typed = { name: z.string().trim().min(1).max(60), role: z.enum(roles) }

/** Somebody who begins to work here. */
export const newPerson = z.strictObject({ ...typed, hours: weekHours.nullable().default(null) })
export type NewPerson = z.input<typeof newPerson>

/** What is to be otherwise about somebody; whoever has left can come back. */
export const personChange = z
  .strictObject({
    ...typed,
    hours: weekHours.nullable(),
    leftAt: moment.nullable(),
    confirmed: z.array(confirmedSkill).max(20),
  })
  .partial()
  .refine(saysSomething, nothingSaid)
export type PersonChange = z.infer<typeof personChange>

export const worksHere = ({ leftAt }: Pick<Person, 'leftAt'>): boolean => leftAt === null

/** Whether somebody does it at a customer's vehicle: by their role, or because a lead has confirmed it. */
export const hasSkill = ({ role, confirmed = [] }: Pick<Person, 'role' | 'confirmed'>, skill: Skill): boolean =>
  mayDo(role, 'installer') || confirmed.some((one) => one.skill === skill)

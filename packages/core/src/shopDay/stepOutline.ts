import { z } from 'zod'
import { sentence } from '../say/index.ts'
import { type PlanStep, phase } from '../plan/index.ts'
import type { Held } from '../schema/index.ts'

const id = z.string().max(600)
const minutes = z.number().min(0).max(100_000)

/** What a plan of the day has to know of a step. */
export const stepOutline = z.strictObject({
  id,
  /** What is done in it. */
  says: sentence,
  phase,
  minutes,
  people: z.number().int().min(1).max(6),
  /** It takes a heat gun. */
  heats: z.boolean(),
  /** Film is stretched in it: it takes a hand that has done so before. */
  stretches: z.boolean(),
  /** Counts from the end of the step, or of another one before it. */
  wait: z.strictObject({ leastMinutes: minutes, since: id.optional() }).optional(),
  /** It has to begin before these are over. */
  within: z.array(z.strictObject({ since: id, mostMinutes: minutes })).optional(),
  /** The film dries from its end on: what follows has to begin by then. */
  driesInMinutes: minutes.optional(),
})
export type StepOutline = Held<z.infer<typeof stepOutline>>

type Outlined = Pick<
  PlanStep,
  'id' | 'phase' | 'references' | 'headline' | 'minutes' | 'people' | 'tools' | 'wait' | 'within' | 'driesInMinutes'
>

export const outlineOf = (steps: readonly Outlined[]): StepOutline[] =>
  steps.map(
    ({ id: step, phase: of, references, headline, minutes: lasts, people, tools, wait, within, driesInMinutes }) => ({
      id: step,
      says: headline,
      phase: of,
      minutes: lasts,
      people,
      heats: tools.includes('heat gun'),
      stretches: references.some(({ kind }) => kind === 'pull'),
      ...(wait === undefined
        ? {}
        : { wait: { leastMinutes: wait.leastMinutes, ...(wait.since === undefined ? {} : { since: wait.since }) } }),
      ...(within === undefined ? {} : { within: within.map(({ since, mostMinutes }) => ({ since, mostMinutes })) }),
      ...(driesInMinutes === undefined ? {} : { driesInMinutes }),
    }),
  )

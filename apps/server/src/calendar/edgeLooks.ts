import { type Job, type PartProgress, type Problem, type WeekHours, whenOpen } from '@truelay/contract'
import type { Practice } from '@truelay/core/practice'
import { faultWords } from '@truelay/core/judge'
import { clauses, name, paragraph, say, type Sentence } from '@truelay/core/say'

/** When edges are pressed and looked at, as shares of the shop's whole time for it: early, the next day, at the end. */
const looks = [
  { share: 1 / 12, says: say`first look` },
  { share: 1 / 2, says: say`second look` },
  { share: 1, says: say`last look` },
] as const

export interface EdgeLook {
  readonly id: string
  readonly at: Date
  readonly minutes: number
  readonly title: Sentence
  readonly says: Sentence
}

/** Come-back visits that have not been closed: the vehicle is looked for at its time. */
export const visitsOf = (visits: readonly Pick<Job, 'id' | 'vehicle' | 'arrivedAt' | 'dueAt'>[]): EdgeLook[] =>
  visits.map(({ id, vehicle, arrivedAt, dueAt }) => ({
    id: `${id}-visit`,
    at: new Date(arrivedAt),
    minutes: Math.max(10, Math.round((new Date(dueAt).getTime() - new Date(arrivedAt).getTime()) / 60_000)),
    title: say`${name(vehicle.model)} ${name(vehicle.plate)} comes back`,
    says: say`Look over what was laid, with what was left open in mind; the steps stand in its job.`,
  }))

/** Looks at the edges of every finished part of a job, at times when somebody is in the shop. */
export const edgeLooks = (
  job: Pick<Job, 'vehicle'>,
  parts: readonly (Pick<PartProgress, 'partId' | 'name' | 'finishedAt'> & { readonly open: readonly Problem[] })[],
  practice: Practice,
  hours: WeekHours,
): EdgeLook[] =>
  parts.flatMap(({ partId, name: called, finishedAt, open }) =>
    finishedAt === null
      ? []
      : looks.map(({ share, says }, i) => ({
          id: `${partId}-look-${i + 1}`,
          at: whenOpen(new Date(new Date(finishedAt).getTime() + share * practice.waitEdgeLook * 60_000), hours),
          minutes: 10,
          title: say`${name(called)}, ${name(job.vehicle.model)} ${name(job.vehicle.plate)}: edges, ${says}`,
          says: paragraph(
            say`Walk every edge with a finger, press what stands up, warm it again where it does not stay. Note what lifts.`,
            open.length > 0 &&
              say`Come back to: ${clauses(open.map(({ problem, place }) => say`${faultWords(problem)}, ${name(place)}`))}.`,
          ),
        })),
  )

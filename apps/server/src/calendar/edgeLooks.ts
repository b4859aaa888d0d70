import type { Job, PartProgress } from '@truelay/contract'
import type { Practice } from '@truelay/core/practice'
import type { CalendarEntry } from '@truelay/formats/calendar'

/** When edges are pressed and looked at, as shares of the shop's whole time for it: early, the next day, at the end. */
const looks = [
  { share: 1 / 12, says: 'first look' },
  { share: 1 / 2, says: 'second look' },
  { share: 1, says: 'last look' },
] as const

/** Looks at the edges of every finished part of a job. */
export const edgeLooks = (job: Job, parts: readonly PartProgress[], practice: Practice): CalendarEntry[] =>
  parts.flatMap(({ partId, name, finishedAt }) =>
    finishedAt === null
      ? []
      : looks.map(({ share, says }, i) => ({
          id: `${partId}-look-${i + 1}`,
          at: new Date(new Date(finishedAt).getTime() + share * practice.waitEdgeLook * 60_000),
          minutes: 10,
          title: `${name}, ${job.vehicle.model} ${job.vehicle.plate}: edges, ${says}`,
          says: 'Walk every edge with a finger, press what stands up, warm it again where it does not stay. Note what lifts.',
        })),
  )

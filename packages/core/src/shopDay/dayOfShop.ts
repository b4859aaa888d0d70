import type { Day, DayBreak, DayTask } from '../order/index.ts'
import { atPart, gun, type PartToDo, partTasks } from './partTasks.ts'

/** A vehicle with what is to be done on it. Minutes count from the start of the plan. */
export interface JobToDo {
  readonly jobId: string
  /** Where it stands from drive-in to drive-out. */
  readonly place: string
  /** Minutes until it comes; 0 or less: it is here. */
  readonly comesIn: number
  /** Minutes until it must leave. */
  readonly dueIn: number
  readonly parts: readonly PartToDo[]
}

export interface ShopToday {
  readonly people: readonly { readonly id: string; readonly away: readonly (readonly [from: number, to: number])[] }[]
  readonly guns: number
  readonly jobs: readonly JobToDo[]
}

/** What a task of the day is work on: of which part which steps; a vehicle that comes or leaves has none. */
export interface Work {
  readonly taskId: string
  readonly jobId: string
  readonly partId: string | null
  readonly stepIds: readonly string[]
}

export interface DayOfShop {
  readonly day: Day
  readonly works: readonly Work[]
}

const placeOf = (place: string) => `place ${place}`

/** The day of a shop as tasks: every vehicle holds its place from when it comes until it leaves, every part is worked as its plan has it. */
export function dayOfShop({ people, guns, jobs }: ShopToday): DayOfShop {
  const works: Work[] = []
  const tasks: DayTask[] = []
  for (const job of jobs) {
    const comes = `${job.jobId} comes`
    const leaves = `${job.jobId} leaves`
    const here = job.comesIn <= 0
    const moment = { minutes: 0, people: 0, tools: [] }
    tasks.push({ id: comes, ...moment, after: [], ...(here ? { notAfter: 0 } : { notBefore: Math.ceil(job.comesIn) }) })
    works.push({ taskId: comes, jobId: job.jobId, partId: null, stepIds: [] })
    const ends: string[] = []
    for (const part of job.parts) {
      const own = partTasks(part, comes)
      for (const { task, stepIds } of own) {
        tasks.push(task)
        works.push({ taskId: task.id, jobId: job.jobId, partId: part.partId, stepIds })
      }
      const last = own.at(-1)
      if (last !== undefined) ends.push(last.task.id)
    }
    const after = (ends.length === 0 ? [comes] : ends).map((task) => ({ task, minMinutes: 0 }))
    tasks.push({ id: leaves, ...moment, after, notAfter: Math.max(0, Math.floor(job.dueIn)) })
    works.push({ taskId: leaves, jobId: job.jobId, partId: null, stepIds: [] })
  }
  const parts = jobs.flatMap((job) => job.parts)
  return {
    works,
    day: {
      people: people.map(({ id }) => ({
        id,
        skills: parts.flatMap(({ partId, inHandOf }) => (inHandOf === id ? [atPart(partId)] : [])),
      })),
      tools: [
        { id: gun, count: guns },
        ...[...new Set(jobs.map(({ place }) => place))].map((place) => ({
          id: placeOf(place),
          count: placesOf(jobs, place),
        })),
      ],
      tasks,
      holds: jobs.map(({ jobId, place }) => ({ tool: placeOf(place), from: `${jobId} comes`, to: `${jobId} leaves` })),
      breaks: breaksOf(people),
    },
  }
}

/** One vehicle in a place; more only where more stand there already. */
const placesOf = (jobs: readonly JobToDo[], place: string) =>
  Math.max(1, jobs.filter((job) => job.place === place && job.comesIn <= 0).length)

/** When nobody is there is a break of all. */
function breaksOf(people: ShopToday['people']): DayBreak[] {
  const [first] = people
  const alike = people.every(({ away }) => JSON.stringify(away) === JSON.stringify(first?.away))
  return alike
    ? (first?.away ?? []).map(([from, to]) => ({ from, to }))
    : people.flatMap(({ id, away }) => away.map(([from, to]) => ({ people: [id], from, to })))
}

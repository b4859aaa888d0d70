import type { Day, DayBreak, DayTask, TaskAfter } from '../order/index.ts'
import {
  atPart,
  type DayPractice,
  gun,
  keptFor,
  leftOfLimits,
  type PartTask,
  type PartToDo,
  partTasks,
} from './partTasks.ts'

/** What comes before what on a vehicle. */
export interface PartOrder {
  readonly first: string
  readonly next: string
  /**
   * `line`: the next is laid when the first lies. `piece after piece`: it is begun when the first lies. `to and fro`: it is begun when the first is
   * set down and dries.
   */
  readonly kind: 'line' | 'piece after piece' | 'to and fro'
}

/** Edges of a part that was laid, to be looked at. */
export interface LookToDo {
  readonly id: string
  readonly partId: string
  readonly readyIn: number
  readonly minutes: number
}

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
  readonly orders: readonly PartOrder[]
  /** Parts that one person fits together. */
  readonly sets: readonly (readonly string[])[]
  readonly looks: readonly LookToDo[]
  /** Minutes after the last film was laid until it may go outside; and how many of them are left where all is laid. */
  readonly indoorsMinutes: number
  readonly indoorsLeft: number
}

export interface PersonToday {
  readonly id: string
  readonly away: readonly (readonly [from: number, to: number])[]
  /** May stretch film: all but new hands. */
  readonly stretches: boolean
}

export interface ShopToday {
  readonly people: readonly PersonToday[]
  readonly guns: number
  readonly jobs: readonly JobToDo[]
  readonly practice: DayPractice
}

/** What a task of the day is work on: of which part which steps; a vehicle that comes or leaves has none. */
export interface Work {
  readonly taskId: string
  readonly jobId: string
  readonly partId: string | null
  readonly stepIds: readonly string[]
}

/** A greatest wait that is over: the film there comes first. */
export interface Overdue {
  readonly jobId: string
  readonly partId: string
  readonly byMinutes: number
}

export interface DayOfShop {
  readonly day: Day
  readonly works: readonly Work[]
  readonly overdue: readonly Overdue[]
}

const placeOf = (place: string) => `place ${place}`
/** To hand a vehicle over: somebody is there for it, so it leaves while the shop is open. */
const handOverMinutes = 5
const stretching = 'stretches film'
const comesTask = (jobId: string): string => `${jobId} comes`
export const leavesTask = (jobId: string): string => `${jobId} leaves`

/** The day of a shop as tasks: every vehicle holds its place from when it comes until it leaves, every part is worked as its plan has it. */
export function dayOfShop({ people, guns, jobs: asked, practice }: ShopToday): DayOfShop {
  const jobs = asked.map((job) => ({ ...job, parts: job.parts.map((part) => inHandsHere(part, people)) }))
  const parts = jobs.flatMap((job) => job.parts)
  const ofJobs = jobs.map((job) => jobTasks(job, practice, people))
  return {
    works: ofJobs.flatMap(({ works }) => works),
    overdue: jobs.flatMap(({ jobId, parts: own }) =>
      own.flatMap((part) => {
        const left = leftOfLimits(part) ?? 0
        return left < 0 ? [{ jobId, partId: part.partId, byMinutes: Math.ceil(-left) }] : []
      }),
    ),
    day: {
      people: people.map(({ id, stretches }) => ({
        id,
        skills: [
          ...parts.flatMap(({ partId, inHandOf, pinned }) => [
            ...(inHandOf === id ? [atPart(partId)] : []),
            ...(pinned?.person === id ? [keptFor(partId)] : []),
          ]),
          ...(stretches ? [stretching] : []),
        ],
      })),
      tools: [
        { id: gun, count: guns },
        ...[...new Set(jobs.map(({ place }) => place))].map((place) => ({
          id: placeOf(place),
          count: placesOf(jobs, place),
        })),
      ],
      tasks: ofJobs.flatMap(({ tasks }) => tasks),
      holds: jobs.map(({ jobId, place }) => ({
        tool: placeOf(place),
        from: comesTask(jobId),
        to: leavesTask(jobId),
      })),
      breaks: breaksOf(people, practice),
      handOverMinutes: practice.dayHandOver,
      changeOverMinutes: practice.dayChangeOver,
    },
  }
}

/** Whoever does not work here any more holds nothing. */
function inHandsHere(part: PartToDo, people: ShopToday['people']): PartToDo {
  const here = (id: string | null) => (people.some((one) => one.id === id) ? id : null)
  return {
    ...part,
    inHandOf: here(part.inHandOf),
    begunBy: here(part.begunBy),
    pinned: part.pinned === null ? null : { ...part.pinned, person: here(part.pinned.person) },
  }
}

function jobTasks(
  job: JobToDo,
  practice: DayPractice,
  people: ShopToday['people'],
): { tasks: DayTask[]; works: Work[] } {
  // Where too few others are, new hands do it.
  const able = people.filter(({ stretches }) => stretches).length

  const { jobId } = job
  const comes = comesTask(jobId)
  const leaves = leavesTask(jobId)
  const moment = { minutes: 0, people: 0, tools: [] }
  const here = job.comesIn <= 0
  const byPart = tasksOfParts(job, comes, practice, people.length)
  const sequence = job.orders.flatMap((order) => afterOf(order, byPart))
  const looks = job.looks.map(
    ({ id, minutes, readyIn }): DayTask => ({
      id,
      minutes,
      people: 1,
      tools: [],
      after: [{ task: comes, minMinutes: 0 }],
      notBefore: Math.max(0, Math.ceil(readyIn)),
    }),
  )
  const kept = Math.max(practice.dayPromiseSlack, job.indoorsMinutes)
  const ends = [
    ...[...byPart.values()].flatMap((own) => own.at(-1)?.task.id ?? []).map((task) => ({ task, minMinutes: kept })),
    ...looks.map(({ id }) => ({ task: id, minMinutes: 0 })),
  ]
  const own = [...byPart].flatMap(([partId, tasks]) => tasks.map((one) => ({ ...one, partId })))
  return {
    tasks: [
      { id: comes, ...moment, after: [], ...(here ? { notAfter: 0 } : { notBefore: Math.ceil(job.comesIn) }) },
      ...own.map(
        ({ task, stretches }): DayTask => ({
          ...task,
          after: [...task.after, ...sequence.filter(({ of }) => of === task.id).map(({ after }) => after)],
          ...(stretches && task.people <= able && task.skill === undefined ? { skill: stretching } : {}),
        }),
      ),
      ...looks,
      {
        id: leaves,
        minutes: handOverMinutes,
        people: 1,
        tools: [],
        after: ends.length === 0 ? [{ task: comes, minMinutes: 0 }] : ends,
        ...(job.indoorsLeft > 0 ? { notBefore: Math.ceil(job.indoorsLeft) } : {}),
        notAfter: Math.max(handOverMinutes, Math.floor(job.dueIn)),
      },
    ],
    works: [
      { taskId: comes, jobId, partId: null, stepIds: [] },
      ...own.map(({ task, stepIds, partId }) => ({ taskId: task.id, jobId, partId, stepIds })),
      ...job.looks.map(({ id, partId }) => ({ taskId: id, jobId, partId, stepIds: [] })),
      { taskId: leaves, jobId, partId: null, stepIds: [] },
    ],
  }
}

/** The tasks of every part; of parts with the same bottle one mixes it: who has begun, else who comes first. */
function tasksOfParts(
  { parts, orders, sets }: JobToDo,
  comes: string,
  practice: DayPractice,
  hands: number,
): Map<string, PartTask[]> {
  const undone = (part: PartToDo) => part.steps.slice(part.done).some(({ phase }) => phase === 'mix')
  const mixed = (part: PartToDo) => part.steps.slice(0, part.done).some(({ phase }) => phase === 'mix')
  const rank = (part: PartToDo) => [-part.done, orders.filter(({ next }) => next === part.partId).length] as const
  const byPart = new Map<string, PartTask[]>()
  const mixers = new Map<string, string>()
  const inTurn = [...parts].sort((a, b) => rank(a)[0] - rank(b)[0] || rank(a)[1] - rank(b)[1])
  for (const part of inTurn) {
    const { bottle } = part
    const sharing = parts.filter((other) => other.bottle === bottle)
    const mixer = bottle === null ? undefined : mixers.get(bottle)
    const own = partTasks(part, {
      comes,
      practice,
      hands,
      sameHands: sets.find((set) => set.includes(part.partId))?.join(' '),
      bottle:
        bottle === null || sharing.length < 2
          ? 'mixed here'
          : mixer !== undefined
            ? { after: mixer }
            : sharing.some((other) => other !== part && mixed(other))
              ? 'stands'
              : 'mixed for others',
    })
    byPart.set(part.partId, own)
    const mixing = own.find(({ mixes }) => mixes)
    if (bottle !== null && mixer === undefined && undone(part) && mixing !== undefined)
      mixers.set(bottle, mixing.task.id)
  }
  // In the order of the job again.
  return new Map(parts.map(({ partId }) => [partId, byPart.get(partId) ?? []]))
}

function afterOf(
  { first, next, kind }: PartOrder,
  byPart: ReadonlyMap<string, readonly PartTask[]>,
): { of: string; after: TaskAfter }[] {
  const laid = (byPart.get(first) ?? []).filter(({ lays }) => lays)
  const after = kind === 'to and fro' ? laid[0] : laid.at(-1)
  const own = byPart.get(next) ?? []
  const of = kind === 'line' ? own.find(({ lays }) => lays) : own[0]
  const begun = of?.task.notAfter !== undefined
  return after === undefined || of === undefined || begun
    ? []
    : [{ of: of.task.id, after: { task: after.task.id, minMinutes: 0 } }]
}

/** One vehicle in a place; more only where more stand there already. */
const placesOf = (jobs: readonly JobToDo[], place: string) =>
  Math.max(1, jobs.filter((job) => job.place === place && job.comesIn <= 0).length)

/** A break that begins so soon is seen by everybody, minutes. */
const soon = 60

/** When nobody is there is a break of all; a little before it is kept free. */
function breaksOf(people: ShopToday['people'], { dayPauseSlack }: DayPractice): DayBreak[] {
  const withSlack = people.map(({ id, away }) => ({
    id,
    away: away.map(([from, to]) => [from < soon ? from : from - dayPauseSlack, to] as const),
  }))
  const [first] = withSlack
  const alike = withSlack.every(({ away }) => JSON.stringify(away) === JSON.stringify(first?.away))
  return alike
    ? (first?.away ?? []).map(([from, to]) => ({ from, to }))
    : withSlack.flatMap(({ id, away }) => away.map(([from, to]) => ({ people: [id], from, to })))
}

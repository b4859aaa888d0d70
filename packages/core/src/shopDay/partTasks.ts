import type { DayTask, TaskAfter } from '../order/index.ts'
import type { Practice } from '../practice/index.ts'
import type { StepOutline } from './stepOutline.ts'

/** A part that is to be laid, or is being laid. */
export interface PartToDo {
  readonly partId: string
  /** All steps of its plan. */
  readonly steps: readonly StepOutline[]
  /** How many of them are done; and by step how many minutes ago, where that is known. */
  readonly done: number
  readonly doneAgo: Readonly<Record<string, number>>
  /** Minutes until the wait that runs is over; null where none runs. */
  readonly readyIn: number | null
  /** Who stands at it; null where nobody has begun, or only a wait runs. */
  readonly inHandOf: string | null
  /** Who began it, if anybody. */
  readonly begunBy: string | null
  /** Who is to do it, and from when on, where somebody has said so. */
  readonly pinned: { readonly person: string | null; readonly notBeforeIn: number | null } | null
  /** From which bottles: parts with the same name share what is mixed once. Null: nothing is mixed. */
  readonly bottle: string | null
  /** Real minutes over planned ones. */
  readonly pace: number
}

/** What of the practice of a shop its day is planned by. */
export type DayPractice = Pick<
  Practice,
  'dayChangeOver' | 'dayHandOver' | 'dayPairSlack' | 'dayPauseSlack' | 'dayPromiseSlack'
>

/** A task of the day with the steps that it joins. */
export interface PartTask {
  readonly task: DayTask
  readonly stepIds: readonly string[]
  /** Film is laid in it, or stretched. */
  readonly lays: boolean
  readonly stretches: boolean
  readonly mixes: boolean
}

export interface PartAround {
  /** The task by which its vehicle comes. */
  readonly comes: string
  /** Who mixes its bottle: the part itself, also for others, or it stands there already, or will after that task. */
  readonly bottle: 'mixed here' | 'mixed for others' | 'stands' | { readonly after: string }
  /** What stays in one pair of hands; the part by itself if left out. */
  readonly sameHands?: string | undefined
  /** How many work here: a step for two is done alone by who is alone. */
  readonly hands?: number | undefined
  readonly practice: Pick<DayPractice, 'dayPairSlack'>
}

export const gun = 'heat gun'
/** To fetch a bottle that another part had mixed. */
const fetchMinutes = 1

/**
 * What is left of a part as tasks: neighbouring steps of the same hands and tools are one, up to a wait, to a step from which a clock counts, and to
 * the mixing of a bottle that others share. The first one comes after its vehicle has come.
 */
export function partTasks(part: PartToDo, around: PartAround): PartTask[] {
  const { partId, done, readyIn, inHandOf, pinned } = part
  const runs = runsOf(part, around.bottle === 'mixed for others')
  const idOf = (k: number) => `${partId} ${done + runs.slice(0, k).reduce((sum, run) => sum + run.length, 0)}`
  const taskEndingWith = (step: string) => {
    const k = runs.findIndex((run) => run.at(-1)?.id === step)
    return k < 0 ? null : idOf(k)
  }
  const own = around.bottle === 'mixed here' || around.bottle === 'mixed for others'
  const fetched = (step: StepOutline) => step.phase === 'mix' && !own
  const from = Math.max(
    readyIn === null ? 0 : Math.ceil(readyIn),
    pinned?.notBeforeIn == null ? 0 : Math.ceil(pinned.notBeforeIn),
  )
  return runs.map((run, k) => {
    const first = run[0] as StepOutline
    const before = runs[k - 1]?.at(-1)
    const worked = run.reduce((sum, step) => sum + (fetched(step) ? fetchMinutes : part.pace * step.minutes), 0)
    const minutes = Math.max(1, Math.round(worked))
    const begun = k === 0 && inHandOf !== null
    const people = Math.min(first.people, around.hands ?? first.people)
    const left = k === 0 ? leftOfLimits(part) : null
    const mixes = run.some(({ phase }) => phase === 'mix')
    const shared = mixes && typeof around.bottle === 'object' ? [{ task: around.bottle.after, minMinutes: 0 }] : []
    return {
      stepIds: run.map((step) => step.id),
      lays: run.some(({ phase }) => phase === 'lay' || phase === 'place'),
      stretches: run.some((step) => step.stretches),
      mixes,
      task: {
        id: idOf(k),
        minutes,
        people,
        tools: first.heats ? [gun] : [],
        sameHands: around.sameHands ?? partId,
        ...(part.begunBy === null ? {} : { begunBy: [part.begunBy] }),
        after: [
          ...(before === undefined
            ? [{ task: around.comes, minMinutes: 0 }]
            : [withSlack(afterStep(before, idOf(k - 1), taskEndingWith), first, around.practice)]),
          ...limitsOf(first, taskEndingWith),
          ...shared,
        ].reduce(joined, []),
        ...(begun
          ? // Of two only one has it in hand.
            { ...(people === 1 ? { skill: atPart(partId) } : {}), notBefore: 0, notAfter: minutes }
          : pinned?.person != null && people === 1
            ? { skill: keptFor(partId) }
            : {}),
        ...(k === 0 && !begun && from > 0 ? { notBefore: from } : {}),
        ...(left === null ? {} : { notAfter: Math.max(minutes, Math.floor(left + minutes)) }),
      },
    }
  })
}

function runsOf({ steps, done }: PartToDo, mixesForOthers: boolean): StepOutline[][] {
  const clocked = new Set(
    steps
      .flatMap(({ wait, within = [] }) => [wait?.since, ...within.map(({ since }) => since)])
      .filter((id) => id !== undefined),
  )
  // Who mixes for others lets them begin as soon as that is done.
  const mixed = (step: StepOutline) => mixesForOthers && step.phase === 'mix'
  const runs: StepOutline[][] = []
  for (const step of steps.slice(done)) {
    const run = runs.at(-1)
    const last = run?.at(-1)
    const joins =
      last !== undefined &&
      last.wait === undefined &&
      !clocked.has(last.id) &&
      step.within === undefined &&
      last.people === step.people &&
      last.heats === step.heats &&
      !mixed(last)
    if (joins) run?.push(step)
    else runs.push([step])
  }
  return runs
}

/** A skill that only who stands at a part has; and one that only who is to do it has. */
export const atPart = (partId: string): string => `at ${partId}`
export const keptFor = (partId: string): string => `for ${partId}`

/** How many minutes are left of the greatest waits before what comes next at a part; below 0: over. Null where none runs. */
export function leftOfLimits({ steps, done, doneAgo }: PartToDo): number | null {
  const next = steps[done]
  const last = steps[done - 1]
  if (next === undefined) return null
  const limits = (next.within ?? []).flatMap(({ since, mostMinutes }) => {
    const ago = doneAgo[since]
    return ago === undefined ? [] : [mostMinutes - ago]
  })
  const ago = last === undefined ? undefined : doneAgo[last.id]
  const dries =
    last?.driesInMinutes === undefined || last.wait !== undefined || ago === undefined
      ? []
      : [last.driesInMinutes - ago]
  const all = [...limits, ...dries]
  return all.length === 0 ? null : Math.min(...all)
}

type TaskOf = (step: string) => string | null

/** What comes next after a step: after its wait, and before its film is dry. */
function afterStep(step: StepOutline, task: string, taskOf: TaskOf): TaskAfter {
  const { wait, driesInMinutes } = step
  const least = wait === undefined || (wait.since !== undefined && taskOf(wait.since) !== task) ? 0 : wait.leastMinutes
  return {
    task,
    minMinutes: least,
    ...(driesInMinutes === undefined || wait !== undefined ? {} : { maxMinutes: Math.max(1, driesInMinutes) }),
  }
}

/** A step for two is not set to the minute, where nothing dries meanwhile. */
function withSlack(after: TaskAfter, next: StepOutline, { dayPairSlack }: PartAround['practice']): TaskAfter {
  const may = next.people > 1 && (after.maxMinutes ?? Number.POSITIVE_INFINITY) >= 2 * dayPairSlack
  const dries = (next.within ?? []).some(({ mostMinutes }) => mostMinutes < 2 * dayPairSlack)
  return may && !dries ? { ...after, minMinutes: Math.max(after.minMinutes, dayPairSlack) } : after
}

function limitsOf(first: StepOutline, taskOf: TaskOf): TaskAfter[] {
  return (first.within ?? []).flatMap(({ since, mostMinutes }) => {
    const task = taskOf(since)
    return task === null ? [] : [{ task, minMinutes: 0, maxMinutes: mostMinutes }]
  })
}

/** Two waits after the same task are one: the longer least, the shorter greatest. A greatest one is never below the least. */
function joined(list: TaskAfter[], wait: TaskAfter): TaskAfter[] {
  const other = list.find(({ task }) => task === wait.task)
  if (other === undefined) return [...list, wait]
  const least = Math.max(other.minMinutes, wait.minMinutes)
  const mosts = [other.maxMinutes, wait.maxMinutes].filter((most) => most !== undefined)
  return list.map((one) =>
    one === other
      ? {
          task: wait.task,
          minMinutes: least,
          ...(mosts.length === 0 ? {} : { maxMinutes: Math.max(Math.ceil(least), Math.min(...mosts)) }),
        }
      : one,
  )
}

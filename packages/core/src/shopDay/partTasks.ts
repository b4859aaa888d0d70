import type { DayTask, TaskAfter } from '../order/index.ts'
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
  /** Real minutes over planned ones. */
  readonly pace: number
}

/** A task of the day with the steps that it joins. */
export interface PartTask {
  readonly task: DayTask
  readonly stepIds: readonly string[]
}

export const gun = 'heat gun'

/**
 * What is left of a part as tasks: neighbouring steps of the same hands and tools are one, up to a wait or to a step from which a clock counts.
 * The first one comes after `comes`.
 */
export function partTasks(part: PartToDo, comes: string): PartTask[] {
  const { partId, steps, done, readyIn, inHandOf } = part
  const clocked = new Set(
    steps
      .flatMap(({ wait, within = [] }) => [wait?.since, ...within.map(({ since }) => since)])
      .filter((id) => id !== undefined),
  )
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
      last.heats === step.heats
    if (joins) run?.push(step)
    else runs.push([step])
  }
  const idOf = (k: number) => `${partId} ${done + runs.slice(0, k).reduce((sum, run) => sum + run.length, 0)}`
  const taskEndingWith = (step: string) => {
    const k = runs.findIndex((run) => run.at(-1)?.id === step)
    return k < 0 ? null : idOf(k)
  }
  return runs.map((run, k) => {
    const first = run[0] as StepOutline
    const before = runs[k - 1]?.at(-1)
    const minutes = Math.max(1, Math.round(part.pace * run.reduce((sum, step) => sum + step.minutes, 0)))
    const begun = k === 0 && inHandOf !== null
    const ends = (first.within ?? []).flatMap(({ since, mostMinutes }) => {
      const ago = part.doneAgo[since]
      return ago === undefined ? [] : [mostMinutes - ago + minutes]
    })
    return {
      stepIds: run.map((step) => step.id),
      task: {
        id: idOf(k),
        minutes,
        people: first.people,
        tools: first.heats ? [gun] : [],
        after: [
          ...(before === undefined
            ? [{ task: comes, minMinutes: 0 }]
            : [afterStep(before, idOf(k - 1), taskEndingWith)]),
          ...limitsOf(first, taskEndingWith),
        ].reduce(joined, []),
        ...(begun ? { skill: atPart(partId), notBefore: 0, notAfter: minutes } : {}),
        ...(k === 0 && readyIn !== null ? { notBefore: Math.max(0, Math.ceil(readyIn)) } : {}),
        ...(ends.length === 0 ? {} : { notAfter: Math.max(minutes, Math.floor(Math.min(...ends))) }),
      },
    }
  })
}

/** A skill that only who stands at a part has: what is begun stays in the same hands. */
export const atPart = (partId: string): string => `at ${partId}`

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

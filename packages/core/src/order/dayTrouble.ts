import { type DayFailure, failure } from './dayFailures.ts'
import { say, type Sentence } from '../say/index.ts'
import type { Day, DayTask } from './day.ts'

/** What is wrong with a day as it was given; null where nothing is. */
export function dayTrouble(day: Day): DayFailure | null {
  for (const [what, ids] of [
    [say`task`, day.tasks.map(({ id }) => id)],
    [say`tool`, day.tools.map(({ id }) => id)],
    [say`person`, day.people.map(({ id }) => id)],
  ] as const) {
    const twice = ids.find((id, i) => ids.indexOf(id) !== i)
    if (twice !== undefined) return failure('DAY_TWICE', { what, id: twice })
  }
  const tasks = new Set(day.tasks.map(({ id }) => id))
  for (const task of day.tasks) {
    const trouble = taskTrouble(day, task, tasks)
    if (trouble !== null) return trouble
  }
  return holdTrouble(day, tasks) ?? breakTrouble(day)
}

const unknown = (what: Sentence, id: string, where: string) => failure('DAY_UNKNOWN', { what, id, where })

function taskTrouble({ people, tools }: Day, task: DayTask, tasks: ReadonlySet<string>): DayFailure | null {
  const { id, skill } = task
  if (task.people > people.length)
    return failure('DAY_TOO_FEW_PEOPLE', { task: id, wanted: task.people, there: people.length })
  if (skill !== undefined) {
    const able = people.filter(({ skills }) => skills?.includes(skill)).length
    if (able < task.people) return failure('DAY_NOBODY_CAN', { task: id, skill, wanted: task.people, there: able })
  }
  for (const tool of task.tools) {
    const there = tools.find((one) => one.id === tool)?.count
    if (there === undefined) return unknown(say`tool`, tool, id)
    const wanted = task.tools.filter((one) => one === tool).length
    if (wanted > there) return failure('DAY_TOO_FEW_TOOLS', { task: id, tool, wanted, there })
  }
  for (const { task: after, minMinutes, maxMinutes } of task.after) {
    if (!tasks.has(after)) return unknown(say`task`, after, id)
    if (maxMinutes !== undefined && Math.floor(maxMinutes) < Math.ceil(minMinutes))
      return failure('DAY_WAIT_CROSSED', { task: id, after, least: minMinutes, most: maxMinutes })
  }
  const { notBefore = 0, notAfter } = task
  return notAfter !== undefined && Math.floor(notAfter) - Math.ceil(notBefore) < task.minutes
    ? failure('DAY_TIMES_CROSSED', { what: id, from: notBefore, to: notAfter })
    : null
}

function holdTrouble({ holds = [], tools }: Day, tasks: ReadonlySet<string>): DayFailure | null {
  for (const { tool, from, to } of holds) {
    const there = tools.find(({ id }) => id === tool)?.count
    if (there === undefined) return unknown(say`tool`, tool, from)
    if (there === 0) return failure('DAY_TOO_FEW_TOOLS', { task: from, tool, wanted: 1, there })
    for (const id of [from, to]) if (!tasks.has(id)) return unknown(say`task`, id, tool)
  }
  return null
}

function breakTrouble({ breaks = [], people }: Day): DayFailure | null {
  for (const { people: own = [], from, to } of breaks) {
    const stranger = own.find((id) => !people.some((person) => person.id === id))
    if (stranger !== undefined) return unknown(say`person`, stranger, 'breaks')
    if (to <= from) return failure('DAY_TIMES_CROSSED', { what: 'breaks', from, to })
  }
  return null
}

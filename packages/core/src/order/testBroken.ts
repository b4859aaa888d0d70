import type { Day } from './day.ts'
import type { DayPlan } from './planDay.ts'

/** What a plan breaks of its day, counted minute by minute from the wording of the contract; for tests, so independent of the solver. */
export function broken(day: Day, plan: Pick<DayPlan, 'tasks' | 'makespanMinutes'>): string[] {
  const bad: string[] = []
  const by = new Map(plan.tasks.map((task) => [task.id, task]))
  const end = Math.max(0, ...plan.tasks.map(({ endMinute }) => endMinute))
  if (end !== plan.makespanMinutes) bad.push(`lasts ${end}, says ${plan.makespanMinutes}`)
  for (const task of day.tasks) {
    const at = by.get(task.id)
    if (at === undefined) {
      bad.push(`${task.id} is missing`)
      continue
    }
    if (at.startMinute < (task.notBefore ?? 0)) bad.push(`${task.id} begins too early`)
    if (at.endMinute > (task.notAfter ?? Number.POSITIVE_INFINITY)) bad.push(`${task.id} ends too late`)
    if (at.endMinute - at.startMinute !== task.minutes) bad.push(`${task.id} lasts otherwise`)
    if (new Set(at.people).size !== task.people || at.people.length !== task.people) bad.push(`${task.id}: hands`)
    for (const id of at.people) {
      const person = day.people.find((one) => one.id === id)
      if (person === undefined) bad.push(`${task.id}: ${id} is nobody`)
      if (task.skill !== undefined && person?.skills?.includes(task.skill) !== true)
        bad.push(`${task.id}: ${id} cannot`)
      for (const rest of day.breaks ?? [])
        if (
          task.minutes > 0 &&
          (rest.people?.includes(id) ?? true) &&
          at.startMinute < rest.to &&
          at.endMinute > rest.from
        )
          bad.push(`${task.id}: ${id} has a break`)
    }
    for (const { task: before, minMinutes, maxMinutes } of task.after) {
      const gap = at.startMinute - (by.get(before)?.endMinute ?? 0)
      if (gap < minMinutes || gap > (maxMinutes ?? Number.POSITIVE_INFINITY))
        bad.push(`${task.id}: ${gap} after ${before}`)
    }
  }
  for (let t = 0; t < end; t++) {
    const now = day.tasks.filter(({ id }) => (by.get(id)?.startMinute ?? 0) <= t && t < (by.get(id)?.endMinute ?? 0))
    for (const { id } of day.people)
      if (now.filter((task) => by.get(task.id)?.people.includes(id)).length > 1)
        bad.push(`${id} does two things at ${t}`)
    for (const { id, count } of day.tools) {
      const used = now.reduce((sum, { tools }) => sum + tools.filter((tool) => tool === id).length, 0)
      const held = (day.holds ?? []).filter(
        ({ tool, from, to }) =>
          tool === id && (by.get(from)?.startMinute ?? 0) <= t && t < (by.get(to)?.endMinute ?? 0),
      ).length
      if (used + held > count) bad.push(`${used + held} of ${id} at ${t}`)
    }
  }
  return bad
}

import { count, minutes, name, say, type Sentence } from '../say/index.ts'
import type { Day } from './day.ts'
import type { Net } from './net.ts'

/** Why a task does not start a minute earlier: a wait, hands, a tool, a break, its window, or a greatest wait of what follows. */
export function becauseOf(day: Day, net: Net, start: Int32Array): (task: number) => Sentence {
  const inUse = net.capacity.map(() => new Int16Array(0))
  const end = start.reduce((most, s, i) => Math.max(most, s + (net.minutes[i] ?? 0)), 0)
  net.capacity.forEach((_, r) => {
    const row = new Int16Array(end + 1)
    start.forEach((s, i) => {
      const amount = net.needs[i]?.find(({ of }) => of === r)?.amount ?? 0
      if (amount > 0) for (let t = s; t < s + (net.minutes[i] ?? 0); t++) row[t] = (row[t] ?? 0) + amount
    })
    for (const hold of net.holds)
      if (hold.of === r)
        for (let t = start[hold.from] ?? 0; t < (start[hold.to] ?? 0) + (net.minutes[hold.to] ?? 0); t++)
          row[t] = (row[t] ?? 0) + 1
    inUse[r] = row
  })
  const called = (i: number) => name(day.tasks[i]?.id ?? '')
  return (task) => {
    const at = start[task] ?? 0
    const { intoRows } = net
    for (let a = intoRows.first[task] ?? 0; a < (intoRows.first[task + 1] ?? 0); a++) {
      const other = intoRows.to[a] ?? 0
      const lag = intoRows.lag[a] ?? 0
      if ((start[other] ?? 0) + lag !== at) continue
      const worked = net.minutes[other] ?? 0
      if (lag < 0) {
        const most = day.tasks[other]?.after.find((wait) => wait.task === day.tasks[task]?.id)?.maxMinutes
        return most === undefined
          ? say`“${called(other)}” follows it`
          : say`held back so that “${called(other)}” follows within ${minutes(Math.floor(most))}`
      }
      return lag === worked
        ? say`“${called(other)}” has to be done first`
        : say`waits ${minutes(lag - worked)} after “${called(other)}”`
    }
    if (at === 0) return say`first thing`
    if ((net.early[task] ?? 0) === at) return say`not before minute ${count(at)}`
    const pause = day.breaks?.find(({ to }) => to === at)
    if (pause !== undefined) return say`after the break`
    for (const { of, amount } of net.needs[task] ?? []) {
      if (of === 0 && net.crew !== null) continue
      if ((inUse[of]?.[at - 1] ?? 0) + amount <= (net.capacity[of] ?? 0)) continue
      return of === 0 ? say`all hands were busy` : say`“${name(day.tools[of - 1]?.id ?? '')}” was in use`
    }
    const keeps = net.holds.find((hold) => hold.from === task)
    if (keeps !== undefined && (inUse[keeps.of]?.[at - 1] ?? 0) >= (net.capacity[keeps.of] ?? 0))
      return say`“${name(day.tools[keeps.of - 1]?.id ?? '')}” was taken`
    return net.crew === null ? say`so that what follows it fits` : say`nobody who can do it was free`
  }
}

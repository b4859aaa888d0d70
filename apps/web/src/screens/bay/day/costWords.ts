import type { DayPromise, Job } from '@truelay/contract'
import { name, say, type Sentence } from '@truelay/core/say'
import { minutesWords, whenWords } from '../../../ui/minutesWords.ts'
import { chanceWords, vehicleName } from './promiseWords.ts'

/** A smaller shift of a vehicle is none, minutes. */
const worthSaying = 5

/** What a change costs, vehicle by vehicle; empty where every vehicle is ready as it was. */
export function costWords(
  without: readonly DayPromise[],
  tried: readonly DayPromise[],
  jobs: readonly Job[],
  now: Date,
): Sentence[] {
  return tried.flatMap(({ jobId, readyAt, chance }) => {
    const job = jobs.find(({ id }) => id === jobId)
    const was = without.find((one) => one.jobId === jobId)
    if (job === undefined || was === undefined) return []
    const later = Math.round((new Date(readyAt).getTime() - new Date(was.readyAt).getTime()) / 60_000)
    const vehicle = vehicleName(job)
    if (Math.abs(later) < worthSaying) return []
    return [
      later > 0
        ? say`${vehicle} is ready ${minutesWords(later)} later, about ${name(whenWords(new Date(readyAt), now))}: its promise is ${chanceWords(chance)}.`
        : say`${vehicle} is ready ${minutesWords(-later)} earlier, about ${name(whenWords(new Date(readyAt), now))}.`,
    ]
  })
}

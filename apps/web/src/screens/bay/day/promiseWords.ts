import type { DayPlan, DayPromise, Job } from '@truelay/contract'
import { count, name, say, type Sentence } from '@truelay/core/say'
import { whenWords } from '../../../ui/minutesWords.ts'

/** By its plate where it has one: that stands on the board. */
export const vehicleName = ({ vehicle }: Job) => name(vehicle.plate === '' ? vehicle.model : vehicle.plate)

/** How often a promise is kept, in tenths of days: nobody reads a per cent off a day. */
export function chanceWords(chance: number): Sentence {
  const tenths = Math.round(10 * chance)
  if (tenths >= 10) return say`as good as sure`
  return tenths === 0 ? say`hardly to be kept` : say`kept on ${count(tenths)} of 10 days`
}

/** A promise that the plan does not keep. */
export function lateWords(job: Job, lateMinutes: number, now: Date): Sentence {
  const due = new Date(job.dueAt)
  const ready = new Date(due.getTime() + lateMinutes * 60_000)
  return say`${vehicleName(job)}: ready ${name(whenWords(ready, now))}, promised ${name(whenWords(due, now))}.`
}

/** Film lies so long before a vehicle may leave: it stays indoors for the film's sake, minutes. */
const staysFrom = 60

/** Why a vehicle stays although its last film lies: until then it may not go outside. Nothing where it leaves when it is done. */
export function staysWords({ works }: Pick<DayPlan, 'works'>, { id }: Job, now: Date): Sentence | null {
  const own = works.filter(({ jobId }) => jobId === id)
  const leaves = own.find((work) => work.id === `${id} leaves`)?.startAt
  const laid = own.flatMap(({ partId, stepIds, endAt }) => (partId === null || stepIds.length === 0 ? [] : [endAt]))
  const last = laid.sort().at(-1)
  if (leaves === undefined || last === undefined) return null
  const minutes = (new Date(leaves).getTime() - new Date(last).getTime()) / 60_000
  return minutes < staysFrom
    ? null
    : say`Laid by ${name(whenWords(new Date(last), now))}; it stays indoors for its film, and until the shop is open.`
}

/** When a vehicle is ready, and how often that is in time. */
export function promiseWords(job: Job, { readyAt, chance, sureAt }: DayPromise, now: Date): Sentence {
  const due = new Date(job.dueAt)
  const promised = name(whenWords(due, now))
  const sure = new Date(sureAt)
  return sure <= due
    ? say`${vehicleName(job)}: ${promised} is ${chanceWords(chance)}, ready about ${name(whenWords(new Date(readyAt), now))}.`
    : say`${vehicleName(job)}: ${promised} is ${chanceWords(chance)}; sure by ${name(whenWords(sure, now))}.`
}

/** Less often kept is a warning. */
export const isDoubtful = (chance: number): boolean => chance < 0.75

import { name, say } from '@truelay/core/say'
import { max } from 'drizzle-orm'
import { fitEventRows, writeRows } from './schema.ts'
import type { Database } from './openDatabase.ts'
import { StartTrouble } from './startTrouble.ts'

/** A clock may be put right by so much, or the machine taken to where it is another day. */
const mostBackMs = 2 * 24 * 3600 * 1000

/** What is written now has to come after what was written before: a clock that is far back would turn waits and records round. */
export async function refuseBackwardClock({ read }: Pick<Database, 'read'>, now: Date): Promise<void> {
  const [event] = await read.select({ at: max(fitEventRows.receivedAt) }).from(fitEventRows)
  const [write] = await read.select({ at: max(writeRows.at) }).from(writeRows)
  const last = [event?.at, write?.at]
    .flatMap((at) => at ?? [])
    .sort()
    .at(-1)
  if (last === undefined || new Date(last).getTime() - now.getTime() < mostBackMs) return
  throw new StartTrouble(
    say`The clock of this machine says ${name(now.toISOString().slice(0, 10))}, but the shop was last written to on ${name(last.slice(0, 10))}.`,
    say`Set the clock right and start again; nothing was changed.`,
  )
}

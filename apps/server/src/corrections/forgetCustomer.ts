import { type Forgotten, signOff } from '@truelay/contract'
import { counted, name, say } from '@truelay/core/say'
import { eq, inArray, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readStored, toStored } from '../database/stored.ts'
import { handOverRows, jobs, lightRows, parts } from '../jobs/table.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { writeRows } from '../writes/table.ts'

/** What stands in place of a name and a plate. */
export const forgotten = 'removed on request'

/**
 * Takes out of all jobs of a customer what tells who it was: name, plate, signature, and what was answered to tablets. What was done to the vehicle
 * stays: film, lots, steps, findings and their photos. It cannot be taken back.
 */
export const forgetCustomer = (database: Database, customer: string): Promise<Forgotten> =>
  database.write(async (db) => {
    const theirs = await db.select().from(jobs).where(eq(jobs.customer, customer))
    if (theirs.length === 0 || customer === forgotten)
      throw new NotFound(say`There is no job for "${name(customer)}".`, say`Choose a customer from the list of jobs.`)
    const open = theirs.filter((job) => job.closedAt === null && job.removedAt === null)
    if (open.length > 0)
      throw new Refused({
        code: 'JOB_OPEN',
        sentence: say`${counted(open.length, '# job for this customer is', '# jobs for this customer are')} not handed over yet.`,
        fix: say`Hand it over or remove it first; nothing was changed.`,
      })
    // Plans of the day name vehicles by their plates; the next one is made from what is left.
    await db.run(sql`delete from day_plans where id <> 'wishes'`)
    const ids = theirs.map(({ id }) => id)
    await db.update(jobs).set({ customer: forgotten, plate: forgotten }).where(inArray(jobs.id, ids))
    const told = new Set([customer, ...theirs.map(({ plate }) => plate)])
    for (const { id, signOff: signed } of theirs) {
      if (signed === null) continue
      const before = readStored('signOff', id, signed)
      told.add(before.name)
      const nameless = signOff.parse({ ...before, name: forgotten, strokes: [[0, 0, 1, 0]] })
      await db
        .update(jobs)
        .set({ signOff: toStored('signOff', nameless) })
        .where(eq(jobs.id, id))
    }
    for (const { jobId, document } of await db.select().from(handOverRows).where(inArray(handOverRows.jobId, ids))) {
      const before = readStored('handedOver', jobId, document)
      told.add(before.name)
      const nameless = { ...before, name: before.name === '' ? '' : forgotten, strokes: [] }
      await db
        .update(handOverRows)
        .set({ document: toStored('handedOver', nameless) })
        .where(eq(handOverRows.jobId, jobId))
    }
    const read = await db
      .select({ partId: lightRows.partId, document: lightRows.document })
      .from(lightRows)
      .innerJoin(parts, eq(parts.id, lightRows.partId))
      .where(inArray(parts.jobId, ids))
    for (const { partId, document } of read) {
      const before = readStored('lightAcknowledged', partId, document)
      told.add(before.name)
      await db
        .update(lightRows)
        .set({ document: toStored('lightAcknowledged', { ...before, name: forgotten }) })
        .where(eq(lightRows.partId, partId))
    }
    told.delete('')
    for (const words of told)
      await db
        .update(writeRows)
        .set({ answer: sql`'null'` })
        .where(sql`instr(${writeRows.answer}, ${JSON.stringify(words).slice(1, -1)}) > 0`)
    return { jobs: ids.length }
  })

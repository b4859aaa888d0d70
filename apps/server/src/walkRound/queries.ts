import {
  type Finding,
  type FindingDraft,
  type JobId,
  mostFindings,
  type SignOff,
  type SignOffDraft,
  type WalkRound,
} from '@truelay/contract'
import { count, name, say, type Sentence } from '@truelay/core/say'
import { and, asc, desc, eq, ne, inArray } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readProgress } from '../fit/queries.ts'
import { readJob, readParts, toJob } from '../jobs/queries.ts'
import { jobs } from '../jobs/table.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { findingRows } from './table.ts'
import { readEach, readEachStored, readStored, toStored } from '../database/stored.ts'

export const readFindings = async (database: Database, id: JobId): Promise<Finding[]> =>
  readEachStored(
    database,
    'finding',
    await database.read.select().from(findingRows).where(eq(findingRows.jobId, id)).orderBy(asc(findingRows.place)),
  )

/** The findings of some jobs. */
export const readFindingsOf = async (database: Database, ids: readonly JobId[]): Promise<Finding[]> =>
  readEachStored(
    database,
    'finding',
    await database.read
      .select()
      .from(findingRows)
      .where(inArray(findingRows.jobId, [...ids]))
      .orderBy(asc(findingRows.place)),
  )

export async function readSignOff({ read }: Database, id: JobId): Promise<SignOff | null> {
  const row = await read.query.jobs.findFirst({ where: eq(jobs.id, id), columns: { signOff: true } })
  return row?.signOff ? readStored('signOff', id, row.signOff) : null
}

/** The walk-round of a job, with what was found on the same vehicle before. */
export async function readWalkRound(database: Database, id: JobId): Promise<WalkRound> {
  const job = await readJob(database, id)
  const before = await database.read
    .select()
    .from(jobs)
    .where(and(eq(jobs.plate, job.vehicle.plate), ne(jobs.id, id)))
    .orderBy(desc(jobs.arrivedAt))
    .limit(20)
  const earlier = await Promise.all(
    readEach(database, before, toJob).map(async (visit) => {
      const [found, parts] = await Promise.all([readFindings(database, visit.id), readParts(database, visit.id)])
      const progress = await readProgress(
        database,
        parts.map((p) => p.id),
      )
      return {
        jobId: visit.id,
        number: visit.number,
        arrivedAt: visit.arrivedAt,
        findings: found,
        parts: parts.map((part) => ({
          partId: part.id,
          name: part.name,
          finished: progress(part.id).state === 'done',
        })),
      }
    }),
  )
  const [findings, signed] = await Promise.all([readFindings(database, id), readSignOff(database, id)])
  return { findings, signOff: signed, earlier }
}

/** Adds or changes a finding. What the customer has signed is locked; what comes after it is marked as found later. */
export const saveFinding = (database: Database, id: JobId, draft: FindingDraft): Promise<Finding> =>
  database.write(async (db) => {
    await readJob(database, id)
    const signed = await readSignOff(database, id)
    if (signed?.findingIds.includes(draft.id)) throw locked(say`changed`)
    const parts = await readParts(database, id)
    if (draft.partId !== null && !parts.some((p) => p.id === draft.partId))
      throw new NotFound(say`Part "${name(draft.partId)}" is not in this job.`, say`Choose a part of this vehicle.`)
    const [there] = await db.select({ jobId: findingRows.jobId }).from(findingRows).where(eq(findingRows.id, draft.id))
    if (there !== undefined && there.jobId !== id)
      throw new Refused({
        code: 'FINDING_ELSEWHERE',
        sentence: say`A finding of job "${name(there.jobId)}" has that id already.`,
        fix: say`Send it under an id of its own; nothing was changed.`,
      })
    if (there === undefined && (await db.$count(findingRows, eq(findingRows.jobId, id))) >= mostFindings)
      throw new Refused({
        code: 'FINDINGS_FULL',
        sentence: say`This job has ${count(mostFindings)} findings, and no more are taken.`,
        fix: say`Say in a note of one of them what else there is; nothing was changed.`,
      })
    const whole: Finding = { ...draft, jobId: id, later: signed !== null }
    const document = toStored('finding', whole)
    await db
      .insert(findingRows)
      .values({ id: whole.id, jobId: id, document })
      .onConflictDoUpdate({ target: findingRows.id, set: { document } })
    return whole
  })

export const removeFinding = (database: Database, id: JobId, findingId: string): Promise<void> =>
  database.write(async (db) => {
    const signed = await readSignOff(database, id)
    if (signed?.findingIds.includes(findingId)) throw locked(say`removed`)
    await db.delete(findingRows).where(and(eq(findingRows.id, findingId), eq(findingRows.jobId, id)))
  })

/** The customer signs what was found so far. */
export const saveSignOff = (database: Database, id: JobId, draft: SignOffDraft, now: Date): Promise<SignOff> =>
  database.write(async (db) => {
    await readJob(database, id)
    if ((await readSignOff(database, id)) !== null)
      throw new Refused({
        code: 'SIGNED_ALREADY',
        sentence: say`The findings of this job are signed already.`,
        fix: say`Add what was found since as "found later".`,
      })
    const found = await readFindings(database, id)
    const signed: SignOff = { ...draft, signedAt: now.toISOString(), findingIds: found.map((f) => f.id) }
    await db
      .update(jobs)
      .set({ signOff: toStored('signOff', signed) })
      .where(eq(jobs.id, id))
    return signed
  })

const locked = (what: Sentence) =>
  new Refused({
    code: 'FINDING_SIGNED',
    sentence: say`The customer has signed this finding, so it cannot be ${what}.`,
    fix: say`Add a new finding instead; it is marked as found later.`,
  })

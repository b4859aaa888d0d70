import { type JobList, type JobSearch, type JobState, jobSearch, jobsOnPage } from '@truelay/contract'
import { and, count, desc, eq, exists, inArray, isNotNull, isNull, like, or, type SQL, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEach } from '../database/stored.ts'
import { fitProgressRows } from '../fit/table.ts'
import { isOpen, toJob } from '../jobs/queries.ts'
import { jobs, parts } from '../jobs/table.ts'
import { arrivals } from '../kitCheck/table.ts'
import { pieces } from '../shelf/table.ts'
import { readPeople } from '../shop/people.ts'

const inState: Readonly<Record<JobState, SQL | undefined>> = {
  open: isOpen,
  closed: and(isNotNull(jobs.closedAt), isNull(jobs.removedAt)),
  removed: isNotNull(jobs.removedAt),
  all: isNull(jobs.removedAt),
}

/** A page of the jobs that are looked for, the latest to arrive first. */
export async function readJobList(database: Database, search: JobSearch): Promise<JobList> {
  const { text, state, page, plate, customer } = jobSearch.parse(search)
  const { read } = database
  const wanted = and(
    inState[state],
    plate === undefined ? undefined : eq(jobs.plate, plate),
    customer === undefined ? undefined : eq(jobs.customer, customer),
    ...text
      .split(/\s+/)
      .filter((word) => word !== '')
      .map((word) => found(database, word)),
  )
  const [{ total } = { total: 0 }] = await read.select({ total: count() }).from(jobs).where(wanted)
  const rows = await read
    .select()
    .from(jobs)
    .where(wanted)
    .orderBy(desc(jobs.arrivedAt), desc(jobs.number))
    .limit(jobsOnPage)
    .offset((page - 1) * jobsOnPage)
  const [counted, people] = await Promise.all([
    countParts(
      database,
      rows.map(({ id }) => id),
    ),
    readPeople(database),
  ])
  const nameOf = new Map<string, string>(people.map((p) => [p.id, p.name]))
  return {
    jobs: readEach(database, rows, toJob).map((job) => ({
      job,
      person: nameOf.get(job.personId) ?? '',
      ...(counted.get(job.id) ?? { parts: 0, done: 0 }),
    })),
    page,
    pages: Math.max(1, Math.ceil(total / jobsOnPage)),
    total,
  }
}

/** Where one word is looked for; what stands for any letter in a pattern stands for itself. */
function found({ read }: Database, word: string): SQL | undefined {
  const anywhere = `%${word.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`
  const inColumn = (column: SQL | typeof jobs.plate) => sql`${column} like ${anywhere} escape '\\'`
  const lot = read
    .select({ one: sql`1` })
    .from(parts)
    .innerJoin(pieces, eq(pieces.id, parts.pieceId))
    .where(and(eq(parts.jobId, jobs.id), inColumn(sql`json_extract(${pieces.document}, '$.doc.lot')`)))
  const lotThatCame = read
    .select({ one: sql`1` })
    .from(arrivals)
    .where(and(eq(arrivals.jobId, jobs.id), inColumn(sql`json_extract(${arrivals.document}, '$.doc.lot')`)))
  const columns = [jobs.plate, jobs.customer, jobs.vehicleModel, jobs.number, jobs.colour, jobs.bay]
  return or(
    ...columns.map((column) => inColumn(sql`${column}`)),
    // A day, as "2030-05-01"; and a month, as "2030-05".
    ...(/^\d{4}-\d{2}/.test(word) ? [like(jobs.arrivedAt, `${word}%`), like(jobs.dueAt, `${word}%`)] : []),
    exists(lot),
    exists(lotThatCame),
  )
}

async function countParts(
  { read }: Database,
  ids: readonly string[],
): Promise<Map<string, { readonly parts: number; readonly done: number }>> {
  const rows = await read
    .select({
      jobId: parts.jobId,
      parts: count(),
      done: sql<number>`sum(case when json_valid(${fitProgressRows.document}) and json_extract(${fitProgressRows.document}, '$.doc.state') = 'done' then 1 else 0 end)`,
    })
    .from(parts)
    .leftJoin(fitProgressRows, eq(fitProgressRows.partId, parts.id))
    .where(and(inArray(parts.jobId, [...ids]), isNull(parts.droppedAt)))
    .groupBy(parts.jobId)
  return new Map(rows.map(({ jobId, ...counted }) => [jobId, { ...counted, done: counted.done ?? 0 }]))
}

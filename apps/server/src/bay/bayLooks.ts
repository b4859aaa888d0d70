import type { Bay } from '@truelay/contract'
import { and, asc, type Column, eq, getTableColumns, isNull, type SQL, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEach, readEachStored, type StoredFault, storedFromText } from '../database/stored.ts'
import { notBegunProgress, progressOfPart } from '../fit/progressOf.ts'
import { fitProgressRows } from '../fit/table.ts'
import { isOpen, type PartHeadRow, toJob, toPartHead } from '../jobs/queries.ts'
import { jobs, parts } from '../jobs/table.ts'

type JobInBay = Bay['jobs'][number]

const jsonOf = (columns: Readonly<Record<string, Column>>): SQL<string> => {
  const members = Object.entries(columns).map(([name, column]) => sql`${sql.raw(`'${name}'`)}, ${column}`)
  return sql`json_object(${sql.join(members, sql`, `)})`
}

/**
 * Each open job with all that the bay shows of it, as one text from the database, the one that is due first on top. Where the text is the
 * same, what is shown is the same.
 */
export async function readBayLooks({ read }: Pick<Database, 'read'>): Promise<string[]> {
  const { signOff, sets, ...job } = getTableColumns(jobs)
  const { id, jobId, name, filmId, formId, formVersion, place } = parts
  const part = jsonOf({ id, jobId, name, filmId, formId, formVersion, place, progress: fitProgressRows.document })
  const rows = await read
    .select({
      look: sql<string>`json_object('job', ${jsonOf(job)}, 'parts', json_group_array(${part}) filter (where ${id} is not null))`,
    })
    .from(jobs)
    .leftJoin(parts, and(eq(parts.jobId, jobs.id), isNull(parts.droppedAt)))
    .leftJoin(fitProgressRows, eq(fitProgressRows.partId, parts.id))
    .where(isOpen)
    .groupBy(jobs.id)
    .orderBy(asc(jobs.dueAt))
  return rows.map(({ look }) => look)
}

interface Look {
  readonly job: typeof jobs.$inferSelect
  readonly parts: readonly (PartHeadRow & { readonly place: number; readonly progress: string | null })[]
}

/** What a look says. What of it cannot be read is reported and left out: all of it where that is the job itself. */
export function jobOfLook(
  look: string,
  nameOfFilm: (id: string) => string,
  reporter: { readonly report: (fault: StoredFault) => void },
): JobInBay[] {
  const seen = JSON.parse(look) as Look
  const progressOf = ({ id, progress }: Look['parts'][number]) =>
    (progress === null ? [] : readEachStored(reporter, 'fitProgress', [{ id, document: storedFromText(progress) }]))[0]
  return readEach(reporter, [seen.job], toJob).map((job) => ({
    job,
    parts: [...seen.parts]
      .sort((a, b) => a.place - b.place)
      .flatMap(({ place, progress, ...row }) =>
        readEach(reporter, [row], toPartHead).map((head) =>
          progressOfPart(head, nameOfFilm(head.filmId), progressOf({ ...row, place, progress }) ?? notBegunProgress),
        ),
      ),
  }))
}

import { isDeepStrictEqual } from 'node:util'
import type { ExerciseRun } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { desc, eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'
import { Refused } from '../reply/reply.ts'
import { exerciseRows } from './table.ts'

/** So many are told: a shop of five that practises every day for a year. */
const latest = 2000

/** What was practised last, in order of time. */
export async function readExercises(database: Database): Promise<ExerciseRun[]> {
  const rows = await database.read.select().from(exerciseRows).orderBy(desc(exerciseRows.place)).limit(latest)
  // Of one moment in the order in which they came.
  return readEachStored(database, 'exerciseRun', rows.reverse()).sort((a, b) => a.at.localeCompare(b.at))
}

/** Adds one; sent twice, it stands once. */
export async function addExercise(database: Database, run: ExerciseRun): Promise<ExerciseRun> {
  await database.write(async (db) => {
    const [there] = await db.select().from(exerciseRows).where(eq(exerciseRows.id, run.id))
    if (there === undefined)
      await db.insert(exerciseRows).values({ id: run.id, document: toStored('exerciseRun', run) })
    else if (!isDeepStrictEqual(readStored('exerciseRun', there.id, there.document), run))
      throw new Refused({
        code: 'EXERCISE_ID_TAKEN',
        sentence: say`Something else was practised under that id.`,
        fix: say`Send it under an id of its own; nothing was changed.`,
      })
  })
  return run
}

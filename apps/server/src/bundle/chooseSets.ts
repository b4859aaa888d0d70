import { type JobId, type PartSet, rulesOfKits, setMembers } from '@truelay/contract'
import { setsProblem } from '@truelay/core/pieces'
import { say } from '@truelay/core/say'
import type { Database } from '../database/openDatabase.ts'
import { saveSets } from '../jobs/queries.ts'
import { Refused } from '../reply/reply.ts'
import { readBundle } from './readBundle.ts'

/** Parts that are to be fitted together, kept if they can be: each in one set, in the order that their kits ask for. */
export async function chooseSets(database: Database, id: JobId, sets: readonly PartSet[]): Promise<PartSet[]> {
  const bundle = await readBundle(database, id)
  const problem = setsProblem(sets, setMembers(bundle), rulesOfKits(bundle))
  if (problem !== null)
    throw new Refused({
      code: 'SET_NOT_POSSIBLE',
      sentence: problem,
      fix: say`Put the parts together otherwise; nothing was changed.`,
    })
  return saveSets(database, id, sets)
}

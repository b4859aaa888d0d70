import {
  type HandedOver,
  type HandOverDraft,
  type JobId,
  type LightAcknowledged,
  type PartId,
  worksHere,
} from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { closeJob } from '../corrections/correctJob.ts'
import type { Database } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { readJob, readPart } from '../jobs/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { readPeople } from '../shop/people.ts'
import { handOverRows, lightRows } from '../jobs/table.ts'

/** The vehicle goes out: who took it is kept, and the job is closed in the same moment. */
export const handOverJob = (database: Database, id: JobId, draft: HandOverDraft, now: Date): Promise<HandedOver> =>
  database.write(async (db, within) => {
    if ((await readJob(within, id)).closedAt !== null)
      throw new Refused({
        code: 'HANDED_OVER_ALREADY',
        sentence: say`This job is handed over already.`,
        fix: say`Open it again first, if the vehicle is back; nothing was changed.`,
      })
    const who = (await readPeople(within)).find((person) => person.id === draft.personId)
    if (who === undefined || !worksHere(who))
      throw new NotFound(say`Nobody here is called "${name(draft.personId)}".`, say`Choose a person of the shop.`)
    await closeJob(within, id, now.toISOString())
    const handed: HandedOver = { ...draft, at: now.toISOString() }
    const document = toStored('handedOver', handed)
    await db
      .insert(handOverRows)
      .values({ jobId: id, document })
      .onConflictDoUpdate({ target: handOverRows.jobId, set: { document } })
    return handed
  })

/** Somebody has read what is left of a lamp's light. */
export const acknowledgeLight = (
  database: Database,
  id: PartId,
  draft: Pick<LightAcknowledged, 'name' | 'says'>,
  now: Date,
): Promise<LightAcknowledged> =>
  database.write(async (db, within) => {
    await readPart(within, id)
    const read: LightAcknowledged = { ...draft, at: now.toISOString() }
    const document = toStored('lightAcknowledged', read)
    await db
      .insert(lightRows)
      .values({ partId: id, document })
      .onConflictDoUpdate({ target: lightRows.partId, set: { document } })
    return read
  })

import { type AskedPromise, type Job, type JobBundle, jobId } from '@truelay/contract'
import { bundleOf } from '../bundle/readBundle.ts'
import type { Database } from '../database/openDatabase.ts'
import { usualRoom } from '../jobs/addJob.ts'
import { toPart } from '../jobs/queries.ts'
import { rowOfPart } from '../jobs/rowOfPart.ts'
import { readModel } from '../models/queries.ts'

const draft = jobId.parse('draft')
/** Nothing has been promised yet: so far away that nothing hurries. */
const daysOff = 7

/** A vehicle that is only asked about, as it would be taken in; it is kept nowhere. */
export async function draftBundle(database: Database, asked: AskedPromise): Promise<JobBundle> {
  const model = await readModel(database, asked.modelId)
  const rows = await Promise.all(
    asked.parts.map((wish, place) => rowOfPart(database, { job: draft, place, wish, model })),
  )
  const job: Job = {
    id: draft,
    number: draft,
    customer: '',
    vehicle: { modelId: model.id, model: model.name, kind: model.kind, year: null, colour: '', plate: '' },
    bay: asked.bay,
    personId: asked.personId,
    room: usualRoom,
    arrivedAt: asked.arrivesAt,
    dueAt: new Date(new Date(asked.arrivesAt).getTime() + daysOff * 24 * 60 * 60_000).toISOString(),
    closedAt: null,
    removedAt: null,
  }
  const parts = rows.map((row) =>
    toPart({ layOrder: null, choices: null, droppedAt: null, visitOf: null, within: null, ...row } as never),
  )
  return bundleOf(database, { job, parts, sets: [] })
}

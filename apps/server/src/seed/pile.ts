import type { FitEvent, PartId } from '@truelay/contract'
import { keepFit, replayFit, taughtBy } from '@truelay/contract'
import { fitTaught } from '@truelay/contract'
import type { Tables } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { progressOf } from '../fit/progressOf.ts'
import { fitEventRows, fitProgressRows } from '../fit/table.ts'
import { jobs, parts } from '../jobs/table.ts'
import { batchOfEvent } from '../liquids/followFit.ts'
import { batchRows } from '../liquids/table.ts'
import { findingRows } from '../walkRound/table.ts'

/** Rows of one statement: SQLite takes some thirty thousand values. */
const rowsAtOnce = 400

type Table = Parameters<Tables['insert']>[0]

/** Rows that are written many at a time, in the order of their tables. */
export class Pile {
  private readonly piles = new Map<Table, object[]>()

  constructor(private readonly db: Tables) {}

  async put<T extends Table>(table: T, row: T extends { $inferInsert: infer R } ? R : never) {
    const pile = this.piles.get(table) ?? []
    pile.push(row as object)
    this.piles.set(table, pile)
    if (pile.length >= rowsAtOnce) await this.end()
  }

  /** Writes all of it; what others refer to first. */
  async end(): Promise<void> {
    for (const table of [jobs, parts, fitEventRows, fitProgressRows, batchRows, findingRows]) {
      const pile = this.piles.get(table)
      if (pile === undefined || pile.length === 0) continue
      await this.db.insert(table).values(pile as never)
      this.piles.delete(table)
    }
  }
}

/** A fit as it would stand there had it been logged: its events, how far it has come, what it teaches, the bottles that it mixed. */
export async function putFit(pile: Pile, partId: PartId, log: readonly FitEvent[], open: boolean): Promise<void> {
  for (const event of log) {
    await pile.put(fitEventRows, {
      id: event.id,
      partId,
      kind: event.kind,
      at: event.at,
      retired: false,
      document: toStored('fitEvent', event),
      receivedAt: event.at,
    })
    if (event.kind !== 'batchMixed') continue
    const mixed = batchOfEvent(event)
    const note = { at: event.at, personId: event.personId, what: 'emptied' as const, says: event.says, leftMl: 0 }
    const bottle = open ? mixed : { ...mixed, leftMl: 0, emptiedAt: event.at, history: [...mixed.history, note] }
    await pile.put(batchRows, { id: bottle.id, mixedAt: bottle.mixedAt, document: toStored('batch', bottle) })
  }
  const state = replayFit(log)
  const [begin] = log
  if (state.phase === 'not begun' || begin === undefined) return
  await pile.put(fitProgressRows, {
    partId,
    document: toStored('fitProgress', progressOf(state)),
    state: toStored('fitState', keepFit(state, begin.id)),
    taught: state.phase === 'finished' ? toStored('fitTaught', fitTaught.parse(taughtBy(state))) : null,
  })
}

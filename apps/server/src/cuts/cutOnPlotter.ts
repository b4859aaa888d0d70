import type { CutDone } from '@truelay/contract'
import { nothing, say } from '@truelay/core/say'
import type { Database } from '../database/openDatabase.ts'
import { endCut, readCut, takeFile } from './queries.ts'
import { sendToPlotter } from './sendToPlotter.ts'

/** Cuts that are on their way now: asked for again, the same is waited for. */
const underWay = new Map<string, Promise<CutDone>>()

/**
 * Sends a cut to the plotter, once: film that is cut twice is lost. One that was taken over and has no end was under way when a server ended;
 * whether it was cut only the plotter knows.
 */
export function cutOnPlotter(database: Database, id: string, now: () => Date): Promise<CutDone> {
  const running = underWay.get(id)
  if (running !== undefined) return running
  const cutting = cutOnce(database, id, now).finally(() => underWay.delete(id))
  underWay.set(id, cutting)
  return cutting
}

async function cutOnce(database: Database, id: string, now: () => Date): Promise<CutDone> {
  const { file: _, ...cut } = await readCut(database, id)
  if (cut.state !== 'sending') return cut
  const file = await takeFile(database, id)
  if (file === null)
    return endCut(
      database,
      id,
      {
        state: 'not known',
        says: say`The server ended while this was being sent: look at the plotter whether it was cut.`,
      },
      now(),
    )
  const plotted = await sendToPlotter(database, file)
  return endCut(
    database,
    id,
    plotted.taken ? { state: 'cut', says: nothing } : { state: 'refused', says: plotted.says },
    now(),
  )
}

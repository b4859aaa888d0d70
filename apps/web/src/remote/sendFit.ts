import type { FitEvent, FitLog, FitReceipt, PartId } from '@truelay/contract'
import { api } from './api.ts'
import { fitApi } from './fitApi.ts'
import { failureOf } from './failureOf.ts'
import type { Sent } from './outbox.ts'

type AnyDispatch = (action: never) => unknown

/** Sends events of a part, and puts into the log that is shown what the server has taken of them. */
export const sendFit =
  (dispatch: AnyDispatch) =>
  async (partId: PartId, events: readonly FitEvent[]): Promise<Sent> => {
    const run = dispatch as unknown as (action: unknown) => Promise<{ data?: FitReceipt; error?: unknown }>
    const { data: receipt, error } = await run(fitApi.endpoints.sendFitEvents.initiate({ partId, events }))
    if (receipt === undefined)
      return isRefusal(error) ? { kind: 'refused', says: failureOf(error).sentence } : { kind: 'away' }
    const late = new Set(receipt.tooLate.map((l) => l.id))
    void run(
      fitApi.util.updateQueryData('fit', partId, (log: FitLog): FitLog => {
        const known = new Set(log.events.map((e) => e.id))
        return { ...log, events: [...log.events, ...events.filter((e) => !known.has(e.id) && !late.has(e.id))] }
      }),
    )
    if (events.some((event) => event.kind === 'waitAnswered')) void run(api.util.invalidateTags(['Learned']))
    // The fit has gone on elsewhere: what this tablet shows of it is old.
    if (late.size > 0) void run(api.util.invalidateTags([{ type: 'Fit', id: partId }]))
    return { kind: 'answered', receipt }
  }

/** No room on the server's disk: it says so, and takes it once there is. */
const noRoom = 507

/** Nobody is signed in here: what was done waits until somebody is. */
const nobodyKnown = 401

/** The server understood and said no: sending it again at once would change nothing. */
const isRefusal = (error: unknown) => {
  const status = (error as { status?: unknown }).status
  return typeof status === 'number' && status !== nobodyKnown && ((status >= 400 && status < 500) || status === noRoom)
}

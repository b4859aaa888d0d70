import type { FitEvent, FitLog, PartId } from '@truelay/contract'
import type { Dispatch, UnknownAction } from '@reduxjs/toolkit'
import { api } from './api.ts'
import { failureOf } from './failureOf.ts'
import { eventsHappened, eventsConfirmed, eventsFound, eventsRefused, type Outbox, serverAway } from './outboxSlice.ts'
import { forgetEvents, keepEvents, keptEvents } from './outboxStore.ts'
import type { Sentence } from '@truelay/core/say'

const retryMs = 3000

interface OutboxStore {
  readonly dispatch: Dispatch<UnknownAction> & ((thunk: never) => unknown)
  readonly getState: () => { readonly outbox: Outbox }
}

/**
 * Carries fit events to the server: kept on the tablet first, then sent in their order, one part at a time, again and
 * again until the server confirms. Sent twice is stored once, since each event has its own id.
 */
export function startOutbox(store: OutboxStore) {
  let sending = false
  let comesBack = false

  const later = () => {
    if (comesBack) return
    comesBack = true
    setTimeout(() => {
      comesBack = false
      void send()
    }, retryMs)
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    try {
      for (
        let first = store.getState().outbox.waiting[0];
        first !== undefined;
        first = store.getState().outbox.waiting[0]
      ) {
        const { partId } = first
        const run = leadingRun(store.getState().outbox.waiting, partId)
        const outcome = await sendRun(partId, run)
        if (outcome === 'sent') continue
        store.dispatch(outcome === 'away' ? serverAway() : eventsRefused(outcome.refusal))
        later()
        return
      }
    } finally {
      sending = false
    }
  }

  async function sendRun(
    partId: PartId,
    events: readonly FitEvent[],
  ): Promise<'sent' | 'away' | { refusal: Sentence }> {
    const dispatch = store.dispatch as unknown as (action: unknown) => Promise<{ error?: unknown }>
    const answer = await dispatch(api.endpoints.sendFitEvents.initiate({ partId, events }))
    if (answer.error !== undefined)
      return isRefusal(answer.error) ? { refusal: failureOf(answer.error).sentence } : 'away'
    const ids = events.map((e) => e.id)
    await forgetEvents(new Set(ids)).catch(() => undefined)
    void dispatch(
      api.util.updateQueryData('fit', partId, (log: FitLog): FitLog => {
        const known = new Set(log.events.map((e) => e.id))
        return { ...log, events: [...log.events, ...events.filter((e) => !known.has(e.id))] }
      }),
    )
    if (events.some((event) => event.kind === 'waitAnswered')) store.dispatch(api.util.invalidateTags(['Learned']))
    store.dispatch(eventsConfirmed(ids))
    return 'sent'
  }

  // A tablet that keeps nothing has kept nothing.
  void keptEvents()
    .catch(() => [])
    .then((events) => {
      store.dispatch(eventsFound(events))
      void send()
    })
  window.addEventListener('online', () => void send())

  return {
    /**
     * Something happened in a fit. It is kept on this tablet before anything shows it as done, so that what the
     * installer has seen survives a closed browser; it goes to the server as soon as that can be reached.
     */
    async add(events: readonly FitEvent[]): Promise<void> {
      // Without a store on this tablet the events still go to the server.
      await keepEvents(events).catch(() => undefined)
      store.dispatch(eventsHappened(events))
      void send()
    },
  }
}

/** The server understood and said no: sending it again at once would change nothing. */
const isRefusal = (error: unknown) => {
  const status = (error as { status?: unknown }).status
  return typeof status === 'number' && status >= 400 && status < 500
}

const leadingRun = (events: readonly FitEvent[], partId: PartId) => {
  const end = events.findIndex((e) => e.partId !== partId)
  return (end < 0 ? events : events.slice(0, end)).slice(0, 100)
}

import type { FitEvent, FitReceipt, PartId } from '@truelay/contract'
import type { Dispatch, UnknownAction } from '@reduxjs/toolkit'
import type { Sentence } from '@truelay/core/say'
import {
  asidePutAway,
  eventsConfirmed,
  eventsFound,
  eventsHappened,
  type Outbox,
  partRefused,
  serverAway,
  setAside,
} from './outboxSlice.ts'
import { onceAtATime } from './onceAtATime.ts'
import type { SetAside, TabletStore } from './outboxStore.ts'

const usualRetryMs = 3000
const mostAtOnce = 100

/** What came of sending: the server has understood, it will not take it, or it does not answer. */
export type Sent =
  | { readonly kind: 'answered'; readonly receipt: FitReceipt }
  | { readonly kind: 'refused'; readonly says: Sentence }
  | { readonly kind: 'away' }

export interface OutboxParts {
  readonly store: {
    readonly dispatch: Dispatch<UnknownAction>
    readonly getState: () => { readonly outbox: Outbox }
  }
  readonly tablet: TabletStore
  readonly send: (partId: PartId, events: readonly FitEvent[]) => Promise<Sent>
  /** How long to wait until a server that does not answer, or takes something not, is tried again. */
  readonly retryMs?: number
}

/**
 * Carries fit events to the server: kept on the tablet first, then sent in their order, each part by itself, again and again until the server
 * has answered. Sent twice is stored once, since each event has its own id. What comes too late there is set aside with the reason.
 */
export function startOutbox({ store, tablet, send, retryMs = usualRetryMs }: OutboxParts) {
  const waiting = () => store.getState().outbox.waiting

  const sending = onceAtATime(sendAll, retryMs)

  async function sendAll(): Promise<void> {
    const held = new Set<PartId>()
    const next = () => waiting().find((e) => !held.has(e.partId))
    for (let first = next(); first !== undefined; first = next()) {
      const { partId } = first
      const run = waiting()
        .filter((e) => e.partId === partId)
        .slice(0, mostAtOnce)
      const sent = await send(partId, run)
      if (sent.kind === 'away') {
        store.dispatch(serverAway())
        sending.later()
        return
      }
      if (sent.kind === 'answered') await settle(partId, run, sent.receipt)
      else {
        held.add(partId)
        store.dispatch(partRefused({ partId, says: sent.says }))
      }
    }
    if (held.size > 0) sending.later()
  }

  async function settle(partId: PartId, run: readonly FitEvent[], { tooLate }: FitReceipt): Promise<void> {
    const late = new Map(tooLate.map((l) => [l.id, l.says]))
    const items = run.flatMap((event): SetAside[] => {
      const says = late.get(event.id)
      return says === undefined ? [] : [{ key: event.id, says, event, seen: false }]
    })
    const ids = run.filter((e) => !late.has(e.id)).map((e) => e.id)
    // A tablet that keeps nothing has kept nothing.
    if (items.length > 0) await tablet.setAside(items).catch(() => undefined)
    await tablet.confirm(new Set(ids), new Date()).catch(() => undefined)
    if (items.length > 0) store.dispatch(setAside(items))
    store.dispatch(eventsConfirmed({ partId, ids }))
  }

  void tablet
    .kept()
    .catch(() => [])
    .then(async (events) => {
      store.dispatch(eventsFound(events))
      store.dispatch(setAside(await tablet.aside().catch(() => [])))
      void sending.now()
    })
  return {
    /** The server may answer again. */
    sendNow: () => void sending.now(),
    /**
     * Something happened in a fit. It is kept on this tablet before anything shows it as done, so that what the
     * installer has seen survives a closed browser; it goes to the server as soon as that can be reached.
     */
    async add(events: readonly FitEvent[]): Promise<void> {
      // Without a store on this tablet the events still go to the server.
      await tablet.keep(events).catch(() => undefined)
      store.dispatch(eventsHappened(events))
      void sending.now()
    },
    /** What waits of a part and is not taken is set aside, so that what comes after it can go. */
    async giveUp(partId: PartId): Promise<void> {
      const { waiting, refusals } = store.getState().outbox
      const says = refusals[partId]
      if (says === undefined) return
      const items = waiting
        .filter((e) => e.partId === partId)
        .map((event) => ({ key: event.id, says, event, seen: true }))
      await tablet.setAside(items).catch(() => undefined)
      store.dispatch(setAside(items))
    },
    /** Somebody has read why it does not count; it stays here. */
    async seen(items: readonly SetAside[]): Promise<void> {
      const read = items.map((item) => ({ ...item, seen: true }))
      await tablet.setAside(read).catch(() => undefined)
      store.dispatch(setAside(read))
    },
    /** What was set aside is not needed any more. */
    async putAway(keys: readonly string[]): Promise<void> {
      await tablet.putAway(keys).catch(() => undefined)
      store.dispatch(asidePutAway(keys))
    },
  }
}

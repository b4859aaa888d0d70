import type { FitEvent } from '@truelay/contract'
import type { Dispatch, UnknownAction } from '@reduxjs/toolkit'
import { unknownFound } from './outboxSlice.ts'
import type { TabletStore } from './outboxStore.ts'

/** So long a tablet keeps what the server has confirmed. */
const keptDays = 7
const dayMs = 24 * 3600 * 1000

interface AfterRestoreParts {
  readonly dispatch: Dispatch<UnknownAction>
  readonly tablet: TabletStore
  /** Which of some events the server does not know; null where it does not answer. */
  readonly missing: (ids: readonly string[]) => Promise<ReadonlySet<string> | null>
  readonly send: (events: readonly FitEvent[]) => Promise<void>
  readonly now?: () => number
}

/** Notices that the server was set back to an older state, and offers to send what it does not know any more. */
export function watchLife({ dispatch, tablet, missing, send, now = Date.now }: AfterRestoreParts) {
  let current: string | null = null
  let offered: readonly FitEvent[] = []

  async function settled() {
    offered = []
    dispatch(unknownFound([]))
    if (current !== null) await tablet.keepLife(current).catch(() => undefined)
  }
  return {
    /** The server says under which life its data stands. */
    async hears(life: string): Promise<void> {
      current = life
      const before = await tablet.life().catch(() => life)
      if (before === life) return
      const sent = before === null ? [] : await tablet.sentSince(new Date(now() - keptDays * dayMs)).catch(() => [])
      const gone = sent.length === 0 ? new Set<string>() : await missing(sent.map((e) => e.id))
      // Without an answer the tablet asks again at the next connection.
      if (gone === null) return
      offered = sent.filter((e) => gone.has(e.id))
      if (offered.length === 0) await settled()
      else dispatch(unknownFound(offered))
    },
    /** Sends them again, in their order. */
    async sendAgain(): Promise<void> {
      const events = offered
      await settled()
      await send(events)
    },
    /** They are not wanted: the older state is the right one. */
    leaveThem: settled,
  }
}

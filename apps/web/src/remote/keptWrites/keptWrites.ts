import type { Dispatch, UnknownAction } from '@reduxjs/toolkit'
import { api, tagTypes } from '../api.ts'
import { onceAtATime } from '../onceAtATime.ts'
import type { KeptWrites } from './keeper.ts'
import { writesKept } from './keptWritesSlice.ts'
import type { WriteSent } from './sendWrite.ts'
import type { KeptWrite, WriteStore } from './writeStore.ts'

const usualRetryMs = 4000

interface KeptWritesParts {
  readonly store: { readonly dispatch: Dispatch<UnknownAction> }
  readonly kept: WriteStore
  readonly ask: (write: KeptWrite) => Promise<WriteSent>
  readonly retryMs?: number
}

/**
 * Carries what was found, counted, photographed and mixed while the server was away: kept first, then sent in its order, again and again until
 * the server has answered. Each has its own id and is done once. What is refused is kept aside with the reason and holds nothing up.
 */
export function startKeptWrites({ store, kept, ask, retryMs = usualRetryMs }: KeptWritesParts): KeptWrites {
  let waiting: readonly KeptWrite[] = []

  const show = async () => {
    waiting = await kept.all()
    store.dispatch(writesKept(waiting))
  }
  const sending = onceAtATime(sendAll, retryMs)
  async function sendAll(): Promise<void> {
    let sent = 0
    const next = () => waiting.find((write) => write.refused === null)
    for (let write = next(); write !== undefined; write = next()) {
      const outcome = await ask(write)
      if (outcome.kind === 'later') {
        sending.later()
        break
      }
      if (outcome.kind === 'done') await kept.remove(write.id)
      else await kept.put({ ...write, refused: outcome.says })
      sent++
      await show()
    }
    // What the server made of it is asked for anew.
    if (sent > 0) store.dispatch(api.util.invalidateTags([...tagTypes]))
  }
  const found = show().catch(() => {})
  void found.then(sending.now)
  return {
    async add(write) {
      await found
      await kept.add({ ...write, at: new Date().toISOString(), refused: null })
      await show()
      sending.later()
    },
    waits: () => waiting.some((write) => write.refused === null),
    sendNow: () => void sending.now(),
    async putAway(id) {
      await kept.remove(id)
      await show()
    },
  }
}

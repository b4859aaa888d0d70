import type { FitEvent, PartId } from '@truelay/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Sentence } from '@truelay/core/say'
import type { SetAside } from './outboxStore.ts'

export interface Outbox {
  /** Not yet confirmed by the server, oldest first. */
  readonly waiting: readonly FitEvent[]
  readonly reach: 'unknown' | 'reached' | 'away'
  /** Why the server will not take what waits of a part, in its own words; other parts go on. */
  readonly refusals: Readonly<Record<PartId, Sentence>>
  /** What did not count, until somebody puts it away. */
  readonly aside: readonly SetAside[]
  /** Confirmed once, but unknown to a server that was set back to an older state. */
  readonly unknownThere: readonly FitEvent[]
}

const begin: Outbox = { waiting: [], reach: 'unknown', refusals: {}, aside: [], unknownThere: [] }

const without = (refusals: Outbox['refusals'], partId: PartId): Outbox['refusals'] =>
  Object.fromEntries(Object.entries(refusals).filter(([id]) => id !== partId))

const byKey = (items: readonly SetAside[]) => [...new Map(items.map((item) => [item.key, item])).values()]

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: begin,
  reducers: {
    eventsFound: (state, { payload }: PayloadAction<readonly FitEvent[]>) => {
      const known = new Set(state.waiting.map((e) => e.id))
      return { ...state, waiting: [...payload.filter((e) => !known.has(e.id)), ...state.waiting] }
    },
    eventsHappened: (state, { payload }: PayloadAction<readonly FitEvent[]>) => ({
      ...state,
      waiting: [...state.waiting, ...payload],
    }),
    eventsConfirmed: (state, { payload }: PayloadAction<{ partId: PartId; ids: readonly string[] }>) => ({
      ...state,
      reach: 'reached' as const,
      refusals: without(state.refusals, payload.partId),
      waiting: state.waiting.filter((e) => !payload.ids.includes(e.id)),
    }),
    partRefused: (state, { payload }: PayloadAction<{ partId: PartId; says: Sentence }>) => ({
      ...state,
      reach: 'reached' as const,
      refusals: { ...state.refusals, [payload.partId]: payload.says },
    }),
    setAside: (state, { payload }: PayloadAction<readonly SetAside[]>) => {
      const gone = new Set(payload.map((item) => item.key))
      const waiting = state.waiting.filter((e) => !gone.has(e.id))
      const parts = new Set(waiting.map((e) => e.partId))
      return {
        ...state,
        waiting,
        refusals: Object.fromEntries(Object.entries(state.refusals).filter(([id]) => parts.has(id as PartId))),
        aside: byKey([...state.aside, ...payload]),
      }
    },
    asidePutAway: (state, { payload }: PayloadAction<readonly string[]>) => ({
      ...state,
      aside: state.aside.filter((item) => !payload.includes(item.key)),
    }),
    unknownFound: (state, { payload }: PayloadAction<readonly FitEvent[]>) => ({ ...state, unknownThere: payload }),
    serverAway: (state) => ({ ...state, reach: 'away' as const }),
  },
})

export const {
  eventsFound,
  eventsHappened,
  eventsConfirmed,
  partRefused,
  setAside,
  asidePutAway,
  unknownFound,
  serverAway,
} = outboxSlice.actions

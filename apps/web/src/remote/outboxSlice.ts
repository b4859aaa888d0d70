import type { FitEvent } from '@truelay/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Sentence } from '@truelay/core/say'

export interface Outbox {
  /** Not yet confirmed by the server, oldest first. */
  readonly waiting: readonly FitEvent[]
  readonly reach: 'unknown' | 'reached' | 'away'
  /** Why the server will not take the oldest event, in its own words; it stays here until that is mended. */
  readonly refusal: Sentence | null
}

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: { waiting: [], reach: 'unknown', refusal: null } as Outbox,
  reducers: {
    eventsFound: (state, { payload }: PayloadAction<readonly FitEvent[]>) => {
      const known = new Set(state.waiting.map((e) => e.id))
      return { ...state, waiting: [...payload.filter((e) => !known.has(e.id)), ...state.waiting] }
    },
    eventsHappened: (state, { payload }: PayloadAction<readonly FitEvent[]>) => ({
      ...state,
      waiting: [...state.waiting, ...payload],
    }),
    eventsConfirmed: (state, { payload }: PayloadAction<readonly string[]>) => ({
      reach: 'reached' as const,
      refusal: null,
      waiting: state.waiting.filter((e) => !payload.includes(e.id)),
    }),
    eventsRefused: (state, { payload }: PayloadAction<Sentence>) => ({
      ...state,
      reach: 'reached' as const,
      refusal: payload,
    }),
    serverAway: (state) => ({ ...state, reach: 'away' as const }),
  },
})

export const { eventsFound, eventsHappened, eventsConfirmed, eventsRefused, serverAway } = outboxSlice.actions

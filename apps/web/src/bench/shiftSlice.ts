import type { Shift } from '@truelay/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

interface PartShift {
  readonly now: Shift
  /** Where the piece lay before each finished move, oldest first. */
  readonly before: readonly Shift[]
}

/** Where each piece lies on the bench, with undo. */
export const shiftSlice = createSlice({
  name: 'shift',
  initialState: {} as Record<string, PartShift>,
  reducers: {
    pieceTakenUp: (state, { payload }: PayloadAction<{ partId: string; shift: Shift }>) => {
      if (state[payload.partId] === undefined) state[payload.partId] = { now: payload.shift, before: [] }
    },
    pieceMoving: (state, { payload }: PayloadAction<{ partId: string; shift: Shift }>) => {
      const part = state[payload.partId]
      if (part !== undefined) state[payload.partId] = { ...part, now: payload.shift }
    },
    pieceMoved: (state, { payload }: PayloadAction<{ partId: string; from: Shift; shift: Shift }>) => {
      const part = state[payload.partId]
      if (part !== undefined)
        state[payload.partId] = { now: payload.shift, before: [...part.before, payload.from].slice(-100) }
    },
    moveUndone: (state, { payload }: PayloadAction<{ partId: string }>) => {
      const part = state[payload.partId]
      const last = part?.before[part.before.length - 1]
      if (part !== undefined && last !== undefined)
        state[payload.partId] = { now: last, before: part.before.slice(0, -1) }
    },
  },
})

export const { pieceTakenUp, pieceMoving, pieceMoved, moveUndone } = shiftSlice.actions

import { createSlice } from '@reduxjs/toolkit'

/** What the server asks of this screen before it answers anything else; `hand-over` = somebody else wants to go on here. */
export type Asked = 'nothing' | 'to be taken in' | 'a person' | 'hand-over'

const nothing: { asks: Asked } = { asks: 'nothing' }

export const signInSlice = createSlice({
  name: 'signIn',
  initialState: nothing,
  reducers: {
    /** The server did not answer as it does not know who asks. */
    turnedAway: (_, { payload }: { payload: 'STRANGER' | 'SIGN_IN' }) => ({
      asks: payload === 'STRANGER' ? ('to be taken in' as const) : ('a person' as const),
    }),
    handOverWanted: () => ({ asks: 'hand-over' as const }),
    known: () => nothing,
  },
})
export const { turnedAway, handOverWanted, known } = signInSlice.actions

import { createSlice } from '@reduxjs/toolkit'

/** What this page knows of its server, and of a newer version of itself. */
interface Reach {
  readonly server: 'here' | 'away'
  readonly newer: boolean
}

const begin: Reach = { server: 'here', newer: false }

export const reachSlice = createSlice({
  name: 'reach',
  initialState: begin,
  reducers: {
    serverHeard: (state) => ({ ...state, server: 'here' as const }),
    serverSilent: (state) => ({ ...state, server: 'away' as const }),
    newerFound: (state) => ({ ...state, newer: true }),
  },
})
export const { serverHeard, serverSilent, newerFound } = reachSlice.actions

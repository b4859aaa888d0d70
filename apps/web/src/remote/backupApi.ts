import { type Backups, backups } from '@truelay/contract'
import { api } from './api.ts'

/** The copies of all that the shop keeps. */
const backupApi = api.injectEndpoints({
  endpoints: (build) => ({
    backups: build.query<Backups, void>({ query: () => 'backups', responseSchema: backups, providesTags: ['Backups'] }),
    makeBackup: build.mutation<Backups, void>({
      query: () => ({ url: 'backups', method: 'POST' }),
      responseSchema: backups,
      invalidatesTags: ['Backups'],
    }),
  }),
})

export const { useBackupsQuery, useMakeBackupMutation } = backupApi

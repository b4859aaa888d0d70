import { type ExerciseRun, exerciseRun, exerciseRuns } from '@truelay/contract'
import { api } from './api.ts'
import type { Keeping } from './baseQuery.ts'

const exerciseKeeping: Keeping = {
  what: 'exercise',
  answer: (_url, body) => body,
  shows: (_url, state) => {
    const { data } = exerciseApi.endpoints.exercises.select()(state as never)
    return data === undefined ? null : { url: 'exercises', data }
  },
}

/** What was practised, by everybody; done without the server it is kept and sent later. */
export const exerciseApi = api.injectEndpoints({
  endpoints: (build) => ({
    exercises: build.query<ExerciseRun[], void>({
      query: () => 'exercises',
      responseSchema: exerciseRuns,
      providesTags: ['Exercises'],
    }),
    addExercise: build.mutation<ExerciseRun, ExerciseRun>({
      query: (body) => ({ url: 'exercises', method: 'POST', body }),
      responseSchema: exerciseRun,
      extraOptions: { keeping: exerciseKeeping },
      invalidatesTags: ['Exercises'],
      async onQueryStarted(run, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          exerciseApi.util.updateQueryData('exercises', undefined, (all) => {
            if (!all.some((one) => one.id === run.id)) all.push(run)
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
    }),
  }),
})

export const { useExercisesQuery, useAddExerciseMutation } = exerciseApi

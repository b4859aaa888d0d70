import { useState } from 'react'
import { z } from 'zod'
import { keptDraft } from '../../ui/keptDraft.ts'

/** One exercise at a time is half done. */
const draft = keptDraft<unknown>('exercise', (stored) => stored)

/** What was done of an exercise so far; a page that is opened anew goes on with it, another exercise begins anew. */
export function useExerciseDraft<T>(exercise: string, shape: z.ZodType<T>, begin: T): [T, (now: T) => void] {
  const [done, setDone] = useState<T>(() => {
    const found = z.object({ exercise: z.literal(exercise), done: shape }).safeParse(draft.found())
    return found.success ? (found.data.done as T) : begin
  })
  return [
    done,
    (now) => {
      draft.keep({ exercise, done: now })
      setDone(now)
    },
  ]
}

/** It is marked, or begun anew. */
export const forgetExercise = (): void => draft.forget()

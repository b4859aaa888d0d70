import { exerciseKinds, exerciseLevels } from '@truelay/core/exercises'
import { z } from 'zod'
import { moment, personId } from './ids.ts'

/** An exercise as somebody did it; never changed, only added to. The seed makes the same one again. */
export const exerciseRun = z.strictObject({
  id: z.uuid(),
  at: moment,
  personId,
  kind: z.enum(exerciseKinds),
  level: z.literal(exerciseLevels),
  seed: z.number().int().min(0).max(0xffffffff),
  share: z.number().min(0).max(1),
})
export type ExerciseRun = z.infer<typeof exerciseRun>

/** The latest of all people, in order of time. */
export const exerciseRuns = z.array(exerciseRun)

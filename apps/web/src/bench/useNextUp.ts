import type { PersonId } from '@truelay/contract'
import { mistakesOf, type NextUp, nextUp } from '@truelay/core/exercises'
import { useExercisesQuery } from '../remote/exerciseApi.ts'
import { useMemoryQuery } from '../remote/memoryApi.ts'

/** What somebody would practise next, the best first; null while nobody knows. Where real fits are not known all else stands. */
export function useNextUp(personId: PersonId | undefined): readonly NextUp[] | null {
  const { data: runs } = useExercisesQuery()
  const { data: memory } = useMemoryQuery()
  if (runs === undefined || personId === undefined) return null
  return nextUp(
    runs.filter((run) => run.personId === personId),
    mistakesOf(memory?.facts ?? [], personId, new Date().toISOString()),
  )
}

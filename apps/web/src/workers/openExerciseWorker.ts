import { wrap } from 'comlink'
import type { ExerciseWorker } from './exercise.worker.ts'

/** A worker for what an exercise has to work out; closing it ends whatever it does, and calls under way stay unanswered. */
export function openExerciseWorker(onLost: () => void) {
  const worker = new Worker(new URL('./exercise.worker.ts', import.meta.url), { type: 'module' })
  worker.onerror = onLost
  return { ask: wrap<ExerciseWorker>(worker), close: () => worker.terminate() }
}

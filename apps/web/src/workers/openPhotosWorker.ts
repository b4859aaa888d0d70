import { wrap } from 'comlink'
import type { PhotosWorker } from './photos.worker.ts'

/** A worker for photographs of one part; closing it ends whatever it does, and calls under way stay unanswered. */
export function openPhotosWorker(onLost: () => void) {
  const worker = new Worker(new URL('./photos.worker.ts', import.meta.url), { type: 'module' })
  worker.onerror = onLost
  return { ask: wrap<PhotosWorker>(worker), close: () => worker.terminate() }
}

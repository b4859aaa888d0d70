import type { Measured, PhotoSet, ReadPhoto } from '@truelay/core/photogrammetry'
import { useCallback, useEffect, useRef, useState } from 'react'
import { openPhotosWorker } from '../../workers/openPhotosWorker.ts'

/** A photograph that was chosen: being read, read, or no picture at all. */
export interface ChosenPhoto {
  readonly id: string
  readonly name: string
  readonly read: ReadPhoto | 'reading' | 'no picture'
}

/** Photographs of a part, read one after the other in a worker; none leaves the tablet. */
export function usePhotos(onLost: () => void) {
  const [photos, setPhotos] = useState<readonly ChosenPhoto[]>([])
  const worker = useRef<ReturnType<typeof openPhotosWorker> | null>(null)
  const lost = useRef(onLost)
  lost.current = onLost
  useEffect(
    () => () => {
      worker.current?.close()
      worker.current = null
    },
    [],
  )
  const opened = useCallback(() => {
    worker.current ??= openPhotosWorker(() => lost.current())
    return worker.current
  }, [])

  const add = useCallback(
    async (files: readonly File[]) => {
      const { ask } = opened()
      const chosen = files.map((file) => ({ id: crypto.randomUUID(), file }))
      setPhotos((before) => [
        ...before,
        ...chosen.map(({ id, file }) => ({ id, name: file.name, read: 'reading' as const })),
      ])
      for (const { id, file } of chosen) {
        const read = await ask.read(file)
        setPhotos((before) => before.map((one) => (one.id === id ? { ...one, read: read ?? 'no picture' } : one)))
      }
    },
    [opened],
  )
  const remove = useCallback((id: string) => setPhotos((before) => before.filter((one) => one.id !== id)), [])
  const measure = useCallback((set: PhotoSet): Promise<Measured | null> => opened().ask.measure(set), [opened])
  return { photos, add, remove, measure }
}

import { photoProblem, type Guidance, type PhotoSet, photoSet, type ReadPhoto } from '@truelay/core/photogrammetry'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { openPhotosWorker } from '../../../workers/openPhotosWorker.ts'
import type { MeasuredSet, PhotoAsked, StraightPhoto } from '../../../workers/photoWork.ts'

/** A photograph that was chosen: waiting, read, or no picture at all. */
export interface ChosenPhoto {
  readonly id: string
  readonly file: File
  readonly read: ReadPhoto | 'waiting' | 'no picture'
}

/** Photographs that can be used, in the order in which the set holds them. */
interface UsedPhotos {
  readonly photos: readonly ChosenPhoto[]
  readonly set: PhotoSet | null
}

/** Photographs of a part, read one after the other in a worker; none leaves the tablet. */
export function usePhotos(barsMm: readonly (number | null)[], onLost: () => void) {
  const [photos, setPhotos] = useState<readonly ChosenPhoto[]>([])
  const [takenOut, setTakenOut] = useState<ChosenPhoto | null>(null)
  const [guidance, setGuidance] = useState<{ readonly of: PhotoSet; readonly told: Guidance | null } | null>(null)
  const worker = useRef<ReturnType<typeof openPhotosWorker> | null>(null)
  const lost = useRef(onLost)
  lost.current = onLost
  const close = useCallback(() => {
    worker.current?.close()
    worker.current = null
  }, [])
  useEffect(() => close, [close])
  const ask = useCallback(() => {
    worker.current ??= openPhotosWorker(() => lost.current())
    return worker.current.ask
  }, [])

  const waiting = photos.find(({ read }) => read === 'waiting')
  useEffect(() => {
    if (waiting === undefined) return
    let gone = false
    void ask()
      .read(waiting.file)
      .then((read) => {
        if (!gone)
          setPhotos((before) =>
            before.map((one) => (one.id === waiting.id ? { ...one, read: read ?? 'no picture' } : one)),
          )
      })
    return () => {
      gone = true
    }
  }, [waiting, ask])

  const [firstMm, secondMm] = barsMm
  const used = useMemo((): UsedPhotos => {
    const read = photos.flatMap(({ read: one }) => (typeof one === 'string' ? [] : [one]))
    const good = photos.filter(({ read: one }) => typeof one !== 'string' && photoProblem(one, read) === null)
    return { photos: good, set: photoSet(read, [firstMm ?? null, secondMm ?? null]) }
  }, [photos, firstMm, secondMm])

  const { set } = used
  const guides = set !== null && waiting === undefined && set.photographs.length > 1
  useEffect(() => {
    if (!guides || set === null) return
    let gone = false
    void ask()
      .guide(set)
      .then((told) => {
        if (!gone) setGuidance({ of: set, told })
      })
    return () => {
      gone = true
    }
  }, [guides, set, ask])

  const add = useCallback(
    (files: readonly File[]) =>
      setPhotos((before) => [
        ...before,
        ...files.map((file) => ({ id: crypto.randomUUID(), file, read: 'waiting' as const })),
      ]),
    [],
  )
  /** What was read stays; what waits is left out, and whatever is being worked out ends. */
  const stop = useCallback(() => {
    close()
    setPhotos((before) => before.filter(({ read }) => read !== 'waiting'))
  }, [close])
  const takeOut = useCallback((photo: ChosenPhoto) => {
    setTakenOut(photo)
    setPhotos((before) => before.filter((one) => one.id !== photo.id))
  }, [])
  const takeBack = useCallback(() => {
    setPhotos((before) => (takenOut === null ? before : [...before, takenOut]))
    setTakenOut(null)
  }, [takenOut])
  const measure = useCallback((of: PhotoSet): Promise<MeasuredSet | null> => ask().measure(of), [ask])
  const straighten = useCallback(
    (file: Blob, asked: PhotoAsked): Promise<StraightPhoto | null> => ask().straighten(file, asked),
    [ask],
  )
  return {
    photos,
    used,
    isReading: waiting !== undefined,
    takenOut,
    guidance: guidance !== null && guidance.of === set ? guidance.told : null,
    isGuiding: guides && guidance?.of !== set,
    add,
    stop,
    takeOut,
    takeBack,
    measure,
    straighten,
  }
}

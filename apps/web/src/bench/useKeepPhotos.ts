import type { Photo } from '@truelay/contract'
import type { Sentence } from '@truelay/core/say'
import { useState } from 'react'
import { keepPhoto } from '../remote/photos.ts'

/** Keeps photos one after the other; one that cannot be read is told, the others stay. */
export function useKeepPhotos() {
  const [busy, setBusy] = useState(0)
  const [problem, setProblem] = useState<Sentence | null>(null)
  /** Those that are there already and those that could be kept, each once. */
  const keep = async (there: readonly Photo[], files: readonly File[]): Promise<Photo[]> => {
    setProblem(null)
    setBusy(files.length)
    const photos = [...there]
    for (const file of files) {
      const outcome = await keepPhoto(file)
      if (outcome.ok && !photos.some((p) => p.id === outcome.photo.id)) photos.push(outcome.photo)
      if (!outcome.ok) setProblem(outcome.problem)
      setBusy((left) => left - 1)
    }
    return photos
  }
  return { busy, problem, keep }
}

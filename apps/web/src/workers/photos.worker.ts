import {
  detectTargets,
  guided,
  type Guidance,
  measured,
  nextPhotograph,
  type PhotoSet,
  type ReadPhoto,
  splitHalf,
  straightened,
  suretyOf,
} from '@truelay/core/photogrammetry'
import { expose } from 'comlink'
import { asFile, readColour, readGrey } from './readGrey.ts'
import { viewOfForm } from './viewOfForm.ts'
import type { MeasuredSet, PhotoAsked, StraightPhoto } from './photoWork.ts'

/** Carries messages; the work is done by the core. */
const photosWorker = {
  /** Targets of one photograph; null where the file is no picture. */
  async read(file: Blob): Promise<ReadPhoto | null> {
    const picture = await readGrey(file).catch(() => null)
    return picture === null
      ? null
      : { widthPx: picture.width, heightPx: picture.height, targets: detectTargets(picture) }
  },
  guide: (set: PhotoSet): Guidance | null => guided(set),
  measure(set: PhotoSet): MeasuredSet | null {
    const found = measured(set)
    if (found === null) return null
    return { found, surety: suretyOf(found), halves: splitHalf(set), next: nextPhotograph(found, set) }
  },
  /** The photograph under a form's drawing, straight on; null where its outline is not whole. */
  async straighten(file: Blob, asked: PhotoAsked): Promise<StraightPhoto | null> {
    const view = viewOfForm(asked.form, asked.inSpace)
    if (view === null) return null
    const picture = straightened(await readColour(file), asked.taken, asked.lens, view)
    return { file: await asFile(picture), widthPx: picture.width, heightPx: picture.height, mmPerPx: view.mmPerPx }
  },
}

export type PhotosWorker = typeof photosWorker
expose(photosWorker)

import { detectTargets, type Measured, measured, type PhotoSet, type ReadPhoto } from '@truelay/core/photogrammetry'
import { expose } from 'comlink'
import { readGrey } from './readGrey.ts'

/** Carries messages; the work is done by the core. */
const photosWorker = {
  /** Targets of one photograph; null where the file is no picture. */
  async read(file: Blob): Promise<ReadPhoto | null> {
    const picture = await readGrey(file).catch(() => null)
    return picture === null
      ? null
      : { widthPx: picture.width, heightPx: picture.height, targets: detectTargets(picture) }
  },
  measure: (set: PhotoSet): Measured | null => measured(set),
}

export type PhotosWorker = typeof photosWorker
expose(photosWorker)

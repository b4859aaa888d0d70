import {
  detectTargets,
  guided,
  type Guidance,
  type Lens,
  measured,
  nextPhotograph,
  type PhotoSet,
  type ReadPhoto,
  splitHalf,
  straightened,
  suretyOf,
  type Taken,
} from '@truelay/core/photogrammetry'
import { fitBow, type FormDoc, inSpaceOf, traceOutline } from '@truelay/core/form'
import { boundsOf } from '@truelay/core/geometry'
import { expose } from 'comlink'
import { asFile, readColour, readGrey } from './readGrey.ts'
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
    const view = viewOf(asked)
    if (view === null) return null
    const picture = straightened(await readColour(file), asked.taken, asked.lens, view)
    return { file: await asFile(picture), widthPx: picture.width, heightPx: picture.height, mmPerPx: view.mmPerPx }
  },
}

/** So much of what lies round a part is shown with it, a share of its size. */
const roundShare = 0.1
/** Longest side of the picture, px. */
const longPx = 1400

/** Over the form's own surface, its origin in the middle of the picture. */
function viewOf({ form, inSpace }: { form: FormDoc; inSpace: PhotoAsked['inSpace']; taken: Taken; lens: Lens }) {
  const traced = traceOutline(form.name, form.start, form.outline)
  if (!traced.ok) return null
  const fitted = fitBow(traced.value.polygon, form.bow, () => 0, undefined, form.spots)
  if (!fitted.ok) return null
  const { min, max } = boundsOf(traced.value.polygon)
  const round = roundShare * Math.max(max[0] - min[0], max[1] - min[1])
  const widthMm = 2 * (Math.max(-min[0], max[0]) + round)
  const heightMm = 2 * (Math.max(-min[1], max[1]) + round)
  return {
    widthMm,
    heightMm,
    mmPerPx: Math.max(widthMm, heightMm) / longPx,
    spotAt: (p: readonly [number, number]) => inSpaceOf(inSpace, p, fitted.value.heightAt(p)),
  }
}

export type PhotosWorker = typeof photosWorker
expose(photosWorker)

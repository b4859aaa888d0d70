import type { FoundTarget } from './detect.ts'
import type { Measured, PhotoSet } from './measured.ts'
import { barTargets, plateMm } from './sheets.ts'

/** A photograph in which targets were looked for. */
export interface ReadPhoto {
  readonly widthPx: number
  readonly heightPx: number
  readonly targets: readonly FoundTarget[]
}

/** What is wrong with a photograph, as far as it shows by itself. */
export type PhotoProblem = 'few targets' | 'no plate' | 'another size'

/** Fewer say nothing. */
const fewest = 8
/** Fewer of the plate do not say from where it was taken. */
const fewestOfPlate = 4

/** Why a photograph is not used; null where it is. Photographs of one camera have one size, upright or lying. */
export function photoProblem({ targets, widthPx, heightPx }: ReadPhoto, first: ReadPhoto): PhotoProblem | null {
  const sides = (photo: Pick<ReadPhoto, 'widthPx' | 'heightPx'>) =>
    [photo.widthPx, photo.heightPx].sort((a, b) => a - b).join(' ')
  if (sides({ widthPx, heightPx }) !== sides(first)) return 'another size'
  if (targets.length < fewest) return 'few targets'
  return targets.filter(({ target }) => plateMm.has(target)).length < fewestOfPlate ? 'no plate' : null
}

/** Focal length in long sides of the picture, where the camera does not say it: 26 to 28 mm of small film, as most tablets and telephones have. */
const usualFocal = 0.76

/** What is measured from: photographs that can be used, lying ones and upright ones alike, the plate, and bars whose lengths are known. */
export function photoSet(photos: readonly ReadPhoto[], barsMm: readonly (number | null)[]): PhotoSet | null {
  const [first] = photos
  if (first === undefined) return null
  const used = photos.filter((photo) => photoProblem(photo, first) === null)
  const [long, short] = [Math.max(first.widthPx, first.heightPx), Math.min(first.widthPx, first.heightPx)]
  return {
    photographs: used.map(({ targets, widthPx, heightPx }) => ({
      seen: targets.map(({ target, atPx: [x, y] }) => ({
        target,
        // An upright picture is one of the same camera that was turned before it was kept.
        atPx: heightPx > widthPx ? ([y, widthPx - x] as const) : ([x, y] as const),
      })),
    })),
    inner: { focalPx: usualFocal * long, middlePx: [long / 2, short / 2] },
    plate: plateMm,
    bars: barTargets.flatMap((targets, i) => {
      const lengthMm = barsMm[i] ?? null
      return lengthMm === null ? [] : [{ targets, lengthMm }]
    }),
  }
}

/** What a measurement has to be looked at for before it is used. */
export interface MeasuredSurety {
  /** Largest sigma of a point in space, and whose it is. */
  readonly worst: { readonly target: number; readonly sigmaMm: number } | null
  /** By how much the second bar is off, a share; null without one. */
  readonly barOff: number | null
  readonly problem: 'no scale' | 'bars contradict' | 'unsure' | null
}

/** A bar may be off by this share of its length. */
const barMayBeOff = 0.002
/** No form is better than its points; beyond this film does not forgive, mm. */
const sureEnoughMm = 1

export function suretyOf({ points, barsOff }: Measured, hasScale: boolean): MeasuredSurety {
  const worst = points
    .map(({ target, sigmaMm }) => ({ target, sigmaMm: Math.hypot(...sigmaMm) }))
    .sort((a, b) => b.sigmaMm - a.sigmaMm)[0]
  const barOff = barsOff[0] ?? null
  const problem = !hasScale
    ? 'no scale'
    : barOff !== null && Math.abs(barOff) > barMayBeOff
      ? 'bars contradict'
      : worst === undefined || !(worst.sigmaMm < sureEnoughMm)
        ? 'unsure'
        : null
  return { worst: worst ?? null, barOff, problem }
}

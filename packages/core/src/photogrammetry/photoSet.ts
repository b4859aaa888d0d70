import type { FoundTarget } from './detect.ts'
import type { Measured } from './measured.ts'
import type { PhotoSet } from './photographs.ts'
import { apart } from './rigid.ts'
import { barTargets, plateMm } from './sheets.ts'

/** A photograph in which targets were looked for. */
export interface ReadPhoto {
  readonly widthPx: number
  readonly heightPx: number
  readonly targets: readonly FoundTarget[]
}

/** What is wrong with a photograph, as far as it shows by itself. */
export type PhotoProblem = 'few targets' | 'another size' | 'shaken' | 'blurred'

/** Fewer say nothing. */
const fewest = 8
/** Fewer of the plate do not say from where it was taken. */
const fewestOfPlate = 4
/** Softer rims move middles by more than a ray may miss, px. */
const softPx = 1.5
/** Soft one way by so many times as soft as the other: the hand, not the lens. */
const oneWay = 1.6

const sidesOf = ({ widthPx, heightPx }: ReadPhoto) => [widthPx, heightPx].sort((a, b) => a - b).join(' ')

/** A photograph of the size that most have, of two alike the first. */
function usualOf(photos: readonly ReadPhoto[]): ReadPhoto | undefined {
  const alike = (photo: ReadPhoto) => photos.filter((other) => sidesOf(other) === sidesOf(photo)).length
  return photos.reduce<ReadPhoto | undefined>(
    (best, photo) => (best === undefined || alike(photo) > alike(best) ? photo : best),
    undefined,
  )
}

/** Why a photograph is not used; null where it is. Photographs of one camera have one size, upright or lying: that of most of them. */
export function photoProblem(photo: ReadPhoto, all: readonly ReadPhoto[]): PhotoProblem | null {
  if (sidesOf(photo) !== sidesOf(usualOf(all) ?? photo)) return 'another size'
  const soft = softnessOf(photo)
  if (soft !== null && soft.most > softPx) return soft.most > oneWay * soft.least ? 'shaken' : 'blurred'
  return photo.targets.length < fewest ? 'few targets' : null
}

/** The softest and the sharpest direction of its rims, px; null without a target. */
export function softnessOf({ targets }: ReadPhoto): { readonly most: number; readonly least: number } | null {
  const directions = targets[0]?.softPx.length ?? 0
  const each = Array.from({ length: directions }, (_, k) =>
    median(targets.map(({ softPx: own }) => own[k] ?? Infinity).filter(Number.isFinite)),
  ).filter((v) => v > 0)
  return each.length === 0 ? null : { most: Math.max(...each), least: Math.min(...each) }
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}

/** Whether a photograph tells by itself from where it was taken. */
export const seesPlate = ({ targets }: ReadPhoto): boolean =>
  targets.filter(({ target }) => plateMm.has(target)).length >= fewestOfPlate

/** Focal length in long sides of the picture: 26 to 28 mm of small film, as most tablets and telephones have. A quarter off is found as well. */
const usualFocal = 0.76

/** What is measured from: photographs that can be used, lying ones and upright ones alike, the plate, and bars whose lengths are known. */
export function photoSet(photos: readonly ReadPhoto[], barsMm: readonly (number | null)[]): PhotoSet | null {
  const usual = usualOf(photos)
  if (usual === undefined) return null
  const used = photos.filter((photo) => photoProblem(photo, photos) === null)
  const [long, short] = [Math.max(usual.widthPx, usual.heightPx), Math.min(usual.widthPx, usual.heightPx)]
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
export type SuretyProblem = 'no scale' | 'do not agree' | 'bars contradict' | 'shaken' | 'one side' | 'unsure'

export interface MeasuredSurety {
  /** Largest sigma of a point in space, and whose it is. */
  readonly worst: { readonly target: number; readonly sigmaMm: number } | null
  /** By how much the second bar is off, a share; null without one. */
  readonly barOff: number | null
  readonly problem: SuretyProblem | null
  /** The photograph that was zoomed, or else that most of whose rays were thrown out, by its number in the set; null where none were. */
  readonly agreesLeast: number | null
}

/** How well two bars agree at best: the reading of a steel rule over a metre, a share. */
const barShare = 0.0005
/** Beyond so many sigma of its ends it is the bar. */
const barSigma = 3
/** One standard deviation in space; twice as much is what film forgives, mm. */
const sureEnoughMm = 0.5
/** Photographs of one camera and a part that lay still miss by a tenth of a pixel, px. */
const mayMissPx = 0.4
/** Autofocus changes a focal length by a few thousandths; more is another camera or a zoom, a share. */
const mayBeZoomed = 0.015
/** Of one part that lay still hardly a ray is thrown out, a share. */
const mayBeRejected = 0.05
/** Where rays to most targets meet at less than this, the photographs were taken from one side. */
const oneSideRad = (60 * Math.PI) / 180

export function suretyOf(found: Measured): MeasuredSurety {
  const worst = found.points
    .map(({ target, sigmaMm }) => ({ target, sigmaMm: Math.hypot(...sigmaMm) }))
    .sort((a, b) => b.sigmaMm - a.sigmaMm)[0]
  const [bar] = found.barsOff
  const rays = found.points.reduce((sum, point) => sum + point.rays, 0)
  const zoomed = zoomedOf(found)
  return {
    worst: worst ?? null,
    barOff: bar?.share ?? null,
    problem: problemOf(),
    agreesLeast: zoomed ?? mostOften(found.rejected.map(({ photo }) => photo)),
  }

  function problemOf(): SuretyProblem | null {
    if (zoomed !== null || found.rmsPx > mayMissPx || found.rejected.length > mayBeRejected * rays)
      return 'do not agree'
    if (!found.scaled) return 'no scale'
    if (bar !== undefined && Math.abs(bar.share) > barMayBeOff(found, bar.targets)) return 'bars contradict'
    if (found.shaken.some((photo) => found.taken.some((one) => one.photo === photo))) return 'shaken'
    if (worst !== undefined && worst.sigmaMm < sureEnoughMm) return null
    return median(meetingAngles(found)) < oneSideRad ? 'one side' : 'unsure'
  }
}

/** The photograph that was taken with another camera, or zoomed; null without one. */
function zoomedOf({ taken }: Measured): number | null {
  const usual = median(taken.map(({ inner }) => inner.focalPx))
  const off = ({ inner }: Measured['taken'][number]) => Math.abs(inner.focalPx / usual - 1)
  const worst = taken.reduce<Measured['taken'][number] | null>(
    (most, one) => (most === null || off(one) > off(most) ? one : most),
    null,
  )
  return worst !== null && off(worst) > mayBeZoomed ? worst.photo : null
}

function mostOften(numbers: readonly number[]): number | null {
  const often = (n: number) => numbers.filter((other) => other === n).length
  return numbers.reduce<number | null>((best, n) => (best === null || often(n) > often(best) ? n : best), null)
}

function barMayBeOff({ points }: Measured, targets: readonly [number, number]): number {
  const [a, b] = targets.map((end) => points.find(({ target }) => target === end))
  if (a === undefined || b === undefined) return barShare
  const sigmaMm = Math.hypot(...a.sigmaMm, ...b.sigmaMm)
  return Math.max(barShare, (barSigma * sigmaMm) / apart(a.atMm, b.atMm))
}

/** Of each point the widest angle at which two photographs' ways to it meet, rad. */
function meetingAngles({ points, taken }: Measured): number[] {
  return points.map(({ atMm }) => {
    const ways = taken.map(({ from }) => {
      const way = from.map((v, k) => v - (atMm[k] ?? 0))
      const long = Math.hypot(...way)
      return way.map((v) => v / long)
    })
    let least = 1
    for (const a of ways)
      for (const b of ways)
        least = Math.min(
          least,
          a.reduce((sum, v, k) => sum + v * (b[k] ?? 0), 0),
        )
    return Math.acos(Math.max(-1, least))
  })
}

import type { FilmHandling } from './filmHandling.ts'

export interface HeatedPull {
  /** Stretch in the warm band and in the cold film beside it, ratio. */
  readonly warm: number
  readonly cold: number
  /** Warm over cold stretch: 1 = even. */
  readonly unevenness: number
}

/**
 * How a pull spreads over film of which a band is warm: the two lie in a row and carry the same force, so each stretches
 * by its softness. `lengthMm` along the pull, `heatedMm` of it warm, drawn `pullMm` longer.
 */
export function heatedPull(
  { lengthMm, heatedMm, pullMm }: { readonly lengthMm: number; readonly heatedMm: number; readonly pullMm: number },
  film: Pick<FilmHandling, 'warmSoftness'>,
): HeatedPull {
  const warmMm = Math.min(lengthMm, Math.max(0, heatedMm))
  const coldMm = lengthMm - warmMm
  const s = film.warmSoftness
  const warm = pullMm / (warmMm + s * coldMm)
  const cold = warm * s
  return { warm: warmMm > 0 ? warm : pullMm / lengthMm, cold: warmMm > 0 ? cold : pullMm / lengthMm, unevenness: 1 / s }
}

/**
 * The narrowest band to heat so that a pull stays below a stretch everywhere, mm; null where even heat over the whole
 * length is not enough.
 */
export function leastHeatedMm(
  {
    lengthMm,
    pullMm,
    mostStretch,
  }: { readonly lengthMm: number; readonly pullMm: number; readonly mostStretch: number },
  film: Pick<FilmHandling, 'warmSoftness'>,
): number | null {
  if (pullMm / lengthMm > mostStretch) return null
  const s = film.warmSoftness
  // pull / (w + s (L - w)) <= most
  const least = (pullMm / mostStretch - s * lengthMm) / (1 - s)
  return s >= 1 ? 0 : Math.min(lengthMm, Math.max(0, least))
}

/**
 * What is left of fingers along an edge after the flaps are shrunk down: film pulled across a bulge gets narrower by half of
 * its stretch (it keeps its volume, a membrane thins and narrows alike), and heat takes back a share of the stretch and
 * more compression than cold film does.
 *
 * @param excessMmPer100 left over cold, beyond `take`, mm per 100 mm
 * @param pulled stretch that the film beside the edge was given, ratio
 */
export function fingersAfterShrinking(excessMmPer100: number, pulled: number, film: FilmHandling): number {
  const narrowed = 0.5 * Math.max(0, pulled)
  const taken = film.takeWarm - film.take + film.shrinkBack * narrowed
  return Math.max(0, excessMmPer100 - 100 * taken)
}

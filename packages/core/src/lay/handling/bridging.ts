import { wallRunMm } from '../../form/index.ts'
import { radFromDeg } from '../../units/index.ts'
import type { FilmHandling } from './filmHandling.ts'

/** A hollow across its narrow side. */
export interface HollowSection {
  /** From shoulder to shoulder, mm. */
  readonly widthMm: number
  readonly depthMm: number
  /** Steepest wall against the surface around it. */
  readonly wallDeg: number
  /** A groove that is much longer than wide: film cannot narrow along it. */
  readonly long: boolean
}

export interface Bridging {
  /** Stretch that film needs which is held at both shoulders, ratio. */
  readonly stretch: number
  /** Force across each 100 mm of shoulder that holds it down cold, N. */
  readonly forceColdNPer100: number
  /** The same while warm, N. */
  readonly forceWarmNPer100: number
  /** How it comes down when both shoulders lie already. */
  readonly comesDown: 'by itself' | 'with a finger' | 'warm' | 'not at all'
  /** With what it lifts at the foot of the wall while it is cold and stretched, N on each cm, against what it holds there. */
  readonly liftsNPerCm: number
  /** Whether it then stays down by its tack alone; where not it has to be relaxed warm, or laid bottom first. */
  readonly stays: boolean
  /** Deepest hollow of this width and wall that film still follows by hand, cold, and warm; mm. */
  readonly deepestColdMm: number
  readonly deepestWarmMm: number
}

/**
 * Whether film spans a hollow when its shoulders lie first: length of the section's profile against its width. The
 * profile is the form's own, two smooth walls of the wall's run and a flat bottom; friction under slip is left out, so film
 * that can still slide in from one side needs less. Laid bottom first, nothing of this arises. Force and lift are those of a
 * linear film; tack is that of freshly pressed film and grows for hours.
 */
export function bridging(section: HollowSection, film: FilmHandling): Bridging {
  const stretch = stretchInto(section)
  const comesDown =
    stretch <= film.easyStretch
      ? 'by itself'
      : stretch <= film.coldStretch
        ? 'with a finger'
        : stretch <= film.warmStretch
          ? 'warm'
          : 'not at all'
  // In a long groove film is held to its length along it (plane strain), which makes it stiffer across.
  const stiffness = film.stiffnessNPerMm / (section.long ? 1 - film.narrowing ** 2 : 1)
  const warm = comesDown === 'warm' ? film.warmSoftness : 1
  // A band under tension T that turns by an angle pulls at the line where it turns with T (1 - cos angle) against being peeled.
  const liftsNPerCm = 10 * stiffness * warm * stretch * (1 - Math.cos(radFromDeg(section.wallDeg)))
  return {
    stretch,
    forceColdNPer100: 100 * stiffness * stretch,
    forceWarmNPer100: 100 * stiffness * film.warmSoftness * stretch,
    comesDown,
    liftsNPerCm,
    stays: liftsNPerCm < film.tackNPerCm,
    deepestColdMm: deepest(section, film.coldStretch),
    deepestWarmMm: deepest(section, film.warmStretch),
  }
}

/** Profile length over width, less 1. The wall is the smooth step h(t) = d (3t² - 2t³) over its run. */
export function stretchInto({ widthMm, depthMm, wallDeg }: Omit<HollowSection, 'long'>): number {
  const run = Math.min(wallRunMm({ depthMm, wallDeg }), widthMm / 2)
  if (run <= 0 || depthMm <= 0) return 0
  const pieces = 64
  let wall = 0
  for (let i = 0; i < pieces; i++) {
    const t = (i + 0.5) / pieces
    const slope = (depthMm / run) * 6 * t * (1 - t)
    wall += (run / pieces) * Math.sqrt(1 + slope * slope)
  }
  return (2 * (wall - run)) / widthMm
}

/** Deepest hollow whose stretch stays within a limit, by halving; the walls keep their angle. */
function deepest(section: HollowSection, limit: number): number {
  let low = 0
  let high = 4 * section.widthMm
  if (stretchInto({ ...section, depthMm: high }) <= limit) return high
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2
    if (stretchInto({ ...section, depthMm: middle }) <= limit) low = middle
    else high = middle
  }
  return low
}

/** Lengths in which a channel is worked, with a cord to let the air out, mm: even ones, none longer than hands reach. */
export function channelLengths(lengthMm: number, mostMm: number): number[] {
  const count = Math.max(1, Math.ceil(lengthMm / mostMm))
  return Array.from({ length: count }, () => lengthMm / count)
}

import { figure, say, type Sentence, verbatim } from '../../say/index.ts'

/** What a film can do, as ratios (0.03 = 3 %) unless said otherwise. */
export interface FilmHandling {
  /** Compression it takes up without a finger, cold. */
  readonly take: number
  /** The same while it is warm: it shrinks a little and lies down. */
  readonly takeWarm: number
  /** Stretch that hardly needs force. */
  readonly easyStretch: number
  /** Most that a hand reaches without heat. */
  readonly coldStretch: number
  /** Most it can be stretched warm. */
  readonly warmStretch: number
  /** Stretch beyond which a glue line shows when it is laid at once. */
  readonly glueLineStretch: number
  /** Stretch at which a printed pattern begins to look warped; counts for patterned film only. */
  readonly patternStretch: number
  /** Share of a cold stretch that the film takes back when it is let go. */
  readonly recovery: number
  /** Share of a stretch that heat takes back where the film is free to shrink: its memory. */
  readonly shrinkBack: number
  /** Force per width for a whole stretch (ratio 1), cold, N/mm: 7 = 0.07 N for 1 % on each millimetre. */
  readonly stiffnessNPerMm: number
  /** Stiffness warm as a share of cold. */
  readonly warmSoftness: number
  /** How much it narrows across a pull, as a share of the stretch (Poisson's ratio); rubbery film keeps its volume: nearly a half. */
  readonly narrowing: number
  /** Pull square to the surface at which freshly pressed film lets go along a line, N/cm. */
  readonly tackNPerCm: number
}

export interface FilmFigure {
  readonly label: Sentence
  readonly unit: '%' | 'N/mm' | 'N/cm' | 'share'
  readonly usual: number
  readonly min: number
  readonly max: number
  readonly reason: Sentence
}

/** Every figure of a film with the range in which it is believed, and why it is asked for. */
export const filmFigures: Readonly<Record<keyof FilmHandling, FilmFigure>> = {
  take: {
    label: say`Takes up without a finger, cold`,
    unit: '%',
    usual: 0.006,
    min: 0,
    max: 0.03,
    reason: say`Film that is pressed together more than this folds; thicker and softer film takes more.`,
  },
  takeWarm: {
    label: say`Takes up without a finger, warm`,
    unit: '%',
    usual: 0.015,
    min: 0,
    max: 0.06,
    reason: say`Small wrinkles at an edge shrink away under the gun; large ones do not.`,
  },
  easyStretch: {
    label: say`Stretches easily`,
    unit: '%',
    usual: 0.01,
    min: 0,
    max: 0.1,
    reason: say`What a squeegee does in passing.`,
  },
  coldStretch: {
    label: say`Stretches by hand, cold, up to`,
    unit: '%',
    usual: 0.03,
    min: 0.002,
    max: 0.3,
    reason: say`Beyond this a hand needs heat.`,
  },
  warmStretch: {
    label: say`Stretches warm up to`,
    unit: '%',
    usual: 0.15,
    min: 0.005,
    max: 0.8,
    reason: say`Beyond this it thins, whitens or tears.`,
  },
  glueLineStretch: {
    label: say`Shows a glue line from`,
    unit: '%',
    usual: 0.06,
    min: 0.005,
    max: 0.5,
    reason: say`Laid at once after a greater stretch the adhesive shows as a band.`,
  },
  patternStretch: {
    label: say`A printed pattern warps from`,
    unit: '%',
    usual: 0.03,
    min: 0.005,
    max: 0.2,
    reason: say`Lines and dots that are drawn further apart on one side than on the other are seen from afar.`,
  },
  recovery: {
    label: say`Takes back when let go, cold`,
    unit: 'share',
    usual: 0.8,
    min: 0,
    max: 1,
    reason: say`Soft film springs back nearly all the way; cast vinyl keeps part of the stretch.`,
  },
  shrinkBack: {
    label: say`Shrinks back under heat`,
    unit: 'share',
    usual: 0.5,
    min: 0,
    max: 1,
    reason: say`The memory by which flaps that were drawn shrink down again.`,
  },
  stiffnessNPerMm: {
    label: say`Force for a whole stretch`,
    unit: 'N/mm',
    usual: 7,
    min: 0.5,
    max: 80,
    reason: say`Stiffness times thickness: decides whether a hand brings film down into a hollow.`,
  },
  warmSoftness: {
    label: say`Stiffness warm, against cold`,
    unit: 'share',
    usual: 0.25,
    min: 0.05,
    max: 1,
    reason: say`A warm band next to cold film takes nearly all of a pull: that is why one heats broadly.`,
  },
  narrowing: {
    label: say`Narrows across a pull, against the stretch`,
    unit: 'share',
    usual: 0.48,
    min: 0.2,
    max: 0.5,
    reason: say`Along a groove film cannot narrow, so it pulls harder: by a third where it keeps its volume.`,
  },
  tackNPerCm: {
    label: say`Lets go, just pressed, from`,
    unit: 'N/cm',
    usual: 2,
    min: 0.1,
    max: 20,
    reason: say`Film that is stretched into a hollow pulls at its bottom; beyond this it comes up again before it has bonded.`,
  },
}

export const filmFigureKeys = Object.keys(filmFigures) as (keyof FilmHandling)[]

/** A film of which nothing particular is known. */
export const usualHandling = Object.fromEntries(
  filmFigureKeys.map((key) => [key, filmFigures[key].usual]),
) as unknown as FilmHandling

/** What is wrong with a film's own figures, or null. */
export function filmProblem(handling: FilmHandling): Sentence | null {
  for (const key of filmFigureKeys) {
    const { label, min, max, unit } = filmFigures[key]
    const value = handling[key]
    if (!(value >= min && value <= max)) {
      const k = unit === '%' ? 100 : 1
      return say`${label}: ${figure(k * value, 3)} ${verbatim(unit)} is outside ${figure(k * min, 3)} to ${figure(k * max, 3)}.`
    }
  }
  if (handling.takeWarm < handling.take) return say`Warm film takes up at least as much as cold film.`
  if (handling.easyStretch > handling.coldStretch)
    return say`What stretches easily cannot be more than a hand reaches cold.`
  if (handling.coldStretch > handling.warmStretch) return say`Cold film cannot stretch further than warm film.`
  return null
}

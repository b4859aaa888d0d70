import type { EdgeRules, EdgeSpots, PlacedPiece } from '@truelay/core/align'
import type { PartSurface } from '@truelay/core/form'
import {
  type FingerPlace,
  type FlatOutline,
  fingerForecast,
  gradePart,
  type LaidPart,
  type Lay,
  type LayFigures,
  layFigures,
  type NaturalPart,
  type StageFilm,
} from '@truelay/core/lay'
import type { PlacedPart } from '@truelay/core/plan'
import { clauses, type Sentence } from '@truelay/core/say'

/** One lay as a screen needs it. */
export interface ShownLay {
  readonly lay: Lay
  readonly figures: LayFigures
  readonly fingers: readonly FingerPlace[]
}

/** What is shown at once: the form, and film on it as it wants to lie by itself. */
export interface FirstAnswer {
  readonly surface: PartSurface
  readonly natural: ShownLay
  readonly grade: number
  readonly gradeWords: Sentence
}

/** What hands and heat make of it. */
export interface WorkedAnswer {
  readonly worked: ShownLay
  readonly neededStretch: number
}

/** The piece on the flat part: what margins are worked out from in every frame. */
export interface ShownPlacement {
  readonly outline: FlatOutline
  readonly holes: readonly FlatOutline[]
  readonly spots: EdgeSpots
  readonly rules: EdgeRules
  /** The piece where it was registered, before any shift. */
  readonly piece: PlacedPiece
}

export function firstAnswer({ form, surface, natural }: NaturalPart, film: StageFilm): FirstAnswer {
  const shown = shownLay(surface, natural, film)
  const { grade, reasons } = gradePart(form, surface, shown.figures, film.handling)
  return { surface, natural: shown, grade, gradeWords: clauses(reasons) }
}

export const workedAnswer = ({ surface, worked, film }: LaidPart): WorkedAnswer => ({
  worked: shownLay(surface, worked, film),
  neededStretch: worked.neededStretch,
})

export const shownPlacement = ({ part, spots, rules, piece }: PlacedPart): ShownPlacement => ({
  outline: part.outline,
  holes: part.holes,
  spots,
  rules,
  piece,
})

const shownLay = (surface: PartSurface, lay: Lay, { handling }: StageFilm): ShownLay => ({
  lay,
  figures: layFigures(surface.mesh, lay),
  fingers: fingerForecast(surface, lay, handling.take),
})

import type { EdgeRules, EdgeSpots, PiecePattern, PlacedPiece } from '@truelay/core/align'
import type { FormDoc, PartSurface } from '@truelay/core/form'
import type {
  FingerPlace,
  FingerSpot,
  FlatOutline,
  Lay,
  LayFigures,
  Pull,
  Rehearsal,
  ReliefAdvice,
  SplitLine,
} from '@truelay/core/lay'
import type { CalibratedGun } from '@truelay/core/heat'
import type { Stock } from '@truelay/core/mix'
import type {
  ChosenOrder,
  FilmDoc,
  FoundOnPart,
  LearnedWaits,
  PartPlan,
  PieceShift,
  RoomClimate,
  Schools,
} from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'
import type { UnitChoice } from '@truelay/core/units'

/** What a lay sheet asks of the worker. */
export interface LayQuestion {
  readonly partId: string
  readonly partName: string
  readonly form: FormDoc
  readonly film: FilmDoc
  /** Null where the film is cut from the roll. */
  readonly pattern: PiecePattern | null
  readonly schools: Schools
  readonly stock: Stock
  readonly practice: Practice
  readonly units: UnitChoice
  readonly found: readonly FoundOnPart[]
  readonly low: boolean
  /** The order that was chosen for it; null = as the usual school says. */
  readonly order: ChosenOrder | null
}

/** One lay as a screen needs it. */
export interface ShownLay {
  readonly lay: Lay
  readonly figures: LayFigures
  readonly fingers: readonly FingerPlace[]
  readonly pulls: readonly Pull[]
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

export interface FirstAnswer {
  readonly surface: PartSurface
  readonly natural: ShownLay
  readonly grade: number
  readonly gradeWords: string
}

export interface FullAnswer {
  readonly worked: ShownLay
  readonly neededStretch: number
  readonly placement: ShownPlacement
  readonly plan: PartPlan
}

/** What cuts would save, and where the part would be split if they are not enough. */
export interface CutsAnswer {
  readonly advice: ReliefAdvice
  readonly splits: readonly SplitLine[]
}

/** The part's order of laying, rehearsed on a coarser form of its own. */
export interface OrderAnswer {
  readonly surface: PartSurface
  readonly rehearsal: Rehearsal
  readonly fingers: readonly FingerSpot[]
}

/** What a plan hangs on that changes from hour to hour; the lay does not. */
export interface Today {
  /** Where the piece is wanted, against where it was registered. */
  readonly shift: PieceShift
  readonly room: RoomClimate
  /** Null = any variable gun. */
  readonly gun: CalibratedGun | null
  readonly learned: LearnedWaits
}

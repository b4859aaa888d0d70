import type { CalibratedGun } from '../heat/index.ts'
import type { Grade, LampUse, LightChoice } from '../light/index.ts'
import type { Stock } from '../mix/index.ts'
import type { Practice } from '../practice/index.ts'
import type { Sentence } from '../say/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { FoundOnPart, RoomClimate } from './findings.ts'
import type { ChosenOrder, Schools } from './schools.ts'
import type { LearnedWaits } from './waitPlan.ts'
import type { LinePlace, SetPlace } from './setPlace.ts'
import type { Hands } from './workChoices.ts'

/** What the work on a part hangs on besides its placing, and that stays for the job. */
export interface WorkInput {
  readonly partId: string
  readonly partName: string
  readonly film: FilmDoc
  readonly schools: Schools
  /** Why the liquids that were chosen are not used; null where they are, or none were chosen. */
  readonly liquidRefused: Sentence | null
  /** False where its form is only that of an ordinary part of its kind. */
  readonly measured: boolean
  readonly set: SetPlace | null
  readonly line: LinePlace | null
  /** How many work on it; null = as its size asks. */
  readonly hands: Hands | null
  readonly light: LightChoice
  readonly lampUse?: LampUse | null
  /** Films of its kind at hand, this one too. */
  readonly grades: readonly Grade[]
  readonly stock: Stock
  readonly practice: Practice
  /** What the walk-round found on this part. */
  readonly found: readonly FoundOnPart[]
  /** The part sits so low that the vehicle has to be raised. */
  readonly low: boolean
  /** Why the order with which the part was laid was chosen; null where the usual school is followed. */
  readonly chosen: ChosenOrder | null
}

/** What changes from hour to hour. */
export interface Today {
  /** The installer's own shift of the piece from where it was registered. */
  readonly shift: PieceShift
  /** Left out = ordinary air. */
  readonly room?: RoomClimate | undefined
  /** The gun of the shop; null = any variable gun. */
  readonly gun: CalibratedGun | null
  readonly learned: LearnedWaits
}

export type Conditions = WorkInput & Today

/** A shift of the piece by hand: a turn about its own middle, then a move. */
export interface PieceShift {
  readonly xMm: number
  readonly yMm: number
  readonly turnDeg: number
}

export const unshifted: PieceShift = { xMm: 0, yMm: 0, turnDeg: 0 }

/** A day of which nothing particular is known. */
export const anyDay: Today = { shift: unshifted, gun: null, learned: {} }

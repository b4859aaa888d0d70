import type { Result } from '../result/index.ts'
import { length, name, say, type Sentence } from '../say/index.ts'

/** Every failure of a nest: the facts it carries, the sentence it says, and what to do. */
const catalogue = {
  NEST_NOTHING: {
    says: (_: object) => say`There is no piece to be cut.`,
    fix: say`Give at least one piece, with a count of at least 1.`,
  },
  NEST_TWICE: {
    says: (f: { id: string }) => say`There are two pieces “${name(f.id)}”.`,
    fix: say`Give each an id of its own, and say with “count” how many are cut.`,
  },
  NEST_CROSSED: {
    says: (f: { id: string; x: number; y: number }) =>
      say`The outline or a cut-out of “${name(f.id)}” crosses itself near ${length(f.x)}, ${length(f.y)}.`,
    fix: say`Draw it so that its line meets itself only at its beginning.`,
  },
  NEST_FLAT: {
    says: (f: { id: string }) => say`The outline of “${name(f.id)}” holds no film.`,
    fix: say`Give at least three corners that are not in one line.`,
  },
  NEST_CUT_OUT_OUTSIDE: {
    says: (f: { id: string }) => say`A cut-out of “${name(f.id)}” is not within its outline.`,
    fix: say`Draw it inside, or make it part of the outline.`,
  },
  NEST_TOO_WIDE: {
    says: (f: { id: string; neededMm: number; freeMm: number }) =>
      say`“${name(f.id)}” needs ${length(f.neededMm)} across the roll, which has ${length(f.freeMm)} between its borders.`,
    fix: say`Take a wider roll, allow another turn, or divide the piece.`,
  },
  NEST_NO_ROOM: {
    says: (f: { id: string; neededMm: number; freeMm: number }) =>
      say`“${name(f.id)}” needs ${length(f.neededMm)} along the roll; its longest sound stretch has ${length(f.freeMm)}.`,
    fix: say`Take another roll, allow another turn, or divide the piece.`,
  },
  NEST_TOO_LONG: {
    says: (f: { neededMm: number; leftMm: number }) =>
      say`These pieces need ${length(f.neededMm)} of the roll as they were laid out; it has ${length(f.leftMm)} left.`,
    fix: say`Take another roll, cut fewer pieces, or let it search longer.`,
  },
  NEST_SPOILT: {
    says: (f: { fromMm: number; toMm: number }) =>
      say`A spoilt stretch is given from ${length(f.fromMm)} to ${length(f.toMm)}: it ends before it begins.`,
    fix: say`Give where it begins, then where it ends.`,
  },
  NEST_BORDER: {
    says: (f: { borderMm: number; rollWidthMm: number }) =>
      say`A border of ${length(f.borderMm)} on each side leaves nothing of a roll ${length(f.rollWidthMm)} wide.`,
    fix: say`Give a narrower border.`,
  },
} as const

type Catalogue = typeof catalogue
export type NestFailureCode = keyof Catalogue
type Facts<C extends NestFailureCode> = Parameters<Catalogue[C]['says']>[0]

export interface NestFailure {
  readonly code: NestFailureCode
  readonly facts: unknown
  readonly sentence: Sentence
  readonly fix: Sentence
}

export type NestResult<T> = Result<T, NestFailure>

export function nestFailure<C extends NestFailureCode>(code: C, facts: Facts<C>): NestFailure {
  const { says, fix } = catalogue[code]
  return { code, facts, sentence: (says as (facts: Facts<C>) => Sentence)(facts), fix }
}

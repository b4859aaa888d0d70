import { createEmptyCard, fsrs, Rating } from 'ts-fsrs'
import { type ExerciseKind, exerciseKinds, type ExerciseLevel } from './exercise.ts'
import type { Mistake } from './fromFits.ts'

/** An exercise as somebody did it. */
export interface ExerciseDone {
  readonly kind: ExerciseKind
  readonly level: ExerciseLevel
  readonly share: number
  /** ISO moment. */
  readonly at: string
}

/** Where somebody stands in one exercise. */
export interface Standing {
  readonly kind: ExerciseKind
  /** At which it goes on. */
  readonly level: ExerciseLevel
  readonly times: number
  /** The best at that level; null where none was done there. */
  readonly best: number | null
  /** When it is best done again, ISO; null = at once, it was never done. */
  readonly dueAt: string | null
}

/** From here on it sits. */
export const mastered = 0.8
/** So often in a row at one level before the next. */
const inRow = 2

const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false })
const ratingOf = (share: number) =>
  share < 0.4 ? Rating.Again : share < 0.7 ? Rating.Hard : share < 0.92 ? Rating.Good : Rating.Easy

/**
 * Where somebody stands: the level goes up after two good ones in a row and down after two poor ones; when it is due again is spaced
 * repetition (free spaced repetition scheduler, as ts-fsrs has it) over all that was done, in the order in which it was done.
 */
export function standingOf(kind: ExerciseKind, all: readonly ExerciseDone[]): Standing {
  const done = all.filter((one) => one.kind === kind).sort((a, b) => a.at.localeCompare(b.at))
  let level: ExerciseLevel = 1
  let good = 0
  let poor = 0
  let card = createEmptyCard(new Date(done[0]?.at ?? 0))
  for (const { share, level: at, at: when } of done) {
    card = scheduler.next(card, new Date(when), ratingOf(share)).card
    good = at >= level && share >= mastered ? good + 1 : 0
    poor = at <= level && share < 0.4 ? poor + 1 : 0
    if (good >= inRow && level < 3) level = (level + 1) as ExerciseLevel
    else if (poor >= inRow && level > 1) level = (level - 1) as ExerciseLevel
    else continue
    good = 0
    poor = 0
  }
  const there = done.filter((one) => one.level === level)
  return {
    kind,
    level,
    times: done.length,
    best: there.length === 0 ? null : Math.max(...there.map((one) => one.share)),
    dueAt: done.length === 0 ? null : card.due.toISOString(),
  }
}

/** What comes next, and for which mistake of a real fit, if for one. */
export interface NextUp extends Standing {
  readonly because: Mistake | null
}

/**
 * What to practise next: what went wrong in a fit since it was practised last, then what was never done, then what has been due longest.
 * Mistakes: the latest first.
 */
export function nextUp(all: readonly ExerciseDone[], mistakes: readonly Mistake[] = []): NextUp[] {
  const latest = (kind: ExerciseKind) =>
    all.reduce((last, one) => (one.kind === kind && one.at > last ? one.at : last), '')
  return exerciseKinds
    .map((kind): NextUp => {
      const because = mistakes.find((one) => one.kind === kind && one.at > latest(kind)) ?? null
      return { ...standingOf(kind, all), because }
    })
    .sort(
      (a, b) =>
        (b.because?.at ?? '').localeCompare(a.because?.at ?? '') ||
        (a.dueAt ?? '').localeCompare(b.dueAt ?? '') ||
        exerciseKinds.indexOf(a.kind) - exerciseKinds.indexOf(b.kind),
    )
}

import type { FormDoc } from '../form/index.ts'
import type { Practice } from '../practice/index.ts'
import { list, percent, say, type Sentence } from '../say/index.ts'

export interface RollOrPatternFacts {
  readonly form: Pick<FormDoc, 'family' | 'edges'>
  readonly patternAtHand: boolean
  /** Film stretch that the worked lay needs at its worst place, ratio above 1. */
  readonly neededStretch: number
  /** Whether the film may be turned on the roll. */
  readonly hasDirection: boolean
}

export interface RollOrPattern {
  readonly advice: 'pre-cut' | 'from the roll'
  /** In the trade's words, the strongest first. */
  readonly reasons: readonly Sentence[]
  readonly allowanceMm: number
}

/** Pre-cut where a pattern exists and the shape allows it, else from the roll; each reason that speaks for it. */
export function rollOrPattern(facts: RollOrPatternFacts, practice: Practice): RollOrPattern {
  const { form, patternAtHand, neededStretch } = facts
  const allowanceMm = form.family === 'panel' ? practice.rollAllowancePanel : practice.rollAllowanceLamp
  const tooSharp = neededStretch - 1 > practice.patternStretchMost
  const gives = percent(100 * (neededStretch - 1), 1)
  const wrapped = form.edges.filter((e) => e.code === 'wrap')
  const wrappedAllRound = wrapped.length === form.edges.length
  const forRoll = [
    ...(patternAtHand ? [] : [say`No pattern of this part is at hand.`]),
    ...(tooSharp
      ? [
          say`It turns too sharply for a flat pattern: the film has to give ${gives}, and a line cut beforehand would move.`,
        ]
      : []),
    ...(wrappedAllRound ? [say`All its edges are wrapped: the film is trimmed on the part anyway.`] : []),
  ]
  if (forRoll.length > 0) return { advice: 'from the roll', reasons: forRoll, allowanceMm }
  const some = wrapped.map((e) => e.label)
  return {
    advice: 'pre-cut',
    reasons: [
      say`A pattern is at hand: nothing has to be cut on the vehicle.`,
      say`The film gives ${gives} at most, so the cut line stays where it belongs.`,
      ...(some.length > 0 ? [say`Enlarge the pattern along ${list(some)} for the wrap.`] : []),
    ],
    allowanceMm,
  }
}

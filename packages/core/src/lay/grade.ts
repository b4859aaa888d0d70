import type { LayFigures } from './layTypes.ts'
import { percent, say, type Sentence } from '../say/index.ts'

export interface GradeLimits {
  /** Largest share of stretch against compression, ratio above 1, up to which a part has grade 1, 2, 3, 4. */
  readonly upTo: readonly [number, number, number, number]
}

/** An even hand lays 0.5 % without noticing, 2 % with care; 5 % wants heat and 10 % wants skill. */
export const gradeDefaults: GradeLimits = { upTo: [0.005, 0.02, 0.05, 0.1] }

/**
 * Difficulty 1-5 from how unevenly the film would have to stretch: the 99th percentile of the larger stretch over the
 * 1st percentile of the smaller one, less 1. It is the stretch that a worked lay needs at about that place.
 */
export function grade(figures: LayFigures, limits: GradeLimits = gradeDefaults): 1 | 2 | 3 | 4 | 5 {
  const uneven = figures.major.p99 / figures.minor.p1 - 1
  const above = limits.upTo.filter((limit) => uneven > limit).length
  return (above + 1) as 1 | 2 | 3 | 4 | 5
}

const words = [
  say`lies down by itself`,
  say`an even hand is enough`,
  say`wants care at the edges`,
  say`wants heat and pulls`,
  say`wants skill, heat and time`,
] as const

/** The reason for a grade in the trade's words. */
export function gradeWords(figures: LayFigures, limits: GradeLimits = gradeDefaults): Sentence {
  const uneven = percent(100 * (figures.major.p99 / figures.minor.p1 - 1), 1)
  return say`${uneven} of uneven stretch: ${words[grade(figures, limits) - 1] ?? words[0]}`
}

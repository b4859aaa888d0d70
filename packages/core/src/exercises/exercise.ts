import { say, type Sentence } from '../say/index.ts'

/** What can be practised on film that costs nothing. */
export const exerciseKinds = ['gaps', 'mix', 'gun', 'measure', 'lay', 'what', 'morning'] as const
export type ExerciseKind = (typeof exerciseKinds)[number]

/** From easy to hard. */
export const exerciseLevels = [1, 2, 3] as const
export type ExerciseLevel = (typeof exerciseLevels)[number]

/** How an exercise is introduced, and what somebody says who has done it for years. */
export interface ExerciseWords {
  readonly name: Sentence
  /** One sentence before it begins. */
  readonly opens: Sentence
  readonly practitioner: Sentence
  /** Page of the guide. */
  readonly page: 'fit' | 'mix' | 'lay-sheet' | 'measure-a-part' | 'the-day'
}

export const exerciseWords: Readonly<Record<ExerciseKind, ExerciseWords>> = {
  lay: {
    name: say`Lay it`,
    opens: say`A part you have never seen. Say what is fixed first and how the film runs from there, and watch how it comes to lie.`,
    practitioner: say`Begin where the form is hardest to please or where most of it is flat, never between. What is fixed stays: every spot fixed too early is film that cannot get away later.`,
    page: 'lay-sheet',
  },
  gaps: {
    name: say`Gaps`,
    opens: say`The piece lies off. Read the gaps with the rule, then say by how much it has to move.`,
    practitioner: say`Read every gap before anything moves, then move once: each lift lets in air and dust. Gaps of one edge that differ mean a turn; turn first, then move.`,
    page: 'lay-sheet',
  },
  mix: {
    name: say`Mix`,
    opens: say`Pour until the bottle holds what it should; what counts is what is really in it.`,
    practitioner: say`Water first, soap last and under the surface, or it foams. A batch that is too strong wants water, and room in the bottle for it: pour off first.`,
    page: 'mix',
  },
  gun: {
    name: say`Gun in hand`,
    opens: say`Lead the gun over the film: bring the marked place to its heat, and nothing anywhere to where film is damaged.`,
    practitioner: say`The gun never stands still. Metal takes heat away to the sides, so a lane there wants more passes, not a slower hand; plastic keeps it, so look at the thermometer after each pass.`,
    page: 'fit',
  },
  measure: {
    name: say`Measure`,
    opens: say`Choose where the straightedge goes next, so that few readings tell the form.`,
    practitioner: say`Once across and once up through the middle, then out towards the ends, where the part turns most. Two readings side by side tell the same thing twice.`,
    page: 'measure-a-part',
  },
  what: {
    name: say`What is this`,
    opens: say`Look at the film: name what is wrong, its likely cause, and what is still to be done about it.`,
    practitioner: say`Look along the light and touch it before you say what it is. The first question is always whether the film still comes off: that decides what can be done.`,
    page: 'fit',
  },
  morning: {
    name: say`Plan the morning`,
    opens: say`Three vehicles, two people, one gun. Put the work in order, then let the morning run.`,
    practitioner: say`Begin with what has the longest wait, and do something else while it dries. Whoever waits for the gun has planned too late.`,
    page: 'the-day',
  },
}

/** What came of an exercise. */
export interface Verdict {
  /** 0 = as somebody who knows nothing of it, 1 = as well as it can be done. */
  readonly share: number
  /** What decided it, the weightiest first. */
  readonly says: readonly Sentence[]
}

/** 1 at `best` and better, 0 at `worst` and worse, in between along a straight line. */
export const between = (value: number, worst: number, best: number) =>
  Math.min(1, Math.max(0, (value - worst) / (best - worst)))

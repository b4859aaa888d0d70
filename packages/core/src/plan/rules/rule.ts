import { boundsOf, type Vec2 } from '../../geometry/index.ts'
import type { FindingKind, FoundOnPart } from '../findings.ts'
import type { PlanContext, PlanStep, StepPicture } from '../planTypes.ts'

/** A condition and the steps it brings. Rules stand in the order in which their steps are done. */
export interface PlanRule {
  readonly name: string
  readonly when: (c: PlanContext) => boolean
  readonly steps: (c: PlanContext) => readonly StepDraft[]
}

/** A step with the usual values left out. */
export type StepDraft = Pick<PlanStep, 'id' | 'phase' | 'headline' | 'detail' | 'why' | 'minutes'> & Partial<PlanStep>

export const wholePart = (film: StepPicture['film'] = 'none', marks: StepPicture['marks'] = []): StepPicture => ({
  film,
  marks,
})

export const finishStep = (draft: StepDraft): PlanStep => ({
  picture: wholePart(),
  inHand: [],
  people: 1,
  cautions: [],
  ...draft,
})

export const isWet = (c: PlanContext) => c.schools.slip !== 'dry'
export const isLens = (c: PlanContext) => c.form.material === 'lens plastic'
export const hasCode = (c: PlanContext, ...codes: readonly string[]) => c.edges.some((e) => codes.includes(e.code))
export const edgesWith = (c: PlanContext, ...codes: readonly string[]) => c.edges.filter((e) => codes.includes(e.code))
export const listed = (words: readonly string[]) =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`
/** "towards the grille and the bottom" reads better without the second article. */
export const bottleOf = (c: PlanContext, use: 'slip' | 'tack') => c.solutions.find((s) => s.use === use)

export const foundOf = (c: PlanContext, kind: FindingKind) => c.found.filter((f) => f.kind === kind)
/** A damaged lens takes neither heat nor alcohol. */
export const barsHeat = (c: PlanContext) =>
  foundOf(c, 'cracked lens').length > 0 || foundOf(c, 'crazed lens').length > 0

/** A finding's place in the film plane. */
export function spotOf(c: PlanContext, { at: [across, down] }: FoundOnPart): Vec2 {
  const { min, max } = boundsOf(c.outlineOnForm)
  return c.toFlat([min[0] + across * (max[0] - min[0]), max[1] - down * (max[1] - min[1])])
}

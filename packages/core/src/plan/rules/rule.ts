import { boundsOf, type Vec2 } from '../../geometry/index.ts'
import { list, name, type Said, say, type Sentence } from '../../say/index.ts'
import type { FindingKind, FoundOnPart } from '../findings.ts'
import type { PlannedBatch } from '../partPlan.ts'
import { liesAsDome } from '../lying.ts'
import type { PlanContext } from '../planContext.ts'
import type { BottleUse, Caution, CautionTopic, PlanStep, StepPicture, StepReference, StepWait } from '../step.ts'

/** A condition and the steps it brings. Rules stand in the order in which their steps are done. */
export interface PlanRule {
  readonly name: string
  /** Done once for a set: with its first part, or with its last. */
  readonly once?: 'first' | 'last'
  readonly when: (c: PlanContext) => boolean
  readonly steps: (c: PlanContext) => readonly StepDraft[]
}

/** A step with the usual values left out. */
export type StepDraft = Pick<PlanStep, 'id' | 'phase' | 'headline' | 'detail' | 'why' | 'minutes'> &
  Partial<PlanStep> & {
    /** What has to be over before it: the step done before it waits for that. */
    readonly notBefore?: StepWait | undefined
  }

export const wholePart = (film: StepPicture['film'] = 'none', marks: StepPicture['marks'] = []): StepPicture => ({
  film,
  marks,
})

/** Minutes of what is done several times or over an area come out broken; a plan tells whole ones. */
export function finishStep({ notBefore: _, minutes, ...draft }: StepDraft): PlanStep {
  const usual = { picture: wholePart(), tools: [], liquids: [], people: 1, cautions: [], references: [] }
  return { ...usual, ...draft, minutes: Math.max(1, Math.round(minutes)) }
}

export const caution = (about: CautionTopic, says: Sentence): Caution => ({ about, says })

export const isWet = (c: PlanContext) => c.schools.slip !== 'dry'
export const isLens = (c: PlanContext) => c.form.material === 'lens plastic'
export const fromRoll = (c: Pick<PlanContext, 'cut'>) => c.cut.way === 'from the roll'
/** So large that one pair of hands does not keep the adhesive apart. */
export const isLarge = (c: PlanContext) => c.areaMm2 > 1e6 * c.practice.twoHandsFrom
/** Half and half: a large piece, and nobody to hold the other end. */
export const isAlone = (c: PlanContext) => isLarge(c) && c.hands === 1
/** Slip is washed out with plain water where film has to hold. */
export const rinsed = (c: Pick<PlanContext, 'schools'>) =>
  c.schools.tack === 'water only' && c.schools.slip !== 'water only'
export const isTrim = (c: Pick<PlanContext, 'form'>) => c.form.family === 'trim'
/** What the film is laid on, as one says it: the lens, the trim, the panel. */
export const partWord = (c: PlanContext): Sentence =>
  isLens(c) ? say`the lens` : isTrim(c) ? say`the trim` : say`the panel`
/** Tape is put on round it before the work, and has to come off again. */
export const isMasked = (c: PlanContext) => isLens(c) && !isDome(c)
/** A piece without bleed on a dome: it is massaged down, neither pulled nor heated nor cut. */
export const isDome = (c: Pick<PlanContext, 'form' | 'film'>) => liesAsDome(c.form, c.film)
/** Film that passes an edge somewhere: there it can be held, and pulled. */
export const hasBleed = (c: Pick<PlanContext, 'edges'>) => c.edges.some((e) => e.rule.maxMm < 0)
export const hasCode = (c: PlanContext, ...codes: readonly string[]) => c.edges.some((e) => codes.includes(e.code))
export const edgesWith = (c: PlanContext, ...codes: readonly string[]) => c.edges.filter((e) => codes.includes(e.code))

/** The labels of some edges, one after the other; all round where they are all of many. */
export const edgesAmong = (c: PlanContext, edges: readonly { readonly label: string }[]): Said =>
  edges.length > 2 && edges.length === c.edges.length ? list([say`all round`]) : labelsOf(edges)
/** The labels of some edges, one after the other. */
export const labelsOf = (edges: readonly { readonly label: string }[]): Said => list(edges.map((e) => e.label))
/** The label of an edge of the form, or the name itself where it has none. */
export const edgeName = (c: PlanContext, edge: string): Said =>
  name(c.form.edges.find((e) => e.name === edge)?.label ?? edge)
export const byEdges = (edges: readonly { readonly name: string }[]): StepReference[] =>
  edges.map((e) => ({ kind: 'edge', edge: e.name }))

export const bottleOf = (c: PlanContext, use: BottleUse): PlannedBatch | undefined =>
  c.solutions.find((s) => s.use === use)

export const foundOf = (c: PlanContext, kind: FindingKind) => c.found.filter((f) => f.kind === kind)
/** A damaged lens takes neither heat nor alcohol. */
export const barsHeat = (c: Pick<PlanContext, 'found'>) =>
  c.found.some((f) => f.kind === 'cracked lens' || f.kind === 'crazed lens')

/** A finding's place in the film plane. */
export function spotOf(c: PlanContext, { at: [across, down] }: FoundOnPart): Vec2 {
  const { min, max } = boundsOf(c.outlineOnForm)
  return c.toFlat([min[0] + across * (max[0] - min[0]), max[1] - down * (max[1] - min[1])])
}

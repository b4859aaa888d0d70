import type { Vec2 } from '../geometry/index.ts'
import type { Sentence } from '../say/index.ts'
import type { WaitKind } from '../wait/index.ts'
import type { FindingKind } from './findings.ts'
import type { Liquid, Tool } from './inHand.ts'

export const phases = ['prepare', 'mix', 'place', 'lay', 'edges', 'heat', 'look'] as const
export type Phase = (typeof phases)[number]

export const filmStates = ['none', 'floating', 'laid'] as const
export const lineMarks = ['stroke', 'pull', 'sweep'] as const

export type PictureMark =
  | { readonly kind: 'anchor'; readonly number: number; readonly at: Vec2 }
  | { readonly kind: 'gap'; readonly at: Vec2; readonly normal: Vec2; readonly mm: number }
  | { readonly kind: 'check'; readonly id: string; readonly at: Vec2; readonly normal: Vec2 }
  | {
      readonly kind: (typeof lineMarks)[number]
      readonly from: Vec2
      readonly to: Vec2
      readonly text?: Sentence | undefined
    }
  | { readonly kind: 'edge'; readonly edge: string; readonly text?: Sentence | undefined }
  | { readonly kind: 'zone'; readonly at: Vec2; readonly radiusMm: number; readonly text?: Sentence | undefined }

/** What a step shows, in the film plane. Without a middle the whole part is shown. */
export interface StepPicture {
  readonly film: (typeof filmStates)[number]
  readonly middle?: Vec2 | undefined
  readonly radiusMm?: number | undefined
  readonly marks: readonly PictureMark[]
}

/** A wait that begins when its step is done. */
export interface StepWait {
  readonly label: Sentence
  readonly leastMinutes: number
  readonly kind: WaitKind
  /** What the shop says at ordinary room temperature, and what the day's air makes of it. */
  readonly usualMinutes: number
  readonly factor: number
  /** In the liquid that dries there; with it the wait can be worked out again when the air changes. */
  readonly alcoholPercent?: number | undefined
}

export const heatUses = ['soften', 'seal', 'post-heat'] as const
export type HeatUse = (typeof heatUses)[number]

/** What a caution is about; `heat` falls away with the heat, all others stay whatever else is found. */
export const cautionTopics = [
  'heat',
  'no heat',
  'vapour',
  'solvent',
  'alcohol',
  'blade',
  'lifting',
  'law',
  'static',
  'repaint',
  'edge',
  'liquid',
  'other',
] as const
export type CautionTopic = (typeof cautionTopics)[number]

export interface Caution {
  readonly about: CautionTopic
  readonly says: Sentence
}

/** What a step is set, measured or worked by. */
export type StepReference =
  | { readonly kind: 'anchor'; readonly number: number }
  | { readonly kind: 'check'; readonly id: string }
  | { readonly kind: 'edge'; readonly edge: string }
  | { readonly kind: 'pull'; readonly letter: string }
  | { readonly kind: 'hollow'; readonly name: string }
  | { readonly kind: 'finding'; readonly finding: FindingKind }

export const stepRecords = ['batches', 'gaps', 'fingers', 'edges', 'blade'] as const
export type StepRecord = (typeof stepRecords)[number]
/** What the customer is told by a step. */
export const stepTells = ['aftercare'] as const
export type StepTells = (typeof stepTells)[number]
export const bottleUses = ['slip', 'tack'] as const
export type BottleUse = (typeof bottleUses)[number]

/** One step of a fit: data throughout, so that a screen, a paper and a scheduler can each make of it what they need. */
export interface PlanStep {
  readonly id: string
  readonly phase: Phase
  /** What to do, read at two metres. */
  readonly headline: Sentence
  readonly detail: Sentence
  readonly why: Sentence
  readonly picture: StepPicture
  readonly tools: readonly Tool[]
  readonly liquids: readonly Liquid[]
  readonly people: number
  readonly minutes: number
  readonly references: readonly StepReference[]
  /** The last step of the rehearsal that this step does, or all of them. */
  readonly laidUpTo?: number | 'all' | undefined
  /** The use of heat in it, as worked out in the plan. */
  readonly heat?: HeatUse | undefined
  /** What is cut with a blade in it, mm. */
  readonly cutMm?: number | undefined
  /** Must be true before one begins. */
  readonly gate?: Sentence | undefined
  /** What was found on this vehicle that brought the step or changed it. */
  readonly because?: Sentence | undefined
  /** Counts down once the step is done, before the next may begin. */
  readonly wait?: StepWait | undefined
  readonly cautions: readonly Caution[]
  /** Film that floats dries: minutes until it has to be wetted again. */
  readonly driesInMinutes?: number | undefined
  readonly records?: StepRecord | undefined
  readonly tells?: StepTells | undefined
  /** The liquid that has to be in hand, to be checked against the bottle. */
  readonly uses?: BottleUse | undefined
}

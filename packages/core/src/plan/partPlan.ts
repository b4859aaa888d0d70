import type { Swept } from '../heat/index.ts'
import type { EdgeRule } from '../align/index.ts'
import type { EdgeCode, FormDoc, PartMaterial } from '../form/index.ts'
import type { Polygon, Vec2 } from '../geometry/index.ts'
import type { Pull, SchoolName } from '../lay/index.ts'
import type { Addition, LiquidSchool, Strength } from '../mix/index.ts'
import type { Sentence } from '../say/index.ts'
import type { ClimateWait } from '../wait/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { StretchedSpot } from './stretchedSpots.ts'
import type { PieceCut } from './pieceCut.ts'
import type { Hands } from './workChoices.ts'
import type { BottleUse, HeatUse, PlanStep } from './step.ts'

/** How far the work on film that lies has come. */
export const laidStages = ['bonded', 'heated', 'cut'] as const
export type LaidStage = (typeof laidStages)[number]

/** A choice on one question where the trade is split. */
export interface SchoolChoice {
  readonly question: Sentence
  readonly choice: Sentence
  readonly reason: Sentence
  /** What the other school would change. */
  readonly otherwise: Sentence
}

/** A margin that is set or measured at a spot. */
export interface GapMark {
  readonly at: Vec2
  /** From the part's edge inward, length 1. */
  readonly normal: Vec2
  readonly wantedMm: number
}

/** A gap that is set where film is fixed. */
export interface AnchorGap extends GapMark {
  readonly edge: string
}

export interface Anchor {
  readonly number: number
  readonly label: Sentence
  /** In the film plane, mm. */
  readonly at: Vec2
  /** On the drawing of the form, mm. */
  readonly onForm: Vec2
  readonly gaps: readonly AnchorGap[]
  /** The film is drawn before it is fixed there. */
  readonly drawn: boolean
}

export const checkReadings = ['gap', 'film past the edge'] as const

/** A place at which the installer reads a gap. */
export interface CheckPoint extends GapMark {
  readonly id: string
  readonly label: Sentence
  readonly edge: string
  /** Whether the film ends before the edge there, or passes it. */
  readonly reads: (typeof checkReadings)[number]
}

/** Where heat goes: a spot in the film plane, or along an edge; `share` of the time spent there. */
export type HeatZone =
  | {
      readonly kind: 'spot'
      readonly label: Sentence
      readonly at: Vec2
      readonly onForm: Vec2
      readonly radiusMm: number
      readonly share: number
    }
  | { readonly kind: 'edge'; readonly label: Sentence; readonly edge: string; readonly share: number }

/** How to hold the gun for one use of heat on this part, worked out beforehand. */
export interface PlannedHeat {
  readonly use: HeatUse
  /** Along edges in one lane, over wider places in a band of lanes; plans of old do not say. */
  readonly swept?: Swept | undefined
  readonly gun: Sentence
  readonly leastC: number
  readonly mostC: number
  /** "third notch, a hand’s breadth away, along and back three times, about one second each way" */
  readonly words: Sentence
  readonly setting: Sentence
  readonly distanceMm: number
  readonly strokeMm: number
  readonly passes: number
  /** With the gun as strong, or as weak, as is known of it. */
  readonly passesRange: readonly [number, number]
  readonly passSeconds: number
  /** What the thermometer should read right after the last pass. */
  readonly readingC: number
  readonly peakC: number
  readonly marginC: number
  readonly coolToPressS: number | null
  readonly coolToCutS: number | null
  readonly warning: Sentence | null
  /** The same with a steamer; null where steam is not hot enough. */
  readonly steamSeconds: number | null
  readonly zones: readonly HeatZone[]
}

export interface PlannedBatch {
  readonly use: BottleUse
  readonly school: LiquidSchool
  readonly says: Sentence
  readonly needMl: number
  readonly batchMl: number
  readonly add: readonly Addition[]
  readonly strength: Strength
  readonly warnings: readonly Sentence[]
}

export interface PlannedEdge {
  readonly name: string
  readonly label: string
  readonly code: EdgeCode
  readonly rule: EdgeRule
  readonly advice: Sentence
  /** Excess that comes when nobody pulls, and what is left after the pulls, mm per 100 mm. */
  readonly unpulledMmPer100: number
  readonly leftMmPer100: number
}

/** The part as the plan's pictures draw it, in the film plane. */
export interface PlanDrawing {
  readonly part: Polygon
  readonly holes: readonly Polygon[]
  readonly piece: Polygon
  readonly cutOuts: readonly Polygon[]
  readonly edges: readonly { readonly name: string; readonly line: readonly Vec2[] }[]
}

export interface PlanNote {
  readonly because: Sentence
  readonly says: Sentence
}

/** Everything an installer needs for one part, worked out beforehand; plain data, so that it can be kept. */
export interface PartPlan {
  readonly partId: string
  readonly partName: string
  readonly film: Pick<FilmDoc, 'id' | 'name' | 'type' | 'laid'>
  readonly material: PartMaterial
  readonly grade: number
  readonly gradeWords: Sentence
  readonly schools: readonly SchoolChoice[]
  readonly solutions: readonly PlannedBatch[]
  readonly cut: PieceCut
  /** How many work on it. */
  readonly hands: Hands
  readonly anchors: readonly Anchor[]
  readonly pulls: readonly Pull[]
  /** Where the laying begins, and where film is stretched by it; left out in plans from before it was kept. */
  readonly begin?: SchoolName | undefined
  readonly stretched?: readonly StretchedSpot[] | undefined
  readonly edges: readonly PlannedEdge[]
  readonly checks: readonly CheckPoint[]
  readonly gapToleranceMm: number
  /** How well a gap is read, mm, one standard deviation. */
  readonly gapSigmaMm: number
  readonly directions: FormDoc['directions']
  /** The order in which it is laid, where one was chosen over the usual school. */
  readonly order: { readonly name: Sentence; readonly words: Sentence; readonly because: Sentence } | null
  readonly light: { readonly outputRatio: number; readonly words: Sentence } | null
  /** Each use of heat on this part; none where it takes no heat. */
  readonly heat: readonly PlannedHeat[]
  /** The waits of this part in the air that it was planned for. */
  readonly waits: readonly ClimateWait[]
  readonly drawing: PlanDrawing
  /** What was found and what follows from it, beyond the steps. */
  readonly notes: readonly PlanNote[]
  /** The film lies already: a come-back visit, and how far the work on it had come; left out where it is laid. */
  readonly visit?: { readonly stage: LaidStage } | undefined
  readonly steps: readonly PlanStep[]
  readonly minutes: number
}

import type { FoundOnPart, RoomClimate } from './findings.ts'
import type { EdgeRule } from '../align/index.ts'
import type { EdgeCode, FormDoc, PartMaterial } from '../form/index.ts'
import type { Polygon, Vec2 } from '../geometry/index.ts'
import type { FilmHandling, FingerPlace, LayOrder, Pull, RehearsalStep, SchoolName } from '../lay/index.ts'
import type { EdgePlan } from '../edges/index.ts'
import type { Addition, LiquidSchool, Strength } from '../mix/index.ts'
import type { ClimateWait, WaitKind } from '../wait/index.ts'

export type FilmType = 'paint film' | 'lens tint' | 'trim vinyl'

/** A film as the shelf knows it. */
export interface FilmDoc {
  readonly id: string
  readonly name: string
  readonly type: FilmType
  /** How it may be laid. */
  readonly laid: 'wet' | 'dry'
  readonly thicknessUm: number
  readonly handling: FilmHandling
  /** Share of light it lets through; lens tint only. */
  readonly transmission?: number | undefined
  /** A printed pattern, which warps when it is stretched. */
  readonly patterned?: boolean | undefined
  readonly damageC: number
}

/** An order that the installer has chosen for a part, and why. */
export interface ChosenOrder {
  readonly order: LayOrder
  readonly because: string
}

/** Named choices, one a question. */
export interface Schools {
  readonly slip: LiquidSchool
  readonly tack: LiquidSchool
  readonly begin: SchoolName
}

export interface SchoolChoice {
  readonly question: string
  readonly choice: string
  readonly reason: string
  /** What the other school would change. */
  readonly otherwise: string
}

export interface Anchor {
  readonly number: number
  readonly label: string
  /** In the film plane, mm. */
  readonly at: Vec2
  /** On the drawing of the form, mm. */
  readonly onForm: Vec2
  readonly gaps: readonly GapMark[]
  /** The film is drawn before it is fixed there. */
  readonly drawn?: boolean | undefined
}

/** A margin that is set or measured at a spot. */
export interface GapMark {
  readonly at: Vec2
  /** From the part's edge inward, length 1. */
  readonly normal: Vec2
  readonly wantedMm: number
}

/** A place at which the installer reads a gap. */
export interface CheckPoint extends GapMark {
  readonly id: string
  readonly label: string
  readonly edge: string
  /** Whether the film ends before the edge there, or passes it. */
  readonly reads: 'gap' | 'film past the edge'
}

export type PictureMark =
  | { readonly kind: 'anchor'; readonly number: number; readonly at: Vec2 }
  | { readonly kind: 'gap'; readonly at: Vec2; readonly normal: Vec2; readonly mm: number }
  | { readonly kind: 'check'; readonly id: string; readonly at: Vec2; readonly normal: Vec2 }
  | {
      readonly kind: 'stroke' | 'pull' | 'sweep'
      readonly from: Vec2
      readonly to: Vec2
      readonly text?: string | undefined
    }
  | { readonly kind: 'edge'; readonly edge: string; readonly text?: string | undefined }
  | { readonly kind: 'zone'; readonly at: Vec2; readonly radiusMm: number; readonly text?: string | undefined }

/** What a step shows, in the film plane. Without a middle the whole part is shown. */
export interface StepPicture {
  readonly film: 'none' | 'floating' | 'laid'
  readonly middle?: Vec2 | undefined
  readonly radiusMm?: number | undefined
  readonly marks: readonly PictureMark[]
}

export type Phase = 'prepare' | 'mix' | 'place' | 'lay' | 'edges' | 'heat' | 'look'

export interface StepWait {
  readonly label: string
  readonly leastMinutes: number
  /** Of which kind; left out where it is no wait of the trade. */
  readonly kind?: WaitKind | undefined
  /** What the shop says at ordinary room temperature, and what the day's air makes of it. */
  readonly usualMinutes?: number | undefined
  readonly factor?: number | undefined
  /** In the liquid that dries there; with it the wait can be worked out again when the air changes. */
  readonly alcoholPercent?: number | undefined
}

export type HeatUse = 'soften' | 'seal' | 'post-heat'

/** Where heat goes: a spot in the film plane, or along an edge; `share` of the time spent there. */
export type HeatZone =
  | {
      readonly kind: 'spot'
      readonly label: string
      readonly at: Vec2
      readonly onForm: Vec2
      readonly radiusMm: number
      readonly share: number
    }
  | { readonly kind: 'edge'; readonly label: string; readonly edge: string; readonly share: number }

/** How to hold the gun for one use of heat on this part, worked out beforehand. */
export interface PlannedHeat {
  readonly use: HeatUse
  readonly gun: string
  readonly leastC: number
  readonly mostC: number
  /** "third notch, a hand’s breadth away, along and back three times, about one second each way" */
  readonly words: string
  readonly setting: string
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
  readonly warning: string | null
  /** The same with a steamer; null where steam is not hot enough. */
  readonly steamSeconds: number | null
  readonly zones: readonly HeatZone[]
}

export interface PlanStep {
  readonly id: string
  readonly phase: Phase
  /** What to do, read at two metres. */
  readonly headline: string
  readonly detail: string
  readonly why: string
  readonly picture: StepPicture
  readonly inHand: readonly string[]
  readonly people: number
  readonly minutes: number
  /** The last step of the rehearsal that this step does. */
  readonly laidUpTo?: number | undefined
  /** The use of heat in it, as worked out in the plan. */
  readonly heat?: HeatUse | undefined
  /** What is cut with a blade in it, mm. */
  readonly cutMm?: number | undefined
  /** Must be true before one begins. */
  readonly gate?: string | undefined
  /** What was found on this vehicle that brought the step or changed it. */
  readonly because?: string | undefined
  /** Counts down once the step is done, before the next may begin. */
  readonly wait?: StepWait | undefined
  readonly cautions: readonly string[]
  /** Film that floats dries: minutes until it has to be wetted again. */
  readonly driesInMinutes?: number | undefined
  readonly records?: 'batches' | 'gaps' | 'fingers' | 'edges' | 'blade' | undefined
  /** The liquid that has to be in hand, to be checked against the bottle. */
  readonly uses?: 'slip' | 'tack' | undefined
}

export interface PlannedBatch {
  readonly use: 'slip' | 'tack'
  readonly school: LiquidSchool
  readonly says: string
  readonly needMl: number
  readonly batchMl: number
  readonly add: readonly Addition[]
  readonly strength: Strength
  readonly warnings: readonly string[]
}

export interface PlannedEdge {
  readonly name: string
  readonly label: string
  readonly code: EdgeCode
  readonly rule: EdgeRule
  readonly advice: string
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
  readonly because: string
  readonly says: string
}

/** Everything an installer needs for one part, worked out beforehand; plain data, so that it can be kept. */
export interface PartPlan {
  readonly partId: string
  readonly partName: string
  readonly film: Pick<FilmDoc, 'id' | 'name' | 'type' | 'laid'>
  readonly material: PartMaterial
  readonly grade: number
  readonly gradeWords: string
  readonly schools: readonly SchoolChoice[]
  readonly solutions: readonly PlannedBatch[]
  readonly anchors: readonly Anchor[]
  readonly pulls: readonly Pull[]
  readonly edges: readonly PlannedEdge[]
  readonly checks: readonly CheckPoint[]
  readonly gapToleranceMm: number
  readonly directions: FormDoc['directions']
  /** The order in which it is laid, where one was chosen over the usual school. */
  readonly order?: { readonly name: string; readonly words: string; readonly because: string } | undefined
  readonly light?: { readonly outputRatio: number; readonly words: string } | undefined
  /** Each use of heat on this part; none where it takes no heat. */
  readonly heat?: readonly PlannedHeat[] | undefined
  /** The waits of this part in the air that it was planned for. */
  readonly waits?: readonly ClimateWait[] | undefined
  readonly drawing: PlanDrawing
  /** What was found and what follows from it, beyond the steps. */
  readonly notes?: readonly PlanNote[] | undefined
  readonly steps: readonly PlanStep[]
  readonly minutes: number
}

/** What the rules look at. */
export interface PlanContext {
  readonly found: readonly FoundOnPart[]
  readonly room: RoomClimate | undefined
  /** The part is so low that the vehicle has to be raised. */
  readonly low: boolean
  /** The part's outline as it was measured, mm. */
  readonly outlineOnForm: Polygon
  readonly form: FormDoc
  readonly film: FilmDoc
  readonly schools: Schools
  readonly areaMm2: number
  readonly heat: readonly PlannedHeat[]
  readonly waits: readonly ClimateWait[]
  /** How long film floats before it has to be wetted again, in this slip and this air. */
  readonly wetMinutes: number
  readonly edgePlan: EdgePlan
  readonly edges: readonly PlannedEdge[]
  readonly anchors: readonly Anchor[]
  readonly pulls: readonly Pull[]
  /** The rehearsal that the work follows, step by step; null where the usual school is followed. */
  readonly rehearsed: {
    readonly order: LayOrder
    readonly steps: readonly RehearsalStep[]
    /** Letter of the pull that a step belongs to. */
    readonly letterOfStep: ReadonlyMap<number, string>
  } | null
  readonly checks: readonly CheckPoint[]
  readonly solutions: readonly PlannedBatch[]
  readonly fingers: readonly FingerPlace[]
  readonly drawing: PlanDrawing
  readonly practice: import('../practice/index.ts').Practice
  /** From the form's drawing to the film plane. */
  readonly toFlat: (p: Vec2) => Vec2
  /** Shows a length in the shop's unit. */
  readonly length: (lengthMm: number) => string
  readonly temperature: (temperatureC: number) => string
  readonly volume: (volumeMl: number) => string
}

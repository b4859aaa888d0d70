import type { Polygon, Vec2 } from '../geometry/index.ts'
import type { EdgePlan } from '../edges/index.ts'
import type { FormDoc } from '../form/index.ts'
import type { FingerPlace, LayOrder, Pull, PullAcross, RehearsalStep } from '../lay/index.ts'
import type { LampLight } from '../light/index.ts'
import type { Practice } from '../practice/index.ts'
import type { Sentence } from '../say/index.ts'
import type { ClimateWait } from '../wait/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { FoundOnPart, RoomClimate } from './findings.ts'
import type { Anchor, CheckPoint, PlanDrawing, PlannedBatch, PlannedEdge, PlannedHeat } from './partPlan.ts'
import type { OpeningChain } from './openings.ts'
import type { PieceCut } from './pieceCut.ts'
import type { Schools } from './schools.ts'
import type { LinePlace, SetPlace } from './setPlace.ts'
import type { Hands } from './workChoices.ts'
import type { HardSpot } from './lying.ts'

/** What the rules look at. */
export interface PlanContext {
  readonly found: readonly FoundOnPart[]
  readonly room: RoomClimate | undefined
  /** The part is so low that the vehicle has to be raised. */
  readonly low: boolean
  /** The part's outline as it was measured, mm. */
  readonly outlineOnForm: Polygon
  readonly form: FormDoc
  /** Where its film comes from. */
  readonly cut: PieceCut
  /** False where its form is only that of an ordinary part of its kind. */
  readonly measured: boolean
  /** Where it stands among parts that are fitted with it; null = by itself. */
  readonly set: SetPlace | null
  /** How it gets its line from its neighbours; null where it stands in no row. */
  readonly line: LinePlace | null
  readonly hands: Hands
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
  /** One pull from side to side, where dry film is drawn over a lamp so; null elsewhere. */
  readonly across: PullAcross | null
  /** Where a printed pattern would have to be drawn further than it bears, and how far; null where it goes on. */
  readonly hardSpots: readonly HardSpot[]
  readonly warps: { readonly edge: string; readonly percent: number; readonly mostPercent: number } | null
  /** The rehearsal that the work follows, step by step; null where the usual school is followed. */
  readonly rehearsed: {
    readonly order: LayOrder
    readonly steps: readonly RehearsalStep[]
    /** Letter of the pull that a step belongs to. */
    readonly letterOfStep: ReadonlyMap<number, string>
  } | null
  readonly checks: readonly CheckPoint[]
  /** Openings by which film is set, in the order of the work. */
  readonly openings: OpeningChain
  /** How far the piece may be off where it was placed before film leaves the rule of an edge, each way of the drawing, mm. */
  readonly roomMm: { readonly left: number; readonly right: number; readonly up: number; readonly down: number }
  readonly solutions: readonly PlannedBatch[]
  /** Light that is left behind film on a lens; null elsewhere, and where nobody knows what the film lets through. */
  readonly light: LampLight | null
  /** Why the liquids that were chosen are not used. */
  readonly liquidRefused: Sentence | null
  readonly fingers: readonly FingerPlace[]
  readonly drawing: PlanDrawing
  readonly practice: Practice
  /** From the form's drawing to the film plane. */
  readonly toFlat: (p: Vec2) => Vec2
}

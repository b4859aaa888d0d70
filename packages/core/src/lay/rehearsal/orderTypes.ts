import type { Vec2 } from '../../geometry/index.ts'
import { say, type Sentence } from '../../say/index.ts'

/** Where and how to begin, as the trade names it. */
export const schoolNames = [
  'corners first',
  'centre out',
  'one end and follow',
  'flattest first',
  'deepest first',
  'raised first',
  'spiral',
  'hinge and release',
] as const
export type SchoolName = (typeof schoolNames)[number]

export const schoolWords: Readonly<Record<SchoolName, Sentence>> = {
  'corners first': say`corners first`,
  'centre out': say`centre out`,
  'one end and follow': say`one end and follow`,
  'flattest first': say`flattest first`,
  'deepest first': say`deepest first`,
  'raised first': say`raised first`,
  spiral: say`spiral`,
  'hinge and release': say`hinge and release`,
}

export const ordersMade = ['by school', 'by search'] as const
export type OrderMade = (typeof ordersMade)[number]

/** A spot fixed with tack (or pressed, when dry) before anything is swept. */
export interface OrderAnchor {
  readonly label: Sentence
  /** On the drawing of the form, mm. */
  readonly at: Vec2
  /** How far the film is drawn before it is fixed: 0 = as it floats, 1 = as far as the worked lay asks for there. */
  readonly pullShare: number
}

/** An order of laying, as data: what is fixed first, and how the front runs from there. */
export interface LayOrder {
  readonly school: SchoolName
  /** The school's own, or what a search made of it. */
  readonly made: OrderMade
  readonly anchors: readonly OrderAnchor[]
  /** Spots of the drawing from which the front starts, mm. */
  readonly from: readonly Vec2[]
  /** What those spots are called: "the top edge"; null = where the first anchor is. */
  readonly fromLabel: Sentence | null
  /** 0 = the front runs by distance alone; 1 = places that turn wait until the flats around them lie. */
  readonly flatFirst: number
  /** The front winds round its start instead of spreading from it. */
  readonly spiral: boolean
  /** Length of film laid by one step, mm. */
  readonly strokeMm: number
}

/** A pull that a step needs: the free film is drawn before it is laid. */
export interface StepPull {
  /** 95th percentile by area of the stretch in what the step lays, as a share above nothing: 0.03 = 3 %. */
  readonly stretch: number
  readonly heat: 'cold' | 'warm'
  /** Middle of the stretched place and direction of the stretch, on the drawing. */
  readonly at: Vec2
  readonly direction: Vec2
}

/** One step of a rehearsal and what it left. */
export interface RehearsalStep {
  readonly number: number
  readonly kind: 'anchor' | 'sweep'
  readonly label: Sentence
  /** Middle of what it lays, on the drawing. */
  readonly at: Vec2
  /** Share of the part that lies after it. */
  readonly laidShare: number
  /** The line between laid and free film, as pairs of spots on the drawing. */
  readonly front: readonly (readonly [Vec2, Vec2])[]
  /** Largest stretch of what lies after it, ratio. */
  readonly mostStretch: number
  /** Film left over along the front, mm per 100 mm of front; negative = the film is short there. */
  readonly frontExcessMmPer100: number
  readonly pull: StepPull | null
  /** How much of the stroke was lifted again and pulled, because it left fingers where it touched first: 0 to 1. */
  readonly lift: number
  /** Most of it was. */
  readonly lifted: boolean
}

/** Need of stretch, and film left over, along one edge. */
export interface EdgeFigure {
  readonly edge: string
  /** Film left over beyond what it takes up, mm per 100 mm of edge. */
  readonly fingersMmPer100: number
  /** The same after the flaps beside it were shrunk down warm. */
  readonly afterShrinkingMmPer100: number
  /** 95th percentile of the stretch of what lies next to the edge, as a share: 0.03 = 3 %. */
  readonly stretch: number
  /** How far the film's edge ended up from where it was registered: positive = the film stops shorter, mm. */
  readonly marginShiftMm: number
}

/** A recess, channel or other hollow and how the film came to its bottom. */
export interface HollowFigure {
  readonly name: string
  /** Stretch needed on its walls and floor, as a share. */
  readonly stretch: number
  /** Its floor lay before its rim did, all round. */
  readonly floorFirst: boolean
  /** How surely it bridges: 0 = not at all, 1 = surely. */
  readonly bridging: number
  readonly risk: 'none' | 'some' | 'high'
}

/** What one order comes to, in figures that can be compared. */
export interface RehearsalFigures {
  readonly edges: readonly EdgeFigure[]
  readonly worstFingersMmPer100: number
  /** 99.5th percentile of the larger stretch, as a share above nothing. */
  readonly largestStretch: number
  readonly largestStretchAt: Vec2
  readonly largestStretchEdge: string
  /** Share of the area stretched beyond the film's glue-line threshold; within a tenth of it by degrees. */
  readonly glueLineShare: number
  /** Share of the area that is left with more film than it takes up; what has twice as much counts in full. */
  readonly wrinkledShare: number
  readonly hollows: readonly HollowFigure[]
  /** Edge farthest from where the front began, and how far the film's edge moved there. */
  readonly farEnd: { readonly edge: string; readonly shiftMm: number }
  /** Spots that were fixed before anything was swept. */
  readonly anchors: number
  readonly lifts: number
  readonly warmPulls: number
  /** Share of the part that was lifted and laid again. */
  readonly liftedShare: number
  /** Share of the area that is stretched further than cold film goes; what is half as far again counts in full. */
  readonly warmShare: number
  /** 99th percentile of larger over smaller stretch, less 1: how far a pattern warps. */
  readonly patternWarp: number
  /** All of it as one number by which orders are ranked; 0 = lies down by itself. See `troubleWeights`. */
  readonly trouble: number
}

/** A lay that was made in an order. */
export interface Rehearsal {
  readonly order: LayOrder
  readonly steps: readonly RehearsalStep[]
  /** Number of the step that laid each vertex, 1 for the first. */
  readonly stepOfVertex: Int32Array
  /** Where each vertex lies in the flat film, `[u0, v0, …]`, mm. */
  readonly flat: Float64Array
  /** Film stretch per triangle, `[most0, least0, …]`, ratio. */
  readonly stretch: Float64Array
  readonly flipped: number
  readonly figures: RehearsalFigures
}

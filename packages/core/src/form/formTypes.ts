import { say, type Sentence } from '../say/index.ts'
import type { Polygon, TriangleMesh, Vec2 } from '../geometry/index.ts'

/** How a stretch of edge ends. */
export const edgeCodes = [
  'stop-short',
  'lip-stop',
  'wrap',
  'tuck',
  'gap-cut',
  'surface-cut',
  'butt',
  'overlap',
] as const
export type EdgeCode = (typeof edgeCodes)[number]

/** What the part is made of, as far as cleaning, heat and liquids care. */
export const partMaterials = [
  'painted steel',
  'painted aluminium',
  'painted plastic',
  'lens plastic',
  'gloss trim',
  'glass',
] as const
export type PartMaterial = (typeof partMaterials)[number]
export const materialWords: Readonly<Record<PartMaterial, Sentence>> = {
  'painted steel': say`painted steel`,
  'painted aluminium': say`painted aluminium`,
  'painted plastic': say`painted plastic`,
  'lens plastic': say`lens plastic`,
  'gloss trim': say`gloss trim`,
  glass: say`glass`,
}

/** One stretch of an outline, from where the last one ended. Arcs turn left (counter-clockwise) or right. */
export type OutlineSegment =
  | { readonly kind: 'line'; readonly to: Vec2; readonly edge: string }
  | {
      readonly kind: 'arc'
      readonly to: Vec2
      readonly radiusMm: number
      readonly turn: 'left' | 'right'
      readonly edge: string
    }
  | { readonly kind: 'spline'; readonly through: readonly Vec2[]; readonly to: Vec2; readonly edge: string }

export interface FormEdge {
  readonly name: string
  /** As an installer would say it: "rear edge". */
  readonly label: string
  readonly code: EdgeCode
  /** Signed edge margin that the rule allows, mm; left out = the shop's default for the code. */
  readonly marginMinMm?: number | undefined
  readonly marginMaxMm?: number | undefined
  /** What is behind the edge: decides whether a wrap has anything to hold on to. */
  readonly behind?: string | undefined
  /** The line that film is set by there, where it is set by one: "colour change", "edge of the inner lamp". */
  readonly line?: string | undefined
  readonly lip?: Lip | undefined
}

/**
 * A straightedge laid across the part between two contact points, and the gap under it.
 * Positive sagitta = the part bulges towards the eye.
 */
export interface BowReading {
  readonly name: string
  readonly from: Vec2
  readonly to: Vec2
  readonly sagittaMm: number
  /** Where along the straightedge the gap was read, 0..1; 0.5 when left out. */
  readonly atFraction?: number | undefined
  /** Length of the straightedge between its contact points, when it was read; only checked. */
  readonly chordMm?: number | undefined
}

/** A spot of the surface whose height is known by itself, from photographs: against any even plane, which nobody can see. */
export interface MeasuredSpot {
  readonly name: string
  readonly at: Vec2
  readonly heightMm: number
  /** One standard deviation of its height. */
  readonly sigmaMm: number
}

export interface BodyLine {
  readonly name: string
  readonly along: readonly Vec2[]
  /** How far the surface turns across the line; positive = a ridge. */
  readonly turnDeg: number
  readonly radiusMm: number
  /** How far to each side the line shapes the surface, mm. */
  readonly reachMm: number
}

export interface Recess {
  readonly name: string
  readonly outline: readonly Vec2[]
  readonly depthMm: number
  /** Steepest wall against the surface around it. */
  readonly wallDeg: number
}

/** Something that stands up from the surface: a badge, a pillar, a moulding. */
export interface RaisedFeature {
  readonly name: string
  readonly outline: readonly Vec2[]
  readonly heightMm: number
  /** Steepest wall against the surface around it. */
  readonly wallDeg: number
}

/** A U channel along a line: flat bottom, two walls. */
export interface Channel {
  readonly name: string
  readonly along: readonly Vec2[]
  /** From shoulder to shoulder. */
  readonly widthMm: number
  readonly depthMm: number
  /** Steepest wall against the surface around it. */
  readonly wallDeg: number
}

/** What stands in the way of film that goes past an edge. */
export const obstacleKinds = ['neighbour stands proud', 'pillar', 'badge', 'tab'] as const
export type ObstacleKind = (typeof obstacleKinds)[number]
export const obstacleWords: Readonly<Record<ObstacleKind, Sentence>> = {
  'neighbour stands proud': say`neighbour that stands proud`,
  pillar: say`pillar`,
  badge: say`badge`,
  tab: say`tab`,
}

/** A place at an edge where film cannot pass: it is let in by a relief cut. */
export interface Obstacle {
  readonly name: string
  readonly kind: ObstacleKind
  /** On the edge that it stands at, in the drawing. */
  readonly at: Vec2
  /** Along the edge. */
  readonly widthMm: number
  /** How far it stands into the part from the edge; 0 = beside it. */
  readonly reachMm: number
}

/** A sharp return at an edge: film that runs over it lifts. */
export interface Lip {
  /** How far the surface turns away at the crest. */
  readonly turnDeg: number
  /** Depth of the return behind the crest. */
  readonly depthMm: number
}

export interface FormHole {
  readonly name: string
  readonly label: string
  readonly outline: readonly Vec2[]
  readonly code: EdgeCode
  readonly marginMinMm?: number | undefined
  readonly marginMaxMm?: number | undefined
}

/** A spot that a piece must meet. */
export interface ReferenceMark {
  readonly name: string
  readonly label: string
  readonly at: Vec2
  /** 1 = as important as any other. */
  readonly weight: number
}

/** Heights of a scanned part on an even grid, row by row from the lower left, mm. */
export interface Relief {
  readonly originMm: Vec2
  readonly stepMm: number
  readonly columns: number
  readonly heightsMm: readonly number[]
  /** Largest difference between the scan and this grid, mm. */
  readonly errorMm: number
}

/** Which way of working a part belongs to: broad panels, lenses, narrow trim and bars. */
export const partFamilies = ['panel', 'lamp', 'trim'] as const
export type PartFamily = (typeof partFamilies)[number]
export const familyWords: Readonly<Record<PartFamily, Sentence>> = {
  panel: say`panel`,
  lamp: say`lamp`,
  trim: say`bar or trim`,
}

/** A part's measured shape, seen straight on: x right, y up, mm, z towards the eye. */
export interface FormDoc {
  readonly id: string
  readonly name: string
  readonly version: number
  readonly family: PartFamily
  readonly material: PartMaterial
  readonly start: Vec2
  readonly outline: readonly OutlineSegment[]
  readonly edges: readonly FormEdge[]
  /** What an installer calls the four directions of the drawing. */
  readonly directions: { readonly right: string; readonly left: string; readonly up: string; readonly down: string }
  readonly bow: readonly BowReading[]
  /** Beside the bow readings, or in their place. */
  readonly spots?: readonly MeasuredSpot[] | undefined
  /** Of a scanned part: it stands in place of bow readings and features, which then only describe. */
  readonly relief?: Relief | undefined
  readonly bodyLines: readonly BodyLine[]
  readonly recesses: readonly Recess[]
  readonly raised?: readonly RaisedFeature[] | undefined
  readonly channels?: readonly Channel[] | undefined
  readonly obstacles?: readonly Obstacle[] | undefined
  readonly holes: readonly FormHole[]
  readonly marks: readonly ReferenceMark[]
  /** What has to be open to reach behind an edge: "boot", "bonnet". */
  readonly opens?: string | undefined
}

/** An outline as a fine polygon, each side knowing its edge. */
export interface TracedOutline {
  /** Counter-clockwise. */
  readonly polygon: Polygon
  /** Edge name of the side from point i to point i+1. */
  readonly edgeOfSide: readonly string[]
  /** Numbers of the points at which an edge or a segment begins, or the outline turns sharply. */
  readonly corners: readonly number[]
}

/** A form built into a surface. */
export interface PartSurface {
  readonly mesh: TriangleMesh
  /** The outline's row of vertices first, then those of the holes, in the order of the form. */
  readonly loops: readonly Int32Array[]
  /** Where each vertex lies in the drawing: `[x0, y0, …]`, length 2·V, mm. */
  readonly plan: Float64Array
  readonly outline: TracedOutline
  readonly holes: readonly TracedOutline[]
  readonly figures: FormFigures
  readonly bowFit: BowFit
}

export interface FormFigures {
  readonly areaMm2: number
  readonly outlineMm: number
  readonly triangles: number
  /** Sharpest radius anywhere, mm; Infinity on a flat part. */
  readonly minRadiusMm: number
  /** Integral of Gaussian curvature over the surface: how far from developable, steradian. */
  readonly gaussIntegralSr: number
  /** The same, with bulges and saddles both counted as positive. */
  readonly gaussAbsoluteSr: number
  readonly deepestRecessMm: number
}

export interface BowFit {
  /** Largest difference between a reading and the surface, mm. */
  readonly worstMissMm: number
  /** How far the surface may be off between the readings, mm (one standard deviation at the worst place). */
  readonly unsureMm: number
  readonly readings: number
  /** Spots from photographs that it goes through. */
  readonly spots: number
  /** How well they agree with each other; null without any. */
  readonly spotMiss: SpotMiss | null
}

/** How far spots are missed by all others when each is left out. */
export interface SpotMiss {
  readonly rmsMm: number
  readonly worst: { readonly name: string; readonly at: Vec2; readonly missMm: number }
}

import type { Polygon } from '../geometry/index.ts'

/** A piece to be cut, as often as `count` says. */
export interface NestPiece {
  readonly id: string
  /** As people call it; its id where left out. */
  readonly name?: string | undefined
  readonly count: number
  readonly outline: Polygon
  /** Openings in it; smaller pieces may be cut out of what falls out. */
  readonly cutOuts?: readonly Polygon[] | undefined
  /** How it may be turned on the roll, degrees counter-clockwise; left out: by quarters. Never flipped over. */
  readonly turns?: readonly number[] | undefined
  /** For which vehicle: those of one vehicle are kept together on the roll. */
  readonly together?: string | undefined
}

/** A stretch of roll that must not be used, from its beginning. */
export type SpoiltStretch = readonly [fromMm: number, toMm: number]

/** Pieces for one length of roll: 0 <= y <= width, x from 0. */
export interface NestRequest {
  readonly rollWidthMm: number
  /** Film left on the roll; left out: as much as it takes. */
  readonly rollLengthMm?: number | undefined
  /** Least distance between two pieces. */
  readonly gapMm: number
  /** Least distance to the sides and ends of the roll; 0 where left out. */
  readonly borderMm?: number | undefined
  readonly spoilt?: readonly SpoiltStretch[] | undefined
  readonly pieces: readonly NestPiece[]
}

/** One copy of a piece on the roll: its outline turned about its own origin, then moved. */
export interface NestPlacement {
  readonly id: string
  /** 0 for the first copy. */
  readonly copy: number
  readonly xMm: number
  readonly yMm: number
  readonly turnDeg: number
}

export interface Nested {
  /** From the roll's end to the end of the last piece, with its border. */
  readonly usedLengthMm: number
  /** Area of the pieces over the area of that length of roll, 0 to 1. */
  readonly utilisation: number
  readonly placements: readonly NestPlacement[]
}

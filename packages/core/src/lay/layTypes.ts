/** natural = least distortion, film free to slide; worked = what hands and heat make of it. */
export type LayMode = 'natural' | 'worked'

/** Where film comes to lie on a surface with V vertices and T triangles. */
export interface Lay {
  readonly mode: LayMode
  /** Where each surface vertex lies in the flat film: `[u0, v0, …]`, length 2·V, mm. */
  readonly flat: Float64Array
  /** Film stretch per triangle: `[most0, least0, …]`, length 2·T, ratio; 1 = unstretched, below 1 = too much film. */
  readonly stretch: Float64Array
  /** Furthest any vertex moved in the last step, mm. */
  readonly movingMm: number
  readonly steps: number
  /** Triangles that lie turned over in the film; 0 on any form that can be laid. */
  readonly flipped: number
}

export interface Spread {
  readonly min: number
  readonly p1: number
  readonly p50: number
  readonly p99: number
  readonly max: number
}

export interface LayFigures {
  /** Smaller stretch of each triangle. */
  readonly minor: Spread
  /** Larger stretch of each triangle. */
  readonly major: Spread
  /** sqrt(sum A((s1-1)^2 + (s2-1)^2) / sum A) over triangles of surface area A. */
  readonly rmsStretch: number
}

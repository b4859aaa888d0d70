/** A reading of how far the film had to be moved, and how sure it is; null where no gap told. */
export interface OffsetReading {
  readonly value: number
  readonly sigma: number
}

/** How far film had to be pulled over a bulge, beside what its plan had said. */
export const pullsMade = ['less', 'as planned', 'more'] as const
export type PullMade = (typeof pullsMade)[number]

/** What one fit teaches, by itself. */
export interface FitTaught {
  /** How the film had to be moved and turned from where the plan had it, mm and degrees; null where nobody measured, or it came off the roll. */
  readonly offset: {
    readonly xMm: OffsetReading | null
    readonly yMm: OffsetReading | null
    readonly turnDeg: OffsetReading | null
  } | null
  /** Edges and places where fingers came. */
  readonly fingersAt: readonly string[]
  /** Other faults that were seen, each once. */
  readonly faults: readonly string[]
  /** Real minutes over planned ones, the middle one of its steps; null where too few steps tell. */
  readonly pace: number | null
  /** What the thermometer showed over what the plan had said, °C, by the use of heat; left out by fits from before it was asked. */
  readonly heat?: readonly { readonly use: string; readonly offC: number }[] | undefined
  /** How far film had to be pulled, by the edge; left out by fits from before it was asked. */
  readonly pulls?: readonly { readonly place: string; readonly needed: PullMade }[] | undefined
  /** Faults that were put right in the fit. */
  readonly cured?: readonly string[] | undefined
  /** Pieces that were spoilt and laid again. */
  readonly laidAgain: number
}

/** The same with what it was a fit of. */
export interface FitFact extends FitTaught {
  readonly partId: string
  readonly at: string
  readonly modelId: string
  readonly slot: string
  /** Null: cut from the roll. */
  readonly pieceId: string | null
  /** The vehicle, by its plate. */
  readonly body: string
  /** Who laid it. */
  readonly hand: string
  readonly filmId: string
}

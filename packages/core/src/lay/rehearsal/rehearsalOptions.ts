export const pullsAllowed = ['none', 'cold', 'warm'] as const
export type PullsAllowed = (typeof pullsAllowed)[number]

export interface RehearsalOptions {
  /** What is done where a step leaves too much film: nothing, a cold pull, or a cold pull and then a warm one. */
  readonly pulls: PullsAllowed
  /** How far ahead of the front floating film follows the part, mm. */
  readonly settleAheadWetMm: number
  /** The same for dry film, which hangs in the hand until it touches. */
  readonly settleAheadDryMm: number
  /** Film fixed by one anchor, radius in mm. */
  readonly anchorRadiusMm: number
  /** Share of a step's area that may be left with too much film before it is lifted and pulled. */
  readonly liftShare: number
  /** How often the film is laid, each time with so much of the first stroke left out (a share); figures are the means. */
  readonly strokesBegin: readonly number[]
}

/**
 * Floating film follows a part for about two hands' breadths ahead of the blade and hangs beyond; dry film touches
 * only where it is pressed. A palm fixes about 30 mm. One small wrinkle is not worth a lift.
 */
export const rehearsalDefaults: RehearsalOptions = {
  pulls: 'warm',
  settleAheadWetMm: 220,
  settleAheadDryMm: 70,
  anchorRadiusMm: 30,
  liftShare: 0.04,
  strokesBegin: [0, 0.5],
}

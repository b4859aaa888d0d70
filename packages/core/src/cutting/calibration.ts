import type { Vec2 } from '../geometry/index.ts'

/** What a plotter makes of a length, along the roll and across it: 0.996 = it cuts 0.4 % too short. */
export interface PlotterScale {
  readonly along: number
  readonly across: number
}

export const trueScale: PlotterScale = { along: 1, across: 1 }

/**
 * From a test square that was cut and measured, on top of what was set when it was cut.
 * @param wantedMm its side as it was drawn
 */
export const scaleMeasured = (
  wantedMm: number,
  measured: { readonly alongMm: number; readonly acrossMm: number },
  before: PlotterScale,
): PlotterScale => ({
  along: (before.along * measured.alongMm) / wantedMm,
  across: (before.across * measured.acrossMm) / wantedMm,
})

/** The same line as the plotter has to be told so that it comes out true. */
export const corrected = (line: readonly Vec2[], { along, across }: PlotterScale): Vec2[] =>
  line.map(([x, y]): Vec2 => [x / along, y / across])

/** A square to be cut and measured, its corner at the roll's beginning. */
export const testSquare = (sideMm: number, atMm: number): Vec2[] => [
  [atMm, atMm],
  [atMm + sideMm, atMm],
  [atMm + sideMm, atMm + sideMm],
  [atMm, atMm + sideMm],
]

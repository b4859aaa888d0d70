export { cutPattern, type PatternWish } from './cutPattern.ts'
export { barWidthMm, type CutSize, cutSize } from './cutSize.ts'
export { enlargePattern } from './enlargePattern.ts'
export { edgeStretches, type GrowthByEdge, growByEdges } from './growByEdges.ts'
export { type RollSheet, rollSheet } from './rollSheet.ts'
export { rollOrPattern, type RollOrPattern, type RollOrPatternFacts } from './rollOrPattern.ts'
export {
  areTwins,
  type PieceSide,
  pieceSides,
  sideWords,
  type CountedPiece,
  type ListedPiece,
  type PieceStanding,
  type StartingSide,
  standingOf,
  startingSides,
} from './kitCount.ts'
export { type FilmOutlook, filmOutlook, type FilmWish, yieldOf } from './filmOutlook.ts'
export { type FreeRectangle, freeRectangle } from './freeRectangle.ts'
export {
  type CutAccount,
  leastRunMm,
  longestRunMm,
  type Offcut,
  type RollAccount,
  rollAccount,
  type RollEntry,
  type RollFacts,
} from './rollAccount.ts'

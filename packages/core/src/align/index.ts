export { correctionFromGaps, type Correction, type GapCheck } from './correction.ts'
export { type DryCheck, type DryCheckInput, dryCheck, mirrored } from './dryCheck.ts'
export { type Coverage, coverage, type CoveredPart } from './coverage.ts'
export {
  type EdgeMargin,
  type EdgeRule,
  type EdgeRules,
  type EdgeSpot,
  type EdgeSpots,
  type EdgeSummary,
  edgeMargins,
  edgeSpots,
  outsideRule,
  ruleAt,
  type PlacedPiece,
  summarizeEdges,
} from './edgeMargins.ts'
export { matchCutOuts } from './matchCutOuts.ts'
export {
  movePiece,
  type PieceMark,
  type PiecePattern,
  place,
  registerPiece,
  roomiestMove,
  type TargetMark,
} from './registerPiece.ts'
export { thenPlaced } from './shiftPiece.ts'
export { type Room, type Tolerance, tolerance } from './tolerance.ts'
export { correctionWords, type DirectionWords, plainDirections } from './words.ts'
export { endOfEdge } from './whereOnEdge.ts'

export {
  type CarriedPiece,
  type CarryReadings,
  carryDefaults,
  carryLine,
  carryRows,
  type LineCarry,
  type RowPiece,
  rowsOf,
} from './lineCarry.ts'
export { layingSequence, type SequencePiece, type SequenceRule, type SequenceStep } from './layingSequence.ts'
export {
  type PartSet,
  type SetMember,
  type SetMode,
  setModes,
  setModeWords,
  setsProblem,
  type SuggestedSet,
  suggestSets,
} from './partSets.ts'

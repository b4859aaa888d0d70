export { edgeAdvice, edgeCodeWords, edgeRulesOf, ruleOfCode } from './edgeRules.ts'
export { type FindingKind, findingKinds, findingMeanings, type FoundOnPart, type RoomClimate } from './findings.ts'
export type {
  Anchor,
  ChosenOrder,
  CheckPoint,
  FilmDoc,
  FilmType,
  GapMark,
  PartPlan,
  Phase,
  PictureMark,
  PlanDrawing,
  PlannedBatch,
  PlannedEdge,
  PlanNote,
  PlanStep,
  SchoolChoice,
  Schools,
  StepPicture,
} from './planTypes.ts'
export { correctionFor, type MeasuredGap, measuredGaps } from './measuredGaps.ts'
export { orderPractice, rehearsalOptions } from './rehearsalPractice.ts'
export { schoolsFor, usualSchools } from './schools.ts'
export { strengthOf } from './solutionsFor.ts'
export {
  type PieceShift,
  type PlacedPart,
  type PlanRequest,
  placePart,
  spotStepMm,
  unshifted,
  workOutPart,
} from './workOutPart.ts'

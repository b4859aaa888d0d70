export { edgeAdvice, edgeCodeWords, edgeRulesOf, ruleOfCode } from './edgeRules.ts'
export { type FindingKind, findingKinds, findingMeanings, type FoundOnPart, type RoomClimate } from './findings.ts'
export type {
  Anchor,
  ChosenOrder,
  CheckPoint,
  FilmDoc,
  FilmType,
  GapMark,
  HeatUse,
  HeatZone,
  PartPlan,
  Phase,
  PictureMark,
  PlanDrawing,
  PlannedBatch,
  PlannedEdge,
  PlannedHeat,
  PlanNote,
  PlanStep,
  SchoolChoice,
  Schools,
  StepPicture,
  StepWait,
} from './planTypes.ts'
export { damageOf, gunOn, heatBand, type HeatCourseOfUse, heatCourses } from './heatPlan.ts'
export { type LearnedWaits, strengthAt } from './waitPlan.ts'
export { correctionFor, type MeasuredGap, measuredGaps } from './measuredGaps.ts'
export { orderPractice, rehearsalOptions } from './rehearsalPractice.ts'
export { schoolsFor, usualSchools } from './schools.ts'
export { solutionsFor, strengthOf } from './solutionsFor.ts'
export {
  type PieceShift,
  type PlacedPart,
  type PlanRequest,
  placePart,
  spotStepMm,
  unshifted,
  workOutPart,
} from './workOutPart.ts'

export { edgeAdvice, edgeCodeWords, edgeRulesOf, ruleOfCode } from './edgeRules.ts'
export { type FilmDoc, type FilmType, filmTypes, filmTypeWords, isTint, type WayLaid, waysLaid } from './filmDoc.ts'
export { usualFilmOf } from './usualFilms.ts'
export { type FindingKind, findingKinds, findingMeanings, type FoundOnPart, type RoomClimate } from './findings.ts'
export {
  damageOf,
  gunOn,
  heatBand,
  type HeatCourseOfUse,
  heatCourses,
  heatCoursesOf,
  type SweptUse,
} from './heatPlan.ts'
export { type HeldUp, holdUp } from './holdUp.ts'
export { heats, inHandWords, type Liquid, liquids, liquidWords, type Tool, tools, toolWords } from './inHand.ts'
export { type LiquidOption, liquidOptions, liquidRefused } from './liquidOptions.ts'
export { type NamedPlace, namedPlace } from './namedPlace.ts'
export { type OrdinaryPlace, ordinaryForm } from './ordinaryForm.ts'
export { filmDoubt } from './lying.ts'
export { spotMm, type StretchedSpot } from './stretchedSpots.ts'
export { correctionFor, gapIsRight, type MeasuredGap, measuredGaps, planOfStep, wrongAfter } from './measuredGaps.ts'
export { bowEnoughMm, carryReadings, orderPractice, rehearsalOptions } from './orderFigures.ts'
export {
  type Anchor,
  type AnchorGap,
  type CheckPoint,
  checkReadings,
  type GapMark,
  type HeatZone,
  type LaidStage,
  laidStages,
  type PartPlan,
  type PlanDrawing,
  type PlannedBatch,
  type PlannedEdge,
  type PlannedHeat,
  type PlanNote,
  type SchoolChoice,
} from './partPlan.ts'
export { climb, filmToLay, type PartFacts, type PartQuestion, partQuestion } from './partQuestion.ts'
export { patternToRules, type PlacedPart, type PlaceInput, placeOn } from './placeOn.ts'
export { anyDay, type Conditions, type PieceShift, type Today, unshifted, type WorkInput } from './conditions.ts'
export { type CutInput, cutRefused, drawnSheet, mayTurnOnRoll, type PieceCut, rollTooNarrow } from './pieceCut.ts'
export {
  type CutWay,
  cutWays,
  cutWayWords,
  type Hands,
  type LiquidPair,
  nothingChosen,
  withChange,
  withEnds,
  type WorkChange,
  type WorkChoices,
} from './workChoices.ts'
export type { LinePlace, SetPlace } from './setPlace.ts'
export { planWork } from './planWork.ts'
export { type ChosenOrder, type Schools, schoolsFor, usualSchools } from './schools.ts'
export { batchFor, measuresOf, mixLimits, solutionsFor, strengthOf } from './solutionsFor.ts'
export {
  type BottleUse,
  bottleUse,
  type Caution,
  type CautionTopic,
  gapMark,
  type HeatUse,
  heatUse,
  type Phase,
  phase,
  type PictureMark,
  type PlanStep,
  planStep,
  type StepPicture,
  type StepRecord,
  type StepLimit,
  type StepReference,
  type StepTells,
  type StepWait,
  waitKind,
} from './step.ts'
export { type LearnedWaits, strengthAt } from './waitPlan.ts'

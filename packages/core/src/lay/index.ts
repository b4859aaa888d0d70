export { edgeAt, type FingerPlace, fingerForecast } from './fingerForecast.ts'
export { type FlatOutline, type FlatPart, flatPart } from './flatOutline.ts'
export { type GradeLimits, grade, gradeDefaults, gradeWords } from './grade.ts'
export { gradePart, type PartGrade } from './gradePart.ts'
export { layFigures, spreadOf } from './layFigures.ts'
export type { Lay, LayFigures, LayMode, Spread } from './layTypes.ts'
export {
  type LaidPart,
  type LayInput,
  layNaturally,
  type LayPartOptions,
  layPart,
  layWorked,
  type NaturalPart,
} from './layPart.ts'
export { type NaturalOptions, naturalDefaults, naturalLay } from './naturalLay.ts'
export { type Bridging, bridging, channelLengths, type HollowSection, stretchInto } from './handling/bridging.ts'
export {
  type FilmFigure,
  type FilmHandling,
  filmFigureKeys,
  filmFigures,
  filmProblem,
  usualHandling,
} from './handling/filmHandling.ts'
export { fingersAfterShrinking, type HeatedPull, heatedPull, leastHeatedMm } from './handling/heatedPull.ts'
export { candidatePlaces, type CandidatePlaces } from './rehearsal/changeOrder.ts'
export { edgeLine, type NamedSpot } from './rehearsal/places.ts'
export { compareOrders, type Difference, explainBetter, orderName, orderWords } from './rehearsal/compare.ts'
export { figuresOf, type TroubleWeights, troubleOf, troubleWeights } from './rehearsal/figures.ts'
export {
  type EdgeFigure,
  type HollowFigure,
  type LayOrder,
  type OrderAnchor,
  type Rehearsal,
  type RehearsalFigures,
  type RehearsalStep,
  type OrderMade,
  ordersMade,
  type SchoolName,
  type StepPull,
  schoolNames,
  schoolWords,
} from './rehearsal/orderTypes.ts'
export {
  type PullsAllowed,
  pullsAllowed,
  type RehearsalOptions,
  rehearsalDefaults,
} from './rehearsal/rehearsalOptions.ts'
export { rehearse } from './rehearsal/rehearse.ts'
export { type PreparedStage, prepareStage, type Stage } from './rehearsal/stage.ts'
export {
  type OrderSearch,
  orderSearch,
  progressIn,
  type SearchedPart,
  type SearchOptions,
  type SearchProgress,
  type SearchResult,
  type SearchRound,
  searchDefaults,
  searchOrder,
} from './rehearsal/searchOrder.ts'
export { isSmallPart, orderMatters } from './rehearsal/orderMatters.ts'
export { rehearseTrial, type SearchStages, type Trial, type TrialPractice } from './rehearsal/trials.ts'
export { type FingerSpot, fingerProfile } from './rehearsal/fingerProfile.ts'
export { type StageFilm, setSearchStages, setStage, setTrialStage, stageTriangles } from './rehearsal/setStage.ts'
export { type CornerNotch, cornerNotches } from './relief/cornerNotches.ts'
export { type CutMesh, cutMesh } from './relief/cutMesh.ts'
export { type ReliefAdvice, type ReliefCut, reliefCuts } from './relief/reliefCuts.ts'
export { type CutsAdvice, cutsOf } from './relief/cutsOf.ts'
export { type SplitLine, splitPart } from './relief/splitPart.ts'
export { type OrderOnPart, orderOnPart } from './rehearsal/orderOnPart.ts'
export { pullsOfRehearsal } from './rehearsal/pullsOf.ts'
export { type OrderPractice, orderBySchool, orderDefaults } from './rehearsal/schools.ts'
export { type Pull, pullHeats, pullWays, stretchPlan } from './stretchPlan.ts'
export { type WorkedLay, type WorkedOptions, workedDefaults, workedLay, workedOptions } from './workedLay.ts'
export { type PullAcross, pullAcross } from './pullAcross.ts'

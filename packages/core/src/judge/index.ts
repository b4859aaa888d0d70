export { type CauseId, causeIds } from './causeIds.ts'
export { causeOf, causesOf, type HowOften } from './causes.ts'
export { type ComeBackTime, comeBackTimes, comeBackWords } from './comeBack.ts'
export {
  canBeDone,
  comesOff,
  type CurePlace,
  type CureStep,
  cureStep,
} from './cureSteps.ts'
export { type CureStepId, cureStepIds } from './cureStepIds.ts'
export { cureCautions } from './cureCautions.ts'
export { curePicture } from './curePicture.ts'
export { type FaultGroup, faultGroup, faultGroups, faultGroupWords, faultLooks } from './faultLooks.ts'
export { canBeLeft, cureWays } from './cures.ts'
export { canHave, likelyFaults } from './likelyFaults.ts'
export {
  type FaultAnswers,
  type FaultEvidence,
  type FaultQuestion,
  type FaultStage,
  faultQuestions,
  faultStages,
  type JudgedFilm,
  type LaidFilm,
  questionWords,
} from './evidence.ts'
export {
  type FaultOutcome,
  type FaultKind,
  faultKinds,
  faultOutcomes,
  faultOutcomeWords,
  faultWords,
  type PieceSource,
  pieceSources,
  pieceSourceWords,
  type SpoilOutcome,
  spoilOutcomes,
  spoilOutcomeWords,
  spoils,
} from './faults.ts'
export {
  type FaultCase,
  faultStageWords,
  type Judgement,
  judgeFault,
} from './judgeFault.ts'
export { type RankedCause, rankCauses, tellsApart } from './rankCauses.ts'

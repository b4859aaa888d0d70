export {
  type ExerciseKind,
  exerciseKinds,
  type ExerciseLevel,
  exerciseLevels,
  type ExerciseWords,
  exerciseWords,
  type Verdict,
} from './exercise.ts'
export {
  gapsAfter,
  type GapsTask,
  type GapToRead,
  makeGaps,
  markGaps,
  moveAsked,
  readable,
  type SaidMove,
} from './gaps.ts'
export { cellsOfPlace, gunAt, type GunTask, makeGun, markGun, warmEnough } from './gun.ts'
export { bestMix, bottleAfter, type InBottle, makeMix, markMix, type MixAct, type MixTask } from './mixing.ts'
export { type FitSeen, type Mistake, mistakesForDays, mistakesOf } from './fromFits.ts'
export { type ExerciseDone, mastered, type NextUp, nextUp, type Standing, standingOf } from './nextUp.ts'
export {
  bestNext,
  bestPicks,
  makeMeasure,
  markMeasure,
  type MeasureTask,
  readLine,
  type StraightedgeLine,
  unsureAfter,
} from './measure.ts'
export {
  anyHandOrder,
  type Draw,
  draws,
  type HandAnchor,
  type HandOrder,
  type LayReference,
  type LayTask,
  makeLay,
  markLay,
  mostAnchors,
  orderOfHand,
  placeNear,
  placesToFix,
  randomOrders,
  type Run,
  runs,
  type Stroke,
  strokes,
} from './layIt.ts'
export {
  bestWhat,
  causeWords,
  type Cure,
  cureWords,
  makeWhat,
  markWhat,
  picturedLooks,
  picturedWords,
  type WhatAnswer,
  type WhatTask,
  whereItStands,
} from './whatIsThis.ts'
export type { FaultPicture, Pictured } from './faultPicture.ts'
export {
  anyMorning,
  bestMorning,
  canBeGiven,
  type Done,
  type Given,
  type Hands,
  makeMorning,
  markMorning,
  type Morning,
  morningSteps,
  morningStepWords,
  type MorningTask,
  type MorningWork,
  bothHands,
  plannerSeconds,
  reallyOf,
  runMorning,
} from './morning.ts'

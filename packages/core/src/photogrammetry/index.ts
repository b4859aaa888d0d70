export {
  type Adjusted,
  adjusted,
  type KnownLength,
  type Network,
  type Priors,
  type Ray,
  usualPriors,
} from './bundle.ts'
export { type Inner, inCamera, type Lens, type Pose, seenAt, turnedBy, type Vec3 } from './camera.ts'
export { type Guidance, guided, type NextPhotograph, nextPhotograph, type Side, sides } from './guide.ts'
export { ringBits, rings, targetCodes, targetOf } from './codes.ts'
export { detectTargets, type FoundTarget, type GreyPicture } from './detect.ts'
export { leastRays, type Measured, measured, type MeasuredPoint, type Taken } from './measured.ts'
export type { Bar, Photograph, PhotoSet } from './photographs.ts'
export { lookingAt } from './stand.ts'
export { type SplitHalf, splitHalf } from './splitHalf.ts'
export { type KnownPoint, type NextStand, nextStand, type Stand } from './nextStand.ts'
export { type OnPlane, poseOfPlane } from './platePose.ts'
export { isWhite, targetRadii } from './target.ts'
export {
  barTargets,
  blackOfRing,
  type DotSize,
  dotSizesMm,
  partTargets,
  plateMm,
  plateSheet,
  plateTargets,
  type PrintedTarget,
  sheetMm,
  targetSheets,
} from './sheets.ts'
export {
  type MeasuredSurety,
  type PhotoProblem,
  photoProblem,
  photoSet,
  type ReadPhoto,
  seesPlate,
  type SuretyProblem,
  suretyOf,
} from './photoSet.ts'
export { type ColourPicture, type DrawingView, squarest, straightened } from './straightened.ts'

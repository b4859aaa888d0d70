export { type GunChange, gunsChanged, type SettingChange } from './changeGuns.ts'
export { type CalibratedGun, calibrated, type GunDoc, usualGun } from './gunDoc.ts'
export { type KeptReading, readingSources, slowestMmS } from './gunReading.ts'
export type { Swept } from './lane.ts'
export {
  type CalibrationFigures,
  calibrateGun,
  type GunCalibration,
  type GunReading,
  usualCalibration,
} from './calibrateGun.ts'
export {
  type Gun,
  type GunSetting,
  type HeatAnswer,
  type HeatLimits,
  type GunOnPart,
  gunOnPart,
  heatStep,
} from './heatStep.ts'
export type { Jet, Layer, Wash } from './heatTypes.ts'
export { type GunFactors, type GunHeld, type JetFigures, jetOf, unmeasured, usualJet } from './jet.ts'
export { layersOf } from './materials.ts'
export {
  mostPassesEver,
  type PassesOutcome,
  type PassesRequest,
  passesTo,
  type Sweep,
  unitCourse,
} from './passes.ts'
export { type GunOver, PatchMarch, type PatchOf } from './patch.ts'
export { slabOf } from './slab.ts'
export { steamSeconds, type SteamFigures, usualSteam } from './steam.ts'
export { type HeatCourse, type SteadyRequest, stillAirHWm2K, steadyWash } from './steadyWash.ts'
export { distanceWords, heatWords, numberWord, paceWords, passesWords, settingWords } from './words.ts'

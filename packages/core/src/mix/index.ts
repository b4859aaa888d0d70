export { type Batch, type MixRequest, mixBatch } from './mixBatch.ts'
export { mixByParts, type PartsRequest } from './mixByParts.ts'
export {
  type Addition,
  type Ingredient,
  ingredients,
  ingredientWords,
  type MixLimits,
  mixDefaults,
  type Stock,
  type Strength,
  type WantedStrength,
} from './mixTypes.ts'
export { handyVolumeMl, type LiquidNeed, liquidNeed, type UseRates, useRateDefaults } from './needs.ts'
export { type Repair, type RepairRequest, repairBatch } from './repairBatch.ts'
export { strengthWords } from './strengthWords.ts'
export { type LiquidSchool, liquidSchools, liquidSchoolWords, type Recipe, recipeOf, recipes } from './schools.ts'
export {
  type MeasuredBatch,
  type Measures,
  measureBatch,
  measureDefaults,
  measuringToolWords,
  type Pour,
  pourOf,
  pourWords,
} from './measure.ts'
export { type Demand, type LearnedUse, learnUse, type Outlook, outlook } from './outlook.ts'
export { type TopUpRequest, topUp } from './topUp.ts'
export { type WaterKind, waterKinds, waterWarning, waterWords } from './water.ts'
export { closestTo, isAlike, type PutIn, strengthDistance, type WhatItIs, whatIsIt } from './whatIsIt.ts'
export { type BottleVerdict, bottleInHand } from './bottleInHand.ts'

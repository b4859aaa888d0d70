export { type Batch, type MixRequest, mixBatch } from './mixBatch.ts'
export { mixByParts, type PartsRequest } from './mixByParts.ts'
export {
  type Addition,
  type Ingredient,
  type MixLimits,
  mixDefaults,
  type Stock,
  type Strength,
  type WantedStrength,
} from './mixTypes.ts'
export { handyVolumeMl, type LiquidNeed, liquidNeed, type UseRates, useRateDefaults } from './needs.ts'
export { type Repair, type RepairRequest, repairBatch } from './repairBatch.ts'
export { strengthWords } from './strengthWords.ts'
export { type LiquidSchool, type Recipe, recipeOf, recipes } from './schools.ts'

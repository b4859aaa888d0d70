export { type FitFact, type FitTaught, type OffsetReading, type PullMade, pullsMade } from './fitFact.ts'
export {
  type Asked,
  type Estimated,
  type Factor,
  type MixedData,
  type MixedEstimate,
  mixedModel,
} from './mixedModel.ts'
export {
  type AboutToFit,
  type KnownOffset,
  type OffsetCause,
  offsetCauses,
  type PartKnown,
  recallPart,
  recallParts,
} from './recallPart.ts'
export { type PaceOf, recallPaces } from './recallPaces.ts'
export { nameless } from './nameless.ts'
export {
  bladeUsedWords,
  fingerWords,
  heatWords,
  offsetWords,
  paceWords,
  pullMadeWords,
  pullWords,
  timesWords,
} from './recallWords.ts'

export {
  type FaultKind,
  faultKinds,
  faultWords,
  type SpoilOutcome,
  spoilOutcomes,
  spoilOutcomeWords,
  spoils,
} from './faults.ts'

export { type FaultKind, faultKinds, faultWords } from './faults.ts'

export { edgesByHand, type LookedAround, type LookKind, lookKinds, type LookStop, lookWalk } from './lookWalk.ts'
export { type LaidBefore, visitPlan } from './visitPlan.ts'
export { type EdgeOfSides, seenFromMm, sidesAlike, sidesWords } from './sidesAlike.ts'

export { type BodyPlan, bodyPlan, type Face, type Slot, spotInSlot, spotOnSheet } from './bodyPlan.ts'
export { type BodyKind, bodyKinds, bodyKindWords } from './bodySizes.ts'
export { otherSideOf } from './otherSide.ts'
export { lampUseAt } from './lampUseAt.ts'

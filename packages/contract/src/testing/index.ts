export { smallCheck, smallChecks, smallPlan, smallStep } from './smallPlan.ts'
export { began, minutesIn, type SmallEvent, smallEvents, smallFit } from './smallFit.ts'

export type { Day, DayBreak, DayHold, DayTask, TaskAfter } from './day.ts'
export { mostPeople } from './net.ts'
export { type DayPlan, planDay, type PlanDayOptions, type PlannedBefore, type PlannedTask } from './planDay.ts'
export type { DayFailure, DayFailureCode, DayResult } from './dayFailures.ts'

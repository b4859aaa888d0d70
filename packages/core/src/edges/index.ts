export { type Behind, readBehind } from './behind.ts'
export { type BladeBook, type BladeEntry, bladeBook, type TestCut, testCuts } from './bladeBook.ts'
export { type EdgePlan, edgePlan, type EdgeSchool, type EdgeTool, type EdgeWork } from './edgePlan.ts'
export { endRefused } from './endRefused.ts'

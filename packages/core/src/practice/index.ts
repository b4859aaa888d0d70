export {
  type OwnPractice,
  type Practice,
  type PracticeChange,
  practiceChanged,
  practiceGroups,
  type PracticeGroupName,
  type PracticeKey,
  practiceKeys,
  practiceProblem,
  practiceTable,
  practiceWith,
} from './practice.ts'
export type { PracticeFigure, PracticeUnit } from './practiceFigure.ts'

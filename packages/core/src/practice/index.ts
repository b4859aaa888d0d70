export {
  type Practice,
  type PracticeFigure,
  type PracticeKey,
  practiceKeys,
  practiceProblem,
  practiceTable,
  practiceWith,
} from './practice.ts'

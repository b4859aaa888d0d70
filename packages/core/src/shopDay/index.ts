export {
  type DayOfShop,
  dayOfShop,
  type JobToDo,
  leavesTask,
  type LookToDo,
  type Overdue,
  type PartOrder,
  type PersonToday,
  type ShopToday,
  type Work,
} from './dayOfShop.ts'
export { type DayPractice, type PartAround, type PartTask, type PartToDo, partTasks } from './partTasks.ts'
export { type Help, whatHelps } from './whatHelps.ts'
export { outlineOf, type StepOutline, stepOutline } from './stepOutline.ts'

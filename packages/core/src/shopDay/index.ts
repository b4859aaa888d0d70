export { type DayOfShop, dayOfShop, type JobToDo, type ShopToday, type Work } from './dayOfShop.ts'
export { type PartTask, type PartToDo, partTasks } from './partTasks.ts'
export { outlineOf, type StepOutline, stepOutline } from './stepOutline.ts'

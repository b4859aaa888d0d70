export { fitEventRows } from '../fit/table.ts'
export { jobs, parts } from '../jobs/table.ts'
export { films, forms, pieces } from '../shelf/table.ts'
export { people, shops } from '../shop/table.ts'

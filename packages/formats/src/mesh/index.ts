export { joinCorners } from './joinCorners.ts'

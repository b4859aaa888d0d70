export {
  type PatternLayer,
  type PatternOptions,
  type PatternReading,
  type PatternResult,
  patternFromDrawing,
} from './patternFromDrawing.ts'
export { readPattern } from './readPattern.ts'
export { type Role, roleByName } from './roleByName.ts'

export { type PatternOptions, type PatternReading, patternFromDrawing, type Role } from './patternFromDrawing.ts'

export { type FileFailure, type FileResult, read, unreadable } from './fileResult.ts'

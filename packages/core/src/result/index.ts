export { type AnyFailure, type Failure, type FailureCode, failure, inOneLine } from './failures.ts'
export { done, type Result, refused } from './result.ts'

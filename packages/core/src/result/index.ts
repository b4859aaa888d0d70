export { type AnyFailure, type Failure, type FailureCode, failure, outOfRange, wholeFailure } from './failures.ts'
export { done, type Result, refused, required } from './result.ts'

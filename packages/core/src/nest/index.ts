export { inTheWay, type InTheWay, lying } from './inTheWay.ts'
export type { NestFailure, NestFailureCode, NestResult } from './nestFailures.ts'
export { effortPerSecond, nestPieces, type NestOptions } from './nestPieces.ts'
export type { Nested, NestPiece, NestPlacement, NestRequest, SpoiltStretch } from './request.ts'

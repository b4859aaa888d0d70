export { type Wait, type WaitKind, waitOf } from './waits.ts'

export { type Held, mirrors, type Same } from './mirrors.ts'

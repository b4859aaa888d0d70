export { type Cholesky, cholesky, type Entry, upperTriangle, type UpperTriangle } from './cholesky.ts'
export { eliminationOrder } from './eliminationOrder.ts'
export {
  type BoxStep,
  type FilmSheet,
  type FilmSystem,
  filmSystem,
  gradients,
  type Mixed,
  type StretchRange,
} from './filmSystem.ts'
export { doubles, inKernel, ints } from './instance.ts'
export { type Mixing, mixing } from './mixing.ts'
export { type Overlaps, overlaps, type StandIn } from './overlaps.ts'
export { facingOf, firstFlatTriangle, sideEnd, type Sides, sidesOf } from './sides.ts'
export {
  type AcrossStep,
  type LaidAcross,
  type LaidAir,
  type LaidStep,
  layAcross,
  layAir,
  layStep,
  type Stacks,
  stacks,
  stepStacks,
} from './stacks.ts'

import type { FitState } from '@truelay/contract'

/** A fit that has begun. */
export type Fitting = Extract<FitState, { phase: 'fitting' | 'finished' }>

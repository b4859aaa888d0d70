import type { ComeBackTime, CureStepId, FaultOutcome } from '@truelay/core/judge'
import type { SpoiltBecomes } from './SpoiltBecomes.tsx'

/** What becomes of it: come back to later, or settled now. */
export type Becomes =
  | { readonly later: ComeBackTime }
  | { readonly settled: FaultOutcome; readonly cure?: readonly CureStepId[] }
  | SpoiltBecomes

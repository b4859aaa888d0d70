import {
  effortPerSecond,
  type Nested,
  nestPieces,
  type NestRequest,
  type NestResult,
  whatFits,
} from '@truelay/core/nest'
import { expose } from 'comlink'

/** Carries messages; pieces are laid out by the core. */
const nestWorker = {
  nest: (
    request: NestRequest,
    { seed, seconds }: { readonly seed: number; readonly seconds: number },
    onBetter: (nested: Nested) => void,
  ): NestResult<Nested> => nestPieces(request, { seed, effort: seconds * effortPerSecond, onBetter }),
  whatFits: (request: NestRequest) => whatFits(request),
}

export type NestWorker = typeof nestWorker
expose(nestWorker)

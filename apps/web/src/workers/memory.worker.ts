import { type AboutToFit, type FitFact, type PartKnown, recallParts } from '@truelay/core/memory'
import type { Practice } from '@truelay/core/practice'
import { expose } from 'comlink'

/** Carries messages; the work is done by the core. */
const memoryWorker = {
  recall: (facts: readonly FitFact[], about: readonly AboutToFit[], practice: Practice): PartKnown[] =>
    recallParts(facts, about, practice),
}
export type MemoryWorker = typeof memoryWorker

expose(memoryWorker)

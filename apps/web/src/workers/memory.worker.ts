import { type AboutToFit, type FitFact, type PartKnown, recallPart } from '@truelay/core/memory'
import type { Practice } from '@truelay/core/practice'
import { expose } from 'comlink'

/** Carries messages; the work is done by the core. */
const memoryWorker = {
  recall: (facts: readonly FitFact[], about: readonly AboutToFit[], practice: Practice): PartKnown[] =>
    about.map((one) => recallPart(facts, one, practice)),
}
export type MemoryWorker = typeof memoryWorker

expose(memoryWorker)

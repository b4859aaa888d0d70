import { type FitState, type LiquidBatch, standing } from '@truelay/contract'

export interface Use {
  readonly neededMl: number
  readonly usedMl: number
}

/**
 * What was used against what was worked out: between two notes of a bottle's level, what is gone went under the parts whose fit
 * had that bottle in hand meanwhile.
 */
export function usesOf(batches: readonly LiquidBatch[], fits: readonly FitState[]): Use[] {
  return batches.flatMap((batch) =>
    batch.history.slice(1).flatMap((note, i): Use[] => {
      const before = batch.history[i]
      if (before === undefined || (note.what !== 'level' && note.what !== 'emptied')) return []
      const usedMl = before.leftMl - note.leftMl
      const neededMl = neededWith(batch.id, before.at, note.at, fits)
      return usedMl > 0 && neededMl > 0 ? [{ neededMl, usedMl }] : []
    }),
  )
}

function neededWith(batchId: string, from: string, to: string, fits: readonly FitState[]): number {
  let sum = 0
  for (const fit of fits) {
    if (fit.phase === 'not begun') continue
    const taken = standing(fit, 'bottleTaken').find((e) => e.batchId === batchId && e.at >= from && e.at <= to)
    sum += fit.plan.solutions.find((s) => s.use === taken?.use)?.needMl ?? 0
  }
  return sum
}

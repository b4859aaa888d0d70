import type { FitEvent, LiquidBatch } from '@truelay/contract'

export interface Use {
  readonly neededMl: number
  readonly usedMl: number
}

/**
 * What was used against what was worked out: between two notes of a bottle's level, what is gone went under the parts whose fit
 * had that bottle in hand meanwhile.
 */
export function usesOf(batches: readonly LiquidBatch[], logs: ReadonlyMap<string, readonly FitEvent[]>): Use[] {
  return batches.flatMap((batch) =>
    batch.history.slice(1).flatMap((note, i): Use[] => {
      const before = batch.history[i]
      if (before === undefined || (note.what !== 'level' && note.what !== 'emptied')) return []
      const usedMl = before.leftMl - note.leftMl
      const neededMl = neededWith(batch.id, before.at, note.at, logs)
      return usedMl > 0 && neededMl > 0 ? [{ neededMl, usedMl }] : []
    }),
  )
}

function neededWith(batchId: string, from: string, to: string, logs: ReadonlyMap<string, readonly FitEvent[]>): number {
  let sum = 0
  for (const events of logs.values()) {
    const taken = events.find((e) => e.kind === 'bottleTaken' && e.batchId === batchId && e.at >= from && e.at <= to)
    const started = events.find((e) => e.kind === 'fitStarted')
    if (taken?.kind !== 'bottleTaken' || started?.kind !== 'fitStarted') continue
    sum += started.plan.solutions.find((s) => s.use === taken.use)?.needMl ?? 0
  }
  return sum
}

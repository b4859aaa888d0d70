import type { JobBundle, LiquidBatch } from '@truelay/contract'
import { isAlike } from '@truelay/core/mix'
import type { PlannedBatch } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { useState } from 'react'
import { useLiquidsQuery } from '../../remote/benchApi.ts'
import { useNow } from '../../ui/useNow.ts'

/** A bottle that stands in the shop and may take the place of one that would be mixed. */
export interface StandIn {
  readonly bottle: LiquidBatch
  readonly taken: boolean
  readonly onTake: (taken: boolean) => void
}

/** For each planned liquid the fullest fresh bottle of the shop that is alike and holds enough. */
export function useStandIns(bundle: JobBundle, solutions: readonly PlannedBatch[]): ReadonlyMap<string, StandIn> {
  const { data } = useLiquidsQuery()
  const now = useNow(60_000)
  const [taken, setTaken] = useState<Readonly<Record<string, boolean>>>({})
  const keepsMs = practiceWith(bundle.shop.practice).batchKeeps * 86_400_000
  const standIns = new Map<string, StandIn>()
  for (const { use, strength, needMl } of solutions) {
    const [bottle] = (data?.batches ?? [])
      .filter((b) => b.emptiedAt === null && b.leftMl >= needMl && isAlike(b.strength, strength))
      .filter((b) => now.getTime() - new Date(b.mixedAt).getTime() < keepsMs)
      .sort((a, b) => b.leftMl - a.leftMl)
    if (bottle !== undefined)
      standIns.set(use, {
        bottle,
        taken: taken[use] ?? false,
        onTake: (now) => setTaken((before) => ({ ...before, [use]: now })),
      })
  }
  return standIns
}

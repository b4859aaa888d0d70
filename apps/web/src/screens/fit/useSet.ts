import type { JobBundle, Part, PartProgress } from '@truelay/contract'
import type { SetMode } from '@truelay/core/pieces'
import { useMemo } from 'react'
import { useBayQuery } from '../../remote/api.ts'

/** One part of a set, as the one who fits has to know it. */
export interface SetPart {
  readonly part: Part
  readonly progress: PartProgress | null
  readonly own: boolean
}

export interface PartsOfSet {
  readonly mode: SetMode
  readonly parts: readonly SetPart[]
  /** What one can go on with meanwhile: the first of the others that is neither done nor waiting itself. */
  readonly meanwhile: SetPart | null
  /** The first of the others that is not done, waiting or not. */
  readonly next: SetPart | null
  /** Those of the others whose wait is over. */
  readonly due: readonly SetPart[]
}

/** The set of a part with how far each has come; null where it is fitted by itself. */
export function useSet(bundle: JobBundle, part: Part, now: Date): PartsOfSet | null {
  const set = bundle.sets.find((s) => s.partIds.includes(part.id))
  const { data: bay } = useBayQuery(undefined, {
    skip: set === undefined,
    pollingInterval: 15_000,
    refetchOnMountOrArgChange: true,
  })
  const parts = useMemo((): SetPart[] => {
    const progress = bay?.jobs.find((j) => j.job.id === bundle.job.id)?.parts ?? []
    return (set?.partIds ?? []).flatMap((id) => {
      const own = bundle.parts.find((p) => p.id === id)
      return own === undefined
        ? []
        : [{ part: own, progress: progress.find((p) => p.partId === id) ?? null, own: id === part.id }]
    })
  }, [bay, set, bundle, part.id])
  if (set === undefined) return null
  return ofSet(set.mode, parts, now)
}

/** What the parts of a set make of each other at a moment. */
export function ofSet(mode: SetMode, parts: readonly SetPart[], now: Date): PartsOfSet {
  const others = parts.filter(({ own, progress }) => !own && progress?.state !== 'done')
  const isWaiting = ({ progress }: SetPart) => progress?.readyAt != null && new Date(progress.readyAt) > now
  return {
    mode,
    parts,
    meanwhile: others.find((p) => !isWaiting(p)) ?? null,
    next: others[0] ?? null,
    due: others.filter((p) => p.progress?.readyAt != null && !isWaiting(p)),
  }
}

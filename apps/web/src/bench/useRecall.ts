import type { AboutToFit, PartKnown } from '@truelay/core/memory'
import { practiceWith } from '@truelay/core/practice'
import type { Shop } from '@truelay/contract'
import { wrap } from 'comlink'
import { useEffect, useMemo, useState } from 'react'
import { useMemoryQuery } from '../remote/memoryApi.ts'
import type { MemoryWorker } from '../workers/memory.worker.ts'

/** What earlier fits say about some parts, in their order; null while it is worked out or the server is away. */
export function useRecall(about: readonly AboutToFit[], shop: Pick<Shop, 'practice'>): readonly PartKnown[] | null {
  const { data } = useMemoryQuery(undefined, { refetchOnMountOrArgChange: true })
  const practice = useMemo(() => practiceWith(shop.practice), [shop.practice])
  const [known, setKnown] = useState<readonly PartKnown[] | null>(null)
  const asked = JSON.stringify(about)
  useEffect(() => {
    if (data === undefined) return
    const worker = new Worker(new URL('../workers/memory.worker.ts', import.meta.url), { type: 'module' })
    let gone = false
    void wrap<MemoryWorker>(worker)
      .recall(data.facts, JSON.parse(asked) as AboutToFit[], practice)
      .then((answer) => {
        if (!gone) setKnown(answer)
        worker.terminate()
      })
    return () => {
      gone = true
      worker.terminate()
    }
  }, [data, asked, practice])
  return known
}

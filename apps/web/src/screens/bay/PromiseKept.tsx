import type { Job, PartProgress, Shop } from '@truelay/contract'
import { promiseWords } from '@truelay/core/handOver'
import { practiceWith } from '@truelay/core/practice'
import { useMemo } from 'react'
import { useAir } from '../../bench/useAir.ts'
import { earliestEnd, useRelease } from '../../bench/useRelease.ts'
import { useWords } from '../../ui/words.ts'

interface PromiseKeptProps {
  readonly job: Job
  readonly shop: Shop
  readonly parts: readonly PartProgress[]
  readonly now: Date
}

/** That a vehicle cannot be out when it was promised, as soon as that is certain: even if all of it were done now. */
export function PromiseKept({ job, shop, parts, now }: PromiseKeptProps) {
  const t = useWords()
  const air = useAir(job)
  const practice = useMemo(() => practiceWith(shop.practice), [shop.practice])
  const { release } = useRelease({
    room: { roomC: air.temperatureC, humidityPercent: air.humidityPercent },
    finishedAt: earliestEnd(parts, now),
    practice,
    expectedC: null,
  })
  const broken = release?.ok === true ? promiseWords(new Date(job.dueAt), release.value.at) : null
  return broken === null ? null : (
    <p role="status" className="mx-6 mb-2 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-body font-bold">
      {t(broken)}
    </p>
  )
}

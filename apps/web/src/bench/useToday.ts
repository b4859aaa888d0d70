import type { JobBundle, Shift } from '@truelay/contract'
import { type CalibratedGun, calibrated } from '@truelay/core/heat'
import type { LearnedWaits, Today } from '@truelay/core/plan'
import type { Result } from '@truelay/core/result'
import { waitKinds } from '@truelay/core/wait'
import { useMemo } from 'react'
import { useLearnedQuery } from '../remote/airApi.ts'
import { useAir } from './useAir.ts'

/** The gun that plans count on, with its readings; null where the shop has described none. */
export function useShopGun({ guns }: JobBundle['shop']): Result<CalibratedGun> | null {
  const [first] = guns
  return useMemo(() => (first === undefined ? null : calibrated(first)), [first])
}

/** What the shop's own answers make of each wait. */
export function useLearnedWaits(): LearnedWaits {
  const { data } = useLearnedQuery()
  return useMemo(() => {
    const waits = data?.waits ?? []
    return Object.fromEntries(
      waitKinds.flatMap((kind) => {
        const factor = waits.find((w) => w.kind === kind)?.factor
        return factor === undefined ? [] : [[kind, factor]]
      }),
    )
  }, [data])
}

/** What a plan hangs on today. Air is taken in steps of half a degree and two per cent, so that a sensor's flicker replans nothing. */
export function useToday({ job, shop }: Pick<JobBundle, 'job' | 'shop'>, shift: Shift): Today {
  const air = useAir(job)
  const temperatureC = Math.round(air.temperatureC * 2) / 2
  const humidityPercent = Math.round(air.humidityPercent / 2) * 2
  // A gun whose readings contradict each other is planned for as one that nobody has read; its own screen says so.
  const known = useShopGun(shop)
  const gun = known?.ok === true ? known.value : null
  const learned = useLearnedWaits()
  return useMemo(
    () => ({ shift, room: { temperatureC, humidityPercent }, gun, learned }),
    [shift, temperatureC, humidityPercent, gun, learned],
  )
}

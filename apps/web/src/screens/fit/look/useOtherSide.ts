import { type JobBundle, lastReadings, type Part, replayFit } from '@truelay/contract'
import { type MeasuredGap, measuredGaps } from '@truelay/core/plan'
import { otherSideOf } from '@truelay/core/vehicle'
import { useMemo } from 'react'
import { useFitQuery } from '../../../remote/fitApi.ts'

/** The part of the job that lies at the same place on the other side. */
export function partOtherSide({ parts }: Pick<JobBundle, 'parts'>, { slot, within }: Part): Part | null {
  const place = otherSideOf(slot)
  const there = parts.filter((part) => part.slot === place)
  return there.find((part) => JSON.stringify(part.within) === JSON.stringify(within)) ?? there[0] ?? null
}

/** The gaps that were read on the other side; none where it has not been measured. */
export function useOtherSide(other: Part | null): readonly MeasuredGap[] {
  const { data: log } = useFitQuery(other?.id ?? ('' as Part['id']), { skip: other === null })
  return useMemo(() => {
    const state = log === undefined ? null : replayFit(log.events)
    return state === null || state.phase === 'not begun' ? [] : measuredGaps(state.plan, lastReadings(state))
  }, [log])
}

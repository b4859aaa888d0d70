import { type FitEvent, type FitState, type PartId, replayFit } from '@truelay/contract'
import { useMemo } from 'react'
import { useFitQuery } from '../../remote/api.ts'
import { outbox, useAppSelector } from '../../store/store.ts'

/** An event without what every event carries. */
export type NewFitEvent = FitEvent extends infer E
  ? E extends FitEvent
    ? Omit<E, 'id' | 'partId' | 'personId' | 'at'>
    : never
  : never

export interface Fit {
  readonly state: FitState
  /** Something happened: shown at once, kept on this tablet, sent to the server. */
  readonly happened: (event: NewFitEvent) => void
  readonly unsent: number
  readonly away: boolean
  readonly refusal: string | null
}

/** A fit as its events add up: those the server has, then those still on this tablet. */
export function useFit(partId: PartId, personId: string): { readonly fit: Fit | null; readonly error: unknown } {
  const { data: log, error } = useFitQuery(partId, { refetchOnMountOrArgChange: true })
  const waiting = useAppSelector((state) => state.outbox.waiting)
  const reach = useAppSelector((state) => state.outbox.reach)
  const refusal = useAppSelector((state) => state.outbox.refusal)
  const fit = useMemo((): Fit | null => {
    if (log === undefined) return null
    const known = new Set(log.events.map((e) => e.id))
    const mine = waiting.filter((e) => e.partId === partId)
    const state = replayFit([...log.events, ...mine.filter((e) => !known.has(e.id))])
    return {
      state,
      unsent: mine.length,
      away: reach === 'away',
      refusal,
      happened: (event) => {
        void outbox.add({
          ...event,
          id: crypto.randomUUID(),
          partId,
          personId,
          at: new Date().toISOString(),
        } as FitEvent)
      },
    }
  }, [log, waiting, reach, refusal, partId, personId])
  return { fit, error: log === undefined ? error : undefined }
}

import { type FitEvent, type FitState, type PartId, replayFit } from '@truelay/contract'
import { useMemo, useRef } from 'react'
import { useFitQuery } from '../../remote/fitApi.ts'
import type { SetAside } from '../../remote/outboxStore.ts'
import { outbox, useAppSelector } from '../../store/store.ts'
import type { Sentence } from '@truelay/core/say'

/** An event without what every event carries; with an id of its own where another event tells of it. */
export type NewFitEvent = FitEvent extends infer E
  ? E extends FitEvent
    ? Omit<E, 'id' | 'partId' | 'personId' | 'at'> & { readonly id?: string }
    : never
  : never

/** What one press brings about; a second press before the first is kept is the same press twice, and changes nothing. */
export type Happened = (...events: readonly NewFitEvent[]) => void

export interface Fit {
  readonly state: FitState
  /** Something happened: kept on this tablet, then shown, then sent to the server. */
  readonly happened: Happened
  readonly unsent: number
  readonly away: boolean
  readonly refusal: Sentence | null
  /** What was pressed here and did not count, until somebody has read why. */
  readonly late: readonly SetAside[]
}

/** A fit as its events add up: those the server has, then those still on this tablet. */
export function useFit(partId: PartId, personId: string): { readonly fit: Fit | null; readonly error: unknown } {
  const { data: log, error } = useFitQuery(partId, { refetchOnMountOrArgChange: true })
  const waiting = useAppSelector((state) => state.outbox.waiting)
  const reach = useAppSelector((state) => state.outbox.reach)
  const refusal = useAppSelector((state) => state.outbox.refusals[partId] ?? null)
  const aside = useAppSelector((state) => state.outbox.aside)
  const keeping = useRef(false)
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
      late: aside.filter((item) => !item.seen && (item.event as { partId?: unknown }).partId === partId),
      happened: (...events) => {
        if (keeping.current) return
        keeping.current = true
        const at = new Date().toISOString()
        const whole = events.map((event) => ({ id: crypto.randomUUID(), ...event, partId, personId, at }) as FitEvent)
        void outbox.add(whole).finally(() => {
          keeping.current = false
        })
      },
    }
  }, [log, waiting, reach, refusal, aside, partId, personId])
  return { fit, error: log === undefined ? error : undefined }
}

import { z } from 'zod'
import { sentence } from '@truelay/core/say'
import { partId } from '../ids.ts'
import { fitEventKinds } from './events/index.ts'
import { type Begun, type FitState, notBegun } from './fitState.ts'

type Kinds = typeof fitEventKinds
export type FitEventName = keyof Kinds
export type FitEventOf<K extends FitEventName> = z.infer<Kinds[K]['schema']>
export type FitEvent = { [K in FitEventName]: FitEventOf<K> }[FitEventName]

export const fitEventNames = Object.keys(fitEventKinds) as [FitEventName, ...FitEventName[]]

/** What happens during a fit, in the order in which it happened; never changed, only added to. */
export const fitEvent = z.discriminatedUnion(
  'kind',
  fitEventNames.map((kind) => fitEventKinds[kind].schema) as unknown as [
    Kinds['fitStarted']['schema'],
    Kinds['stepDone']['schema'],
  ],
) as unknown as z.ZodType<FitEvent, FitEvent>

export const fitEvents = z.array(fitEvent).min(1).max(200)

/** What the server says to events: which it has now, whether or not it had them before, and which came too late to count. */
export const fitReceipt = z.strictObject({
  stored: z.array(z.uuid()),
  known: z.array(z.uuid()),
  tooLate: z.array(z.strictObject({ id: z.uuid(), says: sentence })),
})
export type FitReceipt = z.infer<typeof fitReceipt>

/** Ids of events: those asked for, and of them those that the server does not know. */
export const missingEvents = z.strictObject({ ids: z.array(z.uuid()).max(500) })

export const fitLog = z.strictObject({ partId, events: z.array(fitEvent) })
export type FitLog = z.infer<typeof fitLog>

/** The state after one more event. Events that make no sense where the fit stands change nothing. */
export function applyFitEvent(state: FitState, event: FitEvent): FitState {
  if (state.phase === 'not begun') return event.kind === 'fitStarted' ? begun(event) : state
  const fold = fitEventKinds[event.kind].fold as (state: Begun, event: FitEvent) => Begun
  return fold(state, event)
}

const begun = ({ plan, at, personId }: FitEventOf<'fitStarted'>): Begun => ({
  phase: 'fitting',
  plan,
  startedAt: at,
  startedBy: personId,
  done: [],
  logged: [],
})

export const replayFit = (events: readonly FitEvent[]): FitState => events.reduce(applyFitEvent, notBegun)

/** Events of one kind that stand, in their order. */
export const standing = <K extends Exclude<FitEventName, 'fitStarted'>>(
  state: Pick<Begun, 'logged'>,
  kind: K,
): FitEventOf<K>[] =>
  state.logged.flatMap(({ event }) => (event.kind === kind ? [event as unknown as FitEventOf<K>] : []))

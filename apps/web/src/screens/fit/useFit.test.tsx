import { act, renderHook, waitFor } from '@testing-library/react'
import { type Part, partPlan } from '@truelay/contract'
import { smallPlan, smallStep } from '@truelay/contract/testing'
import { required } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest'
import { useLearnedWaits } from '../../bench/useToday.ts'
import { store } from '../../store/store.ts'
import { InShop, type OpenShop, openShop } from '../../testing/openShop.tsx'
import { useFit } from './useFit.ts'

const grab = { label: say`initial grab`, leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 }
const planOf = (part: Part) =>
  smallPlan([smallStep('float', { wait: grab }), smallStep('seal'), smallStep('last')], {
    partId: part.id,
    partName: part.name,
  })

let shop: OpenShop
let parts: readonly Part[]
beforeAll(async () => {
  shop = await openShop()
  parts = (await shop.bundle('0415')).bundle.parts
})
afterAll(() => shop.close())
afterEach(() => shop.away(false))

/** The fit of a part that no other test here touches. */
let next = 0
async function openFit(personId = 'bo') {
  const part = parts[next++]
  if (part === undefined) throw new Error('no part is left')
  const { result } = renderHook(
    () => {
      const learned = useLearnedWaits()
      return { ...useFit(part.id, personId), learned }
    },
    { wrapper: InShop },
  )
  await waitFor(() => expect(result.current.fit).not.toBeNull())
  const fit = () => {
    const { fit } = result.current
    if (fit === null) throw new Error('the fit is not open')
    return fit
  }
  const log = async (): Promise<{ kind: string }[]> => (await shop.server.get(`/api/parts/${part.id}/fit`)).body.events
  const begin = () => act(async () => fit().happened({ kind: 'fitStarted', plan: partPlan.parse(planOf(part)) }))
  return { part, fit, log, begin, result }
}
const settled = () => waitFor(() => expect(store.getState().outbox.waiting).toEqual([]))

describe('a fit is what its events add up to', () => {
  test('it begins, goes on and goes back; each event reaches the server once', async () => {
    const { fit, log, begin } = await openFit()
    expect(fit().state.phase).toBe('not begun')
    await begin()
    await waitFor(() => expect(fit().state.phase).toBe('fitting'))
    await act(async () => fit().happened({ kind: 'stepDone', stepId: 'float' }))
    await waitFor(() => expect(fit().state).toMatchObject({ done: [{ stepId: 'float', personId: 'bo' }] }))
    await act(async () => fit().happened({ kind: 'stepReopened', stepId: 'float' }))
    await waitFor(() => expect(fit().state).toMatchObject({ done: [] }))
    await settled()
    expect((await log()).map((e) => e.kind)).toEqual(['fitStarted', 'stepDone', 'stepReopened'])
  })
  test('one press may bring about several events: all of them or none', async () => {
    const { fit, log, begin } = await openFit()
    await begin()
    await waitFor(() => expect(fit().state.phase).toBe('fitting'))
    await settled()
    await act(async () =>
      fit().happened(
        { kind: 'bladeUsed', stepId: 'float', fresh: true, cutMm: 400 },
        { kind: 'stepDone', stepId: 'float' },
      ),
    )
    // What happened is kept on the tablet first: only then does it wait to be sent.
    await expect.poll(async () => (await log()).map((e) => e.kind)).toEqual(['fitStarted', 'bladeUsed', 'stepDone'])
  })
  test('a second press before the first is kept is the same press', async () => {
    const { fit, log, begin } = await openFit()
    await begin()
    await waitFor(() => expect(fit().state.phase).toBe('fitting'))
    await settled()
    await act(async () => {
      fit().happened({ kind: 'stepDone', stepId: 'float' })
      fit().happened({ kind: 'stepDone', stepId: 'float' })
    })
    await expect.poll(async () => (await log()).map((e) => e.kind)).toContain('stepDone')
    await settled()
    expect((await log()).filter((e) => e.kind === 'stepDone')).toHaveLength(1)
  })
})

describe('while the server is away', () => {
  test('what happens is shown, kept here, told, and sent as soon as the server answers', async () => {
    const { fit, log, begin } = await openFit()
    await begin()
    await waitFor(() => expect(fit().state.phase).toBe('fitting'))
    await settled()
    shop.away(true)
    await act(async () => fit().happened({ kind: 'stepDone', stepId: 'float' }))
    await waitFor(() => expect(fit()).toMatchObject({ unsent: 1, away: true }))
    expect(fit().state).toMatchObject({ done: [{ stepId: 'float' }] })
    expect((await log()).map((e) => e.kind)).toEqual(['fitStarted'])
    shop.away(false)
    window.dispatchEvent(new Event('online'))
    await settled()
    await waitFor(() => expect(fit()).toMatchObject({ unsent: 0, away: false }))
    expect((await log()).map((e) => e.kind)).toEqual(['fitStarted', 'stepDone'])
  })
  test('a log that cannot be read is an error, not an empty fit', async () => {
    shop.forget()
    shop.away(true)
    const { result } = renderHook(() => useFit(required({ ok: true, value: parts[0] as Part }).id, 'bo'), {
      wrapper: InShop,
    })
    await waitFor(() => expect(result.current.error).toBeTruthy())
    expect(result.current.fit).toBeNull()
  })
})

describe('what was said of a wait', () => {
  test('is learned from at once: the next wait counts on it', async () => {
    const { fit, begin, result } = await openFit()
    await begin()
    await waitFor(() => expect(fit().state.phase).toBe('fitting'))
    await act(async () => fit().happened({ kind: 'stepDone', stepId: 'float' }))
    await waitFor(() => expect(fit().state).toMatchObject({ done: [{ stepId: 'float' }] }))
    await settled()
    const before = shop.asked.filter((a) => a === 'GET /api/learned').length
    expect(result.current.learned.initialGrab ?? 1).toBeCloseTo(1, 6)
    await act(async () =>
      fit().happened({
        kind: 'waitAnswered',
        stepId: 'float',
        waitKind: 'initialGrab',
        ready: true,
        saidMinutes: 20,
        waitedMinutes: 10,
      }),
    )
    await settled()
    await waitFor(() => expect(result.current.learned.initialGrab).toBeLessThan(1))
    expect(shop.asked.filter((a) => a === 'GET /api/learned').length).toBeGreaterThan(before)
  })
})

describe('what the server does not take', () => {
  test('stays here with the reason in the server’s words', async () => {
    const { fit, begin } = await openFit('nobody-here')
    await begin()
    await waitFor(() => expect(fit().refusal).not.toBeNull())
    expect(fit().refusal).toSay(/nobody-here|person/)
    expect(fit()).toMatchObject({ unsent: 1, away: false })
  })
})

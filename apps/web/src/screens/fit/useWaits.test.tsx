import { act, renderHook, waitFor } from '@testing-library/react'
import type { JobBundle } from '@truelay/contract'
import { minutesIn, type SmallEvent, smallFit, smallPlan, smallStep } from '@truelay/contract/testing'
import { say } from '@truelay/core/say'
import { afterAll, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest'
import { InShop, type OpenShop, openShop } from '../../testing/openShop.tsx'
import type { Fitting } from './fitting.ts'
import type { NewFitEvent } from './useFit.ts'
import { useWaits } from './useWaits.ts'

const grab = { label: say`initial grab`, leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 }
const cool = { label: say`cool down`, leastMinutes: 3, kind: 'coolBeforeCut', usualMinutes: 3, factor: 1 }
const plan = smallPlan([
  smallStep('float', { wait: grab }),
  smallStep('seal'),
  smallStep('heat', { wait: cool }),
  smallStep('cut'),
])
const done = (stepId: string, after: number): SmallEvent => ({ kind: 'stepDone', stepId, after })

let shop: OpenShop
let bundle: JobBundle
beforeAll(async () => {
  shop = await openShop()
  bundle = (await shop.bundle('0412')).bundle
})
afterAll(() => shop.close())

const enter = (temperatureC: number, humidityPercent: number) =>
  shop.server.send('POST', '/api/room', { temperatureC, humidityPercent })
beforeEach(async () => {
  shop.forget()
  await enter(20, 50)
})

/** The waits of a fit where it stands, so many minutes after it began; what they log is listed. */
async function waitsOf(state: Fitting, minutes: number) {
  const said: NewFitEvent[] = []
  vi.setSystemTime(minutesIn(minutes))
  const { result, rerender } = renderHook(
    (now: { state: Fitting }) => useWaits(bundle, now.state, minutesIn(minutes), (...events) => said.push(...events)),
    { wrapper: InShop, initialProps: { state } },
  )
  await waitFor(() => expect(result.current.air.source).toBe('entered'))
  return { waits: () => result.current, said, move: (to: Fitting) => rerender({ state: to }) }
}

describe('before a wait', () => {
  test('nothing is waited for, and nothing asked', async () => {
    const { waits } = await waitsOf(smallFit(plan), 1)
    expect(waits()).toMatchObject({ waiting: false, wait: null, asks: null, usualMinutes: null })
  })
  test('the step that begins one sets its length for the air of the moment, and says which air that was', async () => {
    const { waits } = await waitsOf(smallFit(plan), 1)
    const [set] = waits().setFor(0)
    expect(set).toMatchObject({ kind: 'waitSet', stepId: 'float', roomC: 20, humidityPercent: 50, source: 'entered' })
    expect(set?.minutes).toBeCloseTo(20, 6)
  })
  test('a step without a wait, or with one that does not hang on the air, sets none', async () => {
    const { waits } = await waitsOf(smallFit(plan), 1)
    expect(waits().setFor(1)).toEqual([])
    expect(waits().setFor(2)).toEqual([])
    expect(waits().setFor(99)).toEqual([])
  })
})

describe('while one waits', () => {
  const waiting = smallFit(plan, done('float', 5))
  test('the wait runs from the step, and its usual length is told', async () => {
    const { waits } = await waitsOf(waiting, 6)
    expect(waits()).toMatchObject({ waiting: true, asks: null, usualMinutes: 20 })
    expect(waits().wait).toMatchObject({ from: minutesIn(5), until: minutesIn(25) })
  })
  test('air that changes it by much sets it again, once', async () => {
    await enter(12, 85)
    const cold = await waitsOf(waiting, 6)
    await waitFor(() => expect(cold.said).toHaveLength(1))
    expect(cold.said[0]).toMatchObject({ kind: 'waitSet', stepId: 'float', roomC: 12, humidityPercent: 85 })
    const minutes = cold.said[0]?.kind === 'waitSet' ? cold.said[0].minutes : 0
    expect(minutes).toBeGreaterThan(40)
    cold.move(
      smallFit(plan, done('float', 5), {
        kind: 'waitSet',
        stepId: 'float',
        minutes,
        roomC: 12,
        humidityPercent: 85,
        source: 'entered',
      }),
    )
    expect(cold.said).toHaveLength(1)
    expect(cold.waits().wait?.until.getTime()).toBeCloseTo(minutesIn(5 + minutes).getTime(), -3)
  })
  test('a flicker of the air changes nothing', async () => {
    await enter(20.3, 51)
    const { said } = await waitsOf(waiting, 6)
    expect(said).toEqual([])
  })
  test('“ready already” soon after it began is a skip, not an answer', async () => {
    const { waits, said } = await waitsOf(waiting, 7)
    act(() => waits().readyEarly())
    expect(said).toEqual([{ kind: 'waitEnded', stepId: 'float', earlySeconds: 18 * 60 }])
  })
  test('later it is an answer too, with how long was really waited', async () => {
    const { waits, said } = await waitsOf(waiting, 17)
    act(() => waits().readyEarly())
    expect(said[0]).toEqual({ kind: 'waitEnded', stepId: 'float', earlySeconds: 8 * 60 })
    expect(said[1]).toMatchObject({ kind: 'waitAnswered', waitKind: 'initialGrab', ready: true, waitedMinutes: 12 })
    expect(said[1]?.kind === 'waitAnswered' ? said[1].saidMinutes : 0).toBeCloseTo(20, 6)
  })
  test('a wait that only cools is never asked about, and can be cut short', async () => {
    const cooling = smallFit(plan, done('float', 1), done('seal', 30), done('heat', 31))
    const { waits, said } = await waitsOf(cooling, 33)
    expect(waits()).toMatchObject({ waiting: true, usualMinutes: null, asks: null })
    act(() => waits().readyEarly())
    expect(said).toEqual([{ kind: 'waitEnded', stepId: 'heat', earlySeconds: 60 }])
  })
})

describe('when it is over', () => {
  const over = smallFit(plan, done('float', 5))
  test('one is asked whether it was ready', async () => {
    const { waits } = await waitsOf(over, 26)
    expect(waits()).toMatchObject({ waiting: false, asks: { label: grab.label, minutes: 20 } })
  })
  test('“yes” is kept', async () => {
    const { waits, said } = await waitsOf(over, 26)
    act(() => waits().answer(true, 20))
    expect(said).toHaveLength(1)
    expect(said[0]).toMatchObject({ kind: 'waitAnswered', stepId: 'float', ready: true, waitedMinutes: 20 })
  })
  test('“not yet” is kept, and waits longer', async () => {
    const { waits, said } = await waitsOf(over, 26)
    act(() => waits().answer(false, 20))
    expect(said.map((e) => e.kind)).toEqual(['waitAnswered', 'waitSet'])
    expect(said[0]).toMatchObject({ ready: false })
    expect(said[1]?.kind === 'waitSet' ? said[1].minutes : 0).toBeCloseTo(26, 6)
  })
  test('who has answered is not asked again, and a longer wait is not shortened by the air', async () => {
    const answered = (ready: boolean, minutes: number) =>
      smallFit(
        plan,
        done('float', 5),
        { kind: 'waitAnswered', stepId: 'float', waitKind: 'initialGrab', ready, saidMinutes: 20, waitedMinutes: 20 },
        { kind: 'waitSet', stepId: 'float', minutes, roomC: 20, humidityPercent: 50, source: 'entered' },
      )
    expect((await waitsOf(answered(true, 20), 26)).waits().asks).toBeNull()
    const longer = await waitsOf(answered(false, 30), 26)
    expect(longer.waits()).toMatchObject({ waiting: true, asks: null })
    expect(longer.said).toEqual([])
  })
})

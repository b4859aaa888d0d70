import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { say } from '@truelay/core/say'
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const grab = { label: say`initial grab`, leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 }
const begin = (partId: string, ...events: Parameters<typeof smallEvents>[1][]) =>
  shop.server.send(
    'POST',
    `/api/parts/${partId}/fit`,
    smallEvents(
      smallPlan(
        [smallStep('float', { headline: say`Float it on`, wait: grab }), smallStep('seal', { headline: say`Seal it` })],
        {
          partId,
        },
      ),
      ...events,
    ),
  )

describe('the bay', () => {
  test('shows the day, the vehicles that are here and those that come', async () => {
    const { sees } = shop.visit('/')
    await sees('Wednesday 1 May')
    await sees(/Velmora Pipit.*signal white, Fleet 27.*0 of 2 parts done, must leave at 16:00/)
    await sees(/Coming.*Tarnbeck Drover, HB 402.*Thursday 2 May, 19 parts, job 0414/)
  })
  test('shows a few parts of a big job, and all of them when asked', async () => {
    const { sees, seesNo, presses } = shop.visit('/')
    await sees('Rear door pillar, driver’s side')
    await seesNo('Window trim strip')
    await presses('7 more parts')
    await sees('Window trim strip, passenger’s side')
    await seesNo('7 more parts')
  })
  test('leads from a part to its lay sheet', async () => {
    const { sees, presses, isAt } = shop.visit('/')
    await sees('See how it will lie, then fit')
    await presses('Lay sheet')
    await isAt(/^\/jobs\/0412\/lay-sheets\/0412-bonnet$/)
  })
  test('says who does what next', async () => {
    const { sees } = shop.visit('/')
    await sees(/Who does what next.*Ines.*Bonnet: open the lay sheet/)
    await sees(/Drying.*Nothing is drying/)
  })
})

describe('a part in work', () => {
  test('tells its next step, how far it is, and what dries until when', async () => {
    const began = await begin('0412-bonnet')
    expect(began.status).toBe(200)
    const first = shop.visit('/')
    await first.sees(/Bonnet, Hullskin 180 clear.*Float it on.*0 of 2 steps/)
    await first.sees('Go on')
  })
  test('leads back into the fit', async () => {
    const { presses, isAt } = shop.visit('/')
    await presses('Go on')
    await isAt(/^\/jobs\/0412\/fit\/0412-bonnet$/)
  })
})

describe('a vehicle that should have left', () => {
  test('is said to be late', async () => {
    vi.setSystemTime(new Date('2030-05-01T21:00:00'))
    const { sees } = shop.visit('/')
    await sees('(that has passed)')
  })
})

describe('what stands open', () => {
  test('a piece that is to be cut, and what is to be come back to, stand with their part', async () => {
    const id = (n: number) => `20000000-0000-4000-8000-00000000000${n}`
    const plan = smallPlan([smallStep('hold up', { tools: ['piece'] }), smallStep('lay')], { partId: '0413-02' })
    const seen = { kind: 'problemSeen', stepId: 'lay', place: 'nose', comeBack: true, when: 'at hand-over' }
    const events = smallEvents(
      plan,
      { kind: 'stepDone', stepId: 'hold up', after: 1 },
      { ...seen, problem: 'torn piece', after: 2 } as never,
      { kind: 'stepReopened', stepId: 'hold up', after: 3 },
      { kind: 'spoilSettled', stepId: 'hold up', outcome: 'laid again', from: 'roll', after: 3 } as never,
      { ...seen, problem: 'haze', after: 4 } as never,
    ).map((event, i) => ({ ...event, id: id(i) }))
    expect((await shop.server.send('POST', '/api/parts/0413-02/fit', events)).status).toBe(200)
    const { sees } = shop.visit('/')
    await sees(/A new piece is to be cut from the roll: /)
    await sees('To come back to: haze, nose, at hand-over')
  })
})

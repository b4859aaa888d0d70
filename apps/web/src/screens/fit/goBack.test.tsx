import { smallPlan, smallStep } from '@truelay/contract/testing'
import { verbatim } from '@truelay/core/say'
import { afterAll, beforeAll, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

test('while one works at a part, another one that cannot wait any longer is named, with the way there', async () => {
  const now = shop.server.now
  const send = (partId: string, ...events: { kind: string; ago: number; [more: string]: unknown }[]) =>
    shop.server.send(
      'POST',
      `/api/parts/${partId}/fit`,
      events.map(({ ago, ...event }) => ({
        ...event,
        id: crypto.randomUUID(),
        partId,
        personId: 'ines',
        at: new Date(now.getTime() - ago * 60_000).toISOString(),
      })),
    )
  const steps = [
    smallStep('tack'),
    smallStep('turn', { within: [{ since: 'tack', mostMinutes: 45, says: verbatim('it lifts') }] }),
  ]
  await send(
    '0413-01',
    { kind: 'fitStarted', ago: 50, plan: smallPlan(steps, { partId: '0413-01' }) },
    { kind: 'stepDone', ago: 42, stepId: 'tack' },
  )
  await send('0413-02', { kind: 'fitStarted', ago: 1, plan: smallPlan([smallStep('wash')], { partId: '0413-02' }) })
  const { sees, presses, isAt } = shop.visit('/jobs/0413/fit/0413-02')
  await sees(/Back to Front door pillar, driver’s side: (3:00|2:\d\d) left/)
  await presses(/^Back to Front door pillar/)
  await isAt('/jobs/0413/fit/0413-01')
})

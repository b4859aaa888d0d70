import { say } from '@truelay/core/say'
import { smallPlan, smallStep } from '@truelay/contract/testing'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer } from './testing/demoServer.ts'
import { id, writeRoutes } from './testing/writeRoutes.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

const send = (method: string, path: string, body: unknown) => demo.send(method, `/api${path}`, body)
const latest = '2199-12-31T23:59:59.000Z'

/** What every screen asks. */
const screens = [
  '/bay',
  '/jobs/0412',
  '/jobs/0412/walk-round',
  '/jobs/0412/kit-check',
  '/parts/0412-bonnet/fit',
  '/parts/0412-bonnet/record',
  '/liquids',
  '/blades',
  '/learned',
  '/room',
  '/shelf',
  '/forms',
  '/models',
  '/shop',
]
const readsAll = async () => {
  for (const screen of screens) expect((await demo.get(`/api${screen}`)).status, screen).toBe(200)
}

const fit = (wait: object, at: string, n: number) => {
  const common = { partId: '0412-bonnet', personId: 'ines', at }
  const grab = { label: say`grab`, leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1, ...wait }
  const plan = smallPlan([smallStep('grab'), smallStep('seal')])
  const steps = plan.steps.map((step) => (step.id === 'grab' ? { ...step, wait: grab } : step))
  return [
    { ...common, id: id(n), kind: 'fitStarted', plan: { ...plan, steps, partId: '0412-bonnet' } },
    { ...common, id: id(n + 1), kind: 'stepDone', stepId: 'grab' },
  ]
}

describe('what is at its bound is taken, and every screen still reads', () => {
  test('the longest wait that there is, begun in the last year that there is', async () => {
    const events = fit({ leastMinutes: 100_000, usualMinutes: 100_000, factor: 1000 }, latest, 400)
    expect((await send('POST', '/parts/0412-bonnet/fit', events)).status).toBe(200)
    await readsAll()
    const { jobs } = (await demo.get('/api/bay')).body
    const parts = jobs.flatMap((open: { parts: { partId: string }[] }) => open.parts)
    expect(parts.find((p: { partId: string }) => p.partId === '0412-bonnet').readyAt).toMatch(/^2200-/)
  })
  test('as many findings as a job may have; one more is refused, a change of one is not', async () => {
    const finding = writeRoutes.find((r) => r.path.includes('/findings/'))?.good
    const keep = (n: number) => send('PUT', `/jobs/0412/findings/${id(5000 + n)}`, finding)
    for (let n = 0; n < 500; n++) expect((await keep(n)).status).toBe(200)
    expect(await keep(500)).toMatchObject({ status: 422, body: { code: 'FINDINGS_FULL' } })
    expect((await keep(7)).status).toBe(200)
    await readsAll()
  })
})

describe('what is past its bound is refused, and nothing is stored', () => {
  test.each([
    ['a wait without end', { leastMinutes: 1e300 }, '2030-05-01T09:00:00.000Z'],
    ['a wait that is longer than any', { usualMinutes: 100_001 }, '2030-05-01T09:00:00.000Z'],
    ['a year that no calendar tells', {}, '9999-12-31T23:59:59.000Z'],
    ['a year before there was film', {}, '0001-01-01T00:00:00.000Z'],
  ])('%s', async (_, wait, at) => {
    const before = await demo.everything()
    expect((await send('POST', '/parts/0412-bonnet/fit', fit(wait, at, 420))).status).toBe(400)
    expect(await demo.everything()).toEqual(before)
    await readsAll()
  })
})

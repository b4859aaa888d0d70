import { type FitFacts, fitFacts } from '@truelay/contract'
import { smallEvents, smallChecks, smallPlan, smallStep } from '@truelay/contract/testing'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
  await send('PUT', '/parts/0412-bonnet/shift', { xMm: 0, yMm: 0, turnDeg: 0 })
})
afterEach(() => demo.end())

const send = (method: string, path: string, body: unknown) => demo.send(method, `/api${path}`, body)
const facts = async (): Promise<FitFacts['facts']> => fitFacts.parse((await demo.get('/api/memory')).body).facts

const steps = ['wash', 'lay', 'press', 'look', 'wipe'].map((id) => smallStep(id, { minutes: 2 }))
const read = (...gaps: readonly [string, number][]) => ({
  kind: 'gapsMeasured',
  stepId: 'wash',
  readings: gaps.map(([checkId, measuredMm]) => ({ checkId, measuredMm })),
})
const all = (minutesEach: number) =>
  steps.map(({ id }, i) => ({ kind: 'stepDone', stepId: id, after: minutesEach * (i + 1) }))

const fit = (partId: string, plan: object, ...events: object[]) =>
  send(
    'POST',
    `/parts/${partId}/fit`,
    smallEvents(smallPlan(steps, { partId, checks: smallChecks, ...plan }), ...(events as never[])),
  )

describe('what finished fits teach', () => {
  test('nothing while nothing is finished', async () => {
    expect(await facts()).toEqual([])
    await fit('0412-bonnet', {}, read(['P', 3.7], ['Q', 3.7]))
    expect(await facts()).toEqual([])
  })

  test('how the film had to be moved from where the plan had it, from the first round', async () => {
    const round = (off: number) => read(['P', 2.5 + off], ['Q', 2.5 + off], ['R', 2.5])
    expect((await fit('0412-bonnet', {}, round(1.2), round(0), ...all(3))).status).toBe(200)
    const [fact] = await facts()
    expect(fact).toMatchObject({ modelId: 'velmora-pipit', slot: 'bonnet', hand: 'ines', body: 'Fleet 27' })
    // Gaps to the edge above are too wide: the film has to go up.
    expect(fact?.offset?.yMm?.value).toBeCloseTo(1.2, 6)
    expect(fact?.offset?.xMm?.value).toBeCloseTo(0, 6)
    expect(fact?.offset?.yMm?.sigma).toBeGreaterThan(0)
  })

  test('what the plan had added counts: the offset is against the pattern', async () => {
    await send('PUT', '/parts/0412-bonnet/shift', { xMm: 0, yMm: 2, turnDeg: 0 })
    await fit('0412-bonnet', {}, read(['P', 2.5], ['Q', 2.5], ['R', 2.5]), ...all(3))
    expect((await facts())[0]?.offset?.yMm?.value).toBeCloseTo(2, 6)
  })

  test('gaps of one edge tell nothing along it', async () => {
    await fit('0412-bonnet', {}, read(['P', 3.5], ['Q', 3.5]), ...all(3))
    const [fact] = await facts()
    expect(fact?.offset?.xMm).toBeNull()
    expect(fact?.offset?.yMm?.value).toBeCloseTo(1, 6)
  })

  test('film off the roll has no offset', async () => {
    const cut = { way: 'from the roll', enlarged: [], sheet: null }
    await fit('0412-bonnet', { cut }, read(['P', 3.5], ['Q', 3.5], ['R', 2]), ...all(3))
    expect((await facts())[0]?.offset).toBeNull()
  })

  test('how fast it went: the middle one of the steps, and an interruption is none', async () => {
    const events = all(3).map((event, i) => (i === 4 ? { ...event, after: 200 } : event))
    await fit('0412-bonnet', {}, ...events)
    expect((await facts())[0]?.pace).toBeCloseTo(1.5, 6)
  })

  test('where fingers came, and what else was wrong', async () => {
    const seen = (problem: string, place: string) => ({
      kind: 'problemSeen',
      stepId: 'lay',
      problem,
      place,
      comeBack: false,
    })
    await fit('0412-bonnet', {}, seen('fingers', 'the nose edge'), seen('crease', 'a corner'), ...all(3))
    expect((await facts())[0]).toMatchObject({ fingersAt: ['the nose edge'], faults: ['crease'] })
  })

  test('a fit that is gone back to teaches nothing until it is finished again', async () => {
    await fit('0412-bonnet', {}, ...all(3), { kind: 'stepReopened', stepId: 'wipe', after: 20 })
    expect(await facts()).toEqual([])
  })

  test('a job that was opened by mistake teaches nothing', async () => {
    await fit('0412-bonnet', {}, ...all(3))
    await send('PUT', '/jobs/0412/removed', { removed: true })
    expect(await facts()).toEqual([])
  })
})

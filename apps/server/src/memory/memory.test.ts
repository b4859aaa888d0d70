import { type FitFacts, fitFacts, jobBundle, shelf } from '@truelay/contract'
import { smallEvents, smallChecks, smallPlan, smallStep } from '@truelay/contract/testing'
import { nameless } from '@truelay/core/memory'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { factOfAnother } from '../testing/writeRoutes.ts'

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

  test('what the thermometer showed against the plan, and what was put right', async () => {
    const id = '10000000-0000-4000-8000-000000000001'
    await fit(
      '0412-bonnet',
      {},
      { kind: 'heatRead', stepId: 'wash', use: 'seal', readC: 71, wantedC: 80 },
      { kind: 'problemSeen', stepId: 'lay', id, problem: 'crease', place: 'a corner', comeBack: false },
      { kind: 'problemSettled', stepId: 'lay', problemId: id, outcome: 'put right' },
      ...all(3),
    )
    expect((await facts())[0]).toMatchObject({ heat: [{ use: 'seal', offC: -9 }], cured: ['crease'] })
  })

  test('how far the film had to be pulled, the last word on each place', async () => {
    const pull = (place: string, needed: string) => ({ kind: 'pullMade', stepId: 'wash', place, needed })
    const pulls = [pull('the nose edge', 'less'), pull('a side', 'as planned'), pull('the nose edge', 'more')]
    await fit('0412-bonnet', {}, ...pulls, ...all(3))
    expect((await facts())[0]?.pulls).toEqual([
      { place: 'the nose edge', needed: 'more' },
      { place: 'a side', needed: 'as planned' },
    ])
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

describe('what other shops have given', () => {
  // Somebody there is called as somebody here.
  const given = { ...factOfAnother, hand: 'ines' }
  const memory = async (): Promise<FitFacts> => fitFacts.parse((await demo.get('/api/memory')).body)

  test('counts beside what was fitted here, its vehicles and hands apart from ours', async () => {
    await fit('0412-bonnet', {}, ...all(3))
    expect((await send('POST', '/memory/borrowed', { says: 'Upriver', facts: [given] })).status).toBe(201)
    const { facts: known, borrowed } = await memory()
    expect(borrowed).toMatchObject([{ says: 'Upriver', facts: 1 }])
    expect(known).toHaveLength(2)
    expect(known[0]).toMatchObject({ modelId: 'velmora-pipit', pieceId: 'pipit-bonnet-piece', pace: 1.1 })
    expect(known[0]?.hand).not.toBe('ines')
    expect(known[0]?.body).not.toBe(known[1]?.body)
  })
  test('is forgotten again, once', async () => {
    await send('POST', '/memory/borrowed', { says: 'Upriver', facts: [given] })
    const [file] = (await memory()).borrowed
    expect((await send('DELETE', `/memory/borrowed/${file?.id}`, undefined)).status).toBe(200)
    expect((await memory()).facts).toEqual([])
    const again = await send('DELETE', `/memory/borrowed/${file?.id}`, undefined)
    expect(again.status).toBe(404)
    expect(JSON.stringify(again.body)).toContain('it may be forgotten already')
  })
  test('what was saved here can be brought in elsewhere', async () => {
    await fit('0412-bonnet', {}, read(['P', 3.7], ['Q', 3.7]), ...all(3))
    const says = 'from here'
    expect((await send('POST', '/memory/borrowed', { says, facts: nameless(await facts()) })).status).toBe(201)
    expect((await memory()).facts).toHaveLength(2)
  })
  test('what is none is refused, and nothing is brought in', async () => {
    expect((await send('POST', '/memory/borrowed', { says: 'x', facts: [{ ...given, pace: -1 }] })).status).toBe(400)
    expect((await memory()).borrowed).toEqual([])
  })
})

describe('what is to be forgotten', () => {
  const forget = (forgotten: boolean) =>
    send('PUT', '/memory/forgotten', { modelId: 'velmora-pipit', slot: 'bonnet', forgotten })

  test('what was fitted there until now teaches nothing more; it is taken back as easily', async () => {
    await fit('0412-bonnet', {}, ...all(3))
    demo.now = new Date(demo.now.getTime() + 86_400_000)
    expect((await forget(true)).status).toBe(200)
    expect(await facts()).toEqual([])
    await forget(false)
    expect(await facts()).toHaveLength(1)
  })
  test('what is fitted afterwards teaches again, and other places do all the while', async () => {
    demo.now = new Date('2030-04-01T12:00:00.000Z')
    await forget(true)
    await fit('0412-bonnet', {}, ...all(3))
    expect(await facts()).toHaveLength(1)
  })
})

describe('what fits have shown, taken into the piece', () => {
  test('every new job begins with it', async () => {
    const { pieces } = shelf.parse((await demo.get('/api/shelf')).body)
    const piece = pieces.find(({ id }) => id === 'pipit-bonnet-piece')
    const sits = { xMm: 0, yMm: -2.5, turnDeg: 0 }
    expect((await send('PUT', '/pieces/pipit-bonnet-piece', { ...piece, sits })).status).toBe(200)
    const wish = {
      customer: 'Private owner',
      modelId: 'velmora-pipit',
      year: null,
      colour: 'slate grey',
      plate: 'QF 901',
      bay: 'Bay 1',
      personId: 'ines',
      arrivesAt: '2030-05-02T08:00:00.000Z',
      dueAt: '2030-05-03T16:00:00.000Z',
      parts: [{ slot: 'bonnet', name: 'Bonnet', filmId: piece?.filmId }],
    }
    const opened = (await send('POST', '/jobs', wish)).body as { readonly id: string }
    const bundle = jobBundle.parse((await demo.get(`/api/jobs/${opened.id}`)).body)
    expect(bundle.parts[0]?.shift).toEqual(sits)
  })
})

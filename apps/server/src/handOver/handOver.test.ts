import { handOver, jobBundle } from '@truelay/contract'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { say, type Sentence } from '@truelay/core/say'
import { english } from '@truelay/words'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer, noon, said } from '../testing/demoServer.ts'
import { wordsOfPdf } from '../testing/wordsOfPdf.ts'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
})
afterEach(() => demo.end())

const send = (method: string, path: string, body: unknown) => demo.send(method, `/api${path}`, body)
const sheet = async () => handOver.parse((await demo.get('/api/jobs/0412/hand-over')).body)
const partOf = async (id: string) => (await sheet()).parts.find((part) => part.partId === id)
const closedAt = async () => jobBundle.parse((await demo.get('/api/jobs/0412')).body).job.closedAt
const taken = { personId: 'ines', name: 'Hanne Ostby', strokes: [[0.1, 0.2, 0.3, 0.4]] }
const light = say`62 % of the light is left.`

const fitted = (partId: string, plan: object = {}, ...more: Parameters<typeof smallEvents>[1][]) =>
  send(
    'POST',
    `/parts/${partId}/fit`,
    smallEvents(
      smallPlan([smallStep('lay'), smallStep('look')], { partId, ...plan }),
      ...more,
      { kind: 'stepDone', stepId: 'lay', after: 10 },
      { kind: 'stepDone', stepId: 'look', after: 20 },
    ),
  )
const tint = { outputRatio: 0.62, words: light }
const lens = { material: 'lens plastic', film: { id: 'f', name: 'Dusk', type: 'lens tint', laid: 'dry' } }
const seen = (problem: string, more: object = {}) => ({
  kind: 'problemSeen',
  stepId: 'lay',
  problem,
  place: 'at the nose',
  comeBack: true,
  when: 'at the edge look',
  ...more,
})

describe('what has to be known where a job is closed', () => {
  test('nothing is told while nothing is finished, and nothing stands in the way', async () => {
    const { told, stops, parts, looks } = await sheet()
    expect(told).toBeNull()
    expect(stops).toEqual([])
    expect(looks).toEqual([])
    expect(parts.map((part) => part.state)).toEqual(['waiting', 'waiting'])
  })

  test('a finished bonnet: washing by the waits of the shop, level, three looks at its edges', async () => {
    expect((await fitted('0412-bonnet')).status).toBe(200)
    const { told, looks, parts } = await sheet()
    expect(parts[0]).toMatchObject({ state: 'done', finishedAt: '2030-05-01T09:20:00.000Z', looked: 0 })
    expect(new Date(told!.washFrom) > noon).toBe(true)
    expect(told!.lines.map((line) => line.about)).toContain('level')
    expect(looks).toHaveLength(3)
  })

  test('a half-laid part stands in the way, and says at which step it is', async () => {
    await send(
      'POST',
      '/parts/0412-bonnet/fit',
      smallEvents(smallPlan([smallStep('lay'), smallStep('look')], { partId: '0412-bonnet' })),
    )
    expect((await sheet()).stops.map((stop: Sentence) => english(stop))).toEqual([
      'Bonnet is begun and not finished: step 1 of 2.',
    ])
  })

  test('what is left open and what the customer takes are told apart', async () => {
    const problemId = '00000000-0000-4000-8000-000000000002'
    await fitted(
      '0412-bonnet',
      {},
      seen('dirt or hair') as never,
      seen('crease') as never,
      { kind: 'problemSettled', stepId: 'lay', problemId, outcome: 'customer takes it' } as never,
    )
    const part = await partOf('0412-bonnet')
    expect(part?.left.map(({ problem, accepted, stops }) => [problem, accepted, stops])).toEqual([
      ['dirt or hair', false, false],
      ['crease', true, false],
    ])
  })

  test('what was looked at on the last walk is counted', async () => {
    const looked = (stop: string) => ({
      kind: 'lookedAt',
      stepId: 'lay',
      stop,
      verdict: 'good',
      readings: [],
      photos: [],
    })
    await fitted(
      '0412-bonnet',
      {},
      looked('edge top') as never,
      looked('edge rear') as never,
      looked('edge top') as never,
    )
    expect((await partOf('0412-bonnet'))?.looked).toBe(2)
  })
})

describe('closing', () => {
  test('who took it is kept, and the job leaves the bay in the same moment', async () => {
    await fitted('0412-bonnet')
    expect((await send('PUT', '/jobs/0412/hand-over', taken)).status).toBe(200)
    expect(await closedAt()).toBe(noon.toISOString())
    expect((await sheet()).handedOver).toEqual({ ...taken, at: noon.toISOString() })
    const again = await send('PUT', '/jobs/0412/hand-over', taken)
    expect(again.status).toBe(422)
    expect(said(again)).toContain('handed over already')
  })

  test('nobody there to sign is no reason to keep it', async () => {
    await fitted('0412-bonnet')
    expect((await send('PUT', '/jobs/0412/hand-over', { personId: 'ines', name: '', strokes: [] })).status).toBe(200)
  })

  test.each([
    ['lifting edge', 'Bonnet is not good yet: lifting edge, at the nose.'],
    ['uncut bridge', 'Bonnet is not good yet: uncut bridge, at the nose.'],
  ])('film with a %s does not go out, and nothing is changed', async (problem, words) => {
    await fitted('0412-bonnet', {}, seen(problem) as never)
    const answer = await send('PUT', '/jobs/0412/hand-over', taken)
    expect(answer.status).toBe(422)
    expect(said(answer)).toContain(words)
    expect(await closedAt()).toBeNull()
    expect((await sheet()).handedOver).toBeNull()
  })

  test('a half-laid part does not go out by the other way either', async () => {
    await send('POST', '/parts/0412-bonnet/fit', smallEvents(smallPlan([smallStep('lay')], { partId: '0412-bonnet' })))
    const answer = await send('PUT', '/jobs/0412/closed', { closed: true })
    expect(answer.status).toBe(422)
    expect(said(answer)).toContain('begun and not finished')
    expect(await closedAt()).toBeNull()
  })

  test('whoever hands it over works here', async () => {
    const answer = await send('PUT', '/jobs/0412/hand-over', { ...taken, personId: 'nobody' })
    expect(answer.status).toBe(404)
    expect(await closedAt()).toBeNull()
  })

  test('opened again and handed over anew, the last one counts', async () => {
    await fitted('0412-bonnet')
    await send('PUT', '/jobs/0412/hand-over', taken)
    await send('PUT', '/jobs/0412/closed', { closed: false })
    await send('PUT', '/jobs/0412/hand-over', { ...taken, name: 'R. Holm' })
    expect((await sheet()).handedOver?.name).toBe('R. Holm')
  })
})

describe('light', () => {
  test('stands acknowledged for as long as the plan says the same', async () => {
    await send('PUT', '/parts/0412-headlamp-left/light-acknowledged', { name: 'Hanne Ostby', says: light })
    expect((await partOf('0412-headlamp-left'))?.acknowledged).toMatchObject({
      name: 'Hanne Ostby',
      at: noon.toISOString(),
    })
    await fitted('0412-headlamp-left', { ...lens, light: tint })
    expect(await partOf('0412-headlamp-left')).toMatchObject({ light, acknowledged: { name: 'Hanne Ostby' } })
  })
  test('a darker film than was read of is not acknowledged', async () => {
    await send('PUT', '/parts/0412-headlamp-left/light-acknowledged', { name: 'Hanne Ostby', says: light })
    await fitted('0412-headlamp-left', { ...lens, light: { outputRatio: 0.4, words: say`40 % of the light is left.` } })
    expect((await partOf('0412-headlamp-left'))?.acknowledged).toBeNull()
  })
  test('clear film says nothing of light', async () => {
    await fitted('0412-bonnet')
    expect((await partOf('0412-bonnet'))?.light).toBeNull()
  })
  test('somebody without a name acknowledges nothing', async () => {
    expect(
      (await send('PUT', '/parts/0412-headlamp-left/light-acknowledged', { name: '  ', says: light })).status,
    ).toBe(400)
  })
})

describe('papers', () => {
  const read = async (paper: string) => {
    const answer = await fetch(demo.address(`/api/jobs/0412/${paper}`))
    expect(answer.status).toBe(200)
    expect(answer.headers.get('content-type')).toContain('application/pdf')
    const pdf = Buffer.from(await answer.arrayBuffer())
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
    return wordsOfPdf(pdf)
  }
  const headings = ['Please mind', 'Light', 'Found before the work', 'Left as it is', 'Handed over']
  test('of what there is nothing of the owner’s page says nothing', async () => {
    const page = await read('hand-over.pdf')
    expect(page).toMatch(/^What was fitted\nBonnet\nnot fitted\nHeadlamp, driver’s side\nnot fitted$/m)
    for (const heading of headings) expect(page.split('\n')).not.toContain(heading)
  })
  test('one of each is enough to be told: light, findings, what is left, the shop’s promise, who took it', async () => {
    await send('PATCH', '/shop', { warranty: 'Edges stay down for two years.', warrantyLevel: 'One year.' })
    await send('PUT', '/jobs/0412/findings/00000000-0000-4000-8000-000000000009', {
      partId: '0412-bonnet',
      slot: 'bonnet',
      kind: 'chip',
      at: [0.5, 0.5],
      sizeMm: 5,
      note: 'by the badge',
      photos: [],
      personId: 'ines',
      foundAt: noon.toISOString(),
    })
    await fitted('0412-bonnet', {}, seen('dirt or hair') as never)
    await send('PUT', '/parts/0412-headlamp-left/light-acknowledged', { name: 'Hanne Ostby', says: light })
    const lamp = smallPlan([smallStep('lay')], { partId: '0412-headlamp-left', ...lens, light: tint } as never)
    const events = smallEvents(lamp, { kind: 'stepDone', stepId: 'lay', after: 30 })
    // Events of two parts have ids of their own.
    await send(
      'POST',
      '/parts/0412-headlamp-left/fit',
      events.map((event) => ({ ...event, id: event.id.replace(/^0/, '1') })),
    )
    await send('PUT', '/jobs/0412/hand-over', taken)
    const page = await read('hand-over.pdf')
    for (const heading of headings) expect(page.split('\n'), page).toContain(heading)
    expect(page).toContain('Bonnet\nHullskin 180 clear, Wednesday 1 May, 09:20')
    expect(page).toMatch(/Headlamp, driver’s side\n62\s% of the light is left\. Read by Hanne Ostby, Wednesday 1 May\./)
    expect(page).toContain('(by the badge)')
    expect(page).toContain('dirt or hair, at the nose: we look at it again')
    expect(page).toContain('What the shop promises\nEdges stay down for two years.\nFor what lies flat: One year.')
    expect(page).toContain('12:00, to Hanne Ostby')
  })
  test('what the customer takes and that nobody signed stands there as well', async () => {
    const problemId = '00000000-0000-4000-8000-000000000001'
    await fitted(
      '0412-bonnet',
      {},
      seen('crease') as never,
      { kind: 'problemSettled', stepId: 'lay', problemId, outcome: 'customer takes it' } as never,
    )
    await send('PUT', '/jobs/0412/hand-over', { personId: 'ines', name: '', strokes: [] })
    const page = await read('hand-over.pdf')
    expect(page).toContain('crease, at the nose: seen and taken as it is')
    expect(page).toContain('12:00, nobody signed')
  })
  test('the whole record tells each part that was begun, its film and its steps', async () => {
    await fitted('0412-bonnet', {}, seen('dirt or hair') as never)
    const record = await read('record.pdf')
    expect(record).toContain('1 May 2030, 09:00 to 09:20')
    expect(record).toContain('Hullskin 180 clear')
    expect(record).toContain('Steps, 2 of 2\n09:10\nlay    Ines\n09:20\nlook    Ines')
    expect(record).toContain('on the come-back list')
    expect(record).not.toContain('Headlamp')
  })
  test('without a part that was begun there is no record, in words', async () => {
    const answer = await demo.get('/api/jobs/0412/record.pdf')
    expect(answer.status).toBe(422)
    expect(said(answer)).toContain('there is no record yet')
  })
})

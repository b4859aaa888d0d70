import { english } from '@truelay/words'
import { bay, fitLog, jobBundle, partPlan, partQuestionOf, partRecord } from '@truelay/contract'
import { anyDay, nothingChosen, climb } from '@truelay/core/plan'
import { required } from '@truelay/core/result'
import { verbatim } from '@truelay/core/say'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { DemoServer, said } from './testing/demoServer.ts'
import { wordsOfPdf } from './testing/wordsOfPdf.ts'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
})
afterEach(() => demo.end())
const get = (path: string) => demo.get(path)
const send = (method: string, path: string, body: unknown) => demo.send(method, path, body)
let serial = 0
const event = (kind: string, more: object = {}) => ({
  id: `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`,
  partId: '0412-bonnet',
  personId: 'ines',
  at: '2030-05-01T09:00:00.000Z',
  kind,
  ...more,
})

async function bonnetPlan() {
  const bundle = jobBundle.parse((await get('/api/jobs/0412')).body)
  const question = partQuestionOf(bundle, bundle.parts[0]!)
  if (question === null) throw new Error('the bonnet is measured, and its film is on the shelf')
  return partPlan.parse(required(climb(question, anyDay, { triangles: 400 })).plan)
}

test('is healthy, and shows the bay with its vehicle', async () => {
  expect(await get('/api/health')).toEqual({ status: 200, body: { ok: true } })
  const { jobs } = bay.parse((await get('/api/bay')).body)
  // Open jobs only, the one that has to leave first on top.
  expect(jobs.map((j) => j.job.number)).toEqual(['0412', '0413', '0414', '0415'])
  expect(jobs[0]?.parts.map((p) => p.state)).toEqual(['waiting', 'waiting'])
})

test('what was chosen for a part is kept, comes back in its job, and outlives a restart', async () => {
  const choices = {
    ends: { nose: 'wrap' },
    liquids: { slip: 'heavy slip', tack: 'strong tack' },
    cut: 'from the roll',
    hands: 2,
    light: null,
  }
  const saved = await send('PATCH', '/api/parts/0412-bonnet/choices', choices)
  expect(saved).toMatchObject({ status: 200, body: { id: '0412-bonnet', choices } })
  await demo.stop()
  await demo.start()
  const bundle = jobBundle.parse((await get('/api/jobs/0412')).body)
  expect(bundle.parts.map((p) => p.choices)).toEqual([choices, nothingChosen])
  const question = partQuestionOf(bundle, bundle.parts[0]!)
  expect(question?.place.rules.nose).toEqual({ minMm: -20, maxMm: -12 })
  expect(question?.work.schools).toMatchObject({ slip: 'heavy slip', tack: 'strong tack' })
  expect(question?.place.cut.way).toBe('from the roll')
  expect(question?.work.hands).toBe(2)
})

test('two tablets that change different things of a part or of the shop both count', async () => {
  const part = '/api/parts/0412-bonnet/choices'
  const answers = await Promise.all([
    send('PATCH', part, { cut: 'from the roll' }),
    send('PATCH', part, { hands: 2 }),
    send('PATCH', part, { ends: { nose: 'wrap' } }),
    send('PATCH', '/api/shop', { practice: { rollWidth: 1600 } }),
    send('PATCH', '/api/shop', { practice: { wrapLeast: 10 } }),
  ])
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200])
  const bundle = jobBundle.parse((await get('/api/jobs/0412')).body)
  expect(bundle.parts[0]?.choices).toEqual({
    ...nothingChosen,
    cut: 'from the roll',
    hands: 2,
    ends: { nose: 'wrap' },
  })
  expect(bundle.shop.practice).toEqual({ rollWidth: 1600, wrapLeast: 10 })
  await send('PATCH', '/api/shop', { practice: { rollWidth: null } })
  expect((await get('/api/shop')).body.practice).toEqual({ wrapLeast: 10 })
})

test.each([
  ['an edge that the part does not have', { ...nothingChosen, ends: { keel: 'wrap' } }, 422, /has no edge "keel"/],
  [
    'a way of ending that the place cannot take',
    { ...nothingChosen, ends: { nose: 'lip-stop' } },
    422,
    /The nose edge has no lip to stop on/,
  ],
  ['a way of ending that there is not', { ...nothingChosen, ends: { nose: 'glued' } }, 400, /./],
  [
    'a film for wet laying, laid dry',
    { ...nothingChosen, liquids: { slip: 'dry', tack: 'dry' } },
    422,
    /Hullskin 180 clear is made to be laid wet/,
  ],
])('%s is refused in a sentence, and nothing is changed', async (_, choices, status, says) => {
  const answer = await send('PATCH', '/api/parts/0412-bonnet/choices', choices)
  expect(answer.status).toBe(status)
  expect(said(answer)).toMatch(says)
  const bundle = jobBundle.parse((await get('/api/jobs/0412')).body)
  expect(bundle.parts[0]?.choices).toEqual(nothingChosen)
})

test('film off a roll that is too narrow is refused, and so is a piece where there is none', async () => {
  expect((await send('PATCH', '/api/shop', { practice: { rollWidth: 900 } })).status).toBe(200)
  const narrow = await send('PATCH', '/api/parts/0412-bonnet/choices', { ...nothingChosen, cut: 'from the roll' })
  expect(narrow.status).toBe(422)
  expect(said(narrow)).toMatch(/The roll is 900 mm wide/)
  await send('PUT', '/api/parts/0412-bonnet/piece', { pieceId: null })
  const none = await send('PATCH', '/api/parts/0412-bonnet/choices', { ...nothingChosen, cut: 'enlarged' })
  expect(none.status).toBe(422)
  expect(said(none)).toContain('No piece of a kit is there')
  const bundle = jobBundle.parse((await get('/api/jobs/0412')).body)
  expect(bundle.parts[0]?.choices).toEqual(nothingChosen)
})

test('parts that are fitted together are kept, come back in their job, share their work, and outlive a restart', async () => {
  const sets = [{ mode: 'piece after piece', partIds: [14, 15, 16].map((n) => `0414-${n}`) }]
  expect(await send('PUT', '/api/jobs/0414/sets', { sets })).toEqual({ status: 200, body: sets })
  await demo.stop()
  await demo.start()
  const bundle = jobBundle.parse((await get('/api/jobs/0414')).body)
  expect(bundle.sets).toEqual(sets)
  const places = ['0414-14', '0414-15', '0414-16', '0414-17'].map(
    (id) => partQuestionOf(bundle, bundle.parts.find((p) => p.id === id)!)?.work.set,
  )
  expect(places.map((p) => p?.place ?? null)).toEqual([1, 2, 3, null])
  expect(places[1]).toMatchObject({ before: 'Tail lamp strip 1', next: 'Tail lamp strip 3', of: 3 })
  expect(places[0]?.others.areaMm2).toBeGreaterThan(10_000)
  expect(await send('PUT', '/api/jobs/0414/sets', { sets: [] })).toEqual({ status: 200, body: [] })
})

test('a row of pieces knows how each gets its line', async () => {
  const bundle = jobBundle.parse((await get('/api/jobs/0414')).body)
  const lines = bundle.parts.map((part) => partQuestionOf(bundle, part)?.work.line ?? null)
  expect(lines.filter((line) => line?.placed === 'datum').length).toBe(2)
  expect(lines.filter((line) => line !== null).length).toBe(10)
  const [wing] = lines
  expect(wing).toMatchObject({ from: 'Lower body 2, front door, driver’s side', joints: 4 })
})

test.each([
  ['against the order of the kit', [['0414-15', '0414-14']], /Tail lamp strip 1 goes on before Tail lamp strip 2/],
  [
    'that share a part',
    [
      ['0414-14', '0414-15'],
      ['0414-16', '0414-15'],
    ],
    /is in two sets/,
  ],
  ['of a part of another job', [['0414-14', '0412-bonnet']], /"0412-bonnet" is no part of this job/],
  ['of one part', [['0414-14']], /two parts at least/],
])('sets %s are refused in a sentence, and nothing is changed', async (_, ids, says) => {
  const sets = ids.map((partIds) => ({ mode: 'piece after piece', partIds }))
  const answer = await send('PUT', '/api/jobs/0414/sets', { sets })
  expect(answer.status).toBe(422)
  expect(said(answer)).toMatch(says)
  expect(jobBundle.parse((await get('/api/jobs/0414')).body).sets).toEqual([])
})

test('for a part that nobody has measured there is nothing to choose yet', async () => {
  const made = await send('POST', '/api/jobs', {
    customer: 'Private owner',
    modelId: 'velmora-pipit',
    year: null,
    colour: 'signal white',
    plate: 'QF 901',
    bay: 'Bay 1',
    personId: 'ines',
    arrivesAt: '2030-05-02T08:00:00.000Z',
    dueAt: '2030-05-03T16:00:00.000Z',
    parts: [{ slot: 'roof', name: 'Roof', filmId: 'clearcoat-hull-180' }],
  })
  expect(made.status).toBe(201)
  const [part] = jobBundle.parse((await get(`/api/jobs/${made.body.id}`)).body).parts
  if (part === undefined) throw new Error('the job has no part')
  expect(part.formId).toBeNull()
  const answer = await send('PATCH', `/api/parts/${part.id}/choices`, nothingChosen)
  expect(answer.status).toBe(422)
  expect(said(answer)).toContain('This part has no form yet')
})

test('a fit is stored event by event, once, and stands after a restart', async () => {
  const plan = await bonnetPlan()
  const first = plan.steps[0]!
  const started = event('fitStarted', { plan })
  const done = event('stepDone', { stepId: first.id })
  expect((await send('POST', '/api/parts/0412-bonnet/fit', [started, done])).body).toEqual({
    stored: [started.id, done.id],
    known: [],
    tooLate: [],
  })
  expect((await send('POST', '/api/parts/0412-bonnet/fit', [started, done])).body).toEqual({
    stored: [],
    known: expect.arrayContaining([started.id, done.id]),
    tooLate: [],
  })
  await demo.stop()
  await demo.start()
  const log = fitLog.parse((await get('/api/parts/0412-bonnet/fit')).body)
  expect(log.events.map((e) => e.kind)).toEqual(['fitStarted', 'stepDone'])
  const { jobs } = bay.parse((await get('/api/bay')).body)
  expect(jobs[0]?.parts[0]).toMatchObject({ state: 'fitting', stepsDone: 1, nextStep: plan.steps[1]!.headline })
})

test('many tablets writing at once lose nothing', async () => {
  const plan = await bonnetPlan()
  await send('POST', '/api/parts/0412-bonnet/fit', [event('fitStarted', { plan })])
  const events = Array.from({ length: 40 }, () =>
    event('problemSeen', { stepId: 'clean', problem: 'fingers', place: 'rear edge', comeBack: true }),
  )
  const answers = await Promise.all(events.map((e) => send('POST', '/api/parts/0412-bonnet/fit', [e])))
  expect(answers.every((a) => a.status === 200)).toBe(true)
  expect(fitLog.parse((await get('/api/parts/0412-bonnet/fit')).body).events.length).toBe(41)
})

test('the record tells film, batches, gaps before and after, and prints as PDF', async () => {
  const plan = await bonnetPlan()
  const reading = (measuredMm: number) =>
    plan.checks.map((c) => ({ checkId: c.id, measuredMm: c.wantedMm + measuredMm * c.normal[0] }))
  const onTo = (from: string | null, to: string) =>
    plan.steps
      .slice(
        plan.steps.findIndex((s) => s.id === from) + (from === null ? 1 : 0),
        plan.steps.findIndex((s) => s.id === to),
      )
      .map((s) => event('stepDone', { stepId: s.id }))
  const receipt = await send('POST', '/api/parts/0412-bonnet/fit', [
    event('fitStarted', { plan }),
    ...onTo(null, 'mix'),
    event('batchMixed', {
      stepId: 'mix',
      batchNumber: '0412-1',
      school: 'light slip',
      says: verbatim('light slip'),
      add: [],
      batchMl: 1400,
      alcoholPercent: 0,
      soapMlPerL: 1.3,
    }),
    ...onTo('mix', 'measure-gaps'),
    event('gapsMeasured', { stepId: 'measure-gaps', readings: reading(1.5) }),
    event('gapsMeasured', { stepId: 'measure-gaps', readings: reading(0.1) }),
    event('problemSeen', { stepId: 'light-pass', problem: 'dirt or hair', place: 'in the middle', comeBack: true }),
  ])
  expect(receipt.body.tooLate).toEqual([])
  const record = partRecord.parse((await get('/api/parts/0412-bonnet/record')).body)
  expect(record).toMatchObject({ lot: 'H180-2611-04', state: 'fitting', film: { name: 'Hullskin 180 clear' } })
  expect(record.lines.batchMixed[0]).toMatchObject({ number: '0412-1', by: 'Ines' })
  expect(record.lines.gapsMeasured.map((g) => g.withinTolerance)).toEqual([false, true])
  expect(english(record.lines.gapsMeasured[0]!.words)).toMatch(/1\.5 mm towards the passenger’s side/)
  expect(record.lines.problemSeen[0]).toMatchObject({ problem: 'dirt or hair', comeBack: true })
  const pdf = await fetch(`${demo.address('')}/api/parts/0412-bonnet/record.pdf`)
  expect(pdf.headers.get('content-type')).toContain('application/pdf')
  const words = wordsOfPdf(Buffer.from(await pdf.arrayBuffer()))
  expect(words).toContain('Velmora Pipit, Bonnet')
  expect(words).toContain('lot H180-2611-04')
  expect(words).toMatch(/1\.5\smm towards the passenger’s side/)
})

test('a moved piece stays where it was put', async () => {
  const shift = { xMm: 0.7, yMm: -0.2, turnDeg: 0.05 }
  expect((await send('PUT', '/api/parts/0412-bonnet/shift', shift)).body).toMatchObject({ shift })
  expect(jobBundle.parse((await get('/api/jobs/0412')).body).parts[0]?.shift).toEqual(shift)
})

test('settings change, and a figure out of its range is refused by name', async () => {
  const inches = { units: { length: 'in', temperature: 'F', volume: 'fl oz' } }
  expect((await send('PATCH', '/api/shop', inches)).body).toMatchObject(inches)
  const wrong = await send('PATCH', '/api/shop', { practice: { stopShortLeast: 40 } })
  expect(wrong.status).toBe(400)
  expect(said(wrong)).toContain('Stop short, least gap')
  expect((await get('/api/shop')).body.practice).toEqual({})
})

test.each([
  ['an unknown job', 'GET', '/api/jobs/nowhere', undefined, 404, 'There is no job "nowhere".'],
  ['an unknown part', 'GET', '/api/parts/nowhere/fit', undefined, 404, 'There is no part "nowhere".'],
  ['an unknown address', 'GET', '/api/nothing', undefined, 404, 'nothing at that address'],
  ['text that is no JSON', 'PATCH', '/api/shop', '{broken', 400, 'not valid JSON'],
  [
    'an event of another part',
    'POST',
    '/api/parts/0412-headlamp-left/fit',
    [event('stepDone', { stepId: 'x' })],
    422,
    'was sent to part',
  ],
  [
    'an event by nobody',
    'POST',
    '/api/parts/0412-bonnet/fit',
    [{ ...event('stepDone', { stepId: 'x' }), personId: 'zed' }],
    422,
    'Nobody here',
  ],
  [
    'an event with a field too many',
    'POST',
    '/api/parts/0412-bonnet/fit',
    [{ ...event('stepDone', { stepId: 'x' }), extra: 1 }],
    400,
    'extra',
  ],
  ['a shift beyond reason', 'PUT', '/api/parts/0412-bonnet/shift', { xMm: 9999, yMm: 0, turnDeg: 0 }, 400, 'xMm'],
])('%s gets its sentence and changes nothing', async (_, method, path, body, status, words) => {
  const before = (await get('/api/jobs/0412')).body
  const answer = body === undefined ? await get(path) : await send(method, path, body)
  expect(answer.status).toBe(status)
  expect(said(answer)).toContain(words)
  expect(english(answer.body.fix).length).toBeGreaterThan(10)
  expect((await get('/api/jobs/0412')).body).toEqual(before)
})

test('a foreign name for this machine is turned away', async () => {
  const { request } = await import('node:http')
  const status = await new Promise((resolve) => {
    request(`${demo.address('')}/api/health`, { headers: { host: 'evil.example' } }, (res) => {
      res.resume()
      resolve(res.statusCode)
    }).end()
  })
  expect(status).toBe(403)
})

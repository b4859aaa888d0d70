import { bay, type Bay, dayPlan, formDoc, jobBundle, jobList, removedThings } from '@truelay/contract'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { name, say } from '@truelay/core/say'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer, noon, said } from '../testing/demoServer.ts'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
})
afterEach(() => demo.end())

const send = (method: string, path: string, body: unknown) => demo.send(method, `/api${path}`, body)
const bundle = async (id: string) => jobBundle.parse((await demo.get(`/api/jobs/${id}`)).body)
const inBay = async (id: string): Promise<Bay['jobs'][number] | undefined> =>
  bay.parse((await demo.get('/api/bay')).body).jobs.find(({ job }) => job.id === id)
const finish = (partId: string) =>
  send(
    'POST',
    `/parts/${partId}/fit`,
    smallEvents(smallPlan([smallStep('wash')], { partId }), { kind: 'stepDone', stepId: 'wash' }),
  )
const begin = (partId: string) =>
  send('POST', `/parts/${partId}/fit`, smallEvents(smallPlan([smallStep('wash'), smallStep('seal')], { partId })))

describe('what was taken down wrongly', () => {
  test.each([
    ['the customer', { customer: 'Another co-operative' }],
    ['the plate', { plate: 'HB 77' }],
    ['the place', { bay: 'Bay 2' }],
    ['who fits', { personId: 'bo' }],
    ['when it must leave', { dueAt: '2030-05-04T12:00:00.000Z' }],
  ])('%s is put right, the rest stays; sending the old back undoes it', async (_, change) => {
    const before = (await bundle('0412')).job
    const answer = await send('PATCH', '/jobs/0412', change)
    expect(answer.status).toBe(200)
    const after = (await bundle('0412')).job
    expect(JSON.stringify(after)).toContain(JSON.stringify(Object.values(change)[0]))
    expect((await inBay('0412'))?.job).toEqual(after)
    const { customer, bay: place, personId, arrivedAt, dueAt, vehicle } = before
    const { year, colour, plate } = vehicle
    await send('PATCH', '/jobs/0412', { customer, bay: place, personId, arrivedAt, dueAt, year, colour, plate })
    expect((await bundle('0412')).job).toEqual(before)
  })
  test('a vehicle that leaves before it comes is refused in words', async () => {
    const answer = await send('PATCH', '/jobs/0412', { dueAt: '2020-05-04T12:00:00.000Z' })
    expect(answer.status).toBe(422)
    expect(said(answer)).toBe('The vehicle must leave after it has come.')
  })
  test('somebody who has left fits nothing new', async () => {
    await send('PATCH', '/people/bo', { leftAt: noon.toISOString() })
    expect((await send('PATCH', '/jobs/0412', { personId: 'bo' })).status).toBe(404)
  })
})

describe('a job that is handed over, or was opened by mistake', () => {
  test('leaves the bay when it is closed, and is back as it was when it is opened again', async () => {
    const before = await inBay('0412')
    expect((await send('PUT', '/jobs/0412/closed', { closed: true })).body.closedAt).toBe(noon.toISOString())
    expect(await inBay('0412')).toBeUndefined()
    await send('PUT', '/jobs/0412/closed', { closed: false })
    expect(await inBay('0412')).toEqual(before)
  })
  test('is not handed over while film lifts on it; settled, it is', async () => {
    const plan = smallPlan([smallStep('lay'), smallStep('hand on')], { partId: '0412-bonnet' })
    const seen = { kind: 'problemSeen', stepId: 'lay', problem: 'lifting edge', place: 'nose edge', comeBack: true }
    const events = smallEvents(plan, { ...seen, when: 'before the cut' })
    await send('POST', '/parts/0412-bonnet/fit', events)
    const refused = await send('PUT', '/jobs/0412/closed', { closed: true })
    expect(refused.status).toBe(422)
    expect(said(refused)).toBe('Bonnet is not good yet: lifting edge, nose edge.')
    expect(await inBay('0412')).toBeDefined()
    const problemId = events.at(-1)?.id
    const settled = { kind: 'problemSettled', stepId: 'lay', problemId, outcome: 'put right' }
    const done = ['lay', 'hand on'].map((stepId) => ({ kind: 'stepDone', stepId }))
    const all = smallEvents(plan, { ...seen, when: 'before the cut' }, settled, ...done)
    await send('POST', '/parts/0412-bonnet/fit', all)
    expect((await send('PUT', '/jobs/0412/closed', { closed: true })).status).toBe(200)
  })
  test('a speck that is left closes with the job', async () => {
    const plan = smallPlan([smallStep('lay')], { partId: '0412-bonnet' })
    const speck = { kind: 'problemSeen', stepId: 'lay', problem: 'dirt or hair', place: 'middle', comeBack: true }
    await send(
      'POST',
      '/parts/0412-bonnet/fit',
      smallEvents(plan, { ...speck, when: 'at hand-over' }, { kind: 'stepDone', stepId: 'lay' }),
    )
    expect((await send('PUT', '/jobs/0412/closed', { closed: true })).status).toBe(200)
  })
  test('removed, it is found only among the removed; its record stays; brought back, it is as it was', async () => {
    await begin('0412-bonnet')
    const before = await inBay('0412')
    await send('PUT', '/jobs/0412/removed', { removed: true })
    expect(await inBay('0412')).toBeUndefined()
    const numbers = async (state: string) =>
      jobList.parse((await demo.get(`/api/jobs?state=${state}`)).body).jobs.map(({ job }) => job.number)
    expect(await numbers('all')).not.toContain('0412')
    expect(await numbers('removed')).toEqual(['0412'])
    expect((await demo.get('/api/parts/0412-bonnet/record')).status).toBe(200)
    await send('PUT', '/jobs/0412/removed', { removed: false })
    expect(await inBay('0412')).toEqual(before)
  })
})

describe('the parts of a job', () => {
  test('one more is added with what its model knows of it, and can be dropped and come back', async () => {
    const before = await bundle('0412')
    const wish = { slot: 'tailgate', name: 'Tailgate', filmId: 'clearcoat-hull-180' }
    expect((await send('POST', '/jobs/0412/parts', wish)).status).toBe(201)
    const added = (await bundle('0412')).parts.find((p) => p.name === 'Tailgate')
    expect(added).toMatchObject({ slot: 'tailgate', filmId: 'clearcoat-hull-180' })
    expect((await send('POST', '/jobs/0412/parts', wish)).status).toBe(422)
    await send('PUT', `/parts/${added?.id}/dropped`, { dropped: true })
    expect((await bundle('0412')).parts).toEqual(before.parts)
    expect((await inBay('0412'))?.parts.map((p) => p.partId)).toEqual(before.parts.map((p) => p.id))
    await send('POST', '/jobs/0412/parts', wish)
    expect((await bundle('0412')).parts.at(-1)).toEqual(added)
  })
  test('a part that was begun can be dropped; its log and its record stay', async () => {
    await begin('0412-bonnet')
    await send('PUT', '/parts/0412-bonnet/dropped', { dropped: true })
    expect((await bundle('0412')).parts.map((p) => p.id)).not.toContain('0412-bonnet')
    expect((await demo.get('/api/parts/0412-bonnet/fit')).body.events.length).toBeGreaterThan(0)
    expect((await demo.get('/api/parts/0412-bonnet/record')).status).toBe(200)
  })
  test('the last one cannot be dropped', async () => {
    await send('PUT', '/parts/0412-bonnet/dropped', { dropped: true })
    const answer = await send('PUT', '/parts/0412-headlamp-left/dropped', { dropped: true })
    expect(answer.status).toBe(422)
    expect(said(answer)).toBe('It is the last part of this job.')
    expect((await bundle('0412')).parts).toHaveLength(1)
  })
  test('another film is taken until the fit has begun; the piece that was cut from the old one is not', async () => {
    const changed = await send('PUT', '/parts/0412-headlamp-left/film', { filmId: 'clear-dome-dry' })
    expect(changed.body).toMatchObject({ filmId: 'clear-dome-dry', pieceId: null })
    await begin('0412-headlamp-left')
    const refused = await send('PUT', '/parts/0412-headlamp-left/film', { filmId: 'dusk-glass-dry' })
    expect(refused.status).toBe(422)
    expect(said(refused)).toMatch(/has been begun with its film/)
    expect((await send('PUT', '/parts/0412-bonnet/film', { filmId: 'no-such' })).status).toBe(404)
  })
})

describe('what is taken off its list', () => {
  const listed: Readonly<Record<string, () => Promise<string[]>>> = {
    films: async () => (await demo.get('/api/shelf')).body.films.map((f: { id: string }) => f.id),
    pieces: async () => (await demo.get('/api/shelf')).body.pieces.map((p: { id: string }) => p.id),
    kits: async () => (await demo.get('/api/shelf')).body.kits.map((k: { id: string }) => k.id),
    forms: async () => (await demo.get('/api/forms')).body.map((f: { id: string }) => f.id),
    models: async () => (await demo.get('/api/models')).body.map((m: { id: string }) => m.id),
  }
  test.each([
    ['films', 'clearcoat-hull-180'],
    ['pieces', 'pipit-bonnet-piece'],
    ['kits', 'pipit-front-kit'],
    ['forms', 'pipit-bonnet'],
    ['models', 'velmora-pipit'],
  ])(
    '%s: gone from its list, and there again when it is put back; what was begun with it goes on',
    async (kind, id) => {
      await begin('0412-bonnet')
      const before = await bundle('0412')
      const all = (await listed[kind]?.()) ?? []
      expect(all).toContain(id)
      expect((await send('PUT', `/${kind}/${id}/removed`, { removed: true })).body).toEqual({ removed: true })
      expect(await listed[kind]?.()).toEqual(all.filter((other) => other !== id))
      const after = await bundle('0412')
      const sorted = ({ films, pieces, ...rest }: typeof after) => ({
        ...rest,
        films: films.map((f) => f.id).sort(),
        pieces: pieces.map((p) => p.id).sort(),
      })
      expect(sorted(after)).toEqual(sorted(before))
      expect((await demo.get('/api/parts/0412-bonnet/record')).status).toBe(200)
      await send('PUT', `/${kind}/${id}/removed`, { removed: false })
      expect([...((await listed[kind]?.()) ?? [])].sort()).toEqual([...all].sort())
    },
  )
  test('a removed form or piece is not given to the next vehicle', async () => {
    await send('PUT', '/pieces/pipit-bonnet-piece/removed', { removed: true })
    const wish = { slot: 'bonnet', name: 'Bonnet', filmId: 'clearcoat-hull-180' }
    await send('PUT', '/jobs/0412/removed', { removed: false })
    const next = async () => {
      const job = {
        customer: 'A',
        modelId: 'velmora-pipit',
        year: null,
        colour: '',
        plate: 'N',
        bay: '',
        personId: 'bo',
      }
      const times = { arrivesAt: '2030-05-02T08:00:00.000Z', dueAt: '2030-05-03T08:00:00.000Z' }
      return bundle((await send('POST', '/jobs', { ...job, ...times, parts: [wish] })).body.id)
    }
    expect((await next()).parts[0]).toMatchObject({ formId: 'pipit-bonnet', pieceId: null })
    await send('PUT', '/forms/pipit-bonnet/removed', { removed: true })
    expect((await next()).parts[0]).toMatchObject({ formId: null, formVersion: null })
  })
  test('what was removed stands in one list, the last first, a form once', async () => {
    const listed = async () => removedThings.parse((await demo.get('/api/removed')).body)
    expect(await listed()).toEqual([])
    const before = formDoc.parse((await demo.get('/api/forms/pipit-bonnet')).body)
    await send('PUT', '/forms/pipit-bonnet', before)
    await send('PUT', '/forms/pipit-bonnet/removed', { removed: true })
    await send('PUT', '/films/clear-dome-dry/removed', { removed: true })
    expect((await listed()).map(({ kind, name }) => `${kind} ${name}`).sort()).toEqual([
      'films Clear dome, firm',
      'forms Velmora Pipit bonnet',
    ])
    await send('PUT', '/forms/pipit-bonnet/removed', { removed: false })
    await send('PUT', '/films/clear-dome-dry/removed', { removed: false })
    expect(await listed()).toEqual([])
  })
  test('what is not there is told so', async () => {
    expect((await send('PUT', '/films/no-such/removed', { removed: true })).status).toBe(404)
  })
})

describe('a model', () => {
  const model = async (id: string) =>
    (await demo.get('/api/models')).body.find((m: { id: string }) => m.id === id) as { parts: { formId: unknown }[] }
  test('learns the form of a part that was measured for one of its vehicles', async () => {
    const made = await send('POST', '/models', { name: 'Corvid Wren', kind: 'van' })
    const job = { customer: 'A', year: null, colour: '', plate: 'N', bay: '', personId: 'bo', modelId: made.body.id }
    const times = { arrivesAt: '2030-05-02T08:00:00.000Z', dueAt: '2030-05-03T08:00:00.000Z' }
    const parts = [{ slot: 'bonnet', name: 'Bonnet', filmId: 'clearcoat-hull-180' }]
    const { id } = (await send('POST', '/jobs', { ...job, ...times, parts })).body
    await send('PUT', `/parts/${id}-01/form`, { formId: 'pipit-bonnet' })
    expect((await model(made.body.id)).parts).toContainEqual(
      expect.objectContaining({ name: 'Bonnet', formId: 'pipit-bonnet' }),
    )
    const second = await send('POST', '/jobs', { ...job, ...times, parts })
    expect((await bundle(second.body.id)).parts[0]?.formId).toBe('pipit-bonnet')
  })
  test('keeps its kind; a name that is taken is refused', async () => {
    const pipit = await model('velmora-pipit')
    expect(said(await send('PUT', '/models/velmora-pipit', { ...pipit, kind: 'van' }))).toMatch(/keeps the kind/)
    expect((await send('PUT', '/models/velmora-pipit', { ...pipit, name: 'ondrel skua' })).status).toBe(422)
    expect((await send('PUT', '/models/ondrel-skua', pipit)).status).toBe(422)
  })
})

describe('a whole kit', () => {
  test('comes as one: where a piece of it is wrong, nothing of it is kept', async () => {
    const { kits, pieces } = (await demo.get('/api/shelf')).body
    const kit = { ...kits.find((k: { id: string }) => k.id === 'pipit-lamp-kit'), note: 'changed' }
    const own = pieces.filter((p: { kitId: string }) => p.kitId === kit.id)
    const before = await demo.everything()
    const wrong = await send('PUT', '/kits/pipit-lamp-kit/whole', {
      kit,
      pieces: [own[0], { ...own[1], kitId: 'other' }],
    })
    expect(wrong.status).toBe(400)
    expect(await demo.everything()).toEqual(before)
    expect((await send('PUT', '/kits/pipit-lamp-kit/whole', { kit, pieces: own })).status).toBe(200)
    expect((await demo.get('/api/shelf')).body.kits).toContainEqual(kit)
  })
})

/** A plan of the day in which a reason names a vehicle. */
const planNaming = (plate: string) => {
  const at = noon.toISOString()
  const leaves = {
    id: '0412 leaves',
    jobId: '0412',
    partId: null,
    stepIds: [],
    says: null,
    people: [],
    startAt: at,
    endAt: at,
  }
  return dayPlan.parse({
    madeAt: at,
    works: [{ ...leaves, because: say`“${name(plate)}” has to be done first` }],
    late: [],
    leftOut: [],
    endsAt: at,
    noSoonerThan: at,
  })
}

describe('a customer who asks for it', () => {
  const customer = 'Harbour car-share co-operative'
  const sign = (id: string) => send('PUT', `/jobs/${id}/sign-off`, { name: 'R. Holm', strokes: [[0.1, 0.2, 0.3, 0.4]] })
  const closeAll = async () => {
    for (const id of ['0412', '0415']) await send('PUT', `/jobs/${id}/closed`, { closed: true })
  }
  test('is refused while a job is open', async () => {
    const answer = await send('POST', '/customers/forgotten', { customer })
    expect(answer.status).toBe(422)
    expect(said(answer)).toBe('2 jobs for this customer are not handed over yet.')
    expect((await bundle('0412')).job.customer).toBe(customer)
  })
  test('is found nowhere any more; what was done to the vehicle stays', async () => {
    await finish('0412-bonnet')
    await sign('0412')
    await demo.keepDay(planNaming('Fleet 27'))
    await send('PUT', '/parts/0412-headlamp-left/light-acknowledged', { name: 'R. Holm', says: say`Half of it.` })
    await send('PUT', '/jobs/0412/hand-over', { personId: 'ines', name: 'R. Holm', strokes: [[0.1, 0.2]] })
    await closeAll()
    const before = await bundle('0412')
    expect((await send('POST', '/customers/forgotten', { customer })).body).toEqual({ jobs: 3 })
    const everything = JSON.stringify(await demo.everything())
    for (const gone of [customer, 'Fleet 27', 'Fleet 31', 'R. Holm']) expect(everything).not.toContain(gone)
    const after = await bundle('0412')
    expect(after.job).toMatchObject({ customer: 'removed on request', vehicle: { plate: 'removed on request' } })
    expect({ ...after, job: null, signOff: null }).toEqual({ ...before, job: null, signOff: null })
    expect(after.signOff?.findingIds).toEqual(before.signOff?.findingIds)
    expect((await demo.get('/api/parts/0412-bonnet/fit')).body.events.length).toBeGreaterThan(0)
  })
  test('whoever is in no job is told so', async () => {
    expect((await send('POST', '/customers/forgotten', { customer: 'Nobody' })).status).toBe(404)
    expect((await send('POST', '/customers/forgotten', { customer: 'removed on request' })).status).toBe(404)
  })
})

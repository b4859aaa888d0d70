import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type FirstShop, person, shop, usualHours, usualPlaces } from '@truelay/contract'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { z } from 'zod'
import { DemoServer, noon, said } from '../testing/demoServer.ts'
import { writeRoutes } from '../testing/writeRoutes.ts'

let server: DemoServer
let folder: string
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'truelay-empty-'))
  server = await new DemoServer(folder, undefined, 'empty').start()
})
afterEach(async () => {
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
})

const first: FirstShop = {
  name: 'Quayside Film Works',
  units: { length: 'in', temperature: 'F', volume: 'fl oz' },
  places: [...usualPlaces],
  hours: usualHours,
  people: [
    { name: 'Ines', role: 'lead' },
    { name: 'Bo', role: 'new hand' },
  ],
  film: null,
  gun: null,
}
const { good: film } = writeRoutes.find(({ path }) => path === '/films') ?? { good: {} }

describe('an empty folder', () => {
  test('says that it holds no shop, by a code that the screens know', async () => {
    for (const path of ['/api/shop', '/api/bay', '/api/liquids'])
      expect(await server.get(path)).toMatchObject({ status: 404, body: { code: 'NO_SHOP' } })
    for (const path of ['/api/people', '/api/jobs', '/api/forms', '/api/models', '/api/shelf'])
      expect((await server.get(path)).status, path).toBe(200)
  })
  test('becomes a shop by one write, with what was told and the usual for the rest', async () => {
    const answer = await server.send('POST', '/api/shop', { ...first, film })
    expect(answer.status, JSON.stringify(answer.body)).toBe(201)
    expect(shop.parse((await server.get('/api/shop')).body)).toMatchObject({
      name: 'Quayside Film Works',
      units: first.units,
      theme: 'day',
      practice: {},
      guns: [],
    })
    expect(z.array(person).parse((await server.get('/api/people')).body)).toMatchObject([
      { id: 'ines', name: 'Ines', role: 'lead', hours: null, leftAt: null },
      { id: 'bo', role: 'new hand' },
    ])
    expect((await server.get('/api/shelf')).body.films).toMatchObject([{ id: 'hullskin-200-clear' }])
    expect((await server.get('/api/bay')).body.jobs).toEqual([])
  })
  test('takes its first vehicle in from nothing', async () => {
    await server.send('POST', '/api/shop', { ...first, film })
    const model = await server.send('POST', '/api/models', { name: 'Corvid Wren', kind: 'van' })
    const job = await server.send('POST', '/api/jobs', {
      customer: 'Private owner',
      modelId: model.body.id,
      year: null,
      colour: '',
      plate: 'QF 1',
      bay: 'Bay 1',
      personId: 'ines',
      arrivesAt: noon.toISOString(),
      dueAt: '2030-05-02T12:00:00.000Z',
      parts: [{ slot: 'bonnet', name: 'Bonnet', filmId: 'hullskin-200-clear' }],
    })
    expect(job.body).toMatchObject({ id: '0001', number: '0001' })
    expect((await server.get('/api/bay')).body.jobs).toHaveLength(1)
  })
  test('is opened once', async () => {
    await server.send('POST', '/api/shop', first)
    const again = await server.send('POST', '/api/shop', { ...first, name: 'Another' })
    expect(again.status).toBe(422)
    expect(said(again)).toBe('The shop is open already: Quayside Film Works.')
    expect((await server.get('/api/shop')).body.name).toBe('Quayside Film Works')
  })
  test.each([
    ['nobody', { people: [] }],
    ['nobody who leads', { people: [{ name: 'Bo', role: 'new hand' }] }],
    ['two of one name', { people: [first.people[0], { name: 'ines', role: 'installer' }] }],
    ['no name', { name: ' ' }],
    ['two places of one name', { places: [usualPlaces[0], usualPlaces[0]] }],
    ['hours that end before they begin', { hours: [{ from: '17:00', to: '08:00' }, ...usualHours.slice(1)] }],
    ['a film whose figures contradict', { film: { ...film, thicknessUm: 2 } }],
  ])('a shop with %s is refused in words, and nothing of it is kept', async (_, wrong) => {
    const answer = await server.send('POST', '/api/shop', { ...first, ...wrong })
    expect(answer.status).toBeGreaterThanOrEqual(400)
    expect(answer.status).toBeLessThan(500)
    expect(said(answer)).toBeTruthy()
    expect((await server.get('/api/shop')).status).toBe(404)
    expect((await server.get('/api/people')).body).toEqual([])
  })
})

describe('people', () => {
  beforeEach(() => server.send('POST', '/api/shop', first))
  const people = async () => z.array(person).parse((await server.get('/api/people')).body)
  test('somebody new gets an id of their own; a name that is taken is refused', async () => {
    expect((await server.send('POST', '/api/people', { name: 'Ine S', role: 'installer' })).body.id).toBe('ine-s')
    expect((await server.send('POST', '/api/people', { name: 'INES', role: 'installer' })).status).toBe(422)
    expect(await people()).toHaveLength(3)
  })
  test('whoever leaves stays on record and can come back', async () => {
    await server.send('PATCH', '/api/people/bo', { leftAt: noon.toISOString() })
    expect((await people()).find((p) => p.id === 'bo')?.leftAt).toBe(noon.toISOString())
    await server.send('PATCH', '/api/people/bo', { leftAt: null, role: 'installer' })
    expect((await people()).find((p) => p.id === 'bo')).toMatchObject({ leftAt: null, role: 'installer' })
  })
  test('the last who leads cannot leave, and cannot be made something else', async () => {
    for (const change of [{ leftAt: noon.toISOString() }, { role: 'installer' }]) {
      const answer = await server.send('PATCH', '/api/people/ines', change)
      expect(said(answer)).toBe('Nobody would lead the shop then.')
    }
    await server.send('PATCH', '/api/people/bo', { role: 'lead' })
    expect((await server.send('PATCH', '/api/people/ines', { leftAt: noon.toISOString() })).status).toBe(200)
  })
  test('what a lead has confirmed stays, with when and by whom; a skill that there is not is refused', async () => {
    const confirmed = [{ skill: 'stretch film', at: noon.toISOString(), by: 'ines' }]
    await server.send('PATCH', '/api/people/bo', { confirmed })
    await server.send('PATCH', '/api/people/bo', { name: 'Bo R' })
    expect((await people()).find((p) => p.id === 'bo')).toMatchObject({ name: 'Bo R', confirmed })
    expect((await people()).find((p) => p.id === 'ines')).not.toHaveProperty('confirmed')
    const flying = await server.send('PATCH', '/api/people/bo', { confirmed: [{ ...confirmed[0], skill: 'fly' }] })
    expect(flying.status).toBe(400)
    // Nobody lets themselves.
    const own = await server.send('PATCH', '/api/people/bo', { confirmed: [{ ...confirmed[0], by: 'bo' }] })
    expect(said(own)).toBe('Only a lead of the shop confirms what somebody may do.')
    expect((await people()).find((p) => p.id === 'bo')).toMatchObject({ confirmed })
  })
  test('somebody who is not there is told so', async () => {
    expect((await server.send('PATCH', '/api/people/nobody', { role: 'lead' })).status).toBe(404)
  })
})

import { request } from 'node:http'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

interface Raw {
  readonly method?: string
  readonly path: string
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: string
}

/** A request as no browser would let a page write it. */
const raw = ({ method = 'GET', path, headers = {}, body }: Raw) =>
  new Promise<{ status: number; body: { code?: string; sentence?: { text: string } } }>((resolve, reject) => {
    const asked = request(demo.address(''), { method, path, headers }, (res) => {
      let text = ''
      res.on('data', (chunk) => {
        text += chunk
      })
      res.on('end', () => resolve({ status: res.statusCode ?? 0, body: JSON.parse(text || '{}') }))
    })
    asked.on('error', reject)
    asked.end(body)
  })

describe('what a client does wrong is told as such, and never as a fault of the server', () => {
  test.each<[string, Raw, number]>([
    ['an address with a broken percent sign', { path: '/api/jobs/%zz' }, 400],
    [
      'a strange charset',
      {
        method: 'PATCH',
        path: '/api/shop',
        headers: { 'content-type': 'application/json; charset=klingon' },
        body: '{}',
      },
      415,
    ],
    [
      'a strange packing',
      {
        method: 'PATCH',
        path: '/api/shop',
        headers: { 'content-type': 'application/json', 'content-encoding': 'lzma' },
        body: '{}',
      },
      415,
    ],
    [
      'no JSON',
      { method: 'PATCH', path: '/api/shop', headers: { 'content-type': 'application/json' }, body: '{' },
      400,
    ],
  ])('%s', async (_, asked, status) => {
    const answer = await raw(asked)
    expect(answer.status).toBe(status)
    expect(answer.body.sentence?.text).toMatch(/\S/)
  })
})

describe('a page of another origin', () => {
  const change = { method: 'PATCH', path: '/api/shop', body: '{"theme":"bay"}' }
  const json = { 'content-type': 'application/json', 'x-write-id': '00000000-0000-4000-8000-000000000777' }
  test.each([
    ['by its origin', { origin: 'http://elsewhere.example' }],
    ['by its origin on another port', { origin: 'http://127.0.0.1:1' }],
    ['by what the browser says of it', { 'sec-fetch-site': 'cross-site' }],
    ['beside this one', { 'sec-fetch-site': 'same-site' }],
  ])('cannot change anything, known %s', async (_, headers) => {
    const before = await demo.everything()
    const answer = await raw({ ...change, headers: { ...json, ...headers } })
    expect(answer).toMatchObject({ status: 403, body: { code: 'FOREIGN_PAGE' } })
    const photo = {
      method: 'POST',
      path: '/api/photos',
      headers: { 'content-type': 'image/jpeg', ...headers },
      body: 'x',
    }
    expect((await raw(photo)).status).toBe(403)
    expect(await demo.everything()).toEqual(before)
  })
  test('may look, and the app’s own pages may change', async () => {
    expect((await raw({ path: '/api/shop', headers: { 'sec-fetch-site': 'cross-site' } })).status).toBe(200)
    const own = { origin: demo.address(''), 'sec-fetch-site': 'same-origin' }
    expect((await raw({ ...change, headers: { ...json, ...own } })).status).toBe(200)
  })
  test('cannot send a photo as plain text, which browsers let it do unasked', async () => {
    const photo = { method: 'POST', path: '/api/photos', headers: { 'content-type': 'text/plain' }, body: 'x' }
    expect(await raw(photo)).toMatchObject({ status: 422, body: { code: 'JPEG_BROKEN' } })
  })
})

describe('one row that cannot be read', () => {
  test('of a person, a bottle’s supply or a job is left out of the lists, and is no mistake of the reader', async () => {
    const { length: jobs } = (await demo.get('/api/bay')).body.jobs
    await demo.database.write(async (db) => {
      await db.run(sql`insert into people (id, name, role) values ('odd', '', 'juggler')`)
      await db.run(sql`update jobs set due_at = '+120000-01-01T00:00:00.000Z' where id = '0413'`)
      await db.run(sql`update supplies set left_ml = 1e300 where what = 'soap'`)
    })
    const bay = await demo.get('/api/bay')
    expect(bay.status).toBe(200)
    expect(bay.body.jobs.length).toBe(jobs - 1)
    expect(bay.body.people.map((p: { id: string }) => p.id)).not.toContain('odd')
    const liquids = await demo.get('/api/liquids')
    expect(liquids.status).toBe(200)
    expect(liquids.body.supplies.map((s: { what: string }) => s.what)).not.toContain('soap')
    expect(await demo.get('/api/jobs/0413')).toMatchObject({ status: 500, body: { code: 'STORED_UNREADABLE' } })
  })
})

describe('a text with half a sign in it', () => {
  const film = { method: 'PUT', path: '/api/films/clearcoat-hull-180' }
  const sent = async (change: object) => {
    const { films } = (await demo.get('/api/shelf')).body as { films: { id: string }[] }
    const whole = films.find(({ id }) => id === 'clearcoat-hull-180')
    return demo.send(film.method, film.path, { ...whole, ...change })
  }
  test.each([
    ['alone', '\ud800'],
    ['the second half alone', 'Hull \udc00 skin'],
    ['between others', 'a\ud83da'],
  ])('%s: is refused, and the shop goes on', async (_, name) => {
    const { status, body } = await sent({ name })
    expect(status).toBe(422)
    expect(JSON.stringify(body)).toContain('holds half a sign')
    expect((await demo.get('/api/bay')).status).toBe(200)
  })
  test('whole signs are taken, however rare', async () => {
    expect((await sent({ name: 'Hull \u{1f9e5} skin' })).status).toBe(200)
    expect(JSON.stringify((await demo.get('/api/bay')).body)).toContain('Hull \u{1f9e5} skin')
  })
})

import pino from 'pino'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer, said } from '../testing/demoServer.ts'
import { id, sent, writeRoutes } from '../testing/writeRoutes.ts'
import { faultForLog } from './faultForLog.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

/** The disk refuses whatever is written, as the database tells it. */
async function whileDiskSays<T>(code: string, work: () => Promise<T>): Promise<T> {
  demo.onStatement = (statement) => {
    if (/^(insert|update|delete|pragma user_version)/i.test(statement))
      throw Object.assign(new Error(`${statement} of Ruben Holm, QF 900`), { code })
  }
  try {
    return await work()
  } finally {
    demo.onStatement = () => {}
  }
}

describe('a disk that takes nothing any more', () => {
  test.each([
    ['SQLITE_FULL', 'NO_ROOM', /no room on the disk of the server/],
    ['ENOSPC', 'NO_ROOM', /no room on the disk of the server/],
    ['SQLITE_READONLY', 'NOT_WRITABLE', /cannot write where it keeps the shop/],
  ])(
    '%s: each write is answered in words, what is there can be read, health tells it',
    async (code, answered, words) => {
      // Nobody is forgotten while a job of theirs is open.
      await demo.send('PUT', '/api/jobs/0414/removed', { removed: true })
      for (const route of writeRoutes.filter(({ path }) => path !== '/room')) {
        const answer = await whileDiskSays(code, () =>
          demo.send(route.method, `/api${route.path}`, sent(route, route.good)),
        )
        expect(answer, route.path).toMatchObject({ status: 507, body: { code: answered } })
        expect(said(answer)).toMatch(words)
      }
      await whileDiskSays(code, async () => {
        expect((await demo.get('/api/health')).status).toBe(507)
        expect((await demo.get('/api/bay')).status).toBe(200)
      })
      expect(await demo.get('/api/health')).toEqual({ status: 200, body: { ok: true } })
    },
  )
  test('once there is room it goes on, and the same write counts once', async () => {
    const [job] = writeRoutes
    if (job === undefined) throw new Error('there is a route')
    const send = () => demo.send(job.method, `/api${job.path}`, job.good, id(77))
    expect((await whileDiskSays('SQLITE_FULL', send)).status).toBe(507)
    const made = await send()
    expect(made.status).toBe(201)
    expect(await send()).toEqual(made)
  })
})

describe('what the log says of a fault', () => {
  test('is where it came up, never what was being written', () => {
    const cause = Object.assign(new TypeError('Ruben Holm'), { code: 'SQLITE_BUSY' })
    const fault = faultForLog(new Error('Failed query: insert into jobs, params: Ruben Holm', { cause }))
    expect(fault).toMatchObject({ type: 'Error', cause: { type: 'TypeError', code: 'SQLITE_BUSY' } })
    expect(fault.at.join()).toContain('trouble.test')
    expect(JSON.stringify(fault)).not.toContain('Holm')
    expect(faultForLog('Ruben Holm')).toEqual({ type: 'string', at: [] })
  })
})

describe('what the log says of a request', () => {
  test('is its address as it was asked for, its status and the time it took; nothing of what was sent', async () => {
    const lines: string[] = []
    const own = await new DemoServer(undefined, pino({}, { write: (line) => lines.push(line) })).start()
    const [job] = writeRoutes
    await own.send('POST', '/api/jobs', { ...job?.good, customer: 'Ruben Holm' })
    await own.get('/api/parts/0412-bonnet/fit')
    await own.end()
    const told = lines.map((line) => JSON.parse(line)).filter((line) => line.msg === 'request')
    expect(told.map(({ method, path, status }) => [method, path, status])).toEqual([
      ['POST', '/api/jobs', 201],
      ['GET', '/api/parts/0412-bonnet/fit', 200],
    ])
    expect(told.every(({ ms }) => ms >= 0)).toBe(true)
    expect(lines.join()).not.toContain('Holm')
  })
})

import { type JobList, jobList } from '@truelay/contract'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { writeRoutes } from '../testing/writeRoutes.ts'

const newJob = writeRoutes.find(({ method, path }) => method === 'POST' && path === '/jobs')?.good

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
  for (let n = 0; n < 90; n++)
    await demo.send('POST', '/api/jobs', {
      ...newJob,
      customer: n % 9 === 0 ? 'Ferry line 100% electric' : 'Private owner',
      plate: `PX${String(n).padStart(3, '0')}`,
      arrivesAt: new Date(Date.UTC(2030, 5, 1 + n, 8)).toISOString(),
      dueAt: new Date(Date.UTC(2030, 5, 2 + n, 8)).toISOString(),
    })
})
afterAll(() => demo.end())

const list = async (query: Record<string, string | number>): Promise<JobList> =>
  jobList.parse(
    (await demo.get(`/api/jobs?${new URLSearchParams(Object.entries(query).map(([k, v]) => [k, String(v)]))}`)).body,
  )
const numbers = async (query: Record<string, string | number>) =>
  (await list(query)).jobs.map(({ job }) => job.vehicle.plate)

describe('the list of jobs', () => {
  test('comes in pages, the latest to arrive first, each job once', async () => {
    const first = await list({})
    const all = [...first.jobs]
    for (let page = 2; page <= first.pages; page++) all.push(...(await list({ page })).jobs)
    expect(all).toHaveLength(first.total)
    expect(new Set(all.map(({ job }) => job.id)).size).toBe(first.total)
    const arrivals = all.map(({ job }) => job.arrivedAt)
    expect(arrivals).toEqual([...arrivals].sort().reverse())
    expect((await list({ page: first.pages + 5 })).jobs).toEqual([])
  })
  test('counts the parts of each, and tells who fits it', async () => {
    const { jobs } = await list({ text: '0413' })
    expect(jobs).toMatchObject([{ parts: 10, done: 0, person: 'Tarek' }])
  })
  test.each([
    ['a plate', 'PX041', ['PX041']],
    ['a part of it, in any case', 'px04', Array.from({ length: 10 }, (_, n) => `PX04${9 - n}`)],
    ['words in any order', 'private px031', ['PX031']],
    ['a model', 'skua', ['QF 118']],
    ['a day', '2030-06-10', ['PX009', 'PX008']],
    ['a lot on the shelf', 'DG-2610-17', ['Fleet 31', 'Fleet 27']],
    ['what nobody has', 'zzz', []],
    ['a percent sign, which stands for itself', '100% px027', ['PX027']],
    ['an underscore, which stands for itself', 'PX_4', []],
    ['a quote', "O'", []],
  ])('finds by %s', async (_, text, plates) => {
    expect(await numbers({ text })).toEqual(plates)
  })
  test('tells all of one vehicle, and all of one customer', async () => {
    await demo.send('POST', '/api/jobs', { ...newJob, plate: 'PX041', customer: 'Private owner' })
    expect(await numbers({ plate: 'PX041' })).toEqual(['PX041', 'PX041'])
    expect((await list({ customer: 'Ferry line 100% electric' })).total).toBe(10)
  })
  test('open, closed and all', async () => {
    const open = await list({ state: 'open' })
    const closed = await list({ state: 'closed' })
    expect(open.total + closed.total).toBe((await list({ state: 'all' })).total)
    const [one] = open.jobs
    await demo.send('PUT', `/api/jobs/${one?.job.id}/closed`, { closed: true })
    expect((await list({ state: 'open' })).total).toBe(open.total - 1)
    expect((await list({ state: 'closed' })).total).toBe(closed.total + 1)
  })
  test.each(['page=0', 'page=x', 'state=some', `text=${'x'.repeat(81)}`, 'other=1'])(
    'what cannot be looked for is refused in words: %s',
    async (query) => {
      expect(await demo.get(`/api/jobs?${query}`)).toMatchObject({ status: 400, body: { sentence: {} } })
    },
  )
})

import { personId, shopDayPlan } from '@truelay/contract'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { english } from '@truelay/words'
import { say } from '@truelay/core/say'
import { notInArray } from 'drizzle-orm'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { openDatabase } from '../database/openDatabase.ts'
import { jobs } from '../jobs/table.ts'
import { DemoServer, noon } from '../testing/demoServer.ts'
import { DayKeeper, type Reckon } from './keepDay.ts'
import { type DayAsked, reckonDay } from './reckonDay.ts'

let demo: DemoServer
let asked: DayAsked[]
let now: Date
beforeEach(async () => {
  demo = await new DemoServer().start()
  asked = []
  now = noon
  // One vehicle with two parts, so that its plan is there in a moment.
  await demo.database.write((db) =>
    db
      .update(jobs)
      .set({ removedAt: noon.toISOString() })
      .where(notInArray(jobs.id, ['0412'])),
  )
})
afterEach(() => demo.end())

const reckon: Reckon = async (day) => {
  asked.push(day)
  let spent = 0
  return reckonDay(day, () => (spent += 50))
}
const keeper = (with_: Reckon | null = reckon, failed?: (error: unknown) => void) =>
  new DayKeeper(demo.database, () => now, with_, failed)
/** Asks, waits until what was begun is there, and asks again. */
async function planned(day = keeper()) {
  const first = await day.answer()
  await day.settled()
  const { plan } = await day.answer()
  await day.settled()
  if (plan === null) throw new Error('there is no plan')
  return { first, plan: shopDayPlan.parse({ plan, making: false }).plan ?? plan }
}
const steps = [
  smallStep('wash', { minutes: 10 }),
  smallStep('lay', {
    minutes: 20,
    wait: { label: say`initial grab`, leastMinutes: 30, kind: 'initialGrab', usualMinutes: 30, factor: 1 },
  }),
  smallStep('trim', { minutes: 5 }),
]
const begin = (...more: object[]) =>
  demo.send(
    'POST',
    '/api/parts/0412-bonnet/fit',
    smallEvents(smallPlan(steps, { partId: '0412-bonnet' }), ...(more as never[])),
  )

describe('the plan of the day', () => {
  test('is being made when it is asked for first, and stands then: parts planned, people set, vehicle in its place', async () => {
    const { first, plan } = await planned()
    expect(first).toEqual({ plan: null, making: true })
    const own = plan.works.filter(({ partId }) => partId === '0412-bonnet')
    expect(own.length).toBeGreaterThan(2)
    expect(own.every(({ people }) => people.length >= 1)).toBe(true)
    expect(plan.works.map(({ id }) => id)).toContain('0412 leaves')
    expect(new Date(plan.noSoonerThan) <= new Date(plan.endsAt)).toBe(true)
    expect(own[0]?.says).not.toBeNull()
    // Tasks are called as people call them.
    expect(plan.works.map(({ because }) => english(because)).join(' ')).toMatch(/“(Bonnet|Headlamp, driver’s side)”/)
    expect(plan.works.map(({ because }) => english(because)).join(' ')).not.toContain('0412')
  })
  test('is kept: another server on the same folder answers with it at once', async () => {
    const { plan } = await planned()
    await demo.database.close()
    const database = await openDatabase(demo.folder, new URL('../../migrations', import.meta.url).pathname)
    const kept = await new DayKeeper(database, () => now, null).answer()
    expect(kept).toEqual({ plan, making: false })
    await database.close()
    await demo.start()
  })
  test('is not made again while nothing changes; but after five minutes, and after a write', async () => {
    const day = keeper()
    await planned(day)
    await day.answer()
    await day.settled()
    const often = asked.length
    now = new Date(noon.getTime() + 4 * 60_000)
    await day.answer()
    await day.settled()
    expect(asked.length).toBe(often)
    now = new Date(noon.getTime() + 6 * 60_000)
    expect((await day.answer()).making).toBe(true)
    await day.settled()
    expect(asked.length).toBe(often + 1)
    await begin()
    expect((await day.answer()).making).toBe(true)
    await day.settled()
    expect(asked.length).toBe(often + 2)
  })
  test('a part is planned once: what is known of it is asked again with its steps', async () => {
    const day = keeper()
    await planned(day)
    now = new Date(noon.getTime() + 6 * 60_000)
    await day.answer()
    await day.settled()
    const parts = (n: number) => asked.at(n)?.jobs.flatMap((job) => job.parts) ?? []
    expect(parts(0).every(({ steps }) => steps === null)).toBe(true)
    expect(parts(-1).every(({ steps }) => steps !== null)).toBe(true)
  })
  test('made anew it stays as it was: the same times and hands', async () => {
    const day = keeper()
    const { plan } = await planned(day)
    now = new Date(noon.getTime() + 6 * 60_000)
    // Nobody has begun, so all that should have begun begins now; the order stays.
    await day.answer()
    await day.settled()
    const { plan: next } = await day.answer()
    await day.settled()
    const order = (works: readonly { id: string; startAt: string }[] = []) =>
      [...works].sort((a, b) => a.startAt.localeCompare(b.startAt) || a.id.localeCompare(b.id)).map(({ id }) => id)
    expect(next?.madeAt).not.toBe(plan.madeAt)
    expect(order(next?.works)).toEqual(order(plan.works))
    expect(next?.works.map(({ people }) => people)).toEqual(plan.works.map(({ people }) => people))
  })
  test('what is in hand stays in those hands, and a wait that runs is waited for', async () => {
    await begin({ kind: 'stepDone', stepId: 'wash' })
    now = new Date('2030-05-01T12:00:00.000Z')
    const inHand = (await planned()).plan.works.find(({ partId }) => partId === '0412-bonnet')
    expect(inHand).toMatchObject({ stepIds: ['lay'], startAt: now.toISOString() })
    expect(inHand?.people).toHaveLength(1)
    await demo.send('POST', '/api/parts/0412-bonnet/fit', [
      {
        id: crypto.randomUUID(),
        kind: 'stepDone',
        stepId: 'lay',
        partId: '0412-bonnet',
        personId: 'ines',
        at: now.toISOString(),
      },
    ])
    const { plan } = await planned()
    const trim = plan.works.find(({ stepIds }) => stepIds.includes('trim'))
    expect(trim === undefined || new Date(trim.startAt) >= new Date(now.getTime() + 29 * 60_000)).toBe(true)
  })
  test('a vehicle that cannot leave in time is said', async () => {
    await demo.database.write((db) => db.update(jobs).set({ dueAt: new Date(noon.getTime() + 600_000).toISOString() }))
    const { plan } = await planned()
    expect(plan.late.map(({ jobId }) => jobId)).toEqual(['0412'])
    expect(plan.late[0]?.minutes).toBeGreaterThan(10)
  })
  test('nobody works when the shop is closed', async () => {
    now = new Date(2030, 4, 1, 16, 30)
    const { plan } = await planned()
    for (const { startAt, endAt, people } of plan.works) {
      if (people.length === 0) continue
      const [from, to] = [new Date(startAt), new Date(endAt)]
      expect([
        from.getHours() * 60 + from.getMinutes() >= 480,
        to.getHours() * 60 + to.getMinutes() <= 17 * 60,
      ]).toEqual([true, true])
    }
  })
  test('who has left is given nothing', async () => {
    const left = await demo.send('PATCH', '/api/people/bo', { leftAt: noon.toISOString() })
    expect(left).toMatchObject({ status: 200 })
    const { plan } = await planned()
    expect(plan.works.flatMap(({ people }) => people)).not.toContain(personId.parse('bo'))
  })
  test('where it fails, the plan that stands stays, and the fault is handed on', async () => {
    const { plan } = await planned()
    const faults: unknown[] = []
    const day = keeper(
      () => Promise.reject(new Error('no memory')),
      (error) => faults.push(error),
    )
    now = new Date(noon.getTime() + 6 * 60_000)
    expect((await day.answer()).plan).toEqual(plan)
    await day.settled()
    expect(String(faults)).toContain('no memory')
    expect((await day.answer()).plan).toEqual(plan)
    await day.settled()
  })
  test('over HTTP: without anybody who reckons there is none', async () => {
    expect((await demo.get('/api/day')).body).toEqual({ plan: null, making: false })
  })
})

import { dayTried, personId, shopDayPlan } from '@truelay/contract'
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
    expect(first).toMatchObject({ plan: null, making: true })
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
    expect(kept).toMatchObject({ plan, making: false })
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
  test('counts with the minutes that steps take in this shop', async () => {
    const day = keeper()
    const washed = async () => {
      const { plan } = await planned(day)
      const [first] = plan.works.filter(({ partId }) => partId === '0412-bonnet')
      if (first === undefined) throw new Error('nothing is planned at the bonnet')
      return (new Date(first.endAt).getTime() - new Date(first.startAt).getTime()) / 60_000
    }
    const usual = await washed()
    expect((await demo.send('PATCH', '/api/shop', { practice: { takesWashPanel: 42 } })).status).toBe(200)
    expect((await washed()) - usual).toBe(30)
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
  test('a new hand stretches film once a lead has confirmed it, and no longer when that is taken back', async () => {
    const stretches = async () => {
      await planned()
      return asked.at(-1)?.people.find(({ id }) => id === 'bo')?.stretches
    }
    expect(await stretches()).toBe(false)
    const confirmed = [{ skill: 'stretch film', at: noon.toISOString(), by: 'tarek' }]
    expect((await demo.send('PATCH', '/api/people/bo', { confirmed })).body).toMatchObject({ id: 'bo', confirmed })
    expect(await stretches()).toBe(true)
    await demo.send('PATCH', '/api/people/bo', { confirmed: [] })
    expect(await stretches()).toBe(false)
  })
  const begun = (partId: string, at = noon) => ({
    id: crypto.randomUUID(),
    partId,
    personId: 'ines',
    at: at.toISOString(),
  })
  test('what has happened is pushed through at once, before a better plan is looked for', async () => {
    const day = keeper()
    const { plan } = await planned(day)
    await begin({ kind: 'stepDone', stepId: 'wash' })
    now = new Date(noon.getTime() + 60_000)
    // The plan of the small fit is new to it: only a search knows its steps. From then on it is there at once.
    await day.answer()
    await day.settled()
    const searches = asked.length
    await demo.send('POST', '/api/parts/0412-bonnet/fit', [
      { ...begun('0412-bonnet'), kind: 'stepDone', stepId: 'lay' },
    ])
    const { plan: pushed, making } = await day.answer()
    expect(making).toBe(true)
    expect(pushed?.madeAt).not.toBe(plan.madeAt)
    expect(pushed?.works.flatMap(({ partId, stepIds }) => (partId === '0412-bonnet' ? stepIds : []))).toEqual(['trim'])
    await day.settled()
    expect(asked.length).toBe(searches + 1)
  })
  test('says how likely each promise is, and when nine of ten days have the vehicle ready', async () => {
    const { plan } = await planned()
    const [promise] = plan.promises ?? []
    expect(promise?.jobId).toBe('0412')
    expect(promise?.chance).toBeGreaterThanOrEqual(0)
    expect(new Date(promise?.sureAt ?? 0) >= new Date(promise?.readyAt ?? 0)).toBe(true)
  })
  test('a film that has waited too long is said, and comes first', async () => {
    const steps = [smallStep('soak', { driesInMinutes: 5 }), smallStep('lay')]
    await demo.send('POST', '/api/parts/0412-headlamp-left/fit', [
      { ...begun('0412-headlamp-left'), kind: 'fitStarted', plan: smallPlan(steps, { partId: '0412-headlamp-left' }) },
      { ...begun('0412-headlamp-left'), kind: 'stepDone', stepId: 'soak' },
    ])
    now = new Date(noon.getTime() + 12 * 60_000)
    const { plan } = await planned()
    expect(plan.overdue).toEqual([{ jobId: '0412', partId: '0412-headlamp-left', minutes: 7 }])
    expect(plan.works.find(({ stepIds }) => stepIds.includes('lay'))?.startAt).toBe(plan.madeAt)
  })
  describe('wishes', () => {
    const wish = (wishes: object) => demo.send('PUT', '/api/day/wishes', { pins: [], away: [], ...wishes })
    const handsOf = (works: readonly { partId: string | null; people: readonly string[] }[], part: string) =>
      new Set(works.flatMap(({ partId, people }) => (partId === part ? people : [])))
    test('who is away is given nothing until then; the shop is not asked for other hours', async () => {
      const until = new Date(2030, 4, 1, 17, 0).toISOString()
      expect(await wish({ away: [{ personId: 'ines', until }] })).toMatchObject({ status: 200 })
      const { plan } = await planned()
      const own = plan.works.filter(({ people }) => people.includes(personId.parse('ines')))
      expect(own.filter(({ startAt }) => startAt < until)).toEqual([])
    })
    test('who is to do a part does it, and what is put off waits', async () => {
      const notBefore = new Date(noon.getTime() + 90 * 60_000).toISOString()
      await wish({ pins: [{ partId: '0412-headlamp-left', personId: 'bo', notBefore }] })
      const { plan } = await planned()
      expect(handsOf(plan.works, '0412-headlamp-left')).toEqual(new Set(['bo']))
      const starts = plan.works.flatMap(({ partId, startAt }) => (partId === '0412-headlamp-left' ? [startAt] : []))
      expect(starts.every((at) => at >= notBefore)).toBe(true)
    })
    test('can be tried: what it would cost is said, and nothing is kept', async () => {
      const day = keeper()
      const { plan } = await planned(day)
      const notBefore = new Date(noon.getTime() + 600 * 60_000)
      const partId = plan.works.find((work) => work.partId === '0412-headlamp-left')?.partId
      if (partId == null) throw new Error('the headlamp is not planned')
      const tried = await day.tried({
        pins: [{ partId, personId: null, notBefore: notBefore.toISOString() }],
        away: [],
      })
      expect(new Date(tried.done[0]?.at ?? 0) > notBefore).toBe(true)
      expect(tried.plan?.endsAt).not.toBe(plan.endsAt)
      // Without a change nothing is between them.
      const same = await day.tried({ pins: [], away: [] })
      expect(same.plan?.promises).toEqual(same.without)
      expect((await day.answer()).plan).toEqual(plan)
      await day.settled()
    })
    test('that are past go with the next one: who is back, and parts that are done', async () => {
      const past = new Date(noon.getTime() - 60_000).toISOString()
      await begin(...steps.map(({ id }) => ({ kind: 'stepDone', stepId: id })))
      const pins = [{ partId: '0412-bonnet', personId: 'bo', notBefore: null }]
      expect((await wish({ pins, away: [{ personId: 'ines', until: past }] })).body).toEqual({ pins: [], away: [] })
    })
    test('of people and parts that are not here change nothing', async () => {
      expect(await wish({ away: [{ personId: 'nobody', until: noon.toISOString() }] })).toMatchObject({ status: 404 })
      expect(await wish({ pins: [{ partId: 'no-part', personId: null, notBefore: null }] })).toMatchObject({
        status: 404,
      })
      expect((await demo.get('/api/day')).body).toMatchObject({ wishes: { pins: [], away: [] } })
      expect(await demo.get('/api/day/tried?wishes=nonsense')).toMatchObject({ status: 400 })
    })
    test('that are only asked about stand as JSON in the address', async () => {
      const ask = (wishes: object) => demo.get(`/api/day/tried?wishes=${encodeURIComponent(JSON.stringify(wishes))}`)
      const tried = await ask({ pins: [], away: [] })
      expect(tried.status).toBe(200)
      expect(dayTried.safeParse(tried.body).success).toBe(true)
      const until = new Date(2030, 4, 1, 17).toISOString()
      expect(await ask({ pins: [], away: [{ personId: 'nobody', until }] })).toMatchObject({ status: 404 })
      expect(await ask({ pins: [] })).toMatchObject({ status: 400 })
    })
  })
  test('tells what has become otherwise since the first plan of the day', async () => {
    const day = keeper()
    await planned(day)
    expect((await day.answer()).changes).toMatchObject({ jobs: [], hands: [] })
    await day.settled()
    const people = ['ines', 'tarek', 'bo'].map((id) => personId.parse(id))
    const away = people.slice(0, 2).map((id) => ({ personId: id, until: new Date(2030, 4, 1, 17).toISOString() }))
    await demo.send('PUT', '/api/day/wishes', { pins: [], away })
    await day.answer()
    await day.settled()
    const { changes } = await day.answer()
    await day.settled()
    expect(changes?.jobs[0]?.laterMinutes ?? 0).toBeGreaterThan(0)
  })
  test('says when a vehicle that is only asked about could be promised for, and keeps nothing of it', async () => {
    const day = keeper()
    const { plan } = await planned(day)
    const { body: models } = await demo.get('/api/models')
    const model = (models as { id: string; parts: { slot: string; name: string; filmId: string | null }[] }[]).find(
      ({ id }) => id === 'velmora-pipit',
    )
    const parts = (model?.parts ?? [])
      .slice(0, 1)
      .map(({ slot, name, filmId }) => ({ slot, name, filmId: filmId ?? 'clearcoat-hull-180' }))
    const answer = await day.promise({
      modelId: 'velmora-pipit',
      bay: 'Bay 2',
      personId: 'ines',
      arrivesAt: noon.toISOString(),
      parts,
    } as never)
    expect(answer.unknown).toBe(0)
    expect(new Date(answer.sureAt ?? 0) >= new Date(answer.readyAt ?? 0)).toBe(true)
    expect(new Date(answer.readyAt ?? 0) > noon).toBe(true)
    expect((await day.answer()).plan).toEqual(plan)
    await day.settled()
  })
  test('what today taught: steps against their plans, by kind', async () => {
    await demo.send('POST', '/api/parts/0412-bonnet/fit', [
      { ...begun('0412-bonnet'), kind: 'fitStarted', plan: smallPlan(steps, { partId: '0412-bonnet' }) },
    ])
    const later = new Date(noon.getTime() + 14 * 60_000)
    await demo.send('POST', '/api/parts/0412-bonnet/fit', [
      { ...begun('0412-bonnet', later), kind: 'stepDone', stepId: 'wash' },
    ])
    const { body } = await demo.get('/api/day/taught')
    const phases = (
      body as { phases: { phase: string; steps: number; plannedMinutes: number; workedMinutes: number }[] }
    ).phases
    expect(phases).toHaveLength(1)
    expect(phases[0]).toMatchObject({ steps: 1, plannedMinutes: 10, workedMinutes: 14 })
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
    expect((await demo.get('/api/day')).body).toMatchObject({ plan: null, making: false })
  })
})

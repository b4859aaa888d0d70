import { type DayPlan, dayPlan, type DayWork, usualHours } from '@truelay/contract'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { say } from '@truelay/core/say'
import { english } from '@truelay/words'
import { endOfDay } from 'date-fns'
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../../testing/openShop.tsx'
import { costWords } from './costWords.ts'
import { dayLanes, droppedAt, nextWork, together, plannedDays } from './dayLanes.ts'
import { chanceWords, isDoubtful, promiseWords, staysWords } from './promiseWords.ts'
import { awayWords, withAway, withPin } from './useWishes.ts'

const day = new Date(2030, 4, 1)
const at = (hour: number, minute = 0, of = 1) => new Date(2030, 4, of, hour, minute).toISOString()
const work = (id: string, from: string, to: string, more: Partial<DayWork> = {}): DayWork =>
  ({
    id,
    jobId: '0412',
    partId: '0412-bonnet',
    stepIds: ['wash'],
    says: say`Wash, clay, wipe`,
    people: ['ines'],
    startAt: from,
    endAt: to,
    because: say`all hands were busy`,
    ...more,
  }) as DayWork
const stays = (job: string, from: string, to: string) => [
  work(`${job} comes`, from, from, { jobId: job as never, partId: null, people: [], stepIds: [], says: null }),
  work(`${job} leaves`, to, to, { jobId: job as never, partId: null, people: [], stepIds: [], says: null }),
]
const works = [
  ...stays('0412', at(9), at(13)),
  work('bonnet 0', at(9), at(10)),
  work('bonnet 1', at(10, 1), at(10, 30)),
  work('bonnet 2', at(11), at(12), { people: ['tarek', 'ines'] as never }),
  work('lamp', at(10, 30), at(11), { partId: '0412-headlamp-left' as never }),
  work('late', at(8, 30, 2), at(9, 30, 2), {
    people: ['bo'] as never,
    jobId: '0413' as never,
    partId: '0413-01' as never,
  }),
]
const plan: DayPlan = dayPlan.parse({
  madeAt: at(9),
  works,
  late: [{ jobId: '0412', minutes: 45 }],
  leftOut: [],
  endsAt: at(9, 30, 2),
  noSoonerThan: at(12),
})

let shop: OpenShop
let whole: DayPlan
beforeAll(async () => {
  shop = await openShop()
  const afternoon = work('bonnet 3', at(14), at(15))
  const soon = (minutes: number) => new Date(shop.server.now.getTime() + minutes * 60_000).toISOString()
  const pillar = work('pillar', soon(5), soon(15), { jobId: '0413', partId: '0413-01', people: ['tarek'] } as never)
  whole = dayPlan.parse({ ...plan, works: [...plan.works, afternoon, pillar] })
  await shop.server.keepDay(whole)
})
afterAll(() => shop.close())

describe('lanes of a day', () => {
  const people = ['ines', 'tarek', 'bo'].map((id) => ({ id, name: id, role: 'installer', hours: null, leftAt: null }))
  const jobs = [{ id: '0412', dueAt: at(12, 15), vehicle: {}, bay: 'Bay 1' }]
  const lanes = (now = new Date(at(10)), of = day) =>
    dayLanes({ plan, day: of, now, hours: usualHours, people: people as never, jobs: jobs as never })
  const hour = (share: number) => 8 + 9 * share
  test('go over the hours of the shop', () => {
    expect(lanes().hours.map((one) => one.hour)).toEqual(['08', '09', '10', '11', '12', '13', '14', '15', '16', '17'])
  })
  test('neighbouring work at one part is one bar, another part another', () => {
    const [ines, tarek, bo] = lanes().people
    expect(ines?.bars.map(({ works: own }) => own.map(({ id }) => id))).toEqual([
      ['bonnet 0', 'bonnet 1'],
      ['lamp'],
      ['bonnet 2'],
    ])
    expect(ines?.bars.map(({ from, to }) => [hour(from), hour(to)])).toEqual([
      [9, 10.5],
      [10.5, 11],
      [11, 12],
    ])
    expect(tarek?.bars).toHaveLength(1)
    expect(bo?.bars).toEqual([])
  })
  test('a vehicle stands from when it comes until it leaves; what dries is a band, what is due a mark', () => {
    const [vehicle] = lanes().vehicles
    expect(vehicle?.stay).toEqual({ from: 1 / 9, to: 5 / 9 })
    expect(vehicle?.waits.map(({ from, to }) => [hour(from), hour(to)])).toEqual([[10.5, 11]])
    expect(hour(vehicle?.due ?? 0)).toBeCloseTo(12.25, 6)
    expect(vehicle?.lateMinutes).toBe(45)
  })
  test('what is worked at, or dries, at the same time is one stretch, so that a new plan leaves nothing of the old one', () => {
    expect(
      together([
        { from: 0.4, to: 0.5 },
        { from: 0.1, to: 0.2 },
        { from: 0.1, to: 0.3 },
        { from: 0.3, to: 0.35 },
      ]),
    ).toEqual([
      { from: 0.1, to: 0.35 },
      { from: 0.4, to: 0.5 },
    ])
    const both = {
      ...plan,
      works: [...plan.works, work('lamp again', at(9), at(10), { partId: '0412-headlamp-left' as never })],
    }
    const [vehicle] = dayLanes({
      plan: both,
      day,
      now: day,
      hours: usualHours,
      people: [],
      jobs: jobs as never,
    }).vehicles
    expect(new Set(vehicle?.worked.map(({ from, to }) => `${from} ${to}`)).size).toBe(vehicle?.worked.length)
    expect(vehicle?.worked[0]?.from).toBeCloseTo(1 / 9, 9)
  })
  test('now is a line on its own day only', () => {
    expect(hour(lanes().now ?? 0)).toBe(10)
    expect(lanes(new Date(at(10, 0, 2))).now).toBeNull()
    expect(lanes(new Date(at(7))).now).toBeNull()
  })
  test('work outside the hours widens the day', () => {
    const early = { ...plan, works: [...plan.works, work('dawn', at(6), at(7))] }
    const wide = dayLanes({ plan: early, day, now: day, hours: usualHours, people: people as never, jobs: [] })
    expect(wide.hours[0]?.hour).toBe('06')
  })
  test('the days on which anything is planned', () => {
    expect(plannedDays(plan)).toEqual([day, new Date(2030, 4, 2)])
  })
  test('what somebody does now or next', () => {
    expect(nextWork(plan, 'ines' as never, new Date(at(10, 15)))?.id).toBe('bonnet 1')
    expect(nextWork(plan, 'bo' as never, new Date(at(10)))?.id).toBe('late')
    expect(nextWork(plan, 'bo' as never, new Date(at(10, 0, 2)))).toBeNull()
  })
})

describe('a bar that is dragged', () => {
  const people = ['ines', 'tarek'].map((id) => ({ person: { id } }))
  const lanes = { from: new Date(at(8)), to: new Date(at(18)), people } as never
  const bar = { works: [work('bonnet 0', at(9), at(10))] }
  const drop = (x: number, id: string | null) =>
    droppedAt(bar, { delta: { x }, over: id === null ? null : { id, rect: { width: 1000 } } }, lanes)
  test('over somebody else is theirs, as it stood', () => {
    expect(drop(5, 'tarek')).toEqual({ partId: '0412-bonnet', personId: 'tarek', notBefore: null })
  })
  test('to the right is later, by tens of minutes', () => {
    // 100 px of 1000 are an hour of ten.
    expect(drop(103, 'ines')).toEqual({ partId: '0412-bonnet', personId: null, notBefore: at(10) })
  })
  test('to the left, by a twitch, or beside the board it stays', () => {
    expect([drop(-200, 'ines'), drop(4, 'ines'), drop(200, null)]).toEqual([null, null, null])
  })
})

describe('in words', () => {
  const job = { id: '0412', dueAt: at(16), vehicle: { model: 'Velmora Pipit', plate: 'Fleet 27' } } as never
  const promise = (chance: number, ready: string, sure: string) =>
    ({ jobId: '0412', chance, readyAt: ready, sureAt: sure }) as never
  const now = new Date(at(12))
  test('a chance is told in tenths of days', () => {
    expect([0, 0.2, 0.66, 0.99].map((chance) => english(chanceWords(chance)))).toEqual([
      'hardly to be kept',
      'kept on 2 of 10 days',
      'kept on 7 of 10 days',
      'as good as sure',
    ])
    expect([isDoubtful(0.5), isDoubtful(0.9)]).toEqual([true, false])
  })
  test('a promise that is sure says when it is ready, one that is not when it would be', () => {
    expect(english(promiseWords(job, promise(0.97, at(15), at(15, 40)), now))).toBe(
      'Fleet 27: 16:00 is as good as sure, ready about 15:00.',
    )
    expect(english(promiseWords(job, promise(0.6, at(15, 50), at(16, 40)), now))).toBe(
      'Fleet 27: 16:00 is kept on 6 of 10 days; sure by 16:40.',
    )
  })
  test('a vehicle that stays for the sake of its film says so; one that leaves when it is done does not', () => {
    const staying = (leaves: string) => ({
      works: [...stays('0412', at(9), leaves), work('bonnet 0', at(9), at(10))],
    })
    expect(english(staysWords(staying(at(14)), job, now) ?? say`nothing`)).toBe(
      'Laid by 10:00; it stays indoors for its film, and until the shop is open.',
    )
    expect(staysWords(staying(at(10, 15)), job, now)).toBeNull()
  })
  test('what a change costs is said by vehicle; a few minutes are nothing', () => {
    const promises = (ready: string) => [promise(0.5, ready, ready)]
    const cost = (ready: string) => costWords(promises(at(15)), promises(ready), [job], now).map((one) => english(one))
    expect(cost(at(15, 25))).toEqual([
      'Fleet 27 is ready 25 min later, about 15:25: its promise is kept on 5 of 10 days.',
    ])
    expect(cost(at(14, 40))).toEqual(['Fleet 27 is ready 20 min earlier, about 14:40.'])
    expect(cost(at(15, 3))).toEqual([])
  })
  test('wishes: another one for a part takes the place of the first, an empty one goes, who is back is here', () => {
    const pin = { partId: 'p', personId: 'ines', notBefore: null } as never
    const once = withPin({ pins: [], away: [] }, pin)
    expect(withPin(once, { partId: 'p', personId: 'bo', notBefore: null } as never).pins).toHaveLength(1)
    expect(withPin(once, { partId: 'p', personId: null, notBefore: null } as never).pins).toEqual([])
    const away = withAway(once, 'ines' as never, at(17))
    expect([away.away.length, withAway(away, 'ines' as never, null).away.length]).toEqual([1, 0])
    const said = [new Date(at(14)), endOfDay(now), endOfDay(new Date(at(9, 0, 2)))].map((until) =>
      english(awayWords('Ines', until, now)),
    )
    expect(said).toEqual([
      'Ines is away until 14:00.',
      'Ines is away today.',
      'Ines is away up to and including Thu 2 May.',
    ])
  })
})

describe('the board in the bay', () => {
  afterEach(() => document.body.replaceChildren())
  test('shows the day, what cannot be kept, and who does what next', async () => {
    const { sees } = shop.visit('/')
    await sees(/Fleet 27: ready .*, promised 16:00\./)
    await sees(/Who does what next.*Ines.*Bonnet: Wash, clay, wipe/)
  })
  test('a tap on a bar says when, what, with whom and why not earlier, and leads there', async () => {
    const { sees, presses, isAt } = shop.visit('/')
    await presses(/^Bonnet, 09:00 to 10:30$/)
    await sees(/09:00 to 10:30: Wash, clay, wipe \(Ines\).*Not earlier: all hands were busy\./)
    await presses('Lay sheet')
    await isAt(/\/lay-sheets\/0412-/)
  })
  test('somebody else, or later: what it costs is asked for, it is done, and taken back', async () => {
    const { sees, seesNo, presses } = shop.visit('/')
    await presses(/^Bonnet, 09:00 to 10:30$/)
    await presses('Tarek')
    await sees(/Bonnet: Tarek\./)
    await presses('1 h later')
    await sees(/Bonnet: Tarek, from 10:00\./)
    await presses('Do it so')
    await sees(/Bonnet: Tarek, from 10:00\..*Undo/)
    expect((await shop.server.get('/api/day')).body).toMatchObject({
      wishes: { pins: [{ partId: '0412-bonnet', personId: 'tarek', notBefore: at(10) }] },
    })
    await presses('Undo')
    await seesNo(/Bonnet: Tarek, from 10:00/)
    expect((await shop.server.get('/api/day')).body).toMatchObject({ wishes: { pins: [] } })
  })
  test('somebody who is not here is said with a tap, and is back with another', async () => {
    const { sees, seesNo, presses } = shop.visit('/')
    await presses('Bo: not here?')
    await presses('today')
    await sees('Bo is away today.')
    await presses(/^Take back: Bo is away today/)
    await seesNo(/Bo is away today\.Take back/)
    expect((await shop.server.get('/api/day')).body).toMatchObject({ wishes: { away: [] } })
  })
  test('film that has waited too long stands on top, with the way there', async () => {
    const over = [{ jobId: '0413', partId: '0413-01', minutes: 7 }]
    const helps = { says: say`one more heat gun`, minutes: 35 }
    await shop.server.keepDay(dayPlan.parse({ ...whole, overdue: over, helps }))
    const { sees, presses, isAt } = shop.visit('/')
    await sees(/Front door pillar, driver’s side: 7 minutes over its time\. Go there first\./)
    await sees('What would help most: one more heat gun; 35 minutes less late altogether.')
    await presses(/over its time/)
    await isAt(/0413-01/)
  })
  test('a plan that could not be renewed says from when it is', async () => {
    await shop.server.keepDay(whole)
    const { sees } = shop.visit('/')
    await sees('As it was at 09:00: nothing newer was found.')
  })
  test('tomorrow is a tap away, and the lists of everybody too', async () => {
    const { sees, presses } = shop.visit('/')
    await presses('Thu 2 May')
    await presses('As lists')
    await sees(/Bo08:30.*Wash, clay, wipe/)
  })
})

describe('a wait in the fit', () => {
  test('says what the plan of the day has for these hands meanwhile, and leads there', async () => {
    const wait = {
      label: say`initial grab`,
      leastMinutes: 20,
      kind: 'initialGrab',
      usualMinutes: 20,
      factor: 1,
    } as const
    const small = smallPlan([smallStep('float', { wait }), smallStep('seal')], { partId: '0413-02' })
    const events = smallEvents(small, { kind: 'stepDone', stepId: 'float' } as never)
    const now = shop.server.now.toISOString()
    const sent = events.map((event) => ({ ...event, id: crypto.randomUUID(), at: now }))
    expect(await shop.server.send('POST', '/api/parts/0413-02/fit', sent)).toMatchObject({ status: 200 })
    const { sees, seesNo, presses, isAt } = shop.visit('/jobs/0413/fit/0413-02')
    await sees(/(19|20) minutes: .*by the plan of the day: Wash, clay, wipe/)
    // Where there is work nobody practises.
    await seesNo('Five minutes?')
    await presses(/by the plan of the day/)
    await isAt('/jobs/0413/lay-sheets/0413-01')
  })
})

import { addDays, addHours, addMinutes, addSeconds } from 'date-fns'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { deedOf } from '../audit/deeds.ts'
import { DemoServer, noon, said } from '../testing/demoServer.ts'
import { NetworkScreen } from '../testing/networkScreen.ts'
import { readRoutes } from '../testing/readRoutes.ts'
import { id, writeRoutes } from '../testing/writeRoutes.ts'
import { pauseAfter } from './pins.ts'

let demo: DemoServer
let desk: NetworkScreen
beforeEach(async () => {
  demo = await new DemoServer(undefined, undefined, undefined, true).start()
  demo.now = noon
  desk = new NetworkScreen(demo, 'the desk')
})
afterEach(() => demo.end())

const leadsPin = '4071'
/** The lead chooses the first PIN of the shop, at the desk. */
const leadSignsIn = () => desk.ask('PUT', '/api/pin', { personId: 'tarek', pin: leadsPin, before: null })
async function pairedTablet(name = 'Bay 1'): Promise<NetworkScreen> {
  const tablet = new NetworkScreen(demo)
  const { body } = await desk.ask('POST', '/api/pairing')
  expect((await tablet.ask('POST', '/api/pair', { code: body.code.toLowerCase(), name })).status).toBe(201)
  return tablet
}
/** Somebody who was allowed a PIN and has chosen it on a tablet. */
async function signedIn(personId: string, pin: string): Promise<NetworkScreen> {
  await desk.ask('PUT', `/api/people/${personId}/new-pin`, { allowed: true })
  const tablet = await pairedTablet(`Tablet of ${personId}`)
  expect((await tablet.ask('PUT', '/api/pin', { personId, pin, before: null })).status).toBe(200)
  return tablet
}

describe('a stranger on the network', () => {
  test('gets nothing of any route that reads', async () => {
    await leadSignsIn()
    const whole = await new DemoServer().start()
    const routes = await readRoutes(whole)
    await whole.end()
    const stranger = new NetworkScreen(demo)
    const more = ['people', 'jobs', 'room', 'backups', 'export.zip', 'tablets', 'changes', 'sign-in', 'news', 'health']
    for (const path of [...routes, ...more.map((at) => `/api/${at}`), '/api/photos/x', '/api/nothing'])
      expect(await stranger.ask('GET', path), path).toMatchObject({ status: 401, body: { code: 'STRANGER' } })
    expect(stranger.kept).toEqual([])
  })
  test('changes nothing by any route that writes', async () => {
    const before = await demo.everything()
    const stranger = new NetworkScreen(demo)
    for (const { method, path, good, inList } of writeRoutes)
      expect((await stranger.ask(method, `/api${path}`, inList ? [good] : good)).status, path).toBe(401)
    for (const path of ['/api/photos', '/api/backups', '/api/pairing', '/api/sign-in', '/api/parts/0412-bonnet/fit'])
      expect((await stranger.ask('POST', path, {})).status, path).toBe(401)
    expect((await stranger.ask('PUT', '/api/pin', { personId: 'tarek', pin: leadsPin, before: null })).status).toBe(401)
    expect(await demo.everything()).toEqual(before)
  })
  test('learns only that signing in is needed', async () => {
    const { body } = await new NetworkScreen(demo).ask('GET', '/api/session')
    expect(body).toEqual({ needed: true, desk: false, paired: false, person: null })
  })
  test('is not let in by headers that pretend to come from the desk, or by made-up tokens', async () => {
    const stranger = new NetworkScreen(demo)
    Object.assign(stranger, {
      cookies: new Map([
        ['truelay-tablet', 'x'.repeat(43)],
        ['truelay-session', 'y'.repeat(43)],
      ]),
    })
    expect((await stranger.ask('GET', '/api/shop')).status).toBe(401)
  })
})

describe('a tablet', () => {
  beforeEach(leadSignsIn)
  test('is taken in once by a code, and then shows the names to sign in with', async () => {
    const { body: offer } = await desk.ask('POST', '/api/pairing')
    expect(offer.addresses).toEqual(['https://192.168.7.2:4643'])
    const [tablet, second] = [new NetworkScreen(demo), new NetworkScreen(demo)]
    const taken = await tablet.ask('POST', '/api/pair', { code: offer.code, name: 'Bay 1' })
    expect(taken.setCookies[0]).toMatch(/truelay-tablet=.*HttpOnly.*Secure.*SameSite=Strict/)
    expect((await second.ask('POST', '/api/pair', { code: offer.code, name: 'Bay 2' })).status).toBe(422)
    expect((await tablet.ask('GET', '/api/sign-in')).body).toContainEqual({ id: 'tarek', name: 'Tarek', pin: 'set' })
    expect((await tablet.ask('GET', '/api/shop')).body.code).toBe('SIGN_IN')
  })
  test('has a few tries and a few minutes for the code', async () => {
    const stranger = new NetworkScreen(demo)
    const { body: offer } = await desk.ask('POST', '/api/pairing')
    for (let i = 0; i < 5; i++)
      expect((await stranger.ask('POST', '/api/pair', { code: `AAAA-AAA${i}`, name: 'x' })).status).toBe(422)
    const late = await stranger.ask('POST', '/api/pair', { code: offer.code, name: 'x' })
    expect(said(late)).toBe('No tablet is expected just now.')
    const { body: next } = await desk.ask('POST', '/api/pairing')
    demo.now = addMinutes(noon, 11)
    expect((await stranger.ask('POST', '/api/pair', { code: next.code, name: 'x' })).status).toBe(422)
  })
  test('is turned away by a lead, with whoever is signed in on it', async () => {
    const tablet = await signedIn('bo', '5823')
    expect((await tablet.ask('GET', '/api/shop')).status).toBe(200)
    const { ended } = await tablet.listens('/api/news')
    const { body: all } = await desk.ask('GET', '/api/tablets')
    expect(all).toHaveLength(1)
    expect(all[0]).toMatchObject({ name: 'Tablet of bo', seenAt: noon.toISOString() })
    expect((await desk.ask('PUT', `/api/tablets/${all[0].id}/removed`, { removed: true })).body).toEqual([])
    // A page that is open on it hears nothing more either.
    await ended
    expect((await tablet.ask('GET', '/api/shop')).body.code).toBe('STRANGER')
    expect((await desk.ask('PUT', `/api/tablets/${id(1)}/removed`, { removed: true })).status).toBe(404)
  })
})

describe('a PIN', () => {
  test('the first is chosen by a lead at the desk; nobody else, and nowhere else', async () => {
    const choose = (screen: NetworkScreen, personId: string) =>
      screen.ask('PUT', '/api/pin', { personId, pin: leadsPin, before: null })
    expect((await choose(desk, 'bo')).body.code).toBe('PIN_NOT_ALLOWED')
    expect((await choose(desk, 'tarek')).status).toBe(200)
    expect((await desk.ask('GET', '/api/session')).body).toMatchObject({ desk: true, person: { id: 'tarek' } })
    const again = new NetworkScreen(demo, 'the desk')
    expect((await choose(again, 'tarek')).body.code).toBe('PIN_NOT_ALLOWED')
  })
  test.each(['1234', '0000', '98765', '3456'])('%s is what anybody tries first', async (easy) => {
    const answer = await desk.ask('PUT', '/api/pin', { personId: 'tarek', pin: easy, before: null })
    expect(answer).toMatchObject({ status: 422, body: { code: 'PIN_EASY' } })
  })
  test.each(['12', 'abcd', '12 34', '1'.repeat(13)])('"%s" is none', async (odd) => {
    expect((await desk.ask('PUT', '/api/pin', { personId: 'tarek', pin: odd, before: null })).status).toBe(400)
  })
  test('is kept as Argon2id alone', async () => {
    await leadSignsIn()
    const all = JSON.stringify(await demo.everything())
    expect(all).toMatch(/\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
    expect(all).not.toContain(`"${leadsPin}"`)
  })
  test('wrong tries cost more and more time, then the name is locked until a lead lets it choose anew', async () => {
    await leadSignsIn()
    const tablet = await signedIn('bo', '5823')
    await tablet.ask('POST', '/api/sign-out', {})
    const tryPin = async (pin: string) => (await tablet.ask('POST', '/api/sign-in', { personId: 'bo', pin })).body.code
    expect([await tryPin('1111'), await tryPin('1112'), await tryPin('1113')]).toEqual(Array(3).fill('PIN_WRONG'))
    expect(await tryPin('5823')).toBe('PIN_WAIT')
    for (const pin of ['1114', '1115']) {
      demo.now = addMinutes(demo.now, 1)
      expect(await tryPin(pin)).toBe('PIN_WRONG')
    }
    demo.now = addMinutes(demo.now, 1)
    expect(await tryPin('1116')).toBe('PIN_LOCKED')
    demo.now = addDays(demo.now, 1)
    expect(await tryPin('5823')).toBe('PIN_LOCKED')
    expect((await tablet.ask('GET', '/api/sign-in')).body).toContainEqual({ id: 'bo', name: 'Bo', pin: 'locked' })

    await desk.ask('POST', '/api/sign-in', { personId: 'tarek', pin: leadsPin })
    await desk.ask('PUT', '/api/people/bo/new-pin', { allowed: true })
    expect(await tryPin('5823')).toBe('NO_PIN')
    expect((await tablet.ask('PUT', '/api/pin', { personId: 'bo', pin: '7306', before: null })).status).toBe(200)
    expect((await tablet.ask('GET', '/api/session')).body.person.id).toBe('bo')
  })
  test('many tries at a time are as many tries', async () => {
    await leadSignsIn()
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) => desk.ask('POST', '/api/sign-in', { personId: 'tarek', pin: `20${i + 10}` })),
    )
    const codes = answers.map(({ body }) => body.code)
    expect(codes.filter((code) => code === 'PIN_WRONG')).toHaveLength(3)
    expect(codes.filter((code) => code === 'PIN_WAIT')).toHaveLength(9)
  })
  test('a right one after wrong ones begins anew', async () => {
    await leadSignsIn()
    const signIn = (pin: string) => desk.ask('POST', '/api/sign-in', { personId: 'tarek', pin })
    for (let round = 0; round < 3; round++) {
      await signIn('1111')
      await signIn('1112')
      expect((await signIn(leadsPin)).status).toBe(200)
    }
  })
  test('is changed by its owner with the one before', async () => {
    await leadSignsIn()
    const change = (before: string) => desk.ask('PUT', '/api/pin', { personId: 'tarek', pin: '8160', before })
    expect((await change('1111')).body.code).toBe('PIN_WRONG')
    expect((await change(leadsPin)).status).toBe(200)
    expect((await desk.ask('POST', '/api/sign-in', { personId: 'tarek', pin: '8160' })).status).toBe(200)
  })
  test('may be chosen for a day after the lead’s word', async () => {
    await leadSignsIn()
    const tablet = await pairedTablet()
    await desk.ask('PUT', '/api/people/bo/new-pin', { allowed: true })
    demo.now = addHours(noon, 25)
    const late = await tablet.ask('PUT', '/api/pin', { personId: 'bo', pin: '5823', before: null })
    expect(late.body.code).toBe('PIN_NOT_ALLOWED')
  })
  test('each pause is double the one before', () => {
    const pauses = [1, 2, 3, 4, 5].map((wrong) => pauseAfter({ wrong, wrongAt: noon.toISOString() }, noon) / 1000)
    expect(pauses).toEqual([0, 0, 2, 4, 8])
    expect(pauseAfter({ wrong: 5, wrongAt: noon.toISOString() }, addSeconds(noon, 8))).toBe(0)
  })
})

describe('a session', () => {
  test('ends by signing out, by a long day, by nobody at the screen, and when somebody leaves the shop', async () => {
    await leadSignsIn()
    const signedOn = async () => (await desk.ask('GET', '/api/session')).body.person !== null
    const signIn = () => desk.ask('POST', '/api/sign-in', { personId: 'tarek', pin: leadsPin })
    await desk.ask('POST', '/api/sign-out', {})
    expect(await signedOn()).toBe(false)
    await signIn()
    demo.now = addHours(demo.now, 6)
    expect(await signedOn()).toBe(false)
    await signIn()
    for (let hour = 0; hour < 14; hour++) {
      demo.now = addHours(demo.now, 1)
      expect(await signedOn(), `${hour + 1} h`).toBe(true)
    }
    demo.now = addHours(demo.now, 1)
    expect(await signedOn()).toBe(false)

    await signIn()
    const tablet = await signedIn('bo', '5823')
    await desk.ask('PATCH', '/api/people/bo', { leftAt: demo.now.toISOString() })
    expect((await tablet.ask('GET', '/api/shop')).body.code).toBe('SIGN_IN')
  })
  test('is good on its own screen alone', async () => {
    await leadSignsIn()
    const tablet = await signedIn('bo', '5823')
    const other = await pairedTablet('Bay 2')
    const stolen = (tablet as unknown as { cookies: Map<string, string> }).cookies.get('truelay-session') ?? ''
    ;(other as unknown as { cookies: Map<string, string> }).cookies.set('truelay-session', stolen)
    expect((await other.ask('GET', '/api/shop')).status).toBe(401)
    expect((await tablet.ask('GET', '/api/shop')).status).toBe(200)
  })
})

describe('roles', () => {
  test('every way to write is known by who may', () => {
    for (const { method, path, good } of writeRoutes)
      expect(deedOf({ method, path, body: good }), `${method} ${path}`).not.toBeNull()
    expect(deedOf({ method: 'DELETE', path: '/everything', body: {} })).toBeNull()
  })
  test('a new hand works, and does not change figures of the trade; an installer does, and does not change the people', async () => {
    await leadSignsIn()
    await desk.ask('PATCH', '/api/people/bo', { role: 'new hand' })
    const bo = await signedIn('bo', '5823')
    const good = (path: string) => writeRoutes.find((route) => route.path === path)?.good
    const film = () => bo.ask('PUT', '/api/films/clearcoat-hull-180', good('/films/clearcoat-hull-180'))
    const finding = `/jobs/0412/findings/${id(1)}`
    expect((await bo.ask('PUT', `/api${finding}`, good(finding))).status).toBe(200)
    expect(await film()).toMatchObject({ status: 403, body: { code: 'NOT_YOURS' } })
    expect((await bo.ask('PATCH', '/api/shop', { theme: 'night' })).status).toBe(403)
    for (const path of ['backups', 'export.zip', 'changes', 'tablets', 'Backups', 'EXPORT.zip'])
      expect((await bo.ask('GET', `/api/${path}`)).status, path).toBe(403)

    await desk.ask('PATCH', '/api/people/bo', { role: 'installer' })
    expect((await film()).status).toBe(200)
    expect((await bo.ask('PATCH', '/api/shop', { stockAlcoholPercent: 90 })).status).toBe(200)
    for (const body of [{ practice: { filmSideClearanceMm: 1 } }, { stockAlcoholPercent: 90, name: 'Mine' }])
      expect((await bo.ask('PATCH', '/api/shop', body)).status).toBe(403)
    expect((await bo.ask('POST', '/api/people', { name: 'Runa', role: 'lead' })).status).toBe(403)
    expect((await bo.ask('PUT', '/api/people/tarek/new-pin', { allowed: true })).status).toBe(403)
  })
})

describe('who changed what', () => {
  test('stands with name, screen and time, the latest first, and only once for what is sent twice', async () => {
    await leadSignsIn()
    const ines = await signedIn('ines', '5823')
    await ines.ask('PATCH', '/api/jobs/0412', { plate: 'QF 77' })
    await desk.ask('PATCH', '/api/shop', { name: 'Other Quay' })
    const { body } = await desk.ask('GET', '/api/changes')
    expect(body.older).toBe(false)
    const told = body.changes.map((c: { by: string; from: string | null; what: never }) => [
      c.by,
      c.from,
      said({ body: { sentence: c.what } }),
    ])
    expect(told).toEqual([
      ['Tarek', null, 'the shop: name'],
      ['Ines', 'Tablet of ines', 'job 0412: plate'],
      ['Tarek', null, 'a tablet invited'],
      ['Tarek', null, 'ines may choose a new PIN'],
    ])
    const next = await desk.ask('GET', `/api/changes?before=${body.changes[1].id}`)
    expect(next.body.changes).toHaveLength(2)
  })
})

describe('without the network', () => {
  test('nobody signs in, and the address that tablets would use is not there', async () => {
    const alone = await new DemoServer().start()
    expect((await alone.get('/api/session')).body).toEqual({ needed: false, desk: true, paired: true, person: null })
    expect((await alone.send('POST', '/api/pairing', {})).body.code).toBe('NO_NETWORK')
    await alone.send('PATCH', '/api/shop', { theme: 'day' })
    expect((await alone.get('/api/changes')).body.changes[0]).toMatchObject({ by: null, from: null })
    await alone.end()
  })
})

describe('an empty folder on the network', () => {
  test('is opened at the desk, before anybody has a PIN, and not from elsewhere', async () => {
    const empty = await new DemoServer(undefined, undefined, 'empty', true).start()
    expect((await new NetworkScreen(empty).ask('GET', '/api/shop')).status).toBe(401)
    expect((await new NetworkScreen(empty, 'the desk').ask('GET', '/api/shop')).body.code).toBe('NO_SHOP')
    await empty.end()
  })
})

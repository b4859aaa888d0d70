import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { cutDraft } from '@truelay/contract'
import { english } from '@truelay/words'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { addCut, takeFile } from './queries.ts'

let shop: DemoServer
let machine: Server
let address: string
/** Files that the machine was sent, and how it takes the next. */
let sent: string[]
let takes: { readonly status: number; readonly says: string; readonly kind?: string }

beforeAll(async () => {
  shop = await new DemoServer().start()
  machine = createServer((req, res) => {
    let body = ''
    req.on('data', (piece) => {
      body += piece
    })
    req.on('end', () => {
      sent.push(body)
      res.statusCode = takes.status
      res.setHeader('content-type', takes.kind ?? 'text/plain')
      res.end(takes.says)
    })
  }).listen(0, '127.0.0.1')
  await new Promise((resolve) => machine.once('listening', resolve))
  address = `http://127.0.0.1:${(machine.address() as AddressInfo).port}/plotter`
  await connect(address)
})
afterAll(async () => {
  await shop.end()
  machine.close()
})
beforeEach(() => {
  sent = []
  takes = { status: 202, says: '' }
})

const connect = async (plotter: string | null) => {
  const devices = (await shop.get('/api/devices')).body
  expect((await shop.send('PUT', '/api/devices', { ...devices, plotter })).status).toBe(200)
}
const draft = (over: object = {}) => ({
  id: crypto.randomUUID(),
  filmId: 'clearcoat-hull-180',
  lot: 'H180-2612-07',
  personId: 'ines',
  rollWidthMm: 1520,
  usedLengthMm: 1120,
  pieces: [{ pieceId: 'pipit-bonnet-piece', count: 1 }],
  file: 'IN;PU0,0;PD400,0;',
  ...over,
})
const send = (cut: object, job = '0412') => shop.send('POST', `/api/jobs/${job}/cuts`, cut)
const counted = async () => (await shop.get('/api/jobs/0412/kit-check')).body.arrived

describe('a cut', () => {
  test('is sent to the plotter once, and its pieces are counted with the lot of the roll', async () => {
    const cut = draft()
    const answer = await send(cut)
    expect(answer.body).toMatchObject({ id: cut.id, jobId: '0412', state: 'cut', lot: 'H180-2612-07' })
    expect(answer.body.file).toBeUndefined()
    expect(sent).toEqual([cut.file])
    expect(await counted()).toMatchObject([{ pieceId: 'pipit-bonnet-piece', arrived: 1, lot: 'H180-2612-07' }])
    // Sent again because the answer was lost: under the same write or another, it is cut and counted once.
    expect((await send(cut)).body).toMatchObject({ id: cut.id, state: 'cut' })
    expect(sent).toHaveLength(1)
    expect(await counted()).toMatchObject([{ arrived: 1 }])
    expect((await shop.get('/api/jobs/0412/cuts')).body).toMatchObject([
      { id: cut.id, state: 'cut', usedLengthMm: 1120 },
    ])
  })

  test('two at once of the same id are one cut', async () => {
    const cut = draft()
    const before = (await counted())[0].arrived
    const answers = await Promise.all([send(cut), send(cut), send(cut)])
    expect(answers.map(({ body }) => body.state)).toEqual(['cut', 'cut', 'cut'])
    expect(sent).toHaveLength(1)
    expect((await counted())[0].arrived).toBe(before + 1)
  })

  test('that the plotter refuses says why, counts nothing, and may be sent anew', async () => {
    takes = { status: 409, says: 'it has 300 mm of film left, and this takes 1120 mm.' }
    const before = await counted()
    const { body } = await send(draft())
    expect(body.state).toBe('refused')
    expect(english(body.says)).toBe('The plotter refused the cut: it has 300 mm of film left, and this takes 1120 mm.')
    expect(await counted()).toEqual(before)
    takes = { status: 202, says: '' }
    expect((await send(draft())).body.state).toBe('cut')
  })

  test.each([
    ['a page of something else', { status: 500, says: '<h1>secret</h1>', kind: 'text/html' }],
    ['far more than a reason', { status: 409, says: 'x'.repeat(5000) }],
  ])('answered with %s is refused without repeating it', async (_, answer) => {
    takes = answer
    expect(english((await send(draft())).body.says)).toBe('The plotter refused the cut.')
  })

  test('to a plotter that is off, or to none, says what to look at', async () => {
    await connect('http://127.0.0.1:9/plotter')
    expect(english((await send(draft())).body.says)).toBe('The plotter does not answer. Is it on, and is its cable in?')
    await connect('http://169.254.169.254/plotter')
    expect(english((await send(draft())).body.says)).toMatch(/^The plotter does not answer/)
    await connect(null)
    expect(english((await send(draft())).body.says)).toMatch(/^No plotter is connected/)
    await connect(address)
  })

  test('whose server ended while it was sent is not sent again: only the plotter knows', async () => {
    const cut = draft()
    const before = await counted()
    await addCut(shop.database, '0412' as never, cutDraft.parse(cut), new Date())
    expect(await takeFile(shop.database, cut.id)).toBe(cut.file)
    expect(await takeFile(shop.database, cut.id)).toBeNull()
    const { body } = await send(cut)
    expect(body.state).toBe('not known')
    expect(english(body.says)).toMatch(/look at the plotter whether it was cut/)
    expect(sent).toEqual([])
    expect(await counted()).toEqual(before)
  })

  test.each([
    ['no piece', { pieces: [] }],
    ['no lot', { lot: ' ' }],
    ['no file', { file: '' }],
    ['half a piece', { pieces: [{ pieceId: 'pipit-bonnet-piece', count: 0.5 }] }],
  ])('with %s is refused and never sent', async (_, over) => {
    expect((await send(draft(over))).status).toBe(400)
    expect(sent).toEqual([])
  })

  test('under an id that stands for another is refused; of a job that is not there too', async () => {
    const cut = draft()
    await send(cut)
    expect((await send({ ...cut, lot: 'OTHER' })).body.code).toBe('CUT_ID_TAKEN')
    expect((await send(draft(), '9999')).status).toBe(404)
    expect(sent).toHaveLength(1)
  })
})

test('a test square is cut in the size that is asked for, drawn as every cut is', async () => {
  const square = (sideMm: number) => shop.send('POST', '/api/plotter/test-square', { sideMm })
  expect((await square(200)).body).toMatchObject({ taken: true })
  expect(sent[0]).toContain('PU400,400;\nPD8400,400,8400,8400,400,8400,400,400;')
  // A plotter that cuts 0.4 % too short along the roll is told more.
  await shop.send('PATCH', '/api/shop', { practice: { plotterAlong: 99.6 } })
  await square(200)
  expect(sent[1]).toContain('PU402,400;\nPD8434,400,8434,8400,402,8400,402,400;')
  await connect(null)
  expect(english((await square(200)).body.says)).toMatch(/^No plotter is connected/)
  expect((await square(20)).status).toBe(400)
})

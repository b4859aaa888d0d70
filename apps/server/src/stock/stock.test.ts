import { filmOfJob, type RollBook, rollBook, type Stock, stock } from '@truelay/contract'
import { english } from '@truelay/words'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'

let shop: DemoServer
beforeAll(async () => {
  shop = await new DemoServer().start()
})
afterAll(() => shop.end())

const readStock = async (): Promise<Stock> => stock.parse((await shop.get('/api/stock')).body)
const readBook = async (id: string): Promise<RollBook> =>
  rollBook.parse((await shop.get(`/api/stock/rolls/${id}`)).body)
const filmOf = async (id: string) => (await readStock()).films.find(({ filmId }) => filmId === id)
const leftOf = async (id: string) => (await readBook(id)).account.leftMm
const note = (rollId: string, happened: object, id: string = crypto.randomUUID()) =>
  shop.send('POST', `/api/stock/rolls/${rollId}/lines`, {
    id,
    at: '2030-05-08T09:00:00.000Z',
    personId: 'ines',
    happened,
  })
const cut = (over: object = {}) => ({
  id: crypto.randomUUID(),
  filmId: 'clearcoat-hull-180',
  lot: 'H180-2611-04',
  personId: 'ines',
  rollWidthMm: 1520,
  usedLengthMm: 1100,
  pieces: [{ pieceId: 'pipit-bonnet-piece', count: 1 }],
  piecesMm2: 1_200_000,
  from: { rollId: 'r1', offcutId: null, keeps: null },
  file: null,
  ...over,
})
const send = (draft: object, job = '0412') => shop.send('POST', `/api/jobs/${job}/cuts`, draft)

describe('rolls on the shelf', () => {
  test('the demo shop’s rolls stand with what is left, spoilt stretches and offcuts', async () => {
    const { rolls, films } = await readStock()
    expect(rolls.map(({ roll }) => roll.id).sort()).toEqual(['r1', 'r2', 'r3', 'r4', 'r5'])
    expect((await readBook('r1')).account).toMatchObject({
      leftMm: 8200,
      spoilt: [[2400, 2800]],
      offcuts: [{ widthMm: 620, lengthMm: 480 }],
    })
    expect(films.find(({ filmId }) => filmId === 'clearcoat-hull-180')).toMatchObject({
      yieldIsOwn: true,
      outlook: { firstShort: null },
      jobs: [{ number: '0412' }, { number: '0413' }, { number: '0414' }, { number: '0415' }],
    })
    // 350 mm are left of the ebony film: enough for the first car, not for the second.
    const ebony = films.find(({ filmId }) => filmId === 'ebony-cast-dry')
    expect(ebony).toMatchObject({ outlook: { reorder: true, firstShort: { jobId: '0414' } } })
  })

  test('a new roll gets the next number, and counts at once', async () => {
    const before = await filmOf('weir-smoke-wet')
    const draft = {
      filmId: 'weir-smoke-wet',
      lot: 'WS-2701-01',
      widthMm: 760,
      lengthMm: 8000,
      price: null,
      cameAt: '2030-05-08T09:00:00.000Z',
    }
    const { status, body } = await shop.send('POST', '/api/stock/rolls', draft)
    expect([status, body.id]).toEqual([201, 'r6'])
    expect((await filmOf('weir-smoke-wet'))?.outlook.leftMm).toBe((before?.outlook.leftMm ?? 0) + 8000)
    expect((await shop.send('POST', '/api/stock/rolls', { ...draft, filmId: 'no-film' })).status).toBe(404)
  })

  test('what was typed wrongly is put right; under another’s address it is refused', async () => {
    const { roll } = await readBook('r6')
    expect((await shop.send('PUT', '/api/stock/rolls/r6', { ...roll, lot: 'WS-2701-02' })).status).toBe(200)
    expect((await readBook('r6')).roll.lot).toBe('WS-2701-02')
    expect((await shop.send('PUT', '/api/stock/rolls/r5', roll)).body.code).toBe('OTHER_ROLL')
    expect((await shop.send('PUT', '/api/stock/rolls/r99', { ...roll, id: 'r99' })).status).toBe(404)
  })

  test('a roll that has less than it says is measured; gone it is off the list, and may come back', async () => {
    await note('r6', { kind: 'measured', leftMm: 7100 })
    expect(await leftOf('r6')).toBe(7100)
    await note('r6', { kind: 'gone' })
    expect((await readStock()).rolls.some(({ roll }) => roll.id === 'r6')).toBe(false)
    expect((await note('r6', { kind: 'gone' })).status).toBe(422)
    await note('r6', { kind: 'back' })
    expect(await leftOf('r6')).toBe(7100)
  })

  test.each([
    ['more than it came with', { kind: 'measured', leftMm: 16_000 }, /came with 15 m: it cannot have 16 m left/],
    ['spoilt beyond its end', { kind: 'spoilt', fromMm: 14_000, toMm: 15_500 }, /nothing can be spoilt 15.5 m from/],
    [
      'an offcut wider than itself',
      { kind: 'offcut kept', offcutId: 'o', cutId: null, widthMm: 1600, lengthMm: 300 },
      /is 1520 mm wide/,
    ],
    ['an offcut that is not there', { kind: 'offcut gone', offcutId: 'none' }, /not there any more/],
    ['back though it is here', { kind: 'back' }, /is not gone/],
  ])('%s is refused in words and changes nothing', async (_, happened, says) => {
    const before = await readBook('r2')
    const { status, body } = await note('r2', happened)
    expect([status, english(body.sentence)]).toEqual([422, expect.stringMatching(says)])
    expect(await readBook('r2')).toEqual(before)
  })

  test('a line that is sent twice stands once; a cut is written by its job only', async () => {
    const id = crypto.randomUUID()
    const spoilt = { kind: 'spoilt', fromMm: 1000, toMm: 1200 }
    await note('r2', spoilt, id)
    await note('r2', spoilt, id)
    expect((await readBook('r2')).lines.filter((line) => line.id === id)).toHaveLength(1)
    expect((await note('r2', { ...spoilt, toMm: 1300 }, id)).body.code).toBe('ROLL_LINE_TAKEN')
    const byHand = { kind: 'cut', cutId: id, lengthMm: 100, piecesMm2: 0, offcutId: null }
    expect((await note('r2', byHand)).status).toBe(400)
    expect((await note('r2', { ...spoilt, toMm: 900 })).status).toBe(400)
  })
})

describe('film is taken from its roll by every cut', () => {
  test('cut elsewhere and told: counted with its lot, the roll shorter, what was put by on the shelf, once', async () => {
    const left = await leftOf('r1')
    const offcutId = crypto.randomUUID()
    const draft = cut({
      from: { rollId: 'r1', offcutId: null, keeps: { offcutId, widthMm: 400, lengthMm: 700 } },
    })
    expect((await send(draft)).body).toMatchObject({ state: 'cut' })
    expect((await send(draft)).body).toMatchObject({ state: 'cut' })
    const book = await readBook('r1')
    expect(book.account.leftMm).toBe(left - 1100)
    expect(book.account.spoilt).toEqual([[1300, 1700]])
    expect(book.account.offcuts).toContainEqual({ offcutId, widthMm: 400, lengthMm: 700 })
    expect(book.lines[1]).toMatchObject({ job: { number: '0412' }, happened: { kind: 'cut', lengthMm: 1100 } })
    // 912 for 15 m of 1.52 m: 40 for a square metre.
    expect(book.account.cuts.at(-1)?.cost).toBeCloseTo(40 * (1.1 * 1.52 - 0.28), 6)
    expect((await shop.get('/api/jobs/0412/kit-check')).body.arrived).toMatchObject([
      { pieceId: 'pipit-bonnet-piece', arrived: 1, lot: 'H180-2611-04' },
    ])
  })

  test('from an offcut the roll stays as it is, and the offcut is used', async () => {
    const left = await leftOf('r1')
    const offcutId = '00000000-0000-4000-8000-0000000000d2'
    await send(
      cut({
        usedLengthMm: 300,
        piecesMm2: 50_000,
        pieces: [{ pieceId: 'pipit-mirror-left', count: 1 }],
        from: { rollId: 'r1', offcutId, keeps: null },
      }),
      '0415',
    )
    const { account } = await readBook('r1')
    expect(account.leftMm).toBe(left)
    expect(account.offcuts.some((offcut) => offcut.offcutId === offcutId)).toBe(false)
    // Somebody at another tablet has it chosen still.
    const again = await send(cut({ from: { rollId: 'r1', offcutId, keeps: null } }))
    expect([again.status, again.body.code]).toEqual([422, 'OFFCUT_GONE'])
    expect((await readBook('r1')).account).toEqual(account)
  })

  test('of another film or lot than the roll is refused, and nothing is counted', async () => {
    const before = await readBook('r1')
    const answer = await send(cut({ lot: 'H180-2612-07' }))
    expect([answer.status, answer.body.code]).toEqual([422, 'OTHER_ROLL'])
    expect((await send(cut({ from: { rollId: 'r77', offcutId: null, keeps: null } }))).status).toBe(404)
    expect(await readBook('r1')).toEqual(before)
  })

  test('two lots of one piece are told apart in the kit, and both stand in the record', async () => {
    await send(cut({ lot: 'H180-2612-07', from: { rollId: 'r2', offcutId: null, keeps: null } }))
    expect((await shop.get('/api/jobs/0412/kit-check')).body.arrived).toMatchObject([
      {
        arrived: 2,
        lot: 'H180-2612-07',
        lots: [
          { lot: 'H180-2611-04', count: 1 },
          { lot: 'H180-2612-07', count: 1 },
        ],
      },
    ])
    expect((await shop.get('/api/parts/0412-bonnet/record')).body.lot).toBe('H180-2611-04 / H180-2612-07')
    const put = (arrived: number, lot: string) =>
      shop.send('PUT', '/api/jobs/0412/kit-check/pipit-bonnet-piece', { arrived, lot, personId: 'ines' })
    // One of the later lot is taken back: the other one is left.
    const { lot, lots } = (await put(1, 'H180-2612-07')).body
    expect([lot, lots]).toEqual(['H180-2611-04', undefined])
    expect((await put(1, 'H180-2612-07')).body).toMatchObject({ arrived: 1, lot: 'H180-2612-07' })
  })

  test('a sheet off the roll gives its part the lot of the roll, and is not asked for again', async () => {
    const choices = (await shop.get('/api/jobs/0413')).body.parts.find(
      (p: { id: string }) => p.id === '0413-03',
    ).choices
    await shop.send('PATCH', '/api/parts/0413-03/choices', { ...choices, cut: 'from the roll' })
    const { filmId } = (await shop.get('/api/jobs/0413')).body.parts.find((p: { id: string }) => p.id === '0413-03')
    const rollOf: Record<string, [string, string]> = {
      'clearcoat-hull-180': ['r1', 'H180-2611-04'],
      'weir-smoke-wet': ['r5', 'WS-2609-02'],
      'ebony-cast-dry': ['r3', 'EC-2611-31'],
    }
    const [rollId, lot] = rollOf[filmId] ?? ['', '']
    const need = async () => (await filmOf(filmId))?.outlook.needMm ?? 0
    const before = await need()
    const sheet = cut({ filmId, lot, pieces: [], sheets: ['0413-03'], from: { rollId, offcutId: null, keeps: null } })
    expect((await send(sheet, '0413')).body.state).toBe('cut')
    expect(await need()).toBeLessThan(before - 100)
    expect((await shop.get('/api/parts/0413-03/record')).body.lot).toBe(lot)
  })

  test('one cut for two jobs: counted in each, its film shared by the areas of the pieces', async () => {
    const before = await leftOf('r2')
    const counted = async (job: string, piece: string) =>
      (await shop.get(`/api/jobs/${job}/kit-check`)).body.arrived.find(
        ({ pieceId }: { pieceId: string }) => pieceId === piece,
      )?.arrived ?? 0
    const both = cut({
      lot: 'H180-2612-07',
      usedLengthMm: 1500,
      pieces: [
        { pieceId: 'pipit-mirror-left', count: 1 },
        { pieceId: 'pipit-mirror-right', count: 2, jobId: '0413' },
      ],
      from: { rollId: 'r2', offcutId: null, keeps: null },
    })
    const was = [await counted('0415', 'pipit-mirror-left'), await counted('0413', 'pipit-mirror-right')]
    expect((await send(both, '0415')).body.state).toBe('cut')
    expect([await counted('0415', 'pipit-mirror-left'), await counted('0413', 'pipit-mirror-right')]).toEqual([
      (was[0] ?? 0) + 1,
      (was[1] ?? 0) + 2,
    ])
    expect(await leftOf('r2')).toBe(before - 1500)
    const film = async (job: string) =>
      filmOfJob
        .parse((await shop.get(`/api/jobs/${job}/film`)).body)
        .filter(({ lot, id }) => lot === 'H180-2612-07' && id.startsWith('pipit-mirror'))
    const [own, others] = [await film('0415'), await film('0413')]
    // 934 for 15 m: 93.40 for the 1.5 m, a third for the one, two thirds for the other.
    expect(own).toMatchObject([{ id: 'pipit-mirror-left', count: 1 }])
    expect(others).toMatchObject([{ id: 'pipit-mirror-right', count: 2 }])
    expect((own[0]?.cost ?? 0) + (others[0]?.cost ?? 0)).toBeCloseTo(93.4, 6)
    expect((others[0]?.cost ?? 0) / (own[0]?.cost ?? 1)).toBeCloseTo(2, 1)
    expect(
      (await send({ ...both, id: crypto.randomUUID(), pieces: [{ ...both.pieces[0], jobId: '9999' }] })).status,
    ).toBe(404)
  })

  test('a kit that comes cut asks for no film', async () => {
    const { kits } = (await shop.get('/api/shelf')).body
    const need = async () => (await filmOf('ebony-cast-dry'))?.outlook.needMm ?? 0
    expect(await need()).toBeGreaterThan(0)
    for (const kit of kits) await shop.send('PUT', `/api/kits/${kit.id}`, { ...kit, comesCut: true })
    expect(await need()).toBe(0)
  })
})

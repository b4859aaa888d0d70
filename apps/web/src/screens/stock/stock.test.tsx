import { screen, within } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const book = async (id: string) => (await shop.server.get(`/api/stock/rolls/${id}`)).body
const figure = () => screen.findByTestId('roll-left')

describe('the rolls of the shop', () => {
  test('from the shelf: what runs short stands first, with the job and the day', async () => {
    const visit = shop.visit('/shelf')
    await visit.presses('Rolls')
    await visit.sees(/5 rolls; 1 film has to be ordered/)
    const [first] = await screen.findAllByRole('region')
    expect(first?.textContent).toMatch(/Ebony cast, satin0.35 m.*Lasts until .*: job 0414 lacks .* Order it now/)
    await visit.sees(/Enough for 4 open jobs: they take about/)
    await visit.sees(/Reckoned with 75 % of the film becoming pieces, as your cuts came out/)
    await visit.sees(/Put by: 480 mm by 620 mm/)
  })

  test('the label of a core opens its roll; another code is refused in words', async () => {
    const visit = shop.visit('/shelf/rolls')
    await visit.types('Scan the label of a core', 'TL1/pipit-bonnet-piece/X{Enter}')
    await visit.sees(/is no label of a core/)
    await visit.types('Scan the label of a core', 'TLR1/r2/H180-2612-07{Enter}')
    await visit.sees(/Roll 2/)
    await visit.isAt(/\/shelf\/rolls\/r2$/)
    await visit.presses('Print its label')
    expect((await screen.findByRole('dialog')).textContent).toMatch(/Roll 2.*Hullskin 180 clear.*lot H180-2612-07/)
    expect(await screen.findByAltText('TLR1/r2/H180-2612-07')).toBeTruthy()
  })

  test('a new roll: like the last of its film, with a lot of its own; it counts at once', async () => {
    const visit = shop.visit('/shelf/rolls/new')
    await visit.user.selectOptions(await screen.findByLabelText('Film'), 'Ebony cast, satin')
    expect(screen.getByRole('button', { name: 'Put it on the shelf' })).toHaveProperty('disabled', true)
    await visit.user.type(screen.getByLabelText('Lot'), 'EC-2701-02')
    await visit.presses('Put it on the shelf')
    await visit.sees(/Ebony cast, satin, lot EC-2701-02, 1370 mm wide/)
    expect((await book('r6')).roll).toMatchObject({ lengthMm: 10_000, price: 148 })
    const rolls = shop.visit('/shelf/rolls')
    await rolls.sees(/6 rolls; nothing has to be ordered/)
  })

  test('measured, spoilt, put by, used up and back: each stands in its book', async () => {
    const visit = shop.visit('/shelf/rolls/r5')
    expect((await figure()).textContent).toBe('8.00 m')
    await visit.types('Left on the roll', '7.5')
    await visit.presses('Note it')
    await expect.poll(async () => (await figure()).textContent).toBe('7.50 m')
    const spoilt = within(screen.getByRole('region', { name: /^Spoilt/ }))
    await visit.user.clear(spoilt.getByLabelText('From'))
    await visit.user.type(spoilt.getByLabelText('From'), '7.2')
    await visit.user.clear(spoilt.getByLabelText('To'))
    await visit.user.type(spoilt.getByLabelText('To'), '7.9{Enter}')
    await visit.presses('Mark it')
    await visit.sees(/The roll has 7.5 m left: nothing can be spoilt 7.9 m from its end/)
    await visit.user.clear(spoilt.getByLabelText('To'))
    await visit.user.type(spoilt.getByLabelText('To'), '7.4{Enter}')
    await visit.presses('Mark it')
    await visit.sees(/Spoilt: 7.2 m to 7.4 m from its loose end/i)
    await visit.presses('Keep it')
    await visit.sees(/Put by: 500 mm by 500 mm/)
    await visit.presses('Thrown away')
    await visit.sees(/an offcut thrown away/i)
    await visit.presses('The roll is used up')
    await visit.sees(/It is used up/)
    await visit.presses('It is not used up after all')
    await expect.poll(async () => (await figure()).textContent).toBe('7.50 m')
    expect((await book('r5')).account).toMatchObject({ leftMm: 7500, spoilt: [[7200, 7400]], offcuts: [] })
  })

  test('what each cut took and cost stands with its job', async () => {
    await shop.server.send('POST', '/api/jobs/0412/cuts', {
      id: crypto.randomUUID(),
      filmId: 'clearcoat-hull-180',
      lot: 'H180-2612-07',
      personId: 'ines',
      rollWidthMm: 1520,
      usedLengthMm: 1000,
      pieces: [{ pieceId: 'pipit-bonnet-piece', count: 1 }],
      piecesMm2: 1_100_000,
      from: { rollId: 'r2', offcutId: null, keeps: null },
      file: null,
    })
    const visit = shop.visit('/shelf/rolls/r2')
    await visit.sees(/1 m cut off: 1.1 m² of pieces job 0412/)
    await visit.sees(/62.27 €/)
    await visit.sees(/72 % of what was cut off became pieces/)
    await visit.presses('job 0412')
    await visit.isAt(/\/jobs\/0412/)
  })

  test('a wrong lot is put right; a kit that comes cut asks for no film', async () => {
    const visit = shop.visit('/shelf/rolls/r3')
    await visit.user.click(await screen.findByText('Put right what was typed of it'))
    const lot = await screen.findByLabelText('Lot')
    await visit.user.clear(lot)
    await visit.user.type(lot, 'EC-2611-32')
    await visit.presses('Save')
    await expect.poll(async () => (await book('r3')).roll.lot).toBe('EC-2611-32')
    const shelf = shop.visit('/shelf')
    const kit = within(await screen.findByRole('region', { name: 'Finch front trim' }))
    await shelf.user.click(kit.getByRole('checkbox', { name: /Comes cut in its box/ }))
    await expect
      .poll(async () => {
        const { kits } = (await shop.server.get('/api/shelf')).body
        return kits.find(({ id }: { id: string }) => id === 'finch-trim-kit').comesCut
      })
      .toBe(true)
  })
})

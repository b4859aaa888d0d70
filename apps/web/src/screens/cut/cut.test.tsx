import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, says } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
  await shop.server.send('PATCH', '/api/shop', { practice: { nestSeconds: 2 } })
})
afterAll(() => shop.close())

const arrived = async () =>
  (await shop.server.get('/api/jobs/0412/kit-check')).body.arrived.map(
    ({ pieceId, arrived, lot }: { pieceId: string; arrived: number; lot: string }) => [pieceId, arrived, lot],
  )

/** The choice that is worded so. */
const named = (words: RegExp) => screen.getAllByRole('option').find((option) => words.test(says(option))) as HTMLElement

describe('what a job needs is cut', () => {
  test('from the kit: laid out at once, film by film, with how much of the roll it takes', async () => {
    const visit = shop.visit('/jobs/0412/kit')
    await visit.presses('Cut what this job needs')
    await visit.sees(/of roll 1520 mm wide/)
    const pieces = await screen.findByRole('region', { name: 'Pieces to cut' })
    expect(pieces.textContent).toMatch(/Hullskin 180 clear.*Bonnet.*1 is lacking/)
    await screen.findByRole('button', { name: 'Look again' })
    const used = Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)
    expect(used).toBeGreaterThan(500)
    expect(used).toBeLessThan(1600)
  })

  test('a second one is laid beside it; none is nothing to cut', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    const one = Number.parseInt((await screen.findByTestId('roll-used')).textContent ?? '', 10)
    await visit.presses('One more: Bonnet')
    await expect
      .poll(() => Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10))
      .toBeGreaterThan(1.4 * one)
    await visit.presses('One less: Bonnet')
    await visit.presses('One less: Bonnet')
    await visit.sees('Nothing is left to cut of this film. Add a piece to cut one more.')
    expect(screen.getByRole('button', { name: 'It is cut: count it in' })).toHaveProperty('disabled', true)
  })

  test('a roll that is too narrow says which piece, how wide, and what to do; nothing is lost', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    await visit.user.selectOptions(await screen.findByLabelText('Cut from'), 'Another roll')
    await visit.types('Width of the roll', '400')
    await visit.sees(/“Bonnet” needs \d+ mm across the roll, which has 380 mm between its borders/)
    await visit.sees('Take a wider roll, allow another turn, or divide the piece.')
    await visit.types('Width of the roll', '1520')
    await visit.sees(/of roll 1520 mm wide/)
  })

  test('moved by keys: along free film, not over the side of the roll', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    await screen.findByRole('button', { name: 'Look again' })
    const piece = await screen.findByRole('button', { name: /^Bonnet: drag it/ })
    const before = Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)
    piece.focus()
    await visit.user.keyboard('{Shift>}{ArrowRight}{ArrowRight}{/Shift}{ArrowRight}')
    const used = () => Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)
    await expect.poll(used).toBe(before + 21)
    // Opened again it lies as it was left; looked for again it is short once more.
    const again = shop.visit('/jobs/0412/cut', 'the same')
    await screen.findByRole('button', { name: 'Look again' })
    expect(used()).toBe(before + 21)
    await again.presses('Look again')
    await expect.poll(used).toBeLessThan(before + 21)
  })

  test('what is cut is in the kit’s count with the lot of the roll; without a lot it is not', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    await screen.findByTestId('roll-used')
    await visit.user.selectOptions(screen.getByLabelText('Cut from'), 'Another roll')
    const lot = screen.getByLabelText(/Lot on the core/)
    await visit.sees(/Read it off the core/)
    expect(screen.getByRole('button', { name: 'It is cut: count it in' })).toHaveProperty('disabled', true)
    await visit.user.type(lot, 'H180-2612-99')
    await screen.findByRole('button', { name: 'Look again' })
    await visit.presses('It is cut: count it in')
    await visit.sees(/Pipit front kit.*1 of 1 there/)
    expect(await arrived()).toEqual([['pipit-bonnet-piece', 1, 'H180-2612-99']])
    await visit.sees('1 listed, lot H180-2612-99')
  })

  test('what is there already is not cut again; the next film is offered first', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    const pieces = await screen.findByRole('region', { name: 'Pieces to cut' })
    expect(pieces.textContent).toMatch(/Headlamp, driver’s side.*1 is lacking/)
    await visit.user.click(screen.getByRole('radio', { name: 'Hullskin 180 clear' }))
    await visit.sees(/Bonnet.*all there/)
  })

  test('the film that was chosen is still chosen when the page is opened again; one that the job has not is none', async () => {
    const visit = shop.visit('/jobs/0415/cut')
    await visit.user.click(await screen.findByRole('radio', { name: 'Hullskin 180 clear' }))
    await visit.isAt(/\/jobs\/0415\/cut\?film=/)
    const chosen = () => screen.findByRole('radio', { name: 'Hullskin 180 clear', checked: true })
    await chosen()
    shop.visit(visit.address(), 'the same')
    await chosen()
    shop.visit('/jobs/0415/cut?film=none', 'the same')
    await screen.findByRole('radio', { name: 'Hullskin 180 clear', checked: false })
    await screen.findByRole('radio', { name: /^Duskglass|^Clear dome/, checked: true })
  })

  test('from the oldest roll that has enough: the film is taken from it, what is left is put by, the lot follows', async () => {
    const visit = shop.visit('/jobs/0415/cut')
    await visit.user.click(await screen.findByRole('radio', { name: 'Hullskin 180 clear' }))
    const from = await screen.findByLabelText('Cut from')
    expect(says((from as HTMLSelectElement).selectedOptions[0] as Element)).toBe('Roll 1: 8.2 m, lot H180-2611-04')
    expect(screen.queryByLabelText(/Lot on the core/)).toBeNull()
    await screen.findByRole('button', { name: 'Look again' })
    const used = Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)
    const put = await screen.findByRole('checkbox', { name: /^Put by what is left/ })
    expect(put).toHaveProperty('checked', true)
    await visit.presses('It is cut: count it in')
    await visit.sees(/Pipit front kit/)
    const { account, lines } = (await shop.server.get('/api/stock/rolls/r1')).body
    expect(Math.abs(account.leftMm - (8200 - used))).toBeLessThan(1)
    expect(account.offcuts).toHaveLength(2)
    expect(lines.map(({ happened }: { happened: { kind: string } }) => happened.kind).slice(0, 2)).toEqual([
      'offcut kept',
      'cut',
    ])
    const counted = (await shop.server.get('/api/jobs/0415/kit-check')).body.arrived
    expect(new Set(counted.map(({ lot }: { lot: string }) => lot))).toEqual(new Set(['H180-2611-04']))
  })

  test('an offcut is a small roll; pieces of another lot are told of', async () => {
    const visit = shop.visit('/jobs/0415/cut')
    await visit.user.click(await screen.findByRole('radio', { name: 'Hullskin 180 clear' }))
    await visit.user.selectOptions(screen.getByLabelText('Cut from'), named(/Offcut of Roll 1: 480 mm by 620 mm/))
    await visit.presses('One more: Mirror cap, driver’s side')
    await visit.sees(/of roll 620 mm wide/)
    await visit.user.selectOptions(screen.getByLabelText('Cut from'), named(/^Roll 2: /))
    await visit.sees(/Pieces of this job are of lot H180-2611-04 already. Two lots can differ/)
  })

  test('a roll that has less than it takes says so', async () => {
    await shop.server.send('POST', '/api/stock/rolls/r4/lines', {
      id: crypto.randomUUID(),
      at: '2030-05-08T09:00:00.000Z',
      personId: 'ines',
      happened: { kind: 'measured', leftMm: 150 },
    })
    const visit = shop.visit('/jobs/0412/cut')
    await visit.sees(/Headlamp, driver’s side/)
    await visit.sees(/needs 446 mm along the roll; its longest sound stretch has 130 mm/)
  })

  test('what fits on the rest of a roll is cut from it, the others stay lacking for the next', async () => {
    await shop.server.send('POST', '/api/stock/rolls/r3/lines', {
      id: crypto.randomUUID(),
      at: '2030-05-08T09:00:00.000Z',
      personId: 'ines',
      happened: { kind: 'measured', leftMm: 120 },
    })
    const visit = shop.visit('/jobs/0414/cut')
    await visit.user.click(await screen.findByRole('radio', { name: /Ebony cast/ }))
    await visit.presses('Cut what fits on it')
    await screen.findByRole('button', { name: 'Look again' })
    const counts = screen.getAllByTestId(/^cut-/).map(({ textContent }) => Number(textContent))
    expect(counts).toContain(0)
    expect(counts.some((n) => n > 0)).toBe(true)
    const used = Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)
    expect(used).toBeLessThanOrEqual(120)
  })

  test('together with another job: one cut, counted in both, and each tells what its film cost', async () => {
    const lacking = async (job: string) =>
      (await shop.server.get(`/api/jobs/${job}/kit-check`)).body.arrived.reduce(
        (sum: number, { arrived }: { arrived: number }) => sum + arrived,
        0,
      )
    const visit = shop.visit('/jobs/0413/cut')
    await visit.user.click(await screen.findByRole('radio', { name: 'Hullskin 180 clear' }))
    const alone = (await screen.findAllByTestId(/^cut-/)).length
    await visit.user.click(screen.getByText('Together with other jobs'))
    await visit.user.click(await screen.findByRole('checkbox', { name: /^Job 0414/ }))
    await expect.poll(() => screen.getAllByTestId(/^cut-/).length).toBeGreaterThan(alone)
    await visit.user.click(screen.getByRole('radio', { name: 'Car by car' }))
    await visit.user.click(screen.getByRole('radio', { name: 'Least film' }))
    await screen.findByRole('button', { name: 'Look again' })
    const before = [await lacking('0413'), await lacking('0414')]
    await visit.presses('It is cut: count it in')
    await expect.poll(() => lacking('0413')).toBeGreaterThan(before[0] ?? 0)
    expect(await lacking('0414')).toBeGreaterThan(before[1] ?? 0)
    const again = shop.visit('/jobs/0413/cut')
    await again.sees(/Cut so far: .* m² of film, .* €/)
    const other = shop.visit('/jobs/0414/cut')
    await other.sees(/Cut so far: .* m² of film, .* €/)
  })

  test('a part that is cut from the roll asks for its sheet, once', async () => {
    const { parts } = (await shop.server.get('/api/jobs/0414')).body
    const part = parts.find(({ filmId }: { filmId: string }) => filmId === 'weir-smoke-wet')
    await shop.server.send('PATCH', `/api/parts/${part.id}/choices`, { ...part.choices, cut: 'from the roll' })
    const visit = shop.visit('/jobs/0414/cut')
    await visit.user.click(await screen.findByRole('radio', { name: /Weir smoke/ }))
    const pieces = await screen.findByRole('region', { name: 'Pieces to cut' })
    await expect.poll(() => says(pieces)).toMatch(/sheet \d+ mm by \d+ mm, off the roll/)
    await screen.findByRole('button', { name: 'Look again' })
    await visit.presses('It is cut: count it in')
    await visit.sees(/Pipit|Skua|kit/)
    const again = shop.visit('/jobs/0414/cut')
    await again.user.click(await screen.findByRole('radio', { name: /Weir smoke/ }))
    await again.sees('Nothing is left to cut of this film. Add a piece to cut one more.')
  })

  test('where no part has a pattern the kit still leads to the roll, sheet by sheet', async () => {
    for (const id of ['0412-bonnet', '0412-headlamp-left'])
      expect((await shop.server.send('PUT', `/api/parts/${id}/piece`, { pieceId: null })).status).toBe(200)
    const visit = shop.visit('/jobs/0412/kit')
    await visit.sees(/Bonnet: no pattern at hand/)
    await visit.presses('Cut what this job needs')
    await visit.sees(/Bonnetsheet \d+ mm by \d+ mm, off the roll/)
  })
})

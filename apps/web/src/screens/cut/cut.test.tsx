import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

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

describe('what a job needs is cut', () => {
  test('from the kit: laid out at once, film by film, with how much of the roll it takes', async () => {
    const visit = shop.visit('/jobs/0412/kit')
    await visit.presses('Cut what this job needs')
    await visit.sees(/of roll 1520 mm wide/)
    const pieces = await screen.findByRole('region', { name: 'Pieces to cut' })
    expect(pieces.textContent).toMatch(/Hullskin 180 clear.*Bonnet.*1 is lacking/)
    await screen.findByRole('button', { name: 'Look again' }, { timeout: 20_000 })
    const used = Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)
    expect(used).toBeGreaterThan(500)
    expect(used).toBeLessThan(1600)
  })

  test('a second one is laid beside it; none is nothing to cut', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    const one = Number.parseInt((await screen.findByTestId('roll-used')).textContent ?? '', 10)
    await visit.presses('One more: Bonnet')
    await expect
      .poll(() => Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10), { timeout: 10_000 })
      .toBeGreaterThan(1.4 * one)
    await visit.presses('One less: Bonnet')
    await visit.presses('One less: Bonnet')
    await visit.sees('Nothing is left to cut of this film. Add a piece to cut one more.')
    expect(screen.getByRole('button', { name: 'It is cut: count it in' })).toHaveProperty('disabled', true)
  })

  test('a roll that is too narrow says which piece, how wide, and what to do; nothing is lost', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    await visit.types('Width of the roll', '400')
    await visit.sees(/“Bonnet” needs \d+ mm across the roll, which has 380 mm between its borders/)
    await visit.sees('Take a wider roll, allow another turn, or divide the piece.')
    await visit.types('Width of the roll', '1520')
    await visit.sees(/of roll 1520 mm wide/)
  })

  test('moved by keys: along free film, not over the side of the roll', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    await screen.findByRole('button', { name: 'Look again' }, { timeout: 20_000 })
    const piece = await screen.findByRole('button', { name: /^Bonnet: drag it/ })
    const before = Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)
    piece.focus()
    await visit.user.keyboard('{Shift>}{ArrowRight}{ArrowRight}{/Shift}{ArrowRight}')
    await expect.poll(() => Number.parseInt(screen.getByTestId('roll-used').textContent ?? '', 10)).toBe(before + 21)
  })

  test('what is cut is in the kit’s count with the lot of the roll; without a lot it is not', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    await screen.findByTestId('roll-used')
    const lot = screen.getByLabelText(/Lot on the core/)
    await visit.user.clear(lot)
    await visit.sees(/Read it off the core/)
    expect(screen.getByRole('button', { name: 'It is cut: count it in' })).toHaveProperty('disabled', true)
    await visit.user.type(lot, 'H180-2612-07')
    await visit.presses('It is cut: count it in')
    await visit.sees(/Pipit front kit.*1 of 1 there/)
    expect(await arrived()).toEqual([['pipit-bonnet-piece', 1, 'H180-2612-07']])
    await visit.sees('1 listed, lot H180-2612-07')
  })

  test('what is there already is not cut again; the next film is offered first', async () => {
    const visit = shop.visit('/jobs/0412/cut')
    const pieces = await screen.findByRole('region', { name: 'Pieces to cut' })
    expect(pieces.textContent).toMatch(/Headlamp, driver’s side.*1 is lacking/)
    await visit.user.click(screen.getByRole('radio', { name: 'Hullskin 180 clear' }))
    await visit.sees(/Bonnet.*all there/)
  })
})

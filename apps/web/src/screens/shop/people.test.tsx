import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())
const people = async (): Promise<{ name: string; role: string; leftAt: string | null }[]> =>
  (await shop.server.get('/api/people')).body

describe('people', () => {
  test('somebody begins to work here, and can fit from then on', async () => {
    const visit = shop.visit('/shop')
    await visit.types('Somebody new', 'Runa')
    await visit.chooses('What somebody new does', 'new hand')
    await visit.presses('Begins to work here')
    await screen.findByLabelText('What Runa does')
    expect(await people()).toContainEqual(expect.objectContaining({ name: 'Runa', role: 'new hand', leftAt: null }))
    const job = shop.visit('/jobs/0412')
    await job.chooses('Who fits', 'Runa')
    await job.sees('Put right.')
    await job.presses('Undo')
  })
  test('a name that is taken is refused in words', async () => {
    const visit = shop.visit('/shop')
    await visit.types('Somebody new', 'ines')
    await visit.presses('Begins to work here')
    await visit.sees('Somebody is called "ines" already.')
  })
  test('whoever leaves is offered no new work, and can come back', async () => {
    const visit = shop.visit('/shop')
    await visit.presses('Bo has left')
    await visit.sees('1 who have left')
    const bay = shop.visit('/')
    await bay.sees('Ines installer')
    await bay.seesNo('Bo new hand')
    const again = shop.visit('/shop')
    await again.user.click(await screen.findByText('1 who have left'))
    await again.presses('Bo is back')
    await screen.findByLabelText('What Bo does')
  })
  test('somebody has to lead', async () => {
    const visit = shop.visit('/shop')
    await visit.chooses('What Tarek does', 'installer')
    await visit.sees('Nobody would lead the shop then.')
    expect((await people()).find((p) => p.name === 'Tarek')?.role).toBe('lead')
  })
  test('gets hours of their own, and those of the shop again', async () => {
    const visit = shop.visit('/shop')
    await screen.findByLabelText('What Ines does')
    await visit.presses('Works the hours of the shop')
    const saturdays = await screen.findAllByLabelText('Saturday')
    const last = saturdays.at(-1)
    if (last !== undefined) await visit.user.click(last)
    await visit.presses('The hours of the shop again')
    await visit.seesNo('The hours of the shop again')
  })
})

describe('the shop', () => {
  test('its name and its papers are what is typed', async () => {
    const visit = shop.visit('/shop')
    await visit.types('Address, as it stands on papers', 'Quay 4')
    await visit.types('Name of the shop', 'Quayside Film and Tint')
    await visit.sees(/^.*Quayside Film and Tint/)
    expect((await shop.server.get('/api/shop')).body).toMatchObject({
      name: 'Quayside Film and Tint',
      address: 'Quay 4',
    })
  })
  test('places are changed as one, or left as they were', async () => {
    const visit = shop.visit('/shop')
    await visit.types('Name of place 1', 'Lift')
    await visit.presses('Leave as it was')
    expect(await screen.findByLabelText('Name of place 1')).toHaveProperty('value', 'Bay 1')
    await visit.types('Name of place 1', 'Lift')
    await visit.presses('Another place')
    await visit.presses('Save Places')
    await visit.seesNo('Leave as it was')
    const { places } = (await shop.server.get('/api/shop')).body
    expect(places.map((p: { name: string }) => p.name)).toEqual(['Lift', 'Bay 2', 'Wash bay', 'Bench', 'Bay 5'])
  })
  test('a day is closed or opened', async () => {
    const visit = shop.visit('/shop')
    await visit.user.click((await screen.findAllByLabelText('Saturday'))[0] ?? document.body)
    await visit.presses('Save Opening hours')
    await visit.seesNo('Leave as it was')
    expect((await shop.server.get('/api/shop')).body.hours[5]).toEqual({ from: '08:00', to: '17:00' })
  })
})

describe('a new film', () => {
  test('begins with the usual of its kind, and stands on the shelf with every figure', async () => {
    const visit = shop.visit('/shelf/films/new')
    await visit.types('Name of the film, as on its box', 'Slate smoke')
    await visit.presses('lens tint')
    await visit.types('Lets light through', '40')
    await visit.presses('Put it on the shelf')
    await visit.isAt('/shelf/films/slate-smoke')
    await visit.sees(/lens tint, laid wet, 120 µm/)
    const { films } = (await shop.server.get('/api/shelf')).body
    expect(films.find((f: { id: string }) => f.id === 'slate-smoke')).toMatchObject({ transmission: 0.4 })
  })
  test('a name that is on the shelf already is refused in words', async () => {
    const visit = shop.visit('/shelf/films/new')
    await visit.types('Name of the film, as on its box', 'Hullskin 180 clear')
    await visit.presses('Put it on the shelf')
    await visit.sees('"Hullskin 180 clear" is on the shelf already.')
  })
})

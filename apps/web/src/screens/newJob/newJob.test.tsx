import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, page } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

describe('taking a vehicle in', () => {
  test('says what is missing, at its field, and keeps what was typed', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    await visit.types('Colour', 'signal white')
    await visit.types('Year', 'old')
    await visit.presses('Take it in')
    await visit.sees('Say whose vehicle it is.')
    await visit.sees('by this the vehicle is known again')
    await visit.sees('A year such as 2024, or nothing.')
    expect(screen.getByLabelText('Colour')).toHaveProperty('value', 'signal white')
    expect(visit.address()).toBe('/jobs/new')
  })
  test('it must leave after it has come', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    await visit.types('Customer', 'Harbour car-share co-operative')
    await visit.types('Number plate or fleet number', 'Fleet 40')
    await visit.presses('Bonnet')
    const [comes, leaves] = [screen.getByLabelText('Comes'), screen.getByLabelText('Must leave')]
    await visit.user.clear(comes)
    await visit.user.type(comes, '2030-05-03T08:00')
    await visit.user.clear(leaves)
    await visit.user.type(leaves, '2030-05-02T16:00')
    await visit.presses('Take it in')
    await visit.sees('It must leave after it has come.')
  })
  test('the plan is asked when it can be promised, once the parts are known; what it finds not is said', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    await visit.sees('Tap the parts first: then the plan can say when it would be ready.')
    await visit.presses('Bonnet')
    await visit.sees('When can it be promised for?')
    await visit.presses('Ask the plan')
    // This server plans no days.
    await visit.sees('No plan was found with it.')
  })
  test('wants at least one part', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Ondrel Skua/)
    await visit.sees('Nothing chosen yet')
    await visit.types('Customer', 'Private owner')
    await visit.types('Number plate or fleet number', 'QF 200')
    await visit.presses('Take it in')
    expect(visit.address()).toBe('/jobs/new')
  })
  test('film that is meant for something else is asked about, at the part', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    await visit.presses('Bonnet')
    await visit.seesNo('Really?')
    await visit.user.selectOptions(screen.getByLabelText('Film for Bonnet'), 'Weir smoke, gloss, wet')
    await visit.sees('Weir smoke, gloss, wet is film for lenses, and Bonnet is none. Really?')
    await visit.user.selectOptions(screen.getByLabelText('Film for Bonnet'), 'Hullskin 180 clear')
    await visit.seesNo('Really?')
  })
  test('chosen parts get the film that is usual for them; another one can be chosen, and a part left out', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    await visit.presses('Bonnet')
    await visit.presses('Headlamp, driver’s side')
    await visit.sees('2 parts')
    const film = screen.getByLabelText<HTMLSelectElement>('Film for Headlamp, driver’s side')
    expect(film.selectedOptions[0]?.textContent).toBe('Duskglass light smoke, air release')
    await visit.chooses('Film for Headlamp, driver’s side', 'Clear dome, firm')
    await visit.presses('Leave out Bonnet')
    await visit.sees('1 part')
    await visit.types('Customer', 'Private owner')
    await visit.types('Number plate or fleet number', 'QF 201')
    await visit.presses('Take it in')
    await visit.sees('Tap the place where something is.')
    expect(visit.address()).toMatch(/^\/jobs\/\d{4}\/walk-round$/)
    const job = visit.address().split('/')[2]
    const { body } = await shop.server.get(`/api/jobs/${job}`)
    expect(body.parts).toMatchObject([{ name: 'Headlamp, driver’s side', filmId: 'clear-dome-dry' }])
    expect(body.job).toMatchObject({ customer: 'Private owner', vehicle: { plate: 'QF 201' }, closedAt: null })
  })
  test('another model can be taken instead', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    await visit.presses('Another model')
    await visit.sees('Which vehicle has come?')
  })
})

describe('a model that is not in the list', () => {
  test('needs only a name and a kind, and is in the list from then on', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.types('Name of the model', 'Corvid Wren')
    await visit.presses('van')
    await visit.presses('Add this model')
    await visit.sees(/New job ?Corvid Wren/)
    const again = shop.visit('/jobs/new')
    await again.sees(/Corvid Wrenvan, nothing measured yet/)
  })
  test('a name that is there already is refused with what to do', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.types('Name of the model', 'Velmora Pipit')
    await visit.presses('Add this model')
    await visit.sees(/already|there is a model/i)
    expect(page()).toContain('Which vehicle has come?')
  })
})

describe('a job that was begun and left', () => {
  const type = async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    await visit.types('Customer', 'Private owner')
    await visit.presses('Bonnet')
    return visit
  }
  test('is as it was left when the page is opened anew, on that tablet alone', async () => {
    await type()
    const again = shop.visit('/jobs/new', 'the same')
    await again.sees('As you left it, not taken in yet.')
    expect(screen.getByLabelText('Customer')).toHaveProperty('value', 'Private owner')
    await screen.findByLabelText('Film for Bonnet')
    await again.presses('Begin anew')
    await again.seesNo('As you left it')
    const other = shop.visit('/jobs/new')
    await other.seesNo('As you left it')
  })
  test('asks before it is left, and stays where one wants to stay', async () => {
    const visit = await type()
    visit.goes('/shelf')
    await visit.sees('Leave this page?')
    await visit.presses('Stay here')
    expect(visit.address()).toBe('/jobs/new')
    expect(screen.getByLabelText('Customer')).toHaveProperty('value', 'Private owner')
    visit.goes('/shelf')
    await visit.presses('Leave, throw it away')
    await visit.isAt('/shelf')
    await shop.visit('/jobs/new', 'the same').seesNo('As you left it')
  })
  test('one in which nothing was typed is left without a question', async () => {
    const visit = shop.visit('/jobs/new')
    await visit.presses(/Velmora Pipit/)
    visit.goes('/shelf')
    await visit.isAt('/shelf')
  })
})

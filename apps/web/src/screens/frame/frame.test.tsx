import { screen, waitFor } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

describe('the frame around every screen', () => {
  test('has one content, one main way, and one title, by which the window is called too', async () => {
    const visit = shop.visit('/shelf')
    await visit.sees('11 kits')
    expect(screen.getAllByRole('main')).toHaveLength(1)
    expect(screen.getByRole('navigation', { name: 'Main' })).toBeTruthy()
    expect(screen.getAllByRole('heading', { level: 1 }).map((h) => h.textContent)).toEqual(['Shelf'])
    expect(document.title).toBe('Shelf – True Lay')
    await visit.presses('Jobs')
    await visit.sees('5 found')
    expect(document.title).toBe('Jobs – True Lay')
  })
  test('leads past the way to the content, and a new screen begins with its content', async () => {
    const visit = shop.visit('/shelf')
    await visit.sees('11 kits')
    await visit.presses('To the content')
    expect(document.activeElement).toBe(screen.getByRole('main'))
    await visit.presses('Forms')
    await visit.isAt('/forms')
    await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('main')))
  })
  test('does not take the hand out of a field while one types', async () => {
    const visit = shop.visit('/jobs')
    await visit.user.type(await screen.findByLabelText('Look for a job'), 'skua')
    await visit.sees('1 found')
    expect(document.activeElement).toBe(screen.getByLabelText('Look for a job'))
  })
  test('what was done can be taken back from another screen too', async () => {
    const visit = shop.visit('/shelf/films/clear-dome-dry')
    await visit.presses('Remove Clear dome, firm')
    await visit.sees('Clear dome, firm is removed.')
    await visit.presses('Forms')
    await visit.presses('Undo')
    await visit.seesNo('Clear dome, firm is removed.')
    expect((await shop.server.get('/api/shelf')).body.films).toHaveLength(6)
  })
})

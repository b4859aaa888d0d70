import { type Person, person } from '@truelay/contract'
import { screen } from '@testing-library/react'
import { z } from 'zod'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
let persons: readonly Person[]
beforeAll(async () => {
  shop = await openShop()
  persons = z.array(person).parse((await shop.server.get('/api/people')).body)
})
afterAll(() => shop.close())

const signsIn = (id: string) => shop.signsIn(persons.find((p) => p.id === id) ?? null)
/** Buttons and fields of the page that cannot be used, by their names. */
const off = () =>
  [...document.querySelectorAll<HTMLElement>('main button, main input, main select, main textarea')].filter((e) =>
    e.matches(':disabled, fieldset:disabled *'),
  )

describe('what only some may change', () => {
  test.each([
    ['bo', '/models/velmora-pipit', 'Its parts', 'To be read here; an installer or a lead changes it.'],
    ['bo', '/shelf/films/clearcoat-hull-180', 'Printed pattern', 'an installer or a lead changes it.'],
    ['bo', '/shelf/pieces/pipit-bonnet-piece', 'Lot', 'an installer or a lead changes it.'],
    ['bo', '/jobs/0412', 'Whose and when', 'an installer or a lead changes it.'],
    ['bo', '/jobs/0412/walk-round', 'Customer reads and signs', 'an installer or a lead changes it.'],
    ['ines', '/shop', 'Units and light', 'To be read here; a lead changes it.'],
  ])('%s reads %s, with what would change it switched off', async (who, path, there, says) => {
    signsIn(who)
    const visit = shop.visit(path)
    await visit.sees(there)
    await visit.sees(says)
    expect(off().length).toBeGreaterThan(0)
  })
  test.each([
    ['tarek', '/shop', 'Units and light'],
    ['ines', '/models/velmora-pipit', 'Its parts'],
  ])('%s changes %s', async (who, path, there) => {
    signsIn(who)
    const visit = shop.visit(path)
    await visit.sees(there)
    await visit.seesNo('To be read here')
  })
  test('an installer chooses the units, and changes no figure of the trade', async () => {
    signsIn('ines')
    const visit = shop.visit('/shop')
    await visit.sees('Units and light')
    await visit.sees('To be read here; a lead changes it.')
    const usable = (name: string) => !off().includes(screen.getByLabelText(name))
    expect(usable('Alcohol stock')).toBe(true)
    // Figures are found and read by everybody.
    await visit.types('Look for a figure', 'gap is read')
    expect(usable('How well a gap is read')).toBe(false)
  })
})

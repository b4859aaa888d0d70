import { screen, within } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())
const model = async (id: string) => (await shop.server.get('/api/models')).body.find((m: { id: string }) => m.id === id)

describe('the models', () => {
  test('are listed with how much of each is measured, and lead to what it knows', async () => {
    const visit = shop.visit('/models')
    await visit.sees(/Velmora Pipitcity hatch\d+ of \d+ parts measured/)
    await visit.presses(/Velmora Pipit/)
    await visit.isAt('/models/velmora-pipit')
    await visit.sees('Its parts')
  })
  test('another form for a part leaves its piece behind; the way back brings both', async () => {
    const before = await model('velmora-pipit')
    const visit = shop.visit('/models/velmora-pipit')
    await screen.findAllByRole('option', { name: 'Velmora Pipit front bumper' })
    await visit.chooses('Form of Bonnet', 'not measured yet')
    await visit.sees('Put right.')
    const bonnet = (m: { parts: { name: string }[] }) => m.parts.find((p) => p.name === 'Bonnet')
    expect(bonnet(await model('velmora-pipit'))).toMatchObject({ formId: null, pieceId: null })
    await visit.presses('Undo')
    await visit.seesNo('Put right.')
    expect(await model('velmora-pipit')).toEqual(before)
  })
  test('a name that is taken is refused in words', async () => {
    const visit = shop.visit('/models/velmora-pipit')
    await visit.types('Name of the model', 'Ondrel Skua')
    await visit.sees('"Ondrel Skua" is in the list already.')
  })
  test('a part is called otherwise, sits elsewhere, is taken off and put on; each with the way back', async () => {
    const parts = async (): Promise<{ name: string; slot: string }[]> => (await model('velmora-pipit')).parts
    const before = await parts()
    const visit = shop.visit('/models/velmora-pipit')
    await visit.types('Another part', 'Bonnet')
    await visit.sees('"Bonnet" is among its parts already.')
    await visit.types('Another part', 'Bonnet badge')
    await visit.chooses('Where on the vehicle', 'Bonnet')
    await visit.presses('Add this part')
    await visit.sees('Put right.')
    expect((await parts()).at(-1)).toMatchObject({ name: 'Bonnet badge', slot: 'bonnet', formId: null })
    const row = within((await screen.findByText('Bonnet badge')).closest('li') as HTMLElement)
    await visit.user.clear(row.getByLabelText('Called'))
    await visit.user.type(row.getByLabelText('Called'), 'Boot badge{Enter}')
    await expect.poll(async () => (await parts()).at(-1)?.name).toBe('Boot badge')
    const again = within((await screen.findByText('Boot badge')).closest('li') as HTMLElement)
    await visit.user.selectOptions(again.getByLabelText('Where it sits'), 'Boot lid')
    await expect.poll(async () => (await parts()).at(-1)?.slot).toBe('boot-lid')
    await visit.presses('Take Boot badge off the model')
    await expect.poll(parts).toEqual(before)
    await visit.presses('Undo')
    await expect.poll(async () => (await parts()).at(-1)?.name).toBe('Boot badge')
  })
  test('a model that was opened by mistake goes, and comes back', async () => {
    const visit = shop.visit('/models/hallowen-finch')
    await visit.presses('Remove Hallowen Finch')
    await visit.isAt('/models')
    await visit.sees('Hallowen Finch is removed. What was fitted with it keeps it.')
    await visit.presses('Undo')
    await visit.sees(/Hallowen Finch(?! is removed)/)
    expect(await model('hallowen-finch')).toBeDefined()
  })
})

describe('the shelf', () => {
  test('a film goes, what was taken in with it stays, and it comes back', async () => {
    const visit = shop.visit('/shelf/films/clear-dome-dry')
    await visit.presses('Remove Clear dome, firm')
    await visit.isAt('/shelf')
    await visit.sees('5 films')
    await visit.presses('Undo')
    await visit.sees('6 films')
  })
  test('a piece and a form go and come back', async () => {
    const visit = shop.visit('/shelf/pieces/pipit-bonnet-piece')
    await visit.presses('Remove Bonnet')
    await visit.isAt('/shelf')
    await visit.sees('52 pieces')
    await visit.presses('Undo')
    await visit.sees('53 pieces')
    const forms = shop.visit('/forms/pipit-bonnet')
    await forms.presses('Remove Velmora Pipit bonnet')
    await forms.isAt('/forms')
    await forms.presses('Undo')
    await forms.sees('Velmora Pipit bonnet')
  })
  test('a new kit is a name and a model; its pieces come afterwards', async () => {
    const visit = shop.visit('/shelf')
    await visit.types('A new kit', 'Pipit roof kit')
    await visit.chooses('For the model', 'Velmora Pipit')
    await visit.presses('Put it on the shelf')
    await visit.sees('12 kits')
    const { kits } = (await shop.server.get('/api/shelf')).body
    expect(kits).toContainEqual(expect.objectContaining({ id: 'pipit-roof-kit', modelId: 'velmora-pipit' }))
  })
})

describe('a customer’s data', () => {
  test('is asked about, refused while a job is open, and gone after that', async () => {
    const visit = shop.visit('/jobs?customer=Private%20owner')
    await visit.presses('Remove this customer’s data')
    await visit.sees('This cannot be undone.')
    await visit.presses('Remove it from all jobs')
    await visit.sees('not handed over yet')
    await shop.server.send('PUT', '/api/jobs/0413/closed', { closed: true })
    await visit.presses('Remove it from all jobs')
    await visit.isAt('/jobs')
    await visit.sees(/removed on request/)
  })
})

import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, type Visit } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

/** A place of the vehicle is chosen with the keyboard; its middle is taken. */
async function at({ user }: Visit, place: string) {
  const slot = await screen.findByRole('button', { name: place })
  slot.focus()
  await user.keyboard('{Enter}')
}

describe('a walk-round', () => {
  test('begins empty, with what was seen on earlier visits', async () => {
    const { sees } = shop.visit('/jobs/0412/walk-round')
    await sees('nothing yet')
    await sees(/Seen on 1 October 2029, job 0388.*scratch/)
  })
  test('keeps a finding with one tap on its kind', async () => {
    const visit = shop.visit('/jobs/0412/walk-round')
    await at(visit, 'Bonnet')
    await visit.sees('What is there? One tap keeps it.')
    await visit.presses('stone chip')
    await visit.sees('Changes the plan of Bonnet.')
    const { body } = await shop.server.get('/api/jobs/0412/walk-round')
    expect(body.findings).toMatchObject([{ slot: 'bonnet', partId: '0412-bonnet', sizeMm: null, note: '' }])
  })
  test('a size is chosen, and given back by choosing it again', async () => {
    const visit = shop.visit('/jobs/0412/walk-round')
    await visit.presses(/^1 ?stone chip/)
    const size = async () => (await shop.server.get('/api/jobs/0412/walk-round')).body.findings[0].sizeMm
    await visit.presses('25 mm')
    await visit.sees('25 mm')
    await expect.poll(size).toBe(25)
    await visit.presses('25 mm')
    await expect.poll(size).toBeNull()
  })
  test('a note is kept when its field is left', async () => {
    const visit = shop.visit('/jobs/0412/walk-round')
    await visit.presses(/^1 ?stone chip/)
    await visit.types('Note, if needed', 'two of them, down to the primer')
    const note = async () => (await shop.server.get('/api/jobs/0412/walk-round')).body.findings[0].note
    await expect.poll(note).toBe('two of them, down to the primer')
    await visit.presses('Done')
    await visit.sees('1 place')
  })
  test('on a place that no part covers it is only on record', async () => {
    const visit = shop.visit('/jobs/0412/walk-round')
    await at(visit, 'Roof')
    await visit.presses('dent')
    await visit.sees('On record.')
    await visit.presses('Done')
    await visit.sees('2 places')
  })
  test('what was a mistake is taken away', async () => {
    const visit = shop.visit('/jobs/0412/walk-round')
    await visit.presses(/^2 ?dent/)
    await visit.presses(/Take .*away|Remove/)
    await visit.sees('1 place')
    expect((await shop.server.get('/api/jobs/0412/walk-round')).body.findings).toHaveLength(1)
  })
  test('a second finding on a part that is drawn small is added from the first', async () => {
    const visit = shop.visit('/jobs/0412/walk-round')
    await visit.presses(/^1 ?stone chip/)
    await visit.presses('Something else on this part')
    await visit.presses('scratch')
    await visit.presses('Done')
    await visit.sees('2 places')
    const { findings } = (await shop.server.get('/api/jobs/0412/walk-round')).body
    expect(findings.map((f: { slot: string }) => f.slot)).toEqual(['bonnet', 'bonnet'])
    expect(findings[0].at).not.toEqual(findings[1].at)
    await visit.presses(/^2 ?scratch/)
    await visit.presses(/Take .*away|Remove/)
    await visit.sees('1 place')
  })
  test('a place is left without a finding', async () => {
    const visit = shop.visit('/jobs/0412/walk-round')
    await at(visit, 'Boot lid')
    await visit.presses('Nothing here')
    await visit.sees('1 place')
  })
})

describe('once the customer has signed', () => {
  test('what was signed stays as it is, and what comes later is marked as later', async () => {
    const strokes = [[0.1, 0.2, 0.3, 0.4, 0.6, 0.3]]
    const signed = await shop.server.send('PUT', '/api/jobs/0412/sign-off', { name: 'R. Holm', strokes })
    expect(signed).toMatchObject({ status: 200 })
    const visit = shop.visit('/jobs/0412/walk-round')
    await visit.sees('R. Holm')
    await visit.presses(/^1 ?stone chip/)
    await visit.sees('The customer has signed this; it cannot be changed any more.')
    expect(screen.queryByRole('button', { name: '25 mm' })).toBeNull()
    await visit.presses('Done')
    await at(visit, 'Front bumper')
    await visit.presses('dent')
    await visit.sees('found after the customer signed')
  })
})

describe('a customer who cannot hold a pen', () => {
  test('signs with the typed name, and that is said', async () => {
    const visit = shop.visit('/jobs/0413/walk-round')
    await visit.presses(/sign/i)
    await visit.types('Your name', 'R. Holm')
    const done = await screen.findByRole('button', { name: 'I have read this' })
    expect(done).toHaveProperty('disabled', true)
    await visit.presses('Sign with the typed name, without a pen')
    await visit.presses('I have read this')
    await visit.sees(/Signed by R\. Holm with the typed name/)
    expect((await shop.server.get('/api/jobs/0413/walk-round')).body.signOff).toMatchObject({
      name: 'R. Holm',
      strokes: [],
    })
  })
})

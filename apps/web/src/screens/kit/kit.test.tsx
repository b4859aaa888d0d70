import { screen, within } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const kit = '/jobs/0412/kit'
const counted = async () =>
  Object.fromEntries(
    (await shop.server.get('/api/jobs/0412/kit-check')).body.arrived.map((a: { pieceId: string; arrived: number }) => [
      a.pieceId,
      a.arrived,
    ]),
  )

describe('what is in the box', () => {
  test('is counted piece by piece', async () => {
    const visit = shop.visit(kit)
    await visit.sees(/Pipit front kit.*0 of 1 there/)
    await visit.presses('One more: Bonnet')
    await visit.sees(/Pipit front kit.*1 of 1 there/)
    await expect.poll(counted).toEqual({ 'pipit-bonnet-piece': 1 })
    await visit.presses('One less: Bonnet')
    await visit.sees('1 missing')
  })
  test('or taken as listed', async () => {
    const visit = shop.visit(kit)
    const lamps = await screen.findByRole('region', { name: 'Pipit lamp kit' })
    await visit.user.click(within(lamps).getByRole('button', { name: 'All there, as listed' }))
    await visit.sees('there, with its spare')
    await expect.poll(counted).toMatchObject({ 'pipit-headlamp-left-piece': 2 })
  })
  test('pieces for parts that the job does not cover are beside the point', async () => {
    const { sees } = shop.visit(kit)
    await sees('5 more in this box, for parts that this job does not cover')
  })
  test('where there is a spare one begins with it', async () => {
    const { sees } = shop.visit(kit)
    await sees(/Where to start.*Headlamp: start on the driver’s side\. It has the spare/)
  })
})

describe('a label that is scanned', () => {
  const scan = async (text: string) => {
    const visit = shop.visit(kit)
    const field = await screen.findByLabelText('Scan a label here')
    await visit.user.type(field, `${text}{Enter}`)
    return visit
  }
  test('counts its piece with its lot', async () => {
    const before = (await counted())['pipit-bonnet-piece'] ?? 0
    const visit = await scan('TL1/pipit-bonnet-piece/H180-2612-01')
    await visit.sees(`Bonnet: ${before + 1} of 1, lot H180-2612-01.`)
  })
  test('says when there is one too many', async () => {
    const visit = await scan('TL1/pipit-bonnet-piece/H180-2612-01')
    await visit.sees('Bonnet: 2 now, but the list says 1. One too many.')
  })
  test('says when the job does not cover that part', async () => {
    const visit = await scan('TL1/pipit-headlamp-right-piece/DG-2610-17')
    await visit.sees('this job does not cover that part. Is it the wrong side?')
  })
  test('says when it is no label of the shop, and counts nothing', async () => {
    const before = await counted()
    const visit = await scan('5901234123457')
    await visit.sees(/no label of this shop/)
    expect(await counted()).toEqual(before)
  })
})

describe('the dry check', () => {
  test('works every pattern out against its part, before anything is peeled', async () => {
    const visit = shop.visit(kit)
    await visit.presses('Check all 2 parts')
    await visit.sees(/Bonnet ?Fits, covers 99\.\d %/)
    await visit.sees(/Headlamp, driver’s side ?Fits, covers 100 %/)
    await visit.sees(/Pre-cut\. A pattern is at hand/)
  })
})

describe('labels', () => {
  test('carry the code, the lot and the name of each piece', async () => {
    const visit = shop.visit(kit)
    await visit.presses('Print labels')
    const labels = within(await screen.findByRole('dialog', { name: 'Labels' }))
    expect(labels.getAllByText(/lot H180-2611-04/).length).toBeGreaterThan(0)
    await visit.presses('Close')
    expect(screen.queryByRole('dialog')).toBeNull()
  })
})

describe('a row of pieces', () => {
  test('says which is laid first and which takes its line from which', async () => {
    const { sees } = shop.visit('/jobs/0414/kit')
    await sees(/One line along the row\./)
    await sees('datum: measure up at both ends')
    await sees(/measure up .* along it/)
  })
})

describe('where the film comes from', () => {
  const choices = async () => (await shop.server.get('/api/jobs/0412')).body.parts[0].choices
  const bonnet = async () => {
    const checks = await screen.findByRole('region', { name: 'Dry check' })
    const [row] = within(checks)
      .getAllByRole('listitem')
      .filter((li) => li.textContent?.startsWith('Bonnet'))
    if (row === undefined) throw new Error('no bonnet')
    return within(row)
  }
  test('the roll in place of the piece, laid by one; and back', async () => {
    const visit = shop.visit(kit)
    await visit.user.click((await bonnet()).getByRole('button', { name: 'from the roll', hidden: true }))
    await expect.poll(choices).toMatchObject({ cut: 'from the roll', hands: null })
    await visit.user.click((await bonnet()).getByRole('radio', { name: 'one', hidden: true }))
    await expect.poll(choices).toMatchObject({ cut: 'from the roll', hands: 1 })
    await visit.sees(/Bonnet.*from the roll, 1 person/i)
    await visit.user.click((await bonnet()).getByRole('button', { name: 'the piece as it comes', hidden: true }))
    await visit.user.click((await bonnet()).getByRole('radio', { name: 'as its size asks', hidden: true }))
    await expect.poll(choices).toMatchObject({ cut: null, hands: null })
  })
  test('a second choice does not take back what another tablet chose meanwhile', async () => {
    const visit = shop.visit(kit)
    const row = await bonnet()
    await shop.server.send('PATCH', '/api/parts/0412-bonnet/choices', { cut: 'from the roll' })
    await visit.user.click(row.getByRole('radio', { name: 'two', hidden: true }))
    await expect.poll(choices).toMatchObject({ hands: 2 })
    expect(await choices()).toMatchObject({ cut: 'from the roll' })
    await shop.server.send('PATCH', '/api/parts/0412-bonnet/choices', { cut: null, hands: null })
  })
  test('what the server refuses is said where it was chosen', async () => {
    await shop.server.send('PATCH', '/api/shop', { practice: { rollWidth: 900 } })
    const visit = shop.visit(kit)
    await visit.user.click((await bonnet()).getByRole('button', { name: 'from the roll', hidden: true }))
    await visit.sees(/The roll is 900 mm wide/)
    expect(await choices()).toMatchObject({ cut: null })
    await shop.server.send('PATCH', '/api/shop', { practice: { rollWidth: null } })
  })
})

describe('parts that are fitted together', () => {
  const sets = async () => (await shop.server.get('/api/jobs/0414')).body.sets
  test('are suggested, put together, led otherwise and taken apart again', async () => {
    const visit = shop.visit('/jobs/0414/kit')
    await visit.sees(/Fitted together.*Tail lamp strip 1.*6 pieces of one kit on one side/)
    const together = await screen.findByRole('region', { name: 'Fitted together' })
    const row = within(together)
      .getAllByRole('listitem')
      .find((li) => /^1 Tail lamp strip 1/.test(li.textContent ?? ''))
    if (row === undefined) throw new Error('no strips')
    await visit.user.click(within(row).getByRole('button', { name: /Fit together/ }))
    await expect.poll(sets).toMatchObject([{ mode: 'piece after piece', partIds: { length: 6 } }])
    await visit.presses('to and fro')
    await expect.poll(sets).toMatchObject([{ mode: 'to and fro' }])
    await visit.presses('Take apart')
    await expect.poll(sets).toEqual([])
  })
  test('or by hand, in the order in which they are tapped; against the kit is said', async () => {
    const visit = shop.visit('/jobs/0414/kit')
    await visit.sees('Put others together')
    const tap = async (name: string) =>
      visit.user.click(await screen.findByRole('button', { name: new RegExp(`^(\\d )?${name}$`), hidden: true }))
    await tap('Tail lamp strip 2')
    await tap('Tail lamp strip 1')
    await visit.user.click(screen.getByRole('button', { name: 'Fit these together', hidden: true }))
    await visit.sees(/Tail lamp strip 1 goes on before Tail lamp strip 2/)
    await tap('Tail lamp strip 1')
    await tap('Tail lamp strip 3')
    await visit.user.click(screen.getByRole('button', { name: 'Fit these together', hidden: true }))
    await visit.presses('Take apart')
    await expect.poll(sets).toEqual([])
  })
})

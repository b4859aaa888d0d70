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
  }, 60_000)
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

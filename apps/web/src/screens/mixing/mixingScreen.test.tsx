import { screen, within } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, page, says } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

interface Bottle {
  readonly number: string
  readonly leftMl: number
  readonly emptiedAt: string | null
  readonly strength: { readonly alcoholPercent: number; readonly soapMlPerL: number }
  readonly personId: string
}
const bottles = async (): Promise<Bottle[]> => (await shop.server.get('/api/liquids')).body.batches
const bottle = async (number: string) => (await bottles()).find((b) => b.number === number)

describe('a fresh batch', () => {
  test('is told in the order of pouring, for the strength and the volume that are wanted', async () => {
    const visit = shop.visit('/mixing')
    await visit.sees(/Pour, in this order.*water.*857 mL.*alcohol stock.*143 mL.*gives 1 L of ?10 % alcohol/)
    await visit.presses('500 mL')
    await visit.sees(/alcohol stock.*71 mL.*gives 500 mL/)
    await visit.chooses('What is wanted', 'light slip, clear film on panels')
    await visit.sees(/soap.*syringe to 0\.7 mL.*gives 500 mL of ?1\.4 mL\/L soap/)
    await visit.sees('Soap last, and turn the bottle: shaken it foams.')
  })
  test('follows the stock on the shelf, which is kept', async () => {
    const visit = shop.visit('/mixing')
    await visit.types('Alcohol stock on the shelf', '50')
    await visit.sees(/alcohol stock.*200 mL/)
    await expect.poll(async () => (await shop.server.get('/api/shop')).body.stockAlcoholPercent).toBe(50)
    await visit.types('Alcohol stock on the shelf', '70')
    await visit.sees(/alcohol stock.*143 mL/)
  })
  test('of a strength that the stock cannot give is refused with what to do', async () => {
    const visit = shop.visit('/mixing')
    await visit.chooses('What is wanted', 'a strength of my own')
    await visit.types('Alcohol', '80')
    await visit.sees(/80 %/)
    expect(screen.queryByRole('button', { name: 'Mixed: give it a number and a label' })).toBeNull()
    expect(screen.getAllByRole('alert').length).toBeGreaterThan(0)
  })
  test('in hard water soap says so', async () => {
    const visit = shop.visit('/mixing')
    await visit.chooses('What is wanted', 'heavy slip, big pieces that slide far')
    await visit.presses('hard tap')
    await visit.sees(/hard/i)
  })
  test('gets a number and a label once it is mixed, and stands in the shop', async () => {
    const before = await bottles()
    const visit = shop.visit('/mixing')
    await visit.chooses('who mixes', 'Tarek')
    await visit.presses('Mixed: give it a number and a label')
    const dialog = await screen.findByRole('dialog', { name: /Label of bottle/ })
    expect(within(dialog).getByText('weak tack')).toBeTruthy()
    const after = await bottles()
    expect(after).toHaveLength(before.length + 1)
    const made = after.find((b) => !before.some((a) => a.number === b.number))
    expect(made).toMatchObject({ personId: 'tarek', emptiedAt: null })
    expect(made?.strength.alcoholPercent).toBeCloseTo(10, 0)
  })
})

describe('what is it?', () => {
  test('a mixture is named, and taken over to be put right', async () => {
    const visit = shop.visit('/mixing')
    await visit.presses('What is it?')
    await visit.sees('21 % alcohol')
    await visit.types('Alcohol stock', '143')
    await visit.types('Water', '857')
    await visit.sees(/10 % alcohol.*: that is weak tack\./)
    await visit.presses('Put it right')
    expect(await screen.findByLabelText('In it now')).toHaveProperty('value', '1000')
    expect(screen.getByLabelText('Its alcohol')).toHaveProperty('value', '10.0')
  })
})

describe('a bottle of the shop', () => {
  test('is put right within its size, and its history goes on', async () => {
    const visit = shop.visit('/mixing')
    const row = await screen.findByRole('listitem', { name: 'Bottle 300430-1' })
    await visit.user.click(within(row).getByRole('button', { name: 'Put right' }))
    await visit.sees(/To put it right.*gives/)
    await visit.presses('Done: note it on the bottle')
    await expect.poll(async () => (await bottle('300430-1'))?.strength.alcoholPercent).toBeCloseTo(10, 0)
  })
  test('is topped up to what one likes', async () => {
    const visit = shop.visit('/mixing')
    const row = await screen.findByRole('listitem', { name: 'Bottle 300428-1' })
    await visit.user.click(within(row).getByRole('button', { name: 'Top up' }))
    await visit.chooses('What is wanted', 'light slip, clear film on panels')
    await visit.types('Fill it to', '1000')
    await visit.sees(/To fill it again.*gives 1 L of ?1\.3 mL\/L soap/)
    await visit.presses('Done: note it on the bottle')
    await expect.poll(async () => (await bottle('300428-1'))?.leftMl).toBeCloseTo(1000, -1)
  })
  test('what is left in it is noted', async () => {
    const visit = shop.visit('/mixing')
    const row = await screen.findByRole('listitem', { name: 'Bottle 300428-1' })
    const left = within(row).getByLabelText('Left in it')
    await visit.user.clear(left)
    await visit.user.type(left, '750{Enter}')
    await expect.poll(async () => (await bottle('300428-1'))?.leftMl).toBe(750)
  })
  test('more than it holds is refused at the field, and changes nothing', async () => {
    const visit = shop.visit('/mixing')
    const row = await screen.findByRole('listitem', { name: 'Bottle 300428-1' })
    const left = within(row).getByLabelText('Left in it')
    await visit.user.clear(left)
    await visit.user.type(left, '99999{Enter}')
    await visit.sees('Left in it: a number from 0 to')
    expect((await bottle('300428-1'))?.leftMl).toBe(750)
  })
  test('is gone once it is empty', async () => {
    const visit = shop.visit('/mixing')
    const row = await screen.findByRole('listitem', { name: 'Bottle 300428-1' })
    await visit.user.click(within(row).getByRole('button', { name: 'Emptied' }))
    await expect.poll(async () => (await bottle('300428-1'))?.emptiedAt).toBeTruthy()
    await expect.poll(() => screen.queryByRole('listitem', { name: 'Bottle 300428-1' })).toBeNull()
  })
})

describe('the shelf', () => {
  test('says what the open jobs take, and what will run out first', async () => {
    const visit = shop.visit('/mixing')
    await visit.sees(/Distilled water ?open jobs take/)
    const water = await screen.findByRole('listitem', { name: 'Distilled water' })
    const left = within(water).getByLabelText('Left')
    await visit.user.clear(left)
    await visit.user.type(left, '500{Enter}')
    await visit.sees(/Distilled water ?runs out at job 0\d{3}: .* short/)
  })
  test('says what each open job needs', async () => {
    const { sees } = shop.visit('/mixing')
    await sees(/0412 Velmora Pipit.*slip .* mL, tack .* mL|0412 .*slip .* L, tack/)
  })
})

describe('why it grabs as it does', () => {
  test('puts strength, soap, temperature and time together', async () => {
    const visit = shop.visit('/mixing')
    await visit.presses('It grabs too early, or will not grab')
    await visit.sees(/In this air such film slides for about.*min/)
    await visit.types('Since it was sprayed', '40')
    await visit.sees(/40 min/)
    await visit.presses('Will not grab')
    await visit.types('Temperature of the part', '6')
    await visit.sees('6 °C')
    await visit.presses('Close')
    await expect.poll(() => screen.queryByRole('dialog')).toBeNull()
  })
})

describe('in a shop of fluid ounces', () => {
  beforeAll(() => shop.chooseUnits({ length: 'in', temperature: 'F', volume: 'fl oz' }))
  test('nothing is in millilitres but what is read off a tool, and what is typed is understood', async () => {
    const visit = shop.visit('/mixing')
    await visit.types('or', '100')
    await visit.sees(/gives 100 fl oz/)
    await visit.sees(/full cylinders \(100 mL each\) and \d+ mL/)
    const elsewhere = page().replace(/full cylinders? \(100 mL( each)?\)( and \d+ mL)?|syringe to [\d.]+ mL/g, '')
    expect(elsewhere).toMatch(/gives 100 fl oz/)
    expect(elsewhere).not.toMatch(/\d ?mL(?![a-z/])/)
  })
  test('the bottles are round ones there too, a quart at first', async () => {
    const visit = shop.visit('/mixing')
    await visit.sees(/gives 32 fl oz of ?10 % alcohol/)
    const sizes = within(screen.getByRole('radiogroup', { name: 'How much' })).getAllByRole('radio')
    expect(sizes.map((one) => says(one))).toEqual(['8 fl oz', '16 fl oz', '32 fl oz', '64 fl oz'])
    expect(screen.getByLabelText<HTMLInputElement>('or').value).toBe('32')
    await visit.presses('8 fl oz')
    await visit.sees(/gives 8\.0\d fl oz of ?10 % alcohol/)
  })
})

import type { Page } from '@playwright/test'
import { photo } from './photo.ts'
import { expect, headline, type DemoShop, test, pedal } from './shop.ts'

const openWalkRound = async (page: Page, shop: DemoShop, job: string) => {
  await page.goto(`${shop.url}/jobs/${job}/walk-round`)
  await expect(page.getByRole('heading', { name: /^Found/ })).toBeVisible()
}
const tap = (page: Page, place: string) => page.getByRole('button', { name: place, exact: true }).click()

async function addPhotos(page: Page, colours: readonly string[]) {
  const files = []
  for (const [i, colour] of colours.entries())
    files.push({ name: `photo-${i}.jpg`, mimeType: 'image/jpeg', buffer: Buffer.from(await photo(page, colour)) })
  await page.getByLabel('Photos of the finding').setInputFiles(files)
}

async function sign(page: Page, name: string) {
  await page.getByRole('button', { name: 'Customer reads and signs' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('button', { name: 'I have read this' })).toBeDisabled()
  await dialog.getByLabel('Your name').fill(name)
  const field = await dialog.getByLabel('Sign here').boundingBox()
  if (field === null) throw new Error('no field to sign in')
  await page.mouse.move(field.x + 40, field.y + 70)
  await page.mouse.down()
  for (const [dx, dy] of [
    [30, -40],
    [60, 20],
    [90, -30],
    [140, 10],
  ] as const)
    await page.mouse.move(field.x + 40 + dx, field.y + 70 + dy, { steps: 4 })
  await page.mouse.up()
  await dialog.getByRole('button', { name: 'I have read this' }).click()
  await expect(dialog).toBeHidden()
}

test('a new job, walked round with photos: a coating is found, the plan changes, the customer signs', async ({
  page,
  shop,
}) => {
  // Taken in at the desk.
  await page.goto(shop.url)
  await page.getByRole('link', { name: 'New job' }).click()
  await page.getByRole('button', { name: /Velmora Pipit/ }).click()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText('Say whose vehicle it is.')).toBeVisible()
  await page.getByLabel('Customer').fill('Private owner')
  await page.getByLabel('Number plate or fleet number').fill('Fleet 27')
  await page.getByLabel('Colour').fill('signal white')
  await tap(page, 'Bonnet')
  await tap(page, 'Headlamp, driver’s side')
  await expect(page.getByRole('heading', { name: '2 parts' })).toBeVisible()
  await page.getByRole('button', { name: 'Take it in' }).click()

  // The same vehicle was here before.
  await expect(page.getByText(/Seen on .*, job 0388/)).toBeVisible()
  await expect(page.getByText('Bonnet: water-repelling coating')).toBeVisible()

  // Three taps and no typing.
  await tap(page, 'Bonnet')
  await page.getByRole('button', { name: 'water-repelling coating' }).click()
  await expect(page.getByText('Changes the plan of Bonnet.')).toBeVisible()
  await addPhotos(page, ['#884422', '#224488'])
  await expect(page.getByRole('img', { name: 'water-repelling coating, Bonnet' })).toHaveCount(2)
  await page.getByRole('button', { name: '250 mm' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await tap(page, 'Headlamp, driver’s side')
  await page.getByRole('button', { name: 'casting marks from the mould' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('2 places')).toBeVisible()

  // Signed: locked, and what comes after is found later.
  await sign(page, 'M. Sandvik')
  await expect(page.getByText('Signed by M. Sandvik')).toBeVisible()
  await page.getByRole('button', { name: /Water-repelling coating/i }).click()
  await expect(page.getByText('it cannot be changed any more')).toBeVisible()
  await page.getByRole('button', { name: 'Done' }).click()
  await tap(page, 'Roof')
  await page.getByRole('button', { name: 'dent', exact: true }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('Roof, found later')).toBeVisible()

  // What was found changes the plan, visibly and with the reason.
  await page.getByRole('link', { name: 'Lay sheet' }).click()
  await expect(page.getByTestId('worst-edge')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Found on this part' })).toContainText('strip it first')
  await page.getByRole('button', { name: /Strip the coating/ }).click()
  await expect(page.getByText('Walk-round: water-repelling coating.')).toBeVisible()
  await page.getByRole('link', { name: 'Fit', exact: true }).click()
  await page.getByRole('button', { name: /Start/ }).click()
  for (let i = 0; i < 4 && (await headline(page).textContent()) !== 'Strip the coating'; i++) {
    const now = (await headline(page).textContent()) ?? ''
    await pedal(page)
    await expect(headline(page)).not.toHaveText(now)
  }
  await expect(headline(page)).toHaveText('Strip the coating')
  await expect(page.getByText('Only if: Water no longer beads anywhere')).toBeVisible()
})

test('sixty photos on one vehicle are kept once each and shown quickly', async ({ page, shop }) => {
  test.slow()
  await openWalkRound(page, shop, '0412')
  for (const [i, place] of ['Bonnet', 'Roof', 'Front bumper'].entries()) {
    await tap(page, place)
    await page.getByRole('button', { name: 'stone chip' }).click()
    await addPhotos(
      page,
      Array.from({ length: 20 }, (_, k) => `hsl(${(i * 20 + k) * 6} 60% 45%)`),
    )
    await expect(page.getByRole('img', { name: new RegExp(`stone chip, ${place}`) })).toHaveCount(20, {
      timeout: 60_000,
    })
    await page.getByRole('button', { name: 'Done' }).click()
  }
  // The same photo again is the same photo.
  await page.getByRole('button', { name: /1 Stone chip Bonnet/i }).click()
  await addPhotos(page, ['hsl(0 60% 45%)'])
  await expect(page.getByText(/Keeping/)).toBeHidden()
  await expect(page.getByRole('img', { name: 'stone chip, Bonnet' })).toHaveCount(20)
  await page.reload()
  await page.getByRole('button', { name: /1 Stone chip Bonnet/i }).click()
  const first = page.getByRole('img', { name: 'stone chip, Bonnet' }).first()
  await expect(first).toBeVisible()
  await expect.poll(() => first.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(100)
})

test('a file that is no photo is said to be none, and the finding stays', async ({ page, shop }) => {
  await openWalkRound(page, shop, '0412')
  await tap(page, 'Roof')
  await page.getByRole('button', { name: 'scratch', exact: true }).click()
  await page
    .getByLabel('Photos of the finding')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no photo') })
  await expect(page.getByRole('alert')).toContainText('no photo this tablet can read')
  await page.getByRole('button', { name: 'Remove this finding' }).click()
  await expect(page.getByText('nothing yet')).toBeVisible()
})

test('a vehicle that is not in the list is added in a minute, with parts that nobody has measured', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/jobs/new`)
  await page.getByLabel('Name of the model').fill('Selwick Tern')
  await page.getByRole('radio', { name: 'saloon' }).click()
  await page.getByRole('button', { name: 'Add this model' }).click()
  await expect(page.getByRole('heading', { name: 'Selwick Tern' })).toBeVisible()
  await page.getByLabel('Customer').fill('Private owner')
  await page.getByLabel('Number plate or fleet number').fill('KL 9')
  await tap(page, 'Mirror cap, driver’s side')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { name: 'Selwick Tern' })).toBeVisible()
  await page.getByRole('link', { name: 'Lay sheet' }).click()
  await expect(page.getByText('Nobody has measured Mirror cap, driver’s side yet.')).toBeVisible()
  await expect(page.getByRole('alert')).toHaveCount(0)
})

import { readBow } from './bow.ts'
import { expect, test } from './shop.ts'

test.use({ holds: 'nothing' })

test('from an empty folder to the first lay sheet of a measured part', async ({ page, shop, quiet }) => {
  await page.goto(shop.url)
  await expect(page.getByRole('heading', { name: 'Open the shop' })).toBeVisible()
  // A name and somebody who leads are enough; what is missing is said.
  await expect(page.getByText('Give the shop a name.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Name of the shop' }).fill('Quayside Film Works')
  await expect(page.getByText('Name at least one person.')).toBeVisible()
  await page.getByLabel('Name of person 1').fill('Tarek')
  await page.getByRole('button', { name: 'Another person' }).click()
  await page.getByLabel('Name of person 2').fill('Ines')
  await page.getByLabel('Name of the film, as on its box').fill('Hullskin 180 clear')
  await page.getByText(/^Places:/).click()
  await page.getByLabel('Name of place 1').fill('Lift')
  await page.getByRole('button', { name: 'Open the shop' }).click()
  await expect(page.getByText('No vehicle is here today.')).toBeVisible()
  quiet.splice(0, quiet.length, ...quiet.filter((line) => !/404/.test(line)))

  await page.getByRole('link', { name: 'New job' }).click()
  await page.getByLabel('Name of the model').fill('Selwick Tern')
  await page.getByRole('radio', { name: 'saloon' }).click()
  await page.getByRole('button', { name: 'Add this model' }).click()
  await page.getByLabel('Customer').fill('Private owner')
  await page.getByLabel('Number plate or fleet number').fill('KL 9')
  await expect(page.getByLabel('Where').getByRole('option')).toHaveText(['Lift', 'Bay 2', 'Wash bay', 'Bench'])
  await page.getByRole('button', { name: 'Bonnet', exact: true }).click()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await page.getByRole('link', { name: 'Lay sheet' }).click()
  await page.getByRole('link', { name: 'Measure it now' }).click()
  await page.getByLabel('New form: vehicle and part').fill('Selwick Tern bonnet')
  await page.getByRole('button', { name: '2 Bow', exact: true }).click()
  await readBow(page, (x, y) => -1.1e-4 * x * x - 2e-4 * y * y)
  await page.getByRole('button', { name: 'Keep this form' }).click()
  await expect(page.getByTestId('worst-edge')).toBeVisible()

  // The bench of a shop that has mixed nothing yet, and the shelf.
  for (const [path, says] of [
    ['/mixing', /Mix/],
    ['/shelf', /0 kits, 0 pieces, 1 film/],
    ['/shelf/blades', /Blade book/],
    ['/jobs', /1 found/],
  ] as const) {
    await page.goto(`${shop.url}${path}`)
    await expect(page.getByText(says).first()).toBeVisible()
    await expect(page.getByRole('alert')).toHaveCount(0)
  }
})

import type { Page } from '@playwright/test'
import { expect, test, unmeasuredPart } from './shop.ts'

const photograph = (n: number) =>
  new URL(`../demo/photographs/headlamp-${String(n).padStart(2, '0')}.jpg`, import.meta.url).pathname
const photographs = (...numbers: number[]) => numbers.map(photograph)
const choose = (page: Page) => page.getByLabel('Photographs of the part')
const bar = async (page: Page, name: string, mm: string) => {
  await page.getByRole('textbox', { name }).fill(mm)
  await page.getByRole('textbox', { name }).press('Enter')
}
const figure = async (page: Page, term: string) =>
  Number((await page.locator('dl > div', { hasText: term }).locator('dd').textContent())?.replace(/[^\d.]/g, ''))

test('a headlamp that nobody has measured is photographed, becomes a form, and is laid', async ({ page, shop }) => {
  await unmeasuredPart(page, shop)
  await page.getByRole('link', { name: 'From photographs' }).click()

  // The first four: it says where to stand for the next.
  await choose(page).setInputFiles(photographs(1, 2, 3, 4))
  await expect(page.getByText(/^Next: Stand/)).toBeVisible()
  await expect(page.getByTestId('next-stand')).toBeVisible()
  await expect(page.getByText(/fewer than three photographs/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Measure', exact: true })).toBeDisabled()
  await choose(page).setInputFiles(photographs(5, 6, 7, 8, 9, 10, 11, 12))
  await bar(page, '110 to 111', '600')
  await bar(page, '112 to 113', '420')
  await expect(page.getByText('That is enough: measure.')).toBeVisible()
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await expect(page.getByText(/targets, each sure to 0\.\d\smm/)).toBeVisible()
  await expect(page.getByText(/The second bar comes out 0.0\d\s% off/)).toBeVisible()
  await page.getByRole('button', { name: 'Make it a form' }).click()

  // Laid over its own photograph; as large and as bowed as the lamp that was photographed.
  await expect(page.getByTestId('form-grade')).toContainText('Grade 4')
  await expect(page.locator('svg image')).toBeVisible()
  expect(Math.abs((await figure(page, 'Area')) / 56_720 - 1)).toBeLessThan(0.015)
  expect(Math.abs((await figure(page, 'Not developable')) / 1.013 - 1)).toBeLessThan(0.06)
  await page.getByRole('button', { name: '2 Bow', exact: true }).click()
  await expect(page.getByText(/targets from photographs, heights sure to 0\.\d\smm/)).toBeVisible()
  await page.getByLabel('New form: vehicle and part').fill('Selwick Tern headlamp')
  // Whatever happens to the page before it is kept, the form is there.
  await page.reload()
  await expect(page.getByText('Selwick Tern headlamp was made before and is not kept yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Go on with it' }).click()
  await expect(page.getByTestId('form-grade')).toContainText('Grade 4')
  await expect(page.getByLabel('New form: vehicle and part')).toHaveValue('Selwick Tern headlamp')
  await page.getByRole('button', { name: 'Keep this form' }).click()
  await expect(page.getByTestId('worst-edge')).toBeVisible()
})

test('what is no picture, shows no targets or contradicts is told, and nothing is lost', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/new?photos=1`)
  const blank = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = 1600
    canvas.height = 1200
    canvas.getContext('2d')?.fillRect(100, 100, 600, 300)
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await choose(page).setInputFiles([
    { name: 'letter.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('Dear customer') },
    { name: 'wall.png', mimeType: 'image/png', buffer: Buffer.from(blank, 'base64') },
  ])
  await expect(page.getByText('no picture that can be read: set the camera to JPEG')).toBeVisible()
  await expect(page.getByText('too few targets seen: go nearer, with more light')).toBeVisible()
  await choose(page).setInputFiles(photographs(1, 3, 5, 6, 8, 10, 12))
  await bar(page, '110 to 111', '590')
  await bar(page, '112 to 113', '420')
  await expect(page.getByText(/targets, start plate seen/)).toHaveCount(7)

  // One is left out and comes back.
  await page.getByRole('button', { name: 'Leave out headlamp-12.jpg' }).click()
  await expect(page.getByText('headlamp-12.jpg is left out.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByText(/targets, start plate seen/)).toHaveCount(7)

  // A bar of the wrong length: told, and no form is made of it.
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await expect(page.getByText(/The two bars contradict each other/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Make it a form' })).toBeDisabled()
  await bar(page, '110 to 111', '600')
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Make it a form' })).toBeEnabled()

  // A rim of two is none.
  await page.getByRole('button', { name: 'None', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Make it a form' })).toBeDisabled()
  await page.getByRole('button', { name: 'The outer ones' }).click()
  await expect(page.getByRole('button', { name: 'Make it a form' })).toBeEnabled()

  // Leaving asks first: photographs are kept nowhere.
  await page.getByRole('link', { name: 'Bay' }).click()
  await expect(page.getByText('What was done here is not kept: coming back you begin anew.')).toBeVisible()
  await page.getByRole('button', { name: 'Stay here' }).click()
  await expect(page.getByRole('button', { name: 'Make it a form' })).toBeEnabled()
})

test('the headlamp to practise on comes with the app, and reading it can be stopped', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/new?photos=1`)
  await page.getByRole('button', { name: 'Practise on a headlamp' }).click()
  await expect(page.getByText(/of 12 looked through/)).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText(/of 12 looked through/)).toBeHidden()
  await expect(page.getByText('not looked through yet')).toHaveCount(0)
  await expect(page.getByRole('textbox', { name: '110 to 111' })).toHaveValue('600.0')
})

import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, goOnTo, openLaySheet, startFit, test } from './shop.ts'

test('the bay shows the vehicle of today, its parts and what comes next', async ({ page, shop }) => {
  await page.goto(shop.url)
  await expect(page.getByRole('heading', { name: /Velmora Pipit/ })).toBeVisible()
  await expect(page.getByText('0 of 2 parts done')).toBeVisible()
  await expect(page.getByText('Bonnet: open the lay sheet')).toBeVisible()
  const here = page.getByRole('region', { name: /Velmora Pipit/ })
  await expect(here.getByRole('link', { name: 'Lay sheet' })).toHaveCount(2)
  // A vehicle with many parts shows those that matter now; those that come later are listed apart.
  const estate = page.getByRole('region', { name: /Ondrel Skua/ })
  await expect(estate.getByRole('link', { name: 'Lay sheet' })).toHaveCount(3)
  await estate.getByRole('button', { name: '7 more parts' }).click()
  await expect(estate.getByRole('link', { name: 'Lay sheet' })).toHaveCount(10)
  await expect(page.getByRole('region', { name: 'Coming' })).toContainText('Tarnbeck Drover')
})

test('an unknown job, part or page says so and leads back', async ({ page, shop, quiet }) => {
  await page.goto(`${shop.url}/jobs/9999/lay-sheets/x`)
  await expect(page.getByRole('alert')).toContainText('There is no job "9999"')
  await page.getByRole('link', { name: 'To the bay' }).click()
  await expect(page.getByRole('heading', { name: /Velmora Pipit/ })).toBeVisible()
  await page.goto(`${shop.url}/jobs/0412/lay-sheets/roof`)
  await expect(page.getByRole('alert')).toContainText('a part "roof"')
  await page.goto(`${shop.url}/nowhere`)
  await expect(page.getByRole('alert')).toContainText('nothing at this address')
  quiet.splice(0, quiet.length, ...quiet.filter((line) => !/404/.test(line)))
})

test('units and theme are the shop’s choice, everywhere', async ({ page, shop }) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('radio', { name: 'inch' }).click()
  await page.getByRole('radio', { name: 'fl oz' }).click()
  await page.getByRole('radio', { name: '°F' }).click()
  await page.getByRole('radio', { name: 'Dark bay' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'bay')
  await openLaySheet(page, shop, 'Bonnet')
  await expect(page.getByText(/rule 0\.079\sin to 0\.118\sin/)).toBeVisible()
  await expect(page.getByText('70.5 °F')).toBeVisible()
  await expect(page.getByText(/fl oz/).first()).toBeVisible()
})

test('a figure of the trade can be changed within its range, and not beyond', async ({ page, shop }) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('searchbox', { name: 'Look for a figure' }).fill('stop short')
  const field = page.getByLabel('Stop short, least gap')
  await field.fill('9')
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText('from 0.5 to 3')
  await field.fill('1.5')
  await field.press('Enter')
  await expect(page.getByRole('button', { name: 'Back to usual' })).toBeVisible()
  await openLaySheet(page, shop, 'Bonnet')
  await expect(page.getByText(/rule 1\.5\smm to 3\smm/)).toBeVisible()
})

async function noBarriers(page: Page) {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`)).toEqual([])
}

for (const theme of ['Daylight', 'Dark bay'])
  test(`no barriers for anybody, ${theme}`, async ({ page, shop }) => {
    await page.goto(`${shop.url}/shop`)
    await page.getByRole('radio', { name: theme }).click()
    await expect(page.locator('html')).toHaveAttribute('data-theme', theme === 'Daylight' ? 'day' : 'bay')
    await noBarriers(page)
    await page.goto(shop.url)
    await expect(page.getByRole('heading', { name: /Velmora Pipit/ })).toBeVisible()
    await noBarriers(page)
    await openLaySheet(page, shop, 'Bonnet')
    await noBarriers(page)
    await startFit(page)
    await goOnTo(page, /Measure/)
    await noBarriers(page)
    await page.goto(`${shop.url}/jobs/0412/record/0412-bonnet`)
    await expect(page.getByRole('heading', { name: /Steps/ })).toBeVisible()
    await noBarriers(page)
  })

for (const theme of ['day', 'bay'])
  test(`no barriers before the fit either, theme ${theme}`, async ({ page, shop }) => {
    test.slow()
    await page.request.patch(`${shop.url}/api/shop`, {
      data: { theme },
      headers: { 'x-write-id': crypto.randomUUID() },
    })
    const views: [string, RegExp][] = [
      ['/jobs/0412/walk-round', /^Found/],
      ['/jobs/0412/kit', /kit/],
      ['/jobs/new', /Which vehicle/],
      ['/jobs', /^Jobs/],
      ['/jobs/0412', /Whose and when/],
      ['/models/velmora-pipit', /Its parts/],
      ['/shelf/films/new', /A new film/],
      ['/shelf', /^Shelf/],
      ['/shelf/pieces/pipit-bonnet-piece', /^Bonnet/],
      ['/shelf/import', /Bring in a pattern/],
      ['/forms', /^Forms/],
    ]
    for (const [path, heading] of views) {
      await page.goto(shop.url + path)
      await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible()
      await expect(page.locator('html')).toHaveAttribute('data-theme', theme)
      await noBarriers(page)
    }
    await page.goto(`${shop.url}/forms/drover-grille-bar`)
    await expect(page.getByTestId('form-grade')).toBeVisible()
    for (const step of theme === 'day' ? ['2 Bow', '3 Features', '5 Marks'] : ['4 Edges', '1 Outline']) {
      await page.getByRole('button', { name: step }).click()
      await noBarriers(page)
    }
    await page.goto(`${shop.url}/jobs/0412/walk-round`)
    await page.getByRole('button', { name: 'Bonnet', exact: true }).click()
    await noBarriers(page)
    await page.getByRole('button', { name: 'repainted' }).click()
    await noBarriers(page)
    await page.getByRole('button', { name: 'Done' }).click()
    await page.getByRole('button', { name: 'Customer reads and signs' }).click()
    await noBarriers(page)
  })

import AxeBuilder from '@axe-core/playwright'
import { expect, test } from './shop.ts'

test.use({ plansDay: true })
test('the day is planned by itself; a bar says what it is, the plan outlives a restart, and what is begun stays in its hands', async ({
  page,
  shop,
}) => {
  await page.goto(shop.url)
  const board = page.getByRole('region', { name: 'Plan of the day' })
  await expect(board).toBeVisible({ timeout: 120_000 })
  for (const person of ['Ines', 'Tarek', 'Bo'])
    await expect(board.getByRole('list', { name: `Work of ${person}` })).toBeVisible()
  // On whatever day and hour it is made, there is a day on which everybody works.
  await board.getByRole('button', { pressed: false }).first().waitFor()
  const bar = board
    .getByRole('list', { name: /^Work of/ })
    .getByRole('button')
    .first()
  await bar.click()
  await expect(board.getByText(/^Not earlier: /)).toBeVisible()
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze()
  expect(violations.map(({ id, nodes }) => `${id} ${nodes[0]?.html}`)).toEqual([])
  const kept = await (await page.request.get(`${shop.url}/api/day`)).json()
  // A board that is open asks a server that is away.
  await page.goto('about:blank')
  await shop.kill()
  await shop.start()
  const again = await (await page.request.get(`${shop.url}/api/day`)).json()
  expect(again.plan).toEqual(kept.plan)
  await page.goto(shop.url)
  await expect(board).toBeVisible()
  await page.getByRole('button', { name: 'As lists' }).click()
  await expect(board.getByRole('region', { name: 'List of Ines' })).toBeVisible()
  await page.setViewportSize({ width: 390, height: 844 })
  await expect(board.getByRole('region', { name: 'List of Bo' })).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
})

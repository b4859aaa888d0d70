import { scrollsOverNothing } from './screens.ts'
import { expect, openLaySheet, test } from './shop.ts'

test('the bonnet’s sheet tells the worst edge and puts the piece right', async ({ page, shop }) => {
  await openLaySheet(page, shop, 'Bonnet')
  await expect(page.getByText('Edge margin, rule 2 mm to 3 mm')).toBeVisible()
  await expect(page.getByText(/No room now/)).toBeVisible()
  await page.getByRole('button', { name: 'Move it there' }).click()
  await expect(page.getByText(/Inside the rule all round/)).toBeVisible()
  await expect(page.getByText('towards the windscreen').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/No room now/)).toBeVisible()
})

test('beside the drawings the numbers scroll, and nothing else does', async ({ page, shop }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await openLaySheet(page, shop, 'Headlamp')
  const numbers = page.locator('aside > div').first()
  await expect.poll(() => numbers.evaluate((e) => e.scrollHeight - e.clientHeight)).toBeGreaterThan(100)
  await expect(page.getByText(/per 100\smm of edge/).first()).toBeAttached()
  expect(await scrollsOverNothing(page)).toEqual([])
  expect(await page.locator('main').evaluate((e) => e.scrollHeight - e.clientHeight)).toBe(0)
})

test('the piece follows the pointer, the arrow keys and typed values, and stays where it was put', async ({
  page,
  shop,
}) => {
  await openLaySheet(page, shop, 'Bonnet')
  const right = page.getByLabel('to the right')
  const worst = page.getByTestId('worst-edge')
  await expect(right).toHaveValue('0.9')

  const flat = page.getByRole('application')
  const box = (await flat.boundingBox())!
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  const before = await worst.textContent()
  await page.mouse.move(middle.x, middle.y)
  await page.mouse.down()
  await page.mouse.move(middle.x + 3, middle.y, { steps: 3 })
  // The numbers move with the piece, before it is let go.
  await expect(worst).not.toHaveText(before ?? '')
  await page.mouse.up()
  const dragged = Number(await right.inputValue())
  expect(dragged).toBeGreaterThan(4)

  await right.fill('1.3')
  await right.press('Enter')
  await flat.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(right).toHaveValue('1.2')
  await page.keyboard.press('Shift+ArrowLeft')
  await expect(right).toHaveValue('0.2')
  await page.getByLabel('turned left').fill('0.02')
  await page.getByLabel('turned left').press('Enter')
  await expect(right).toHaveValue('0.2')
  await page.getByLabel('up', { exact: true }).fill('far')
  await page.getByLabel('up', { exact: true }).press('Enter')
  await expect(page.getByRole('alert')).toContainText('a number from')

  await page.reload()
  await expect(page.getByTestId('worst-edge')).toBeVisible()
  await expect(page.getByLabel('to the right')).toHaveValue('0.2')
  await expect(page.getByLabel('turned left')).toHaveValue('0.02')
})

test('pointing at the flat piece tells the stretch there, for either lay', async ({ page, shop }) => {
  await openLaySheet(page, shop, 'Headlamp')
  const flat = page.getByRole('application')
  const box = (await flat.boundingBox())!
  await page.mouse.move(box.x + box.width * 0.62, box.y + box.height * 0.5)
  const here = page.getByText(/(stretched|too much film|at rest) here/)
  await expect(here).toBeVisible()
  const worked = await here.textContent()
  await page.getByRole('radio', { name: 'By itself' }).click()
  await expect(page.getByText('what the film does by itself; drag to turn it')).toBeVisible()
  await expect(page.getByText(/Too much film if nobody pulls/)).toBeVisible()
  await page.mouse.move(box.x + box.width * 0.62, box.y + box.height * 0.5)
  await expect(here).not.toHaveText(worked ?? '')
})

test('the lamp is another job: dry, warm pulls, bleed, light', async ({ page, shop }) => {
  await openLaySheet(page, shop, 'Headlamp')
  await expect(page.getByText(/Hardest pull/)).toBeVisible()
  await expect(page.getByText(/Nothing: it is laid dry/)).toBeVisible()
  await expect(page.getByText(/62\s% of the light is left/)).toBeVisible()
  await expect(page.getByText('film past the edge, true to size')).toBeVisible()
  const slider = page.getByRole('slider', { name: 'Step' })
  await slider.focus()
  await page.keyboard.press('End')
  await expect(page.getByText('Wipe, photograph, done')).toBeVisible()
})

test('the part is really drawn in space', async ({ page, shop }) => {
  await openLaySheet(page, shop, 'Bonnet')
  await expect(page.locator('canvas')).toBeVisible()
  const colors = async () => {
    const shot = await page.locator('canvas').screenshot()
    return shot.length
  }
  await expect.poll(colors).toBeGreaterThan(8000)
  // Pointing at it tells the stretch there, and lights the same place up in the flat piece.
  const flat = page.getByRole('application')
  const circles = await flat.locator('circle').count()
  const box = (await page.locator('canvas').boundingBox())!
  await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.5)
  await page.mouse.move(box.x + box.width * 0.52, box.y + box.height * 0.5)
  await expect(page.getByText(/(stretched|too much film|at rest) here/)).toBeVisible()
  await expect(flat.locator('circle')).toHaveCount(circles + 1)
})

test('its code is there before it is asked for, as soon as a job is looked at', async ({ page, shop }) => {
  await page.goto(`${shop.url}/jobs/0412`)
  const fetched = () => page.evaluate(() => performance.getEntriesByType('resource').map(({ name }) => name))
  for (const code of ['SheetFrame', 'LaidFrame', 'LaySheetScreen', 'PartView3D'])
    await expect.poll(fetched).toContainEqual(expect.stringContaining(`/assets/${code}-`))
  // The job is still what is looked at.
  await expect(page.locator('canvas')).toHaveCount(0)
  await page.getByRole('link', { name: 'Lay sheet' }).first().click()
  await expect(page.locator('canvas')).toBeVisible()
})

test('a piece that is far too small for its part is refused in words', async ({ page, shop }) => {
  await page.route('**/api/jobs/0412', async (route) => {
    const answer = await route.fetch()
    const job = await answer.json()
    const { pattern } = job.pieces.find((p: { id: string }) => p.id === 'pipit-bonnet-piece')
    pattern.outline = pattern.outline.map(([x, y]: [number, number]) => [x / 3, y / 3])
    await route.fulfill({ response: answer, json: job })
  })
  await page.goto(`${shop.url}/jobs/0412/lay-sheets/0412-bonnet`)
  await expect(page.getByRole('alert')).toContainText(/has only 11(\.\d)?\s% of the area this part needs/, {
    timeout: 60_000,
  })
})

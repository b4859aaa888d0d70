import type { Page } from '@playwright/test'
import { expect, test } from './shop.ts'

/** To and fro over a line of the patch, as shares of it, for so long: at the same pace on a slow machine too. */
async function sweep(page: Page, seconds: number, [left, right]: readonly [number, number], high: number) {
  const box = await page.getByTestId('patch').boundingBox()
  if (box === null) throw new Error('no patch')
  const began = performance.now()
  const oneWayS = 0.8
  for (;;) {
    const s = (performance.now() - began) / 1000
    if (s > seconds) return
    const along = Math.abs(((s / oneWayS) % 2) - 1)
    await page.mouse.move(box.x + box.width * (left + (right - left) * along), box.y + box.height * high)
    await page.waitForTimeout(25)
  }
}
const figure = (page: Page, label: string) => page.getByText(label).locator('xpath=following-sibling::strong')
const celsius = async (page: Page, label: string) => Number.parseFloat((await figure(page, label).textContent()) ?? '')

test('the gun in hand: film warms under the pointer, cools without it, and the end is marked and kept', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/practice/gun?seed=3&level=2&who=ines`)
  await expect(page.getByText('Seal the marked edge')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Gun down: done' })).toBeDisabled()
  const place = await page.getByTestId('patch').locator('div').boundingBox()
  const patch = await page.getByTestId('patch').boundingBox()
  if (place === null || patch === null) throw new Error('no place')
  const share = (x: number) => (x - patch.x) / patch.width
  const line = [share(place.x), share(place.x + place.width)] as const
  await sweep(page, 6, line, 0.97)
  const warm = await celsius(page, 'Thermometer, at the spot')
  expect(warm).toBeGreaterThan(25)

  // The wheel brings it nearer: hotter still.
  await page.mouse.wheel(0, -240)
  await expect(page.getByRole('slider')).toHaveValue('85')
  await page.getByRole('slider').fill('60')
  await sweep(page, 6, line, 0.97)
  const hot = await celsius(page, 'Hottest anywhere')
  expect(hot).toBeGreaterThan(warm)

  // Taken away it cools; the thermometer reads nothing where no gun is.
  await page.mouse.move(10, 10)
  await expect(figure(page, 'Thermometer, at the spot')).toHaveText('–')

  await page.getByRole('button', { name: 'Gun down: done' }).click()
  await expect(page.getByTestId('share')).toHaveText(/^\d+\s?%$/)
  await expect(page.getByText(/of the place came to between 61\s°C and 75\s°C/)).toBeVisible()
  await expect(page.getByText('The gun never stands still')).toBeVisible()
  await expect
    .poll(async () => (await (await page.request.get(`${shop.url}/api/exercises`)).json()).at(-1))
    .toMatchObject({ kind: 'gun', level: 2, seed: 3, personId: 'ines' })
})

test('lay it: spots are fixed by a tap and from the list, it is laid, tried otherwise, and marked against the best', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/practice/lay?seed=5&level=2&who=ines`)
  const canvas = page.locator('canvas')
  await expect(canvas).toBeVisible()
  await expect(page.getByRole('button', { name: 'Lay it', exact: true })).toBeDisabled()

  // A tap on the part fixes the nearest spot; turning it fixes none.
  const box = await canvas.boundingBox()
  if (box === null) throw new Error('no part')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 60, y + 10, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByRole('button', { name: /^Do not fix/ })).toHaveCount(0)
  await page.mouse.click(x, y)
  await expect(page.getByRole('button', { name: /^Do not fix/ })).toHaveCount(1)
  await page.getByRole('button', { name: /^Do not fix/ }).click()

  await page.getByLabel('Fix another spot').selectOption({ index: 2 })
  await page.getByRole('button', { name: 'Lay it', exact: true }).click()
  await expect(page.getByRole('row', { name: /^1 .*\smm .*\s%/ })).toBeVisible()
  await page.getByRole('radio', { name: 'flats first' }).click()
  await page.getByRole('button', { name: 'Lay it', exact: true }).click()
  await expect(page.getByRole('row', { name: /^2 / })).toBeVisible()
  await expect(page.getByText('Against try 1')).toBeVisible()

  // Back to the first try: what was said then stands there again.
  await page.getByRole('button', { name: 'Look at try 1' }).click()
  await expect(page.getByRole('radio', { name: 'straight on' })).toBeChecked()
  await page.getByRole('button', { name: 'That is how I lay it' }).click()
  await expect(page.getByTestId('share')).toHaveText(/^\d+\s?%$/, { timeout: 90_000 })
  await expect(page.getByText('Begin where the form is hardest to please')).toBeVisible()
  await expect
    .poll(async () => (await (await page.request.get(`${shop.url}/api/exercises`)).json()).at(-1))
    .toMatchObject({ kind: 'lay', level: 2, seed: 5, personId: 'ines' })
})

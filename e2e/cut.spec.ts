import { readFileSync } from 'node:fs'
import { expect, test } from './shop.ts'

test('what a job needs is laid out on the roll, changed by hand, saved for the plotter and counted in', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/jobs/0414/kit`)
  await page.getByRole('link', { name: 'Cut what this job needs' }).click()
  await expect(page.getByText('Looking for a shorter layout')).toBeVisible()
  await page.getByRole('button', { name: 'This one will do' }).click()
  const used = page.getByTestId('roll-used')
  const before = Number.parseInt((await used.textContent()) ?? '', 10)
  expect(before).toBeGreaterThan(1000)
  expect(before).toBeLessThan(2500)

  // Dragged into the middle of another piece it has no room, and goes back.
  const piece = page.getByRole('button', { name: /^Lower body 1, front wing, driver’s side: drag it/ })
  const drag = async (toX: number, toY: number) => {
    const box = await piece.boundingBox()
    if (box === null) throw new Error('the piece is not there')
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(toX, toY, { steps: 4 })
    await page.mouse.up()
  }
  const panel = await page
    .getByRole('button', { name: /: drag it/ })
    .nth(10)
    .boundingBox()
  if (panel === null) throw new Error('the side panel is not there')
  await drag(panel.x + panel.width / 2, panel.y + panel.height / 2)
  await expect(page.getByRole('status').filter({ hasText: 'does not fit there: it went back' })).toBeVisible()
  await expect(used).toHaveText(new RegExp(`^${before}`))

  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the cut file' }).click()
  const download = await downloading
  expect(download.suggestedFilename()).toBe('0414-clearcoat-hull-180.plt')
  const text = readFileSync(await download.path(), 'utf8')
  expect(text).toMatch(/^IN;\nPA;\nSP1;\nPU\d+,\d+;\nPD/)
  const lines = text.match(/PD/g)?.length ?? 0
  expect(lines).toBeGreaterThanOrEqual(11)

  await page.getByRole('button', { name: 'It is cut: count it in' }).click()
  await expect(page).toHaveURL(/\/jobs\/0414\/kit$/)
  await expect(page.getByTestId('count-drover-rocker-1-left')).toHaveText('1 / 1')
  await page.reload()
  await expect(page.getByTestId('count-drover-rocker-5-right')).toHaveText('1 / 1')
})

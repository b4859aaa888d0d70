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
  await expect(page.getByRole('button', { name: 'Look again' })).toBeVisible()
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

/** A wing as a drawing program writes it: one closed line on a layer whose name holds another word. */
function wingDrawing(): string {
  const corners = [
    [0, 0],
    [700, 0],
    [640, 420],
    [40, 400],
  ]
  const line = ['0', 'LWPOLYLINE', '8', 'Inner fender', '90', '4', '70', '1']
  const points = corners.flatMap(([x, y]) => ['10', `${x}`, '20', `${y}`])
  const head = [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$INSUNITS',
    '70',
    '4',
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
  ]
  return [...head, ...line, ...points, '0', 'ENDSEC', '0', 'EOF', ''].join('\n')
}

test('from a drawing to a counted piece: brought in, cut on the plotter in its true size; out of film it says so', async ({
  page,
  shop,
  standIns,
}) => {
  await page.goto(`${shop.url}/shelf/import?part=0412-bonnet&job=0412`)
  await page
    .getByLabel('Drawing, SVG or DXF')
    .setInputFiles({ name: 'wing.dxf', mimeType: 'application/octet-stream', buffer: Buffer.from(wingDrawing()) })
  await expect(page.getByTestId('pattern-size')).toHaveText(/700\smm x 420\smm/)
  await page.getByLabel('Covers').selectOption({ label: 'Velmora Pipit bonnet' })
  await page.getByLabel('Name of the piece').fill('Wing, inner')
  await page.getByRole('button', { name: 'Keep this pattern' }).click()
  await expect(page).toHaveURL(/\/jobs\/0412\/kit$/)

  // Three taps: to the roll, on the plotter, and it is counted.
  await page.getByRole('link', { name: 'Cut what this job needs' }).click()
  await expect(page.getByText('In the plotter: 8.2 m of film, 1520 mm wide')).toBeVisible()
  const pieces = page.getByRole('region', { name: 'Pieces to cut' })
  await expect(pieces.getByText('Wing, inner')).toBeVisible()
  await page.getByRole('button', { name: 'Cut on the plotter' }).click()
  await expect(page).toHaveURL(/\/jobs\/0412\/kit$/)
  await expect(page.getByTestId('count-wing-inner')).toHaveText('1 / 1')

  const [plot] = await (await fetch(`${standIns.url}/plotter/cuts`)).json()
  const wing = plot.lines.find((line: [number, number][]) => spans(line).some((mm) => Math.abs(mm - 700) < 2))
  expect(wing).toBeDefined()
  // The knife goes on past its beginning, and its holder runs ahead of the point by a quarter of a millimetre.
  const [long = 0, wide = 0] = spans(wing).sort((a, b) => b - a)
  expect(Math.abs(long - 700)).toBeLessThan(0.6)
  expect(Math.abs(wide - 420)).toBeLessThan(0.6)

  // Its film is gone from the roll of the shelf, with the job that it was for.
  await page.goto(`${shop.url}/shelf/rolls/r1`)
  await expect(page.getByText(/^0\.\d+\sm cut off:/)).toBeVisible()
  await expect(page.getByRole('link', { name: 'job 0412' }).first()).toBeVisible()
  await expect(page.getByTestId('roll-left')).toHaveText(/^7\.\d+\sm$/)
  await page.goto(`${shop.url}/jobs/0412/kit`)

  await standIns.turn({ plotter: { rollWidthMm: 1520, filmLeftMm: 100, cutsPercent: 100, fault: 'none' } })
  await page.getByRole('link', { name: 'Cut what this job needs' }).click()
  await page.getByRole('radio', { name: 'Hullskin 180 clear' }).or(page.getByText('Hullskin 180 clear')).first().click()
  await page.getByRole('button', { name: 'One more: Wing, inner' }).click()
  await page.getByRole('button', { name: 'Cut on the plotter' }).click()
  await expect(page.getByRole('alert')).toContainText('it has 100 mm of film left')
  await expect(page.getByRole('alert')).toContainText('Nothing was counted.')
  await page.goto(`${shop.url}/jobs/0412/kit`)
  await expect(page.getByTestId('count-wing-inner')).toHaveText('1 / 1')
})

const spans = (line: [number, number][]): number[] =>
  [0, 1].map((k) => Math.max(...line.map((p) => p[k] ?? 0)) - Math.min(...line.map((p) => p[k] ?? 0)))

test('a plotter that cuts too short is trued by a square; the label of a roll comes out of the label printer', async ({
  page,
  shop,
  standIns,
}) => {
  await standIns.turn({ plotter: { rollWidthMm: 1520, filmLeftMm: 8200, cutsPercent: 99.6, fault: 'none' } })
  const square = async () => {
    const [plot] = await (await fetch(`${standIns.url}/plotter/cuts`)).json()
    return spans(plot.lines[0])
  }
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('link', { name: 'True the plotter' }).click()
  await page.getByRole('button', { name: 'Cut it on the plotter' }).click()
  await expect(page.getByText('The plotter has it.')).toBeVisible()
  const [along = 0, across = 0] = await square()
  expect(along).toBeCloseTo(199.2, 1)
  await page.getByLabel('Along the roll').fill(along.toFixed(1))
  await page.getByLabel('Across it').fill(across.toFixed(1))
  await page.getByLabel('Across it').press('Enter')
  await expect(page.getByTestId('off-along')).toHaveText('4 mm too short on a metre')
  await page.getByRole('button', { name: 'Cut true from now on' }).click()
  await expect(page.getByText('Every cut is drawn so that it comes out true.')).toBeVisible()
  await page.getByRole('button', { name: 'Cut it on the plotter' }).click()
  await expect.poll(async () => (await square())[0]).toBeCloseTo(200, 1)

  await page.goto(`${shop.url}/shelf/rolls/r1`)
  await page.getByRole('button', { name: 'Print its label' }).click()
  await page.getByRole('button', { name: '1 label on the label printer' }).click()
  await expect(page.getByText('The label printer has them.')).toBeVisible()
  expect(await (await fetch(`${standIns.url}/labelPrinter/printed`)).json()).toMatchObject([{ labels: 1 }])
})

import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, test } from './shop.ts'

const count = (page: Page, piece: string) => page.getByTestId(`count-${piece}`)

test('a kit is checked in: one piece missing, one spare, one from another box, the side to start on', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/jobs/0415/kit`)
  const lamps = page.getByRole('region', { name: 'Pipit lamp kit' })
  await expect(lamps.getByText('0 of 3 there')).toBeVisible()
  await page.goto(`${shop.url}/jobs/0412/kit`)
  await expect(page.getByText('0 of 1 there').first()).toBeVisible()

  // By label: the headlamp and its spare, then one too many.
  const label = page.getByLabel('Scan a label here')
  const scan = async (text: string) => {
    await label.fill(text)
    await label.press('Enter')
  }
  await scan('TL1/pipit-headlamp-left-piece/DG-2611-02')
  await expect(page.getByRole('status')).toContainText('1 of 2, lot DG-2611-02')
  await expect(page.getByText('there, but its spare is missing')).toBeVisible()
  await scan('TL1/pipit-headlamp-left-piece/DG-2611-02')
  await expect(page.getByText('there, with its spare')).toBeVisible()
  await scan('TL1/pipit-headlamp-left-piece/DG-2611-02')
  await expect(page.getByRole('alert')).toContainText('One too many')
  // The other side, another box, and something that is no label.
  await scan('TL1/pipit-headlamp-right-piece/DG-2610-17')
  await expect(page.getByRole('alert')).toContainText('Is it the wrong side?')
  await scan('TL1/skua-trim-left/EC-2611-31')
  await expect(page.getByRole('alert')).toContainText('from another box')
  await scan('5901234123457')
  await expect(page.getByRole('alert')).toContainText('no label of this shop')
  // By hand: the bonnet was listed and did not come.
  await page.getByRole('button', { name: 'One more: Bonnet' }).click()
  await page.getByRole('button', { name: 'One less: Bonnet' }).click()
  await expect(page.getByText('1 missing')).toBeVisible()
  await expect(page.getByText(/Headlamp: start on the driver’s side/)).toBeVisible()
  await page.reload()
  await expect(count(page, 'pipit-headlamp-left-piece')).toContainText('3')
  await expect(page.getByText('1 missing')).toBeVisible()

  // The lot that came is the lot on the record.
  const record = await (await fetch(`${shop.url}/api/parts/0412-headlamp-left/record`)).json()
  expect(record.lot).toBe('DG-2611-02')
})

test('every piece is held up to its part before it is peeled', async ({ page, shop }) => {
  await page.goto(`${shop.url}/jobs/0412/kit`)
  await page.getByRole('button', { name: 'Check all 2 parts' }).click()
  const list = page.getByRole('region', { name: 'Dry check' })
  await expect(list.getByText('Fits', { exact: true })).toHaveCount(2)
  await expect(list.getByText(/Pre-cut/).first()).toBeVisible()
})

test('labels are printed with a square code for each piece', async ({ page, shop }) => {
  await page.goto(`${shop.url}/jobs/0412/kit`)
  await page.getByRole('button', { name: 'Print labels' }).click()
  const code = page.getByRole('img', { name: 'TL1/pipit-bonnet-piece/H180-2611-04' })
  await expect(code).toBeVisible()
  // The printed code, photographed, is read again.
  const source = (await code.getAttribute('src')) ?? ''
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByLabel('Photo of a label').setInputFiles({
    name: 'label.png',
    mimeType: 'image/png',
    buffer: Buffer.from(source.replace(/^data:image\/png;base64,/, ''), 'base64'),
  })
  await expect(page.getByRole('status')).toContainText('Bonnet: 1 of 1')
})

test('an SVG and a DXF pattern are brought in: what was understood is shown before anything is kept', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/shelf/pieces/pipit-bonnet-piece`)
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as SVG' }).click(),
  ])
  const [dxf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as DXF' }).click(),
  ])
  const size = (await page.getByText(/^\d+\smm x \d+\smm$/).textContent()) ?? ''
  for (const [name, file] of [
    ['bonnet.svg', svg],
    ['bonnet.dxf', dxf],
  ] as const) {
    await page.goto(`${shop.url}/shelf/import`)
    await page.getByLabel('Drawing, SVG or DXF').setInputFiles({
      name,
      mimeType: 'application/octet-stream',
      buffer: readFileSync(await file.path()),
    })
    await expect(page.getByTestId('pattern-size')).toHaveText(size)
    await expect(page.getByText('1 cut-out, 5 reference marks.')).toBeVisible()
    await page.getByLabel('Covers').selectOption({ label: 'Velmora Pipit bonnet' })
    await expect(page.getByText('About the size of Bonnet on the shelf.')).toBeVisible()
    await page.getByLabel('Name of the piece').fill(`Bonnet from ${name}`)
    await page.getByRole('button', { name: 'Keep this pattern' }).click()
    await expect(page.getByRole('heading', { name: `Bonnet from ${name}` })).toBeVisible()
  }
})

test('a drawing without a unit is measured against the part; a broken one is refused in words', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/shelf/import?piece=pipit-bonnet-piece`)
  const bring = (name: string, text: string) =>
    page.getByLabel('Drawing, SVG or DXF').setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) })
  const box = '<path d="M0 0L53 0L53 39L0 39Z"/>'
  await bring(
    'inches.svg',
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40">${box}<script>x()</script></svg>`,
  )
  await expect(page.getByText('the drawing seems to be in inches')).toBeVisible()
  await expect(page.getByText('1 script left out.')).toBeVisible()
  await page.getByRole('radio', { name: 'in', exact: true }).click()
  await expect(page.getByTestId('pattern-size')).toContainText('1346 mm x 991 mm')
  await bring(
    'open.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="90mm" viewBox="0 0 90 90"><path d="M0 0L80 0L80 60L0 60L0 30"/></svg>',
  )
  await page.getByRole('radio', { name: 'as stated' }).click()
  await expect(page.getByRole('alert')).toContainText('its ends are 30 mm apart')
  await expect(page.getByRole('button', { name: 'Keep this pattern' })).toBeDisabled()
})

test('a drawing in pixels is asked for one measure; layers are put right after a refusal', async ({ page, shop }) => {
  await page.goto(`${shop.url}/shelf/import?piece=pipit-bonnet-piece`)
  const bring = (name: string, text: string) =>
    page.getByLabel('Drawing, SVG or DXF').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
  const keep = page.getByRole('button', { name: 'Keep this pattern' })
  const shape =
    '<path d="M400 400C1500 100 4200 100 5600 500L5500 3300L500 3300Z"/><circle cx="9" cy="9" r="400" class="old"/>'
  await bring(
    'pixels.svg',
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 6000 4000"><style>.old{display:none}</style>${shape}</svg>`,
  )
  await expect(page.getByText('The longest side is 1376 mm: right? The file does not say its unit.')).toBeVisible()
  await expect(page.getByText('1 hidden shape left out.')).toBeVisible()
  await expect(page.getByRole('img', { name: /1376\smm wide and \d+\smm high, on squares of 100\smm/ })).toBeVisible()
  await expect(keep).toBeDisabled()
  await page.getByRole('button', { name: 'It is right' }).click()
  await expect(keep).toBeEnabled()
  await page.getByRole('button', { name: 'It measures something else' }).click()
  await page.getByLabel('Measured').fill('1412')
  await page.getByLabel('Measured').press('Enter')
  await expect(page.getByTestId('pattern-size')).toContainText('1412 mm x')
  await expect(page.getByRole('radio', { name: 'measured' })).toBeChecked()
  await expect(keep).toBeEnabled()

  const loop = (layer: string, ...points: readonly (readonly [number, number])[]) => [
    '0',
    'LWPOLYLINE',
    '8',
    layer,
    '90',
    `${points.length}`,
    '70',
    '1',
    ...points.flatMap(([x, y]) => ['10', `${x}`, '20', `${y}`]),
  ]
  const wing = loop('Inner fender', [0, 0], [700, 0], [640, 420], [40, 400])
  const notes = loop('outline notes', [0, 500], [100, 500], [0, 540], [100, 540])
  const head = ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '4', '0', 'ENDSEC']
  await bring(
    'wing.dxf',
    [...head, '0', 'SECTION', '2', 'ENTITIES', ...wing, ...notes, '0', 'ENDSEC', '0', 'EOF', ''].join('\n'),
  )
  await expect(page.getByRole('alert')).toContainText('The outline crosses itself')
  await page.getByLabel('Layer outline notes is').selectOption('leave out')
  await expect(page.getByTestId('pattern-size')).toContainText('700 mm x 420 mm')
  await expect(keep).toBeEnabled()
})

test('a pattern is enlarged along one edge, and saved so', async ({ page, shop }) => {
  await page.goto(`${shop.url}/shelf/pieces/drover-side-panel`)
  const size = page.getByText(/^\d+\smm x \d+\smm$/)
  const before = ((await size.textContent()) ?? '').match(/\d+/g)?.map(Number) ?? []
  await page.getByText('Enlarge along some edges').click()
  await page.getByLabel('front edge').fill('16')
  await page.getByLabel('front edge').press('Enter')
  await page.getByRole('button', { name: 'Enlarge', exact: true }).click()
  await expect(page.getByText('Shown enlarged.')).toBeVisible()
  const after = ((await size.textContent()) ?? '').match(/\d+/g)?.map(Number) ?? []
  expect(Math.abs((after[0] ?? 0) - (before[0] ?? 0) - 16)).toBeLessThanOrEqual(2)
  expect(Math.abs((after[1] ?? 0) - (before[1] ?? 0))).toBeLessThanOrEqual(2)
  await page.getByRole('button', { name: 'As it was' }).click()
  await expect(size).toHaveText(`${before[0]} mm x ${before[1]} mm`)
})

test('a kit goes out as one file and comes back', async ({ page, shop }) => {
  await page.goto(`${shop.url}/shelf`)
  const box = page.getByRole('region', { name: 'Skua tail lamp kit' })
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    box.getByRole('button', { name: 'Save kit as file' }).click(),
  ])
  await page.getByLabel('Kit file').setInputFiles({
    name: 'kit.zip',
    mimeType: 'application/zip',
    buffer: readFileSync(await file.path()),
  })
  await expect(page.getByRole('status')).toContainText('Skua tail lamp kit: 4 pieces are on the shelf.')
  await page
    .getByLabel('Kit file')
    .setInputFiles({ name: 'kit.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') })
  await expect(page.getByRole('alert')).toContainText('no zip file')
})

import type { Page } from '@playwright/test'
import { bowGap as gap, readBow } from './bow.ts'
import { expect, test, unmeasuredPart } from './shop.ts'

const step = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()
/** A plate of 200 x 120 mm with an opening in it and one triangle turned over. */
const turnedPlate = (() => {
  const [columns, rows] = [21, 13]
  const lines = Array.from({ length: columns * rows }, (_, v) => {
    const [x, y] = [10 * (v % columns), 10 * Math.floor(v / columns)]
    return `v ${x} ${y} ${x / 100}`
  })
  for (let r = 0; r + 1 < rows; r++)
    for (let c = 0; c + 1 < columns; c++) {
      if (c >= 12 && c < 15 && r >= 2 && r < 5) continue
      const v = r * columns + c + 1
      lines.push(r + c === 0 ? `f ${v} ${v + columns} ${v + 1}` : `f ${v} ${v + 1} ${v + columns}`)
      lines.push(`f ${v + 1} ${v + columns + 1} ${v + columns}`)
    }
  return lines.join('\n')
})()

test('a bonnet is measured with straightedge readings, kept, and laid', async ({ page, shop }) => {
  // A part that nobody has measured, from a new job.
  await unmeasuredPart(page, shop)
  await page.getByRole('link', { name: 'Measure it now' }).click()

  // Outline: typed, one edge made a curve, undone and done again.
  await page.getByLabel('New form: vehicle and part').fill('Selwick Tern bonnet')
  const stretches = page.getByRole('region', { name: '1 Outline' }).getByRole('listitem')
  await stretches.nth(0).getByRole('textbox', { name: 'to x' }).fill('520')
  await stretches.nth(1).getByRole('textbox', { name: 'to x' }).fill('600')
  await stretches.nth(2).getByRole('textbox', { name: 'to x' }).fill('-600')
  await stretches.nth(3).getByRole('textbox', { name: 'to x' }).fill('-520')
  await page.getByRole('combobox', { name: 'Stretch 3 runs' }).selectOption('curve')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('combobox', { name: 'Stretch 3 runs' })).toHaveValue('line')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(page.getByRole('combobox', { name: 'Stretch 3 runs' })).toHaveValue('spline')

  // Bow: the app says where to lay the straightedge, until enough is known.
  await step(page, '2 Bow')
  await expect(page.getByText('Next: across, middle.')).toBeVisible()
  await readBow(page, (x, y) => -1.1e-4 * x * x - 2e-4 * y * y)
  await expect(page.getByText('Enough is known.')).toBeVisible()
  await expect(page.getByTestId('form-grade')).toContainText('Grade')

  // A reading that contradicts the others is named where it stands.
  const right = await gap(page, 1).inputValue()
  await gap(page, 1).fill('-150')
  await expect(page.getByRole('alert').first()).toContainText('contradict')
  await expect(page.getByText('Measure this one again.').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep this form' })).toBeDisabled()
  await gap(page, 1).fill(right)
  await expect(page.getByText('Enough is known.')).toBeVisible()

  // Features and edges.
  await step(page, '3 Features')
  await page.getByRole('button', { name: 'Body line', exact: true }).click()
  await page.getByRole('textbox', { name: 'turns' }).fill('5')
  await step(page, '4 Edges')
  await page.getByRole('combobox', { name: 'bottom edge ends with' }).selectOption('wrap')
  await expect(page.getByText(/notch each corner/)).toBeVisible()
  await page.getByRole('button', { name: 'Keep this form' }).click()

  // Laid, without a pattern: cut from the roll.
  await expect(page.getByTestId('worst-edge')).toBeVisible()
  await page.getByRole('link', { name: 'Kit' }).click()
  await page.getByRole('button', { name: 'Check the part' }).click()
  await expect(page.getByText('No pattern of this part is at hand.')).toBeVisible()
  await expect(page.getByText(/over on each side/)).toBeVisible()
})

test('a point of the outline is dragged to its place and the part in space follows', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/drover-grille-bar`)
  const area = page.locator('dl > div', { hasText: 'Area' })
  await expect(area).toBeVisible()
  const before = await area.textContent()
  const corner = page.getByRole('button', { name: 'end of stretch 2' })
  const box = await corner.boundingBox()
  if (box === null) throw new Error('no corner')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y - 60, { steps: 6 })
  await page.mouse.up()
  await expect(area).not.toHaveText(before ?? '')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(area).toHaveText(before ?? '')
})

test('an outline is traced over a photo, whose scale comes from two places', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/new`)
  await expect(page.locator('dl > div', { hasText: 'Area' })).toBeVisible()
  const png = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = 800
    canvas.height = 500
    canvas.getContext('2d')?.fillRect(100, 100, 600, 300)
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await page
    .getByLabel('Photo to trace over')
    .setInputFiles({ name: 'part.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') })
  await expect(page.getByText('tap the first of two places')).toBeVisible()
  const drawing = await page.getByRole('group', { name: 'The part seen straight on' }).boundingBox()
  if (drawing === null) throw new Error('no drawing')
  const [x, y] = [drawing.x + drawing.width / 2, drawing.y + drawing.height / 2 + 20]
  await page.mouse.click(x - 90, y)
  await expect(page.getByText('tap the second of two places')).toBeVisible()
  await page.mouse.click(x + 90, y)
  const apart = page.getByLabel('These two places are apart by')
  const before = Number(await apart.inputValue())
  const shown = page.locator('svg image')
  const wide = Number(await shown.getAttribute('width'))
  await apart.fill(String(before * 2))
  await expect.poll(async () => Number(await shown.getAttribute('width')) / wide).toBeCloseTo(2, 2)
  await page.getByRole('button', { name: 'That is its scale' }).click()
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(shown).toHaveCount(0)
})

test('the three places of a scan are chosen by keys', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/new?scan=1`)
  const file = page.getByLabel('Scan, OBJ, STL or PLY')
  await file.setInputFiles({ name: 'plate.obj', mimeType: 'text/plain', buffer: Buffer.from(turnedPlate) })
  await expect(page.getByTestId('scan-size')).toHaveText('200 mm x 120 mm x 2 mm')
  const view = page.getByRole('application', { name: /Places by keys/ })
  await view.focus()
  // The first press shows the cross in the middle.
  for (const [keys, count] of [
    [['ArrowRight'], 1],
    [Array(8).fill('ArrowRight'), 2],
    [[...Array(8).fill('ArrowLeft'), ...Array(5).fill('ArrowUp')], 3],
  ] as const) {
    for (const key of keys) await view.press(key)
    await view.press('Enter')
    await expect(page.getByText(`${count} of 3`)).toBeVisible()
  }
  await page.getByRole('button', { name: 'Make it a form' }).click()
  await expect(page.getByText('1 triangle was turned over to face as its neighbours do.')).toBeVisible()
  await expect(page.getByText(/openings: 1\.$/)).toBeVisible()
})

test('on a desk its columns scroll, not the page into nothing', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/pipit-bonnet`)
  await expect(page.getByLabel('to x').last()).toBeAttached()
  const hidden = (of: string) =>
    page.locator(of).evaluate(({ scrollHeight, clientHeight }) => scrollHeight - clientHeight)
  expect(await hidden('main')).toBeLessThanOrEqual(1)
  expect(await hidden('main section[aria-label="1 Outline"]')).toBeGreaterThan(100)
})

test('the first change does not move the bench from under the hand', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/pipit-bonnet`)
  const points = page.getByRole('region', { name: '1 Outline' })
  const before = await points.boundingBox()
  expect(before).not.toBeNull()
  await page.getByLabel('to x').first().fill('-630')
  await expect(page.getByRole('button', { name: 'Keep this form' })).toBeEnabled()
  expect(await points.boundingBox()).toEqual(before)
})

test('a form that a fit has used is not changed but superseded', async ({ page, shop }) => {
  const version = async () => {
    const form = await (await fetch(`${shop.url}/api/forms/pipit-bonnet`)).json()
    return form.version as number
  }
  const rename = async (name: string) => {
    await page.goto(`${shop.url}/forms/pipit-bonnet`)
    await page.getByLabel(/^Form, version/).fill(name)
    await page.getByRole('button', { name: 'Keep this form' }).click()
    await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible()
  }
  await rename('Velmora Pipit bonnet, again')
  expect(await version()).toBe(1)
  await page.goto(`${shop.url}/jobs/0412/fit/0412-bonnet`)
  await page.getByRole('button', { name: /Start/ }).click()
  await expect(page.getByTestId('headline')).toBeVisible()
  await expect(page.getByText('storing')).toBeHidden()
  await rename('Velmora Pipit bonnet, measured anew')
  expect(await version()).toBe(2)
  const job = await (await fetch(`${shop.url}/api/jobs/0412`)).json()
  expect(job.parts.find((p: { id: string }) => p.id === '0412-bonnet').formVersion).toBe(1)
})

/** A dome of 160 x 100 mm as a plain STL, lying on its side, in centimetres. */
function scannedDome(): string {
  const z = (x: number, y: number) => 12 * (1 - (x / 80) ** 2) * (1 - (y / 50) ** 2)
  const point = (i: number, j: number) => {
    const [x, y] = [-80 + 10 * i, -50 + 10 * j]
    return `vertex ${x / 10} ${z(x, y) / 10} ${y / 10}`
  }
  const facet = (...corners: string[]) => `facet normal 0 0 0\nouter loop\n${corners.join('\n')}\nendloop\nendfacet`
  const facets: string[] = []
  for (let i = 0; i < 16; i++)
    for (let j = 0; j < 10; j++) {
      facets.push(facet(point(i, j), point(i + 1, j), point(i, j + 1)))
      facets.push(facet(point(i + 1, j), point(i + 1, j + 1), point(i, j + 1)))
    }
  return `solid dome\n${facets.join('\n')}\nendsolid dome\n`
}

test('a scan becomes a form: unit, three places, outline and heights', async ({ page, shop }) => {
  await page.goto(`${shop.url}/forms/new?scan=1`)
  const file = page.getByLabel('Scan, OBJ, STL or PLY')
  await file.setInputFiles({ name: 'dome.txt', mimeType: 'text/plain', buffer: Buffer.from('x') })
  await expect(page.getByRole('alert')).toContainText('choose a file that ends in .obj, .stl or .ply')
  await file.setInputFiles({ name: 'dome.stl', mimeType: 'model/stl', buffer: Buffer.from(scannedDome()) })
  await expect(page.getByTestId('scan-size')).toHaveText('16 mm x 1 mm x 10 mm')
  await page.getByRole('radio', { name: 'cm' }).click()
  await expect(page.getByTestId('scan-size')).toHaveText('160 mm x 12 mm x 100 mm')
  // Seen as it lies it has no height in the drawing: three places turn it.
  const view = page.getByRole('img', { name: /The scan/ }).locator('canvas')
  await expect(view).toBeVisible()
  // Looking from below and in front, the dome is seen from its back edge upward; tap well inside it.
  // A tap is lost while the scan is still being drawn: it is made again until it counts.
  for (const [i, [dx, dy]] of (
    [
      [0, 0],
      [60, 0],
      [0, -18],
    ] as const
  ).entries())
    await expect(async () => {
      const counted = page.getByText(`${i + 1} of 3`)
      // The view takes its size only when it is drawn first: it is measured for every tap.
      const box = await view.boundingBox()
      if (box === null) throw new Error('no view')
      if (!(await counted.isVisible())) await page.mouse.click(box.x + box.width / 2 + dx, box.y + box.height / 2 + dy)
      await expect(counted).toBeVisible({ timeout: 3000 })
    }).toPass()
  await page.getByRole('button', { name: 'Make it a form' }).click()
  await expect(page.getByText(/^(Off|Nowhere further off) the scan/)).toBeVisible()
  await page.getByRole('button', { name: 'Go on with this form' }).click()
  await expect(page.getByText('Scan kept to within')).toBeVisible()
  await page.getByLabel('New form: vehicle and part').fill('Scanned dome')
  await page.getByRole('button', { name: 'Keep this form' }).click()
  await expect(page.getByLabel(/^Form, version 1/)).toHaveValue('Scanned dome')
})

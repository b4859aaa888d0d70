/** Takes the pictures of docs/screenshots from a running demo shop: `node tools/takeScreenshots.mjs http://localhost:4600`. */
import { chromium } from 'playwright-core'

const url = process.argv[2] ?? 'http://localhost:4600'
const folder = 'docs/screenshots'
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-quic', '--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
// Nobody new is in the pictures.
await page.addInitScript(() => {
  localStorage.setItem('truelay has seen round', 'no')
  localStorage.setItem('truelay waits sound', 'yes')
})
const laptop = () => page.setViewportSize({ width: 1280, height: 800 })
const tablet = () => page.setViewportSize({ width: 820, height: 1180 })
const keep = async (name, settleMs = 700) => {
  await page.waitForTimeout(settleMs)
  await page.screenshot({ path: `${folder}/${name}.png` })
}
/** Four pictures side by side. */
async function fourAsOne(pictures, name) {
  const four = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await four.setContent(
    `<body style="margin:0;display:grid;grid-template-columns:1fr 1fr;gap:2px;background:#1b2733">${pictures
      .map((png) => `<img style="width:100%;display:block" src="data:image/png;base64,${png.toString('base64')}">`)
      .join('')}</body>`,
  )
  await four.waitForTimeout(500)
  await four.screenshot({ path: `${folder}/${name}.png` })
  await four.close()
}
const sheet = async (part) => {
  await page.goto(`${url}/jobs/0412/lay-sheets/${part}`)
  await page.getByTestId('worst-edge').waitFor({ timeout: 60_000 })
}
const writeId = () => ({ 'x-write-id': crypto.randomUUID() })
const theme = (name) => page.request.patch(`${url}/api/shop`, { data: { theme: name }, headers: writeId() })

await theme('day')
await sheet('0412-bonnet')
await keep('lay-sheet-bonnet', 6000)
await page.goto(`${url}/models/velmora-pipit/known`)
await keep('known', 2500)

const tap = (name) => page.getByRole('button', { name, exact: true }).click()
const button = (name) => page.getByRole('button', { name }).click()
await page.goto(`${url}/jobs/0413/walk-round`)
await tap('Rear door pillar, driver’s side')
await button('swirls in the gloss')
await button('Done')
await tap('Tail lamp, outer part, driver’s side')
await button('casting marks')
await button('25 mm')
await button('Done')
await tap('Front door, passenger’s side')
await button('water-repelling coating')
await button('Done')
await keep('walk-round')
await button('Customer reads and signs')
await page.getByLabel('Your name').fill('M. Sandvik')
const field = await page.getByLabel('Sign here').boundingBox()
await page.mouse.move(field.x + 60, field.y + 90)
await page.mouse.down()
for (const [x, y] of [
  [90, 40],
  [120, 95],
  [150, 55],
  [190, 90],
  [260, 60],
  [330, 80],
])
  await page.mouse.move(field.x + x, field.y + y, { steps: 5 })
await page.mouse.up()
await page.goto(`${url}/jobs/0415/cut`)
await page.getByRole('radio', { name: 'Hullskin 180 clear' }).click()
await page.getByRole('button', { name: 'Look again' }).waitFor({ timeout: 60_000 })
await keep('cut')
await page.goto(`${url}/jobs/0412/kit`)
await page.getByLabel('Scan a label here').fill('TL1/pipit-headlamp-left-piece/DG-2610-17')
await page.keyboard.press('Enter')
await page.goto(`${url}/jobs/0414/kit`)
const strips = page
  .getByRole('region', { name: 'Fitted together' })
  .getByRole('listitem')
  .filter({ hasText: 'strip 1' })
  .first()
await strips.getByRole('button', { name: /Fit together/ }).click()
await page.getByRole('button', { name: 'Take apart' }).scrollIntoViewIfNeeded()
await keep('kit')
await page.goto(`${url}/jobs/new`)
await button(/Tarnbeck Drover/)
await tap('Grille, top bar')
await tap('Sliding door, driver’s side')
await keep('new-job')
await page.goto(`${url}/forms/pipit-bumper`)
await button('2 Bow')
await page.getByTestId('form-grade').waitFor()
await page.waitForTimeout(2500)
const measuring = [await page.screenshot()]
await page.goto(`${url}/forms/new?photos=1`)
const photographs = Array.from(
  { length: 12 },
  (_, i) => `demo/photographs/headlamp-${String(i + 1).padStart(2, '0')}.jpg`,
)
await page.getByLabel('Photographs of the part').setInputFiles(photographs.slice(0, 5))
await page.getByTestId('next-stand').waitFor({ timeout: 60_000 })
measuring.push(await page.screenshot())
await page.getByLabel('Photographs of the part').setInputFiles(photographs.slice(5))
for (const [bar, mm] of [
  ['110 to 111', '600'],
  ['112 to 113', '420'],
]) {
  await page.getByRole('textbox', { name: bar }).fill(mm)
  await page.getByRole('textbox', { name: bar }).press('Enter')
}
await page.getByText('That is enough: measure.').waitFor({ timeout: 60_000 })
await page.getByRole('button', { name: 'Measure', exact: true }).click()
await page.getByRole('button', { name: 'Make it a form' }).waitFor({ timeout: 60_000 })
measuring.push(await page.screenshot())
await page.getByRole('button', { name: 'Make it a form' }).click()
await page.getByRole('button', { name: '2 Bow', exact: true }).click()
await page.getByTestId('form-grade').waitFor({ timeout: 60_000 })
await page.waitForTimeout(4000)
measuring.push(await page.screenshot())
await fourAsOne(measuring, 'form')
await page.goto(`${url}/mixing`)
await page.getByRole('radio', { name: 'What is it?' }).click()
await page.getByTestId('it-is').waitFor()
await button('Put it right')
await page.getByTestId('pours').waitFor()
await keep('mixing')
await page.goto(`${url}/jobs/0412/waits`)
await page.getByTestId('release').waitFor()
await keep('waits', 2500)
await page.goto(`${url}/jobs/0412/lay-sheets/0412-headlamp-left/heat`)
await page.getByRole('img', { name: /Temperature of the surface/ }).waitFor({ timeout: 60_000 })
await keep('heat', 2500)

// A pair of lamps: the second is laid while the first dries.
const head = page.getByTestId('headline')
const isReady = page.getByRole('button', { name: 'It is ready already' })
const fitUpTo = async (path, wanted) => {
  await page.goto(`${url}${path}`)
  await page.getByRole('button', { name: /Start/ }).click({ timeout: 90_000 })
  for (let i = 0; i < 40; i++) {
    await head.or(isReady).waitFor()
    if (await isReady.isVisible()) {
      await isReady.click()
      await isReady.waitFor({ state: 'hidden' })
      continue
    }
    const now = await head.textContent()
    if (wanted.test(now)) return
    if (/Measure the gaps|Check how it sits/.test(now)) {
      for (const field of await page.getByRole('textbox').all())
        await field.fill((await field.getAttribute('placeholder')) ?? '')
      await page.getByRole('button', { name: /How do I move it/ }).click()
      await page.waitForTimeout(500)
    }
    await page.waitForTimeout(650)
    await page.keyboard.press('PageDown')
    await page.getByText(now, { exact: true }).first().waitFor({ state: 'hidden' })
  }
}
await page.request.put(`${url}/api/jobs/0413/sets`, {
  headers: writeId(),
  data: { sets: [{ mode: 'to and fro', partIds: ['0413-09', '0413-10'] }] },
})
await fitUpTo('/jobs/0413/fit/0413-09', /Tuck edge/)
await page.waitForTimeout(650)
await page.keyboard.press('PageDown')
await tablet()
await keep('fit-wait-tablet')
await laptop()
// A reference chain: the middle pair of sensors is read and corrected like a gap.
await fitUpTo('/jobs/0415/fit/0415-02', /Centre the inner sensor/)
const sensors = { a: '2.4', b: '1.6', c: '2.6', d: '1.4' }
for (const [letter, gap] of Object.entries(sensors))
  await page.getByRole('textbox', { name: new RegExp(`^${letter} `) }).fill(gap)
await page.getByRole('button', { name: /How do I move it/ }).click()
await keep('fit-gaps')

await page.goto(`${url}/jobs/0412/fit/0412-bonnet`)
await page.getByRole('button', { name: /Start/ }).click({ timeout: 60_000 })
for (let i = 0; i < 60; i++) {
  const ready = page.getByRole('button', { name: 'It is ready already' })
  await page.getByTestId('headline').or(ready).waitFor()
  if (await ready.isVisible()) {
    await page.goto(url)
    await page.getByRole('region', { name: 'Plan of the day' }).waitFor({ timeout: 60_000 })
    await keep('bay', 1500)
    await page.getByRole('link', { name: 'Go on' }).first().click()
    await ready.click()
    await ready.waitFor({ state: 'hidden' })
    continue
  }
  const now = await page.getByTestId('headline').textContent()
  if (/Measure/.test(now)) {
    const gaps = { P: '3.6', Q: '3.4', R: '1.4', S: '1.6', T: '2.2', U: '2.4', V: '3.6', W: '3.4' }
    const fill = async (by) => {
      for (const [letter, gap] of Object.entries(gaps))
        await page.getByRole('textbox', { name: new RegExp(`^${letter} `) }).fill(by ?? gap)
    }
    await fill()
    await page.getByRole('button', { name: /How do I move it/ }).click()
    await fill('2.6')
    await page.getByRole('button', { name: /Measured again/ }).click()
    await page.getByText(/Leave it\./).waitFor()
  }
  if (/Set the rear corner, driver/.test(now)) {
    // In the dark: what is wrong, why, and what to do; put right, so that the record tells of it.
    await theme('bay')
    await page.getByRole('button', { name: 'Something is wrong' }).click()
    await page.getByRole('button', { name: /^Fingers/ }).click()
    const onPart = page.getByRole('img', { name: /to be tapped where it is/ })
    const { width, height } = await onPart.boundingBox()
    await onPart.click({ position: { x: 0.62 * width, y: 0.88 * height } })
    await page.getByRole('button', { name: /^Here/ }).click()
    await keep('judged', 1200)
    await page.getByRole('button', { name: 'It is good again' }).click()
    await theme('day')
  }
  if (/driver.s side edge/.test(now) && (await page.getByRole('navigation', { name: 'The walk so far' }).isVisible())) {
    await tablet()
    await keep('last-look')
    await laptop()
  }
  await page.waitForTimeout(650)
  await page.keyboard.press('PageDown')
  await page.getByText(now, { exact: true }).first().waitFor({ state: 'hidden' })
  if (/Wipe/.test(now)) break
}
await page.goto(`${url}/jobs/0412/hand-over`)
await keep('hand-over', 1200)
await page.goto(`${url}/jobs/0412/record/0412-bonnet`)
await keep('record', 1200)
await laptop()
await page.goto(`${url}/jobs/0415/lay-sheets/0415-02/rehearsal`)
await page.getByTestId('most-first').waitFor({ timeout: 120_000 })
await page.getByTestId('most-second').waitFor({ timeout: 120_000 })
await page.getByRole('button', { name: 'Look for a better order' }).click()
await page.getByRole('button', { name: 'Look again' }).waitFor({ timeout: 180_000 })
await keep('rehearsal', 3500)
await theme('day')
await laptop()
await page.goto(`${url}/practice/gun?seed=3&level=2`)
await page.waitForTimeout(1500)
const patch = await page.getByTestId('patch').boundingBox()
for (let k = 0; k < 420; k++) {
  const to = 0.44 + 0.36 * Math.abs(((k / 22) % 2) - 1)
  await page.mouse.move(patch.x + patch.width * to, patch.y + patch.height * 0.96)
  await page.waitForTimeout(25)
}
const exercises = [await page.screenshot()]
await page.goto(`${url}/practice/lay?seed=5&level=3&who=ines`)
await page.getByLabel('Fix another spot').selectOption({ index: 4 })
await page.getByRole('radio', { name: 'flats first' }).click()
await tap('Lay it')
await page.getByRole('row', { name: /^1 / }).waitFor({ timeout: 60_000 })
await page.waitForTimeout(6000)
exercises.push(await page.screenshot())
await page.goto(`${url}/practice/what?seed=23&level=2&who=ines`)
await page.getByRole('radio').first().waitFor({ timeout: 30_000 })
await page.waitForTimeout(700)
exercises.push(await page.screenshot())
await page.goto(`${url}/practice/morning?seed=5&level=1&who=ines`)
await page.getByRole('button', { name: 'wash, vehicle 1: You' }).waitFor({ timeout: 30_000 })
for (let k = 0; ; k++) {
  const next = page.getByRole('button', { name: new RegExp(`vehicle \\d: ${k % 3 === 0 ? 'Colleague' : 'You'}`) })
  const left = await next.count()
  if (left < 2) break
  await next.nth(k % left).click()
}
await page.waitForTimeout(500)
exercises.push(await page.screenshot())
await fourAsOne(exercises, 'practice')
await browser.close()

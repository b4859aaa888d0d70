import { expect, goOnTo, headline, openLaySheet, startFit, test, pedal } from './shop.ts'

test('two tablets on one part see the same; a press on an old step is refused in words, and nothing is mixed twice', async ({
  page,
  shop,
  browser,
}) => {
  await openLaySheet(page, shop, 'Bonnet')
  await startFit(page)
  await expect(headline(page)).toHaveText('Wash, clay, wipe')
  const other = await (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage()
  await other.goto(page.url())
  await expect(headline(other)).toHaveText('Wash, clay, wipe')

  // Gone on here, it goes on there; a press at that moment does not count for the step that has just come.
  await page.getByRole('button', { name: /^Done/ }).click()
  // Seen in the frame in which it changes, however long the news takes on a slow machine.
  const changed = () => document.querySelector('[data-testid=headline]')?.textContent === 'Degrease the edges'
  await other.waitForFunction(changed, undefined, { polling: 'raf', timeout: 60_000 })
  await pedal(other)
  await expect(other.getByText('Another tablet has changed the step.')).toBeVisible()
  await expect(headline(other)).toHaveText('Degrease the edges')
  await goOnTo(page, /Mix slip and tack/)
  await expect(headline(other)).toHaveText(/Mix slip and tack/)

  // One of them hears nothing for a while: both mix.
  await other.route('**/api/**', (route) => route.abort())
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(headline(page)).not.toHaveText(/Mix slip and tack/)
  const after = (await headline(page).textContent()) ?? ''
  await other.waitForTimeout(1600)
  await pedal(other)
  await expect(other.getByText(/kept here/)).toBeVisible()
  await other.unroute('**/api/**')
  await expect(other.getByRole('alert')).toContainText('What was pressed here did not count.', { timeout: 10_000 })
  await expect(other.getByRole('alert')).toContainText(/“Mix slip and tack.*” was done already, at \d\d:\d\d/)
  await expect(headline(other)).toHaveText(after)
  const { batches } = await (await other.request.get(`${shop.url}/api/liquids`)).json()
  const mixedHere = batches.filter((b: { number: string }) => b.number.startsWith('0412.1-'))
  expect(new Set(mixedHere.map((b: { number: string }) => b.number)).size).toBe(mixedHere.length)

  // It is kept until somebody puts it away.
  await other.getByRole('button', { name: 'I see' }).click()
  await expect(other.getByRole('alert')).toBeHidden()
  await other.goto(`${shop.url}/tablet`)
  await expect(other.getByText('Did not count')).toBeVisible()
  await expect(other.getByText(/^liquid mixed, /i).first()).toBeVisible()
  const [file] = await Promise.all([
    other.waitForEvent('download'),
    other.getByRole('link', { name: 'Save as a file' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('kept-on-this-tablet.json')
  for (let left = await other.getByRole('button', { name: 'Not needed any more' }).count(); left > 0; left--)
    await other.getByRole('button', { name: 'Not needed any more' }).first().click()
  await expect(other.getByText('Nothing: the server has all that happened here.')).toBeVisible()
})

test('a backup by a press; a server that was set back to it is offered what tablets had sent since', async ({
  page,
  shop,
  browser,
}, info) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('button', { name: 'Back up now' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save the file' }).first().click(),
  ])
  const file = info.outputPath('shop.zip')
  await download.saveAs(file)
  await page.goto('about:blank')

  const tablet = await (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage()
  await openLaySheet(tablet, shop, 'Bonnet')
  await startFit(tablet)
  await expect(headline(tablet)).toHaveText('Wash, clay, wipe')
  await tablet.getByRole('button', { name: /^Done/ }).click()
  await expect(headline(tablet)).toHaveText('Degrease the edges')
  const fit = tablet.url()
  await expect(tablet.getByText(/storing|kept here/)).toBeHidden()
  await shop.kill()
  shop.restore(file)
  await shop.start()
  const log = async () => (await (await tablet.request.get(`${shop.url}/api/parts/0412-bonnet/fit`)).json()).events
  expect(await log()).toEqual([])
  await tablet.goto(`${shop.url}/shelf`)
  await tablet.getByRole('link', { name: /kept here/ }).click()
  await expect(tablet.getByText('The server was set back to an older state')).toBeVisible()
  await tablet.getByRole('button', { name: 'Send them again' }).click()
  await expect(tablet.getByText('Nothing: the server has all that happened here.')).toBeVisible()
  await expect.poll(async () => (await log()).map((e: { kind: string }) => e.kind)).toEqual(['fitStarted', 'stepDone'])
  await tablet.goto(fit)
  await expect(headline(tablet)).toHaveText('Degrease the edges')
})

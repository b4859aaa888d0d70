import AxeBuilder from '@axe-core/playwright'
import type { Browser, Page } from '@playwright/test'
import { expect, test, pedal } from './shop.ts'

test.use({ reachedFrom: 'the network' })

const open = async (browser: Browser, url: string, tablet = true): Promise<Page> => {
  const context = await browser.newContext({
    ignoreHTTPSErrors: true,
    viewport: tablet ? { width: 820, height: 1180 } : { width: 1280, height: 800 },
  })
  const page = await context.newPage()
  await page.goto(url)
  return page
}

/** Chooses a PIN by the keys on the screen, twice. */
async function choosesPin(page: Page, name: string, pin: string) {
  await page.getByRole('button', { name, exact: true }).click()
  for (const done of ['Next', 'Keep']) {
    for (const digit of pin) await page.getByRole('button', { name: digit, exact: true }).click()
    await page.getByRole('button', { name: done }).click()
  }
}

/** A tablet that is taken in by the code on the desk's screen. */
async function takesIn(browser: Browser, desk: Page, networkUrl: string, name: string): Promise<Page> {
  await desk.getByRole('button', { name: 'Take a tablet in' }).click()
  const code = await desk.getByText(/^[2-9A-Z]{4}-[2-9A-Z]{4}$/).innerText()
  const tablet = await open(browser, `${networkUrl}/#${code}`)
  await tablet.getByLabel(/^What this screen is called/).fill(name)
  await tablet.getByRole('button', { name: 'Take it in' }).click()
  await desk.getByRole('button', { name: 'Close' }).click()
  await expect(desk.getByText(name, { exact: true })).toBeVisible()
  return tablet
}

test('a tablet is taken in, people sign in by their PINs, roles decide, and hands change in mid-part', async ({
  browser,
  shop,
}) => {
  const desk = await open(browser, shop.url, false)
  await choosesPin(desk, 'Tarek', '4071')
  await expect(desk.getByRole('heading', { name: 'Velmora Pipit' })).toBeVisible()
  await desk.goto(`${shop.url}/shop`)
  for (const name of ['Bo', 'Ines']) await desk.getByRole('button', { name: `Let ${name} choose a PIN` }).click()
  await expect(desk.getByText('may choose a PIN now')).toHaveCount(2)

  const tablet = await takesIn(browser, desk, shop.networkUrl, 'Tablet bay 1')
  await expect(tablet.getByRole('heading', { name: 'Who is it?' })).toBeVisible()
  expect((await new AxeBuilder({ page: tablet }).analyze()).violations).toEqual([])
  await choosesPin(tablet, 'Bo', '5823')
  await expect(tablet.getByRole('heading', { name: 'Velmora Pipit' })).toBeVisible()

  // A new hand does not change figures of the trade.
  await tablet.goto(`${shop.networkUrl}/shelf/films/clearcoat-hull-180`)
  await expect(tablet.getByText('To be read here; an installer or a lead changes it.')).toBeVisible()
  await expect(tablet.getByRole('radio', { name: 'yes: it warps when stretched' })).toBeDisabled()

  // Bo begins the lamp, Ines goes on: both stand in its record.
  await tablet.goto(`${shop.networkUrl}/jobs/0412/fit/0412-headlamp-left`)
  await tablet.getByRole('button', { name: /^Start/ }).click()
  await expect(tablet.getByText('step 1 of')).toBeVisible()
  await pedal(tablet, 'Space')
  await expect(tablet.getByText('step 2 of')).toBeVisible()
  await tablet.getByRole('button', { name: /^Bo is at this screen/ }).click()
  await expect(tablet.getByRole('heading', { name: 'Who goes on here?' })).toBeVisible()
  await choosesPin(tablet, 'Ines', '7306')
  await expect(tablet.getByRole('button', { name: /^Ines is at this screen/ })).toBeVisible()
  await pedal(tablet, 'Space')
  await expect(tablet.getByText('step 3 of')).toBeVisible()
  await expect
    .poll(async () => {
      const record = await desk.request.get(`${shop.url}/api/parts/0412-headlamp-left/record`)
      return (await record.json()).steps.map((step: { by: string }) => step.by)
    })
    .toEqual(['Bo', 'Ines'])

  await desk.getByRole('link', { name: 'Who changed what' }).click()
  await expect(desk.getByRole('row').filter({ hasText: 'A tablet invited' })).toContainText('Tarek')

  // Turned away, the tablet asks to be taken in, and shows nothing of the shop.
  await desk.goto(`${shop.url}/shop`)
  await desk.getByRole('button', { name: 'Turn Tablet bay 1 away' }).click()
  await tablet.goto(shop.networkUrl)
  await expect(tablet.getByRole('heading', { name: 'Take this screen into the shop' })).toBeVisible()
  await expect(tablet.getByText('Velmora Pipit')).toHaveCount(0)
})

test('a stranger sees the way in and nothing else; the door has the certificate', async ({ browser, shop }) => {
  const stranger = await open(browser, `${shop.networkUrl}/jobs/0412`)
  await expect(stranger.getByRole('heading', { name: 'Take this screen into the shop' })).toBeVisible()
  await stranger.getByLabel('Code from the desk').fill('AAAA-2222')
  await stranger.getByLabel(/^What this screen is called/).fill('Not ours')
  await stranger.getByRole('button', { name: 'Take it in' }).click()
  await expect(stranger.getByRole('alert').filter({ hasText: 'No tablet is expected just now.' })).toBeVisible()
  expect((await new AxeBuilder({ page: stranger }).analyze()).violations).toEqual([])
  expect((await stranger.request.get(`${shop.networkUrl}/api/bay`)).status()).toBe(401)

  await stranger.goto(shop.doorUrl)
  await expect(stranger.getByRole('heading', { name: 'A tablet for the shop' })).toBeVisible()
  expect((await new AxeBuilder({ page: stranger }).analyze()).violations).toEqual([])
  const certificate = await stranger.request.get(`${shop.doorUrl}/true-lay.crt`)
  expect(await certificate.text()).toMatch(/^-----BEGIN CERTIFICATE-----/)
})

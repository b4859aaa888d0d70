import { expect, test } from './shop.ts'

test.use({ serviceWorkers: 'allow' })

/** The app has kept itself on this tablet. */
const isKept = (page: import('@playwright/test').Page) =>
  expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state), { timeout: 120_000 })
    .toBe('activated')

test('with the server away the app opens on what was seen before; what is found and mixed goes once it is back', async ({
  page,
  shop,
  quiet,
}) => {
  await page.goto(shop.url)
  await isKept(page)
  for (const path of ['/', '/jobs/0412/walk-round', '/mixing'])
    await page.goto(shop.url + path).then(() => page.waitForTimeout(1500))

  await shop.kill()
  await page.goto(`${shop.url}/jobs/0412/walk-round`)
  await expect(page.getByText('nothing yet')).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'The server is away.' })).toBeVisible()
  await page.getByRole('button', { name: 'Bonnet' }).press('Enter')
  await page.getByRole('button', { name: 'stone chip' }).click()
  await expect(page.getByText('Changes the plan of Bonnet.')).toBeVisible()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('1 to send')).toBeVisible()

  // Opened anew, it is still there.
  await page.reload()
  await expect(page.getByRole('button', { name: /stone chip/ })).toBeVisible()
  await page.goto(`${shop.url}/mixing`)
  await expect(page.getByRole('heading', { name: 'Mixing bench' })).toBeVisible()
  await page.goto(`${shop.url}/tablet`)
  await expect(page.getByText('A finding of a walk-round')).toBeVisible()

  await shop.start()
  await expect(page.getByText('A finding of a walk-round')).toBeHidden()
  const walk = await page.request.get(`${shop.url}/api/jobs/0412/walk-round`)
  expect((await walk.json()).findings).toMatchObject([{ slot: 'bonnet', kind: 'chip' }])
  // A browser tells in its own words of each address that did not answer.
  quiet.splice(0)
})

test('the app can be installed', async ({ page, shop }) => {
  await page.goto(shop.url)
  const manifest = await page.request.get(`${shop.url}/manifest.webmanifest`)
  const { name, icons, display } = await manifest.json()
  expect({ name, display }).toEqual({ name: 'True Lay', display: 'standalone' })
  for (const { src, type } of icons) {
    const icon = await page.request.get(shop.url + src)
    expect(icon.headers()['content-type'], src).toContain(type)
  }
})

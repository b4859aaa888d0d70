import { expect, test } from './shop.ts'

/** A tablet at the far end of the shop has little room on the air. */
const mostBytes = 270_000
/** Of these, script alone. */
const mostScriptBytes = 220_000

test('the first load, all of it as it goes over the wire, stays small; the air by hand comes when it is asked for', async ({
  page,
  shop,
}) => {
  const network = await page.context().newCDPSession(page)
  await network.send('Network.enable')
  const loaded = new Map<string, number>()
  const address = new Map<string, string>()
  network.on('Network.responseReceived', (e) => address.set(e.requestId, e.response.url))
  network.on('Network.loadingFinished', (e) => loaded.set(address.get(e.requestId) ?? e.requestId, e.encodedDataLength))
  await page.goto(shop.url)
  await expect(page.getByRole('heading', { name: 'Velmora Pipit' })).toBeVisible()
  await page.waitForLoadState('load')
  await expect.poll(() => [...loaded.keys()].filter((url) => url.includes('/api/shapes')).length).toBe(2)
  const list = [...loaded].sort(([, a], [, b]) => b - a)
  expect(
    list.reduce((sum, [, bytes]) => sum + bytes, 0),
    JSON.stringify(list, null, 1),
  ).toBeLessThan(mostBytes)
  const script = list.filter(([url]) => url.endsWith('.js')).reduce((sum, [, bytes]) => sum + bytes, 0)
  expect(script).toBeGreaterThan(100_000)
  expect(script).toBeLessThan(mostScriptBytes)
  expect([...loaded.keys()].filter((url) => /\.woff2/.test(url)).every((url) => url.includes('-first-'))).toBe(true)

  await page.getByRole('button', { name: /^Room air/ }).click()
  await expect(page.getByRole('dialog')).toContainText('Air in the room')
})

test('a sign that few screens need brings its typeface along', async ({ page, shop }) => {
  await page.goto(shop.url)
  await expect(page.getByRole('heading', { name: 'Velmora Pipit' })).toBeVisible()
  const whole = page.waitForResponse((res) => /atkinson[\w-]*-latin-wght[\w-]*\.woff2/.test(res.url()))
  await page.evaluate(() => {
    document.querySelector('h2')?.append('é')
  })
  expect((await whole).status()).toBe(200)
})

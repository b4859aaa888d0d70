import { expect, goOnTo, headline, openLaySheet, pedal, startFit, test } from './shop.ts'

test('a torn piece: the spare, laid to the end, handed over, and come back to', async ({ page, shop }) => {
  await openLaySheet(page, shop, 'Headlamp')
  await startFit(page)
  await goOnTo(page, /Peel|Hold it by/)
  await page.getByRole('button', { name: 'Something is wrong' }).click()
  await page.getByRole('button', { name: /^Torn piece/ }).click()
  await page.getByRole('button', { name: 'At a corner' }).click()
  await expect(page.getByText('That cannot be mended', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: /^Take the spare/ }).click()
  await expect(page.getByRole('status').filter({ hasText: 'it comes off and is laid again' })).toBeVisible()

  // The fit stands again where a piece is taken in hand; the bay says what is waited for.
  await expect(headline(page)).toHaveText(/Bone dry|Hold the piece up/)
  await page.goto(shop.url)
  await expect(page.getByText('To be laid again with the spare')).toBeVisible()
  await page.goto(`${shop.url}/jobs/0412/fit/0412-headlamp-left`)
  await goOnTo(page, /Peel|Hold it by/)

  // There was one spare: the next would come off the roll.
  await page.getByRole('button', { name: 'Something is wrong' }).click()
  await page.getByRole('button', { name: /^Torn piece/ }).click()
  await page.getByRole('button', { name: 'At a corner' }).click()
  await expect(page.getByRole('button', { name: /^Cut another from the roll/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Take the spare/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Never mind' }).click()

  await goOnTo(page, /Wipe, photograph, done/)
  await pedal(page)
  await expect(page.getByRole('heading', { name: 'Headlamp, driver’s side is done' })).toBeVisible()
  await page.getByRole('link', { name: 'Record' }).click()
  await expect(page.getByText(/laid again, with the spare of the kit/).first()).toBeVisible()
  await expect(page.getByText(/waits not counted/)).toBeVisible()

  await page.getByRole('link', { name: 'Hand over' }).click()
  await page.getByRole('button', { name: 'Hand it over' }).click()
  await page.getByRole('button', { name: 'Nobody is here to sign' }).click()
  await page.getByRole('button', { name: 'Open a come-back visit' }).click()
  // Today, whatever day and hour it is: the next look at its edges may fall on a Monday.
  const now = new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
  await page.getByRole('dialog').locator('input[type="datetime-local"]').first().fill(now)
  await page.getByRole('button', { name: 'Open it' }).click()
  await expect(page.getByText('A come-back visit.')).toBeVisible()
  await page.goto(shop.url)
  await page.getByRole('link', { name: 'Begin the visit' }).first().click()
  await expect(page.getByText('Nothing was left open.', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: /^Start/ }).click()
  await goOnTo(page, /Wipe, photograph, done/)
  await pedal(page)
  await expect(page.getByRole('heading', { name: 'Headlamp, driver’s side is done' })).toBeVisible()
})

test.describe('a shop with a past', () => {
  test.use({ holds: 'the demo shop and its past' })

  test('a remembered offset is taken over with one press', async ({ page, shop }) => {
    await openLaySheet(page, shop, 'Bonnet')
    const block = page.locator('section').filter({ has: page.getByRole('heading', { name: 'From earlier fits' }) })
    await expect(block).toContainText(/Move the film 2\.\d\smm towards the nose/)
    await expect(block).toContainText('It is the piece: the same on every body.')
    const worst = await page.getByTestId('worst-edge').textContent()
    await block.getByRole('button', { name: 'Begin with that' }).click()
    await expect(block).toContainText('The plan begins with that.')
    await expect(page.getByTestId('worst-edge')).not.toHaveText(worst ?? '')
    await page.getByRole('link', { name: 'To the fit' }).click()
    await expect(page.getByRole('button', { name: /Start/ })).toBeVisible()
    await expect(page.getByText('Begin with that, on the lay sheet')).toHaveCount(0)

    await page.goto(`${shop.url}/models/velmora-pipit/known`)
    await expect(page.getByRole('listitem').filter({ hasText: 'Bonnet' }).first()).toContainText('fitted 9 times')
  })
})

import type { Page } from '@playwright/test'
import { expect, goOnTo, headline, test, pedal } from './shop.ts'

const together = (page: Page) => page.getByRole('region', { name: 'Fitted together', exact: true })
const ofSet = (page: Page, part: RegExp) =>
  page.getByRole('navigation', { name: 'Parts of this set' }).getByRole('link', { name: part })

/** Begins the part that is on the screen, and goes on to a step of it. */
async function begin(page: Page, wanted: RegExp) {
  await page.getByRole('button', { name: /Start/ }).click()
  await expect(headline(page)).toBeVisible()
  await goOnTo(page, wanted)
}

test('a set of six strips is led through piece by piece to its end', async ({ page, shop }) => {
  await page.goto(`${shop.url}/jobs/0414/kit`)
  const strips = together(page).getByRole('listitem').filter({ hasText: 'Tail lamp strip 1' }).first()
  await strips.getByRole('button', { name: 'Fit together, piece after piece' }).click()
  await expect(together(page).getByRole('button', { name: 'Take apart' })).toBeVisible()
  await page.goto(`${shop.url}/jobs/0414/fit/0414-14`)
  for (const strip of [1, 2, 3, 4, 5, 6]) {
    await expect(ofSet(page, new RegExp(`^${strip} Tail lamp strip ${strip}`))).toHaveAttribute('aria-current', 'step')
    const steps = page.getByRole('listitem')
    await expect(steps.filter({ hasText: 'Seal the edges' })).toBeVisible()
    // Washed, masked and mixed for once, with the first; the tape comes off with the last.
    await expect(steps.filter({ hasText: 'Mix slip and tack, for all 6' })).toHaveCount(strip === 1 ? 1 : 0)
    await expect(steps.filter({ hasText: 'Take the tape off' })).toHaveCount(strip === 6 ? 1 : 0)
    await begin(page, /Walked all round/)
    // The gate between this piece and the next.
    await expect(page.getByText(strip < 6 ? `then Tail lamp strip ${strip + 1}` : /next piece meets it/)).toBeVisible()
    await goOnTo(page, /Wipe, photograph, done/)
    await pedal(page)
    await expect(page.getByRole('heading', { name: `Tail lamp strip ${strip} is done` })).toBeVisible()
    if (strip < 6) await page.getByRole('link', { name: `Next: Tail lamp strip ${strip + 1}` }).click()
  }
  for (const strip of [1, 2, 3, 4, 5]) await expect(ofSet(page, new RegExp(`strip ${strip}`))).toContainText('done')
})

test('a pair of lamps goes to and fro: the second is laid while the first dries, then back to cut the first', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/jobs/0413/kit`)
  const pair = together(page).getByRole('listitem').filter({ hasText: 'Tail lamp, outer part, driver’s side' }).first()
  await pair.getByRole('button', { name: 'Fit together, to and fro' }).click()
  await expect(together(page).getByRole('button', { name: 'Take apart' })).toBeVisible()
  await page.goto(`${shop.url}/jobs/0413/fit/0413-09`)
  await begin(page, /Tuck edge/)
  await pedal(page)
  await expect(page.getByTestId('countdown')).toBeVisible()
  await page.getByRole('link', { name: /Meanwhile: Tail lamp, outer part, passenger’s side/ }).click()
  await expect(ofSet(page, /driver’s side/)).toContainText(/dries until \d/)
  await begin(page, /Tuck edge/)
  await pedal(page)
  await expect(page.getByTestId('countdown')).toBeVisible()
  // Both dry: nothing to go on with meanwhile; back to the first, which is cut first.
  await expect(page.getByRole('link', { name: /Meanwhile/ })).toBeHidden()
  await ofSet(page, /driver’s side/).click()
  await expect(page.getByTestId('countdown')).toBeVisible()
  await goOnTo(page, /Cut in the gap/)
  await goOnTo(page, /Wipe, photograph, done/)
  await pedal(page)
  await expect(page.getByRole('heading', { name: 'Tail lamp, outer part, driver’s side is done' })).toBeVisible()
  await page.getByRole('link', { name: 'Next: Tail lamp, outer part, passenger’s side' }).click()
  await expect(ofSet(page, /driver’s side/)).toContainText('done')
  await goOnTo(page, /Take the tape off/)
  await goOnTo(page, /Wipe, photograph, done/)
  await pedal(page)
  await expect(page.getByRole('heading', { name: 'Tail lamp, outer part, passenger’s side is done' })).toBeVisible()
})

test('film off the roll is chosen on the kit screen, and lay sheet, steps and picture follow', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/jobs/0412/kit`)
  const bonnet = page
    .getByRole('region', { name: 'Dry check' })
    .getByRole('listitem')
    .filter({ hasText: 'Bonnet' })
    .first()
  await bonnet.getByRole('group').locator('summary').click()
  await bonnet.getByRole('button', { name: 'from the roll' }).click()
  await expect(bonnet.getByRole('button', { name: 'from the roll' })).toHaveAttribute('aria-pressed', 'true')
  await bonnet.getByRole('radio', { name: 'one' }).click()
  await expect(bonnet.getByText('From the roll, 1 person')).toBeVisible()
  await page.goto(`${shop.url}/jobs/0412/fit/0412-bonnet`)
  await begin(page, /Cut 16\d0\smm by 12\d0\smm from the roll/)
  await goOnTo(page, /Then the other half/)
  await goOnTo(page, /Surplus even all round/)
  await expect(page.getByText('125 mm over on each side.').first()).toBeVisible()
})

import { readFileSync } from 'node:fs'
import { expect, goOnTo, headline, openLaySheet, startFit, test, typeGaps, pedal } from './shop.ts'
import { photo } from './photo.ts'

test('a bonnet from the first wash to the record, through a closed browser and a killed server', async ({
  page,
  shop,
  context,
}) => {
  await openLaySheet(page, shop, 'Bonnet')
  await page.getByRole('button', { name: 'Move it there' }).click()
  await expect(page.getByText(/Inside the rule all round/)).toBeVisible()
  await startFit(page)
  await expect(headline(page)).toHaveText('Wash, clay, wipe')

  // Space goes on, Back goes back.
  await pedal(page, 'Space')
  await expect(headline(page)).toHaveText('Degrease the edges')
  await page.getByRole('button', { name: 'Back one step' }).click()
  await expect(headline(page)).toHaveText('Wash, clay, wipe')
  await page.getByRole('button', { name: /^Done/ }).click()
  await goOnTo(page, /Mix slip and tack/)
  await expect(page.getByText('alcohol stock')).toBeVisible()
  await goOnTo(page, /Measure the gaps/)

  // Wrong, measured, moved, measured again.
  await page.getByRole('button', { name: 'P more' }).click()
  await typeGaps(page, { P: '3.6', Q: 'three' })
  await page.getByRole('button', { name: /How do I move it/ }).click()
  await expect(page.getByRole('alert')).toContainText('"three" is no gap')
  await typeGaps(page, { P: '3.6', Q: '3.4', R: '1.4', S: '1.6', T: '2.2', U: '2.4', V: '3.6', W: '3.4' })
  await page.getByRole('button', { name: /How do I move it/ }).click()
  await expect(page.getByTestId('correction')).toHaveText(
    'Move the film 1 mm towards the passenger’s side and 0.6 mm towards the windscreen.',
  )
  await typeGaps(page, { P: '2.6', Q: '2.4', R: '2.4', S: '2.6', T: '2.3', U: '2.4', V: '2.6', W: '2.4' })
  await page.getByRole('button', { name: /Measured again/ }).click()
  await expect(page.getByText('Within 0.5 mm everywhere now. Leave it.')).toBeVisible()

  // The browser is closed and the server killed in the middle: it goes on at the same step.
  await pedal(page)
  await expect(headline(page)).toContainText('corner')
  const there = (await headline(page).textContent()) ?? ''
  await page.close()
  await shop.kill()
  await shop.start()
  const again = await context.newPage()
  await again.goto(shop.url)
  await expect(again.getByText(there).first()).toBeVisible()
  await again.getByRole('link', { name: 'Go on' }).click()
  await expect(headline(again)).toHaveText(there)

  // Trouble in three taps: what, where on the part, and it is put right by the steps that are told.
  await again.getByRole('button', { name: 'Something is wrong' }).click()
  await again.getByRole('button', { name: /^Dirt or hair/ }).click()
  const onPart = again.getByRole('img', { name: /to be tapped where it is/ })
  const box = await onPart.boundingBox()
  if (box === null) throw new Error('the part has no picture')
  await onPart.click({ position: { x: box.width / 2, y: box.height / 2 } })
  await again.getByRole('button', { name: 'Here: in the middle' }).click()
  await expect(again.getByRole('region', { name: 'What to do' })).toContainText('Rinse the speck off the glue')
  await expect(again.getByRole('region', { name: 'Why' })).toContainText(/\d+\s%/)
  await again
    .getByLabel('Photo of it')
    .setInputFiles({ name: 'hair.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(await photo(again, 'grey')) })
  await expect(again.getByRole('img', { name: 'dirt or hair, in the middle' })).toBeVisible()
  await again.getByRole('button', { name: 'It is good again' }).click()
  await expect(again.getByText('Noted: dirt or hair, in the middle; put right.')).toBeVisible()

  // A wait counts down and holds the next step back.
  await goOnTo(again, /Let it grab/)
  await pedal(again)
  await expect(again.getByTestId('countdown')).toHaveText(/^1[78]:\d\d$/)
  await expect(again.getByRole('button', { name: /^Done/ })).toBeDisabled()
  await again.goto(shop.url)
  await expect(again.getByText(/then Seal the edges/)).toBeVisible()
  await again.getByRole('link', { name: 'Go on' }).click()
  await goOnTo(again, /Wipe, photograph, done/)
  await pedal(again)
  await expect(again.getByRole('heading', { name: 'Bonnet is done' })).toBeVisible()

  await again.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(again.getByText('H180-2611-04')).toBeVisible()
  await expect(again.getByText('0412.1-1')).toBeVisible()
  const row = again.getByRole('row').filter({ hasText: 'driver’s side edge, nose' })
  await expect(row).toContainText('1.6 mm')
  await expect(row).toContainText('2.6 mm')
  await expect(again.getByText('Within tolerance.')).toBeVisible()
  await expect(again.getByText(/dirt or hair/)).toBeVisible()
  await expect(again.getByText(/put right, Ines/)).toBeVisible()
  await expect(again.getByRole('img', { name: 'dirt or hair, in the middle' })).toBeVisible()
  await expect(again.getByText(/cut short by 1[78]\smin/)).toBeVisible()
  const download = again.waitForEvent('download')
  await again.getByRole('link', { name: 'PDF' }).click()
  const pdf = readFileSync(await (await download).path())
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pdf.length).toBeGreaterThan(2000)
})

test('a lamp laid dry: no mixing, mask, pull, shrink, post-heat, tuck, cut, tape off', async ({ page, shop }) => {
  await openLaySheet(page, shop, 'Headlamp')
  await startFit(page)
  const seen: string[] = []
  for (const wanted of [
    /Mask the paint/,
    /Bone dry/,
    /agreed to the tint/,
    /Check how it sits/,
    /hold by the bleed/,
    /Two corners first/,
    /One pull across/,
    /Shrink the flaps/,
    /Post-heat/,
  ]) {
    await goOnTo(page, wanted)
    seen.push((await headline(page).textContent()) ?? '')
  }
  await expect(page.getByText(/Never hold the gun still/)).toBeVisible()
  await pedal(page)
  await expect(page.getByRole('heading', { name: 'Wait: cool before the cut' })).toBeVisible()
  await goOnTo(page, /Tuck/)
  await goOnTo(page, /Cut in the gap/)
  await expect(page.getByText(/sharps box/).first()).toBeVisible()
  await goOnTo(page, /Take the tape off/)
  expect(seen.join()).not.toContain('Mix')
  await page.goto(`${shop.url}/jobs/0412/record/0412-headlamp-left`)
  await expect(page.getByText(/62\s% of the light is left/)).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Batches' })).toBeHidden()
})

test('without the server the fit goes on, and everything arrives once', async ({ page, shop, quiet }) => {
  await openLaySheet(page, shop, 'Bonnet')
  await startFit(page)
  const stored = async (): Promise<string[]> => {
    const log = await (await fetch(`${shop.url}/api/parts/0412-bonnet/fit`)).json()
    return log.events.map((e: { kind: string }) => e.kind)
  }
  await expect.poll(stored).toEqual(['fitStarted'])
  await expect(page.getByText('storing')).toBeHidden()
  await shop.kill()
  await pedal(page)
  await expect(headline(page)).toHaveText('Degrease the edges')
  await pedal(page)
  await expect(headline(page)).toHaveText('Mix slip and tack')
  await expect(page.getByText(/server away, 2 kept here/)).toBeVisible()
  await shop.start()
  await expect(page.getByText(/kept here|storing/)).toBeHidden()
  expect(await stored()).toEqual(['fitStarted', 'stepDone', 'stepDone'])
  quiet.splice(
    0,
    quiet.length,
    ...quiet.filter(
      (line) =>
        !/ERR_(INCOMPLETE_CHUNKED_ENCODING|CONNECTION_REFUSED|CONNECTION_RESET|EMPTY_RESPONSE|SOCKET_NOT_CONNECTED)/.test(
          line,
        ),
    ),
  )
})

for (const [name, size] of [
  ['a laptop', { width: 1280, height: 800 }],
  ['a tablet held upright', { width: 820, height: 1180 }],
] as const)
  test(`on ${name} every step fits: words, picture and the huge target`, async ({ page, shop }) => {
    await page.setViewportSize(size)
    await page.goto(`${shop.url}/jobs/0412/lay-sheets/0412-bonnet`)
    await expect(page.getByTestId('worst-edge')).toBeVisible()
    await startFit(page)
    for (let i = 0; i < 9; i++) {
      const target = page.getByRole('button', { name: /^(Done|Good|How do I move it|Go on as it is)/ })
      const box = (await target.boundingBox())!
      expect(box.y + box.height).toBeLessThanOrEqual(size.height + 1)
      expect(box.height).toBeGreaterThanOrEqual(72)
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width)
      for (const button of await page.getByRole('button', { name: /wrong|Back one/ }).all())
        expect((await button.boundingBox())!.height).toBeGreaterThanOrEqual(72)
      await expect(page.getByRole('img', { name: /Picture of the step|mL of/ }).first()).toBeVisible()
      const now = (await headline(page).textContent()) ?? ''
      if (/Measure the gaps/.test(now)) break
      await pedal(page)
      await expect(headline(page)).not.toHaveText(now)
    }
    await expect(headline(page)).toHaveText('Measure the gaps')
  })

import { expect, goOnTo, headline, pedal, test } from './shop.ts'

test('from a fault on the last walk, put right and taken, over the papers to the closed job', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/jobs/0412/lay-sheets/0412-headlamp-left/light`)
  await expect(page.getByText('the road is seen about 79 % as far')).toBeVisible()
  await page.getByLabel('Name of the owner or driver').fill('Hanne Ostby')
  await page.getByRole('button', { name: 'I have read this' }).click()
  await expect(page.getByText('Hanne Ostby has read this on')).toBeVisible()

  await page.goto(`${shop.url}/jobs/0412/fit/0412-headlamp-left`)
  await page.getByRole('button', { name: /Start/ }).click()
  await goOnTo(page, /Finger along/)
  // At an edge: what it is, and nothing more; it is judged at once.
  const edge = ((await headline(page).textContent()) ?? '').replace('Finger along: ', '')
  await page.getByRole('button', { name: 'Something is wrong' }).click()
  await page
    .getByRole('button', { name: /^Lifting edge/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: `Lifting edge, ${edge}` })).toBeVisible()
  await expect(page.getByText('What to do now')).toBeVisible()
  await page.getByRole('button', { name: 'It is good again' }).click()
  await expect(page.getByText(/Noted: lifting edge, .*put right/)).toBeVisible()
  // What the customer takes as it is.
  await goOnTo(page, /Step back/)
  await page.getByRole('button', { name: 'Something is wrong' }).click()
  await page
    .getByRole('button', { name: /^Dirt or hair/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'In the middle' }).click()
  await page.getByRole('button', { name: 'The customer takes it as it is' }).click()
  await goOnTo(page, /Walked all round/)
  await expect(page.getByText('Something was wrong at 2 places')).toBeVisible()
  await goOnTo(page, /Wipe, photograph, done/)
  await pedal(page)
  await expect(page.getByRole('heading', { name: /is done$/ })).toBeVisible()

  await page.goto(`${shop.url}/jobs/0412/hand-over`)
  await expect(page.getByText('Dirt or hair, in the middle: the customer has seen it and takes it')).toBeVisible()
  await expect(page.getByText(/Its light: read by Hanne Ostby/)).toBeVisible()
  await expect(page.getByText(/Not to be washed before/)).toBeVisible()
  const [paper] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Page for the owner' }).click(),
  ])
  expect(paper.suggestedFilename()).toBe('hand-over-0412.pdf')
  await page.getByRole('button', { name: 'Hand it over' }).click()
  await page.getByLabel('Your name').fill('Hanne Ostby')
  const pen = (await page.getByLabel('Sign here').boundingBox())!
  await page.mouse.move(pen.x + 40, pen.y + 60)
  await page.mouse.down()
  await page.mouse.move(pen.x + 160, pen.y + 30, { steps: 6 })
  await page.mouse.up()
  await page.getByRole('button', { name: 'I take it' }).click()
  await expect(page.getByText(/Handed over to Hanne Ostby on/)).toBeVisible()
  await page.goto(shop.url)
  await expect(page.getByRole('link', { name: 'Ondrel Skua' })).toBeVisible()
  await expect(page.getByRole('region', { name: /Velmora Pipit, Fleet 27/ })).toBeHidden()
})

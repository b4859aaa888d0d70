import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, goOnTo, headline, openLaySheet, startFit, test, pedal } from './shop.ts'

const type = async (page: Page, label: string, text: string) => {
  const field = page.getByRole('textbox', { name: label, exact: true })
  await field.fill(text)
  await field.press('Enter')
}
const accessible = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
}
const enterAir = async (page: Page, temperature: string, humidity: string) => {
  await page.getByRole('button', { name: /^Room air/ }).click()
  await type(page, 'Temperature', temperature)
  await type(page, 'Humidity', humidity)
  await page.getByRole('button', { name: 'This is the air now' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
}

test('a wrong batch is found out, put right within its bottle, and gets a number and a label', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/mixing`)
  await expect(page.getByTestId('pours').getByText('857')).toBeVisible()
  await accessible(page)

  await page.getByRole('radio', { name: 'What is it?' }).click()
  await type(page, 'Water', '700')
  await type(page, 'Alcohol stock', '300')
  await expect(page.getByTestId('it-is')).toHaveText('21 % alcohol')
  await expect(page.getByText(/never on lenses/)).toBeVisible()

  await page.getByRole('button', { name: 'Put it right' }).click()
  const pours = page.getByTestId('pours')
  await expect(pours.getByRole('listitem').first()).toContainText('pour away')
  await expect(pours.getByRole('listitem').first()).toContainText('524')
  await expect(pours.getByRole('listitem').nth(1)).toContainText('5 full cylinders (100 mL each) and 24 mL')
  await expect(page.getByTestId('results')).toContainText('10 % alcohol')
  await type(page, 'The bottle holds', '3000')
  await expect(pours).not.toContainText('pour away')
  await expect(page.getByTestId('results')).toContainText('2.1')

  await page.getByRole('button', { name: /give it a number/ }).click()
  const label = page.getByRole('dialog')
  await expect(label.getByText(/^\d{6}-\d$/)).toBeVisible()
  await expect(label.getByText('weak tack')).toBeVisible()
  await expect(label.getByRole('img', { name: /^Code of bottle/ })).toBeVisible()
  await label.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('listitem', { name: /^Bottle/ })).toHaveCount(3)
})

test('an old batch is topped up, and one that is too strong says why it cannot be', async ({ page, shop }) => {
  await page.goto(`${shop.url}/mixing`)
  const old = page.getByRole('listitem', { name: /^Bottle/ }).filter({ hasText: 'strong tack' })
  await old.getByRole('button', { name: 'Top up' }).click()
  await page.getByLabel('What is wanted').selectOption('weak tack')
  await expect(page.getByRole('alert')).toContainText('more than the 10 % wanted')
  await page.getByLabel('What is wanted').selectOption('strong tack')
  await expect(page.getByTestId('results')).toContainText('17.5 % alcohol')
  await page.getByRole('button', { name: /Done/ }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await expect(old.getByLabel('Left in it')).toHaveValue('1000')
  await expect(page.getByRole('listitem', { name: 'Alcohol stock' })).toContainText(/take|runs out/)
})

test('colder, damper air moves every wait and the release; a frost keeps the vehicle in', async ({
  page,
  shop,
  standIns,
}) => {
  await standIns.turn({
    room: { temperatureC: 22, humidityPercent: 50, fault: 'none' },
    forecast: { coldestC: 1, warmestC: 5, fault: 'none' },
  })
  await page.goto(`${shop.url}/jobs/0412/waits`)
  const wrap = page.getByTestId('wait-beforeWrap')
  await expect(wrap).toContainText('13 min')
  await expect(page.getByText(/after a night indoors/i)).toBeVisible()
  const early = await page.getByTestId('release').textContent()
  await accessible(page)

  await standIns.turn({ room: { temperatureC: 12, humidityPercent: 85, fault: 'none' } })
  await page.reload()
  await expect(wrap).toContainText(/times as long/)
  await expect(wrap.locator('strong').last()).toHaveText(/^[3-9]\d\smin$/)
  await expect(page.getByTestId('wait-fullBond')).toContainText(/[5-9](\.\d)? days/)
  await expect(page.getByTestId('release')).not.toHaveText(early ?? '')

  await standIns.turn({
    room: { temperatureC: 22, humidityPercent: 50, fault: 'none' },
    forecast: { coldestC: 16, warmestC: 22, fault: 'none' },
  })
  await page.reload()
  await expect(page.getByText(/same day/i)).toBeVisible()
})

test('a sensor that is silent, late or mad is said, and what is entered counts', async ({ page, shop, standIns }) => {
  await page.goto(`${shop.url}/jobs/0412/waits`)
  await expect(page.getByRole('button', { name: /^Room air: 21.4\s°C, 48\s%, sensor/ })).toBeVisible()
  await standIns.turn({
    room: { temperatureC: 21.4, humidityPercent: 48, fault: 'silent' },
    forecast: { coldestC: 7, warmestC: 14, fault: 'silent' },
  })
  await page.reload()
  await expect(page.getByText('sensor silent', { exact: false })).toBeVisible()
  await expect(page.getByText('Forecast silent.')).toBeVisible()
  await page.getByRole('button', { name: /^Room air/ }).click()
  await expect(page.getByRole('dialog')).toContainText('It does not answer.')
  await page.keyboard.press('Escape')
  await enterAir(page, '9', '80')
  await expect(page.getByRole('button', { name: /^Room air: 9\s°C, 80\s%, entered/ })).toBeVisible()
  await type(page, 'Coldest outside over the next day', '-4')
  await expect(page.getByText(/down to [-−]4\s°C/)).toBeVisible()

  await standIns.turn({ room: { temperatureC: 21.4, humidityPercent: 48, fault: 'nonsense' } })
  await page.reload()
  await expect(page.getByText(/sensor measures nonsense/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Room air: 9\s°C/ })).toBeVisible()
})

test('a gun read twice with the thermometer is surer, and changes how it is held', async ({ page, shop, standIns }) => {
  await page.goto(`${shop.url}/shop/guns/bay-1-gun`)
  const sure = page.getByTestId('gun-sure')
  const words = page.getByTestId('gun-words')
  await expect(sure).toHaveText('± 38 %')
  const before = (await words.textContent()) ?? ''
  await accessible(page)

  await standIns.turn({ infrared: { surfaceC: 78, fault: 'none' } })
  await page.getByRole('button', { name: 'Ask the thermometer' }).click()
  await expect(page.getByLabel('It reads')).toHaveValue('78.0')
  await page.getByRole('button', { name: 'Keep this reading' }).click()
  await expect(sure).not.toHaveText('± 38 %')
  const once = Number(/\d+/.exec((await sure.textContent()) ?? '')?.[0])
  await expect(words).not.toHaveText(before)

  await type(page, 'Seconds for one pass', '0.5')
  await type(page, 'Passes', '12')
  await type(page, 'It reads', '80')
  await page.getByRole('button', { name: 'Keep this reading' }).click()
  await expect(page.getByText('From 2 readings', { exact: false })).toBeVisible()
  expect(Number(/\d+/.exec((await sure.textContent()) ?? '')?.[0])).toBeLessThan(once)

  await standIns.turn({ infrared: { surfaceC: 78, fault: 'silent' } })
  await page.getByRole('button', { name: 'Ask the thermometer' }).click()
  await expect(page.getByText('It does not answer. Type what it shows.')).toBeVisible()
})

test('the heat of a lamp: where, how, and the temperatures; and how its edges end', async ({ page, shop }) => {
  await openLaySheet(page, shop, 'Headlamp, driver’s side')
  await expect(page.getByText('Waits in this air')).toBeVisible()
  await page.getByRole('link', { name: 'Heat', exact: true }).click()
  await expect(page.getByTestId('heat-words')).toHaveText(/notch, .*away, along.*each way/i)
  await expect(page.getByRole('img', { name: /Temperature of the surface over time/ })).toBeVisible()
  const soften = await page.getByTestId('heat-words').textContent()
  await page.getByRole('radio', { name: 'Post-heat' }).click()
  await expect(page.getByTestId('heat-words')).not.toHaveText(soften ?? '')
  await accessible(page)

  await page.getByRole('link', { name: 'Edges', exact: true }).click()
  await page.getByRole('button', { name: /^G .*top edge/i }).click()
  await expect(page.getByText('45°', { exact: true }).first()).toBeVisible()
  await expect(page.getByText('Cut dry or wet?')).toBeVisible()
  await accessible(page)
})

test('the fit asks which bottle is in hand, warns of the wrong one, and the wait follows the air', async ({
  page,
  shop,
  standIns,
}) => {
  await standIns.turn({ room: { temperatureC: 20, humidityPercent: 50, fault: 'none' } })
  await openLaySheet(page, shop, 'Bonnet')
  await startFit(page)
  await goOnTo(page, /Soak the part/)
  const asked = page.getByRole('region', { name: 'Bottle in hand' })
  await asked.getByRole('button', { name: /strong tack/ }).click()
  await expect(asked.getByRole('alert')).toContainText('This is strong tack, 17.5 % alcohol; planned is light slip')
  await asked.getByRole('button', { name: 'It is another bottle' }).click()
  await asked.getByRole('button', { name: /0412\.1-1/ }).click()
  await expect(asked).toContainText('as planned')

  await goOnTo(page, /Let it grab/)
  await pedal(page)
  await expect(page.getByRole('region', { name: 'Wait' })).toContainText('20 min in place of 20')
  await standIns.turn({ room: { temperatureC: 12, humidityPercent: 85, fault: 'none' } })
  await expect(page.getByRole('region', { name: 'Wait' })).toContainText(/[4-9]\d\smin in place of 20/, {
    timeout: 45_000,
  })
  await page.getByRole('button', { name: 'It is ready already' }).click()
  await expect(headline(page)).toHaveText(/Seal the edges/)
  await expect(page.getByRole('region', { name: 'How to hold the gun' })).toContainText('notch')
})

test('the blade book counts segments and test cuts', async ({ page, shop }) => {
  await page.goto(`${shop.url}/shelf/blades`)
  await expect(page.getByText('segments left').locator('..')).toContainText('50')
  await page.getByRole('button', { name: 'A fresh segment is in' }).click()
  await expect(page.getByText('segments left').locator('..')).toContainText('49')
  await page.getByRole('button', { name: 'two thirds' }).click()
  await page.getByRole('button', { name: 'right through' }).click()
  await expect(page.getByText('two thirds through').locator('..')).toContainText('50 %')
  await accessible(page)
})

import type { Page } from '@playwright/test'
import { bodyKinds, bodyPlan } from '@truelay/core/vehicle'
import { expect, openLaySheet, startFit, test, pedal } from './shop.ts'
import { plainScreens, unfold } from './screens.ts'

/** What stands in every language as it is: units, days and months of a date, keys and codes. */
const everywhere =
  /^(mm|cm|inch|mL|oz|fl|min|sec|days?|Mon|Tue|Wed|Thu|Fri|Sat|Sun|January|February|March|April|May|June|July|August|September|October|November|December|Jan|Feb|Mar|Apr|Jun|Jul|Aug|Sep|Oct|Nov|Dec|Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday|and|svg|dxf|jpg|TL1|http|https|localhost|px)$/i

/** Every word that the page shows or tells a reader. */
const wordsOf = (page: Page) =>
  page.evaluate(() => {
    const said: string[] = []
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walk.nextNode(); node !== null; node = walk.nextNode()) {
      const { parentElement } = node
      if (parentElement === null || ['SCRIPT', 'STYLE'].includes(parentElement.tagName)) continue
      said.push(node.textContent ?? '')
    }
    for (const element of document.querySelectorAll('[aria-label], [title], [placeholder], img[alt]'))
      for (const name of ['aria-label', 'title', 'placeholder', 'alt']) said.push(element.getAttribute(name) ?? '')
    return said
  })

const split = (text: string) => text.split(/[^\p{L}\d]+/u)

/** Every screen of the demo shop, one after the other. */
async function everyScreen(page: Page, url: string, look: (where: string) => Promise<void>) {
  const job = '/jobs/0412'
  const part = `${job}/lay-sheets/0412-bonnet`
  for (const path of [...plainScreens, '/nowhere', part, `${part}/heat`, `${part}/edges`, `${part}/rehearsal`]) {
    await page.goto(url + path)
    await page.waitForTimeout(path.startsWith(part) ? 12_000 : 1000)
    await unfold(page)
    await look(path)
    if (path.startsWith('/forms/new?photos')) await measuredByPhotographs(page, () => look(`${path}, measured`))
  }
}

/** Where to stand next, and what was measured. */
async function measuredByPhotographs(page: Page, look: () => Promise<void>) {
  const photographs = Array.from(
    { length: 12 },
    (_, i) => new URL(`../demo/photographs/headlamp-${String(i + 1).padStart(2, '0')}.jpg`, import.meta.url).pathname,
  )
  for (const some of [photographs.slice(0, 4), photographs.slice(4)]) {
    await page.locator('main input[type=file]').first().setInputFiles(some)
    await expect(page.locator('main ul > li')).toHaveCount(some.length === 4 ? 4 : 12)
    await page.waitForTimeout(8000)
    await look()
  }
  await page.locator('main button.min-h-14').click()
  await expect(page.getByTestId('measured-part')).toBeVisible()
  await page.waitForTimeout(1000)
  await look()
}

test('every word on every screen goes through the catalogue; only data, units and dates stay', async ({
  page,
  shop,
}) => {
  test.setTimeout(1_200_000)
  const data = new Set<string>(['True', 'Lay'].map((w) => w.toLowerCase()))
  const learn = (value: unknown): void => {
    if (typeof value === 'string') for (const word of split(value)) data.add(word.toLowerCase())
    else if (typeof value === 'object' && value !== null) {
      // The text of a sentence is what the catalogue has to change.
      for (const [key, inner] of Object.entries(value)) if (!(key === 'text' && 'with' in value)) learn(inner)
    }
  }
  // Places of a vehicle are names that jobs keep: data, until a shop renames them.
  for (const kind of bodyKinds) learn(bodyPlan(kind).slots.map((slot) => slot.name))
  page.on('response', (response) => {
    if (/\/api\//.test(response.url()) && /json/.test(response.headers()['content-type'] ?? ''))
      void response
        .json()
        .then(learn)
        .catch(() => undefined)
  })
  await page.addInitScript(() => localStorage.setItem('truelay-words', 'pseudo'))
  const strange: string[] = []
  const look = async (where: string) => {
    await page.waitForLoadState('networkidle')
    await page.waitForTimeout(1200)
    const plain = (await wordsOf(page)).flatMap((text) =>
      split(text)
        .filter((word) => /^[A-Za-z]{3,}$/.test(word) && !everywhere.test(word) && !data.has(word.toLowerCase()))
        .map((word) => `${word} (“${text.trim().slice(0, 60)}”)`),
    )
    for (const word of new Set(plain)) strange.push(`${where}: ${word}`)
  }

  await everyScreen(page, shop.url, look)
  expect([...new Set(strange)]).toEqual([])
})

/** The choice of a unit names it. */
const choiceOfUnit = (where: string, text: string) => where === '/shop' && /^(mm|°C|mL)$/.test(text.trim())

/** Syringes and cylinders are marked in mL everywhere. */
const readOffTool = (text: string): boolean => /syringe|cylinder/.test(text)

/** Fields whose figure is wider than they are, or whose unit stands in more than one line. */
const crampedFields = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('input')]
      .filter((field) => field.inputMode === 'decimal' && field.clientWidth > 0)
      .filter((field) => {
        const unit = field.nextElementSibling
        const line = unit === null ? 0 : Number.parseFloat(getComputedStyle(unit).lineHeight)
        return field.scrollWidth > field.clientWidth + 1 || (unit !== null && unit.clientHeight > 1.7 * line)
      })
      .map((field) => `${field.labels?.[0]?.textContent ?? ''} ${field.value} is cramped`),
  )

test('in inches, Fahrenheit and fluid ounces no screen and no step of a fit leaves a metric figure behind or cuts one off', async ({
  page,
  shop,
}) => {
  await page.request.patch(`${shop.url}/api/shop`, {
    headers: { 'x-write-id': crypto.randomUUID() },
    data: { units: { length: 'in', temperature: 'F', volume: 'fl oz' } },
  })
  const left: string[] = []
  const look = async (where: string) => {
    await page.waitForLoadState('networkidle')
    const metric = (await wordsOf(page)).filter(
      (text) =>
        (/\d\s?(mm|cm|m|mL|L|°C|K)\b/.test(text) || /^(mm|cm|m|m²|mL|mL\/L|°C|K)$/.test(text.trim())) &&
        !choiceOfUnit(where, text) &&
        !readOffTool(text),
    )
    for (const text of new Set([...metric, ...(await crampedFields(page))])) left.push(`${where}: ${text.trim()}`)
  }
  await everyScreen(page, shop.url, look)
  await openLaySheet(page, shop, 'Bonnet')
  await startFit(page)
  for (let i = 0; i < 6; i++) {
    await look(`step ${i + 1}`)
    await pedal(page)
    await page.waitForTimeout(400)
  }
  expect(left).toEqual([])
})

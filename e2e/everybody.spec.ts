import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { plainScreens } from './screens.ts'
import { expect, test } from './shop.ts'

const screens = [...plainScreens, '/guide/fit', '/nowhere']
const looks = [
  { width: 390, height: 844, theme: 'bay' },
  { width: 820, height: 1180, theme: 'day' },
] as const
/** Where wet thumbs press most. */
const forThumbs = new Set(['/shop', '/forms', '/forms/pipit-bonnet', '/jobs/0412/walk-round'])
const thumbPx = 44

const barriers = async (page: Page) =>
  (
    await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice']).analyze()
  ).violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(' | ')}`)

/** What can be pressed and is lower than a thumb; a label counts for the field in it. */
const tooLow = (page: Page) =>
  page.evaluate((least) => {
    const pressed = document.querySelectorAll<HTMLElement>(
      'main :is(button, select, summary, input:not([type=hidden]), textarea, a[href])',
    )
    return [...pressed].flatMap((element) => {
      const box = (element.closest('label') ?? element).getBoundingClientRect()
      const inSentence =
        element.tagName === 'A' && element.closest('p, li')?.textContent?.trim() !== element.textContent?.trim()
      const shown = box.width > 1 && box.height > 1 && element.checkVisibility()
      return shown && !inSentence && box.height < least - 0.5
        ? [`${element.outerHTML.slice(0, 120)} is ${Math.round(box.height)} px`]
        : []
    })
  }, thumbPx)

test('every screen on a phone and a tablet, in both themes: no barriers, nothing beside the edge, targets for thumbs', async ({
  page,
  shop,
  quiet,
}) => {
  test.slow()
  const found: string[] = []
  for (const path of screens) {
    await page.goto(shop.url + path)
    await expect(page.locator('h1').first(), path).toBeAttached()
    await page.waitForTimeout(500)
    for (const { theme, ...size } of looks) {
      await page.setViewportSize(size)
      await page.evaluate((one) => {
        document.documentElement.dataset.theme = one
      }, theme)
      const where = `${path} at ${size.width}, ${theme}: `
      for (const barrier of await barriers(page)) found.push(where + barrier)
      const beside = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      if (beside > 0) found.push(`${where}${beside} px beside the edge`)
      if (forThumbs.has(path)) for (const low of await tooLow(page)) found.push(where + low)
    }
  }
  // There is no such page, and a browser says so.
  quiet.splice(0)
  expect(found).toEqual([])
})

test('text grows with the letters of the browser', async ({ page, shop }) => {
  await page.goto(shop.url)
  const size = () => page.getByRole('heading', { name: 'Velmora Pipit' }).evaluate((e) => getComputedStyle(e).fontSize)
  const before = Number.parseFloat(await size())
  await page.evaluate(() => {
    document.documentElement.style.fontSize = '24px'
  })
  expect(Number.parseFloat(await size())).toBeCloseTo(before * 1.5, 1)
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
})

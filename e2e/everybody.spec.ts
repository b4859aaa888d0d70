import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { plainScreens, scrollsOverNothing, unfold } from './screens.ts'
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
    await unfold(page)
    for (const { theme, ...size } of looks) {
      await page.setViewportSize(size)
      await page.evaluate((one) => {
        document.documentElement.dataset.theme = one
      }, theme)
      const where = `${path} at ${size.width}, ${theme}: `
      for (const barrier of await barriers(page)) found.push(where + barrier)
      const beside = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      if (beside > 0) found.push(`${where}${beside} px beside the edge`)
      for (const nothing of await scrollsOverNothing(page)) found.push(where + nothing)
      if (forThumbs.has(path)) for (const low of await tooLow(page)) found.push(where + low)
    }
  }
  // There is no such page, and a browser says so.
  quiet.splice(0)
  expect(found).toEqual([])
})

/**
 * What is too wide for its place: it scrolls sideways and does not say so (rows of tabs and wide tables have a name), or stands out of its
 * own box by more than a letter.
 */
const tooWide = (page: Page) =>
  page.evaluate(() => {
    const letterPx = 12
    return [...document.querySelectorAll('main, main *:not(svg, svg *, select, input)')].flatMap((element) => {
      const over = element.scrollWidth - element.clientWidth
      const { overflowX, position } = getComputedStyle(element)
      const scrolls = ['auto', 'scroll'].includes(overflowX) && !element.hasAttribute('aria-label') && over > 1
      // A drawing follows its place a frame later; the names that lie over it stand where their spots are.
      const isRead = position !== 'absolute' && element.textContent !== ''
      const standsOut = overflowX === 'visible' && isRead && over > letterPx
      // What only a screen reader sees is a point.
      return (scrolls || standsOut) && element.clientWidth > 1
        ? [`${element.className}, "${element.textContent?.slice(0, 30)}", by ${over} px`]
        : []
    })
  })

/** Words that stand about one to a line. */
const squeezed = (page: Page) =>
  page.evaluate(() => {
    const [leastLines, leastLetters] = [3, 9]
    return [...document.querySelectorAll('main *:not(svg, svg *, select, select *, table *)')].flatMap((element) => {
      const inline = [...element.children].every((child) => getComputedStyle(child).display === 'inline')
      const words = element.textContent?.trim() ?? ''
      if (!inline || words.length < leastLetters || !element.checkVisibility()) return []
      const range = document.createRange()
      range.selectNodeContents(element)
      // Letters of one line differ in size, but stand beside each other.
      let [lines, below] = [0, Number.NEGATIVE_INFINITY]
      for (const { top, bottom } of [...range.getClientRects()].filter(({ width }) => width > 1)) {
        if (top >= below - 0.3 * (bottom - top)) lines++
        below = Math.max(below, bottom)
      }
      return lines >= leastLines && words.length / lines < leastLetters
        ? [`"${words.slice(0, 40)}" on ${lines} lines`]
        : []
    })
  })

/** Drawings that nobody can see anything on. */
const tooLittle = (page: Page) =>
  page.evaluate(() => {
    const leastPx = 120
    return [...document.querySelectorAll('main canvas')].flatMap((canvas) => {
      const { width, height } = canvas.getBoundingClientRect()
      return Math.min(width, height) < leastPx ? [`a drawing of ${Math.round(width)} by ${Math.round(height)} px`] : []
    })
  })

/** Lines over time or distance that have not followed their place. */
const leftBehind = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('main [role=img]:has(> div > svg)')].flatMap((place) => {
      const drawn = place.querySelector('svg')?.getBoundingClientRect().width ?? 0
      const over = Math.round(Math.abs(drawn - place.getBoundingClientRect().width))
      return over > 1 ? [`"${place.getAttribute('aria-label')}" beside its place by ${over} px`] : []
    }),
  )

/** What stands on a view of a lay sheet once it is worked out. */
const workedOut: Readonly<Record<string, string>> = {
  rehearsal: 'Take the second into the fit',
  heat: 'Where the heat goes',
  edges: 'End it otherwise on this part?',
}

test('nothing is wider than its place, no drawing lost, no words squeezed, from a phone to a desk, with long names', async ({
  page,
  shop,
}) => {
  test.slow()
  const hour = (h: number) => new Date(Date.now() + h * 3_600_000).toISOString()
  const answer = await page.request.post(`${shop.url}/api/jobs`, {
    headers: { 'x-write-id': crypto.randomUUID() },
    data: {
      customer: 'The Harbour and Hinterland Vehicle Leasing Co-operative of the Lower Quays',
      plate: 'QF 1234567890123 QF',
      year: null,
      colour: 'signal white over slate green, pearl',
      bay: 'Bay 1',
      personId: 'ines',
      modelId: 'hallowen-finch',
      arrivesAt: hour(-1),
      dueAt: hour(8),
      parts: [{ slot: 'front-bumper', name: 'Front bumper', filmId: 'clearcoat-hull-180' }],
    },
  })
  expect(answer.ok()).toBe(true)
  const found: string[] = []
  for (const path of [
    ...screens,
    '/jobs/0416',
    '/jobs/0416/walk-round',
    '/jobs/0414/kit',
    '/jobs/0412/fit/0412-bonnet',
    '/jobs/0416/lay-sheets/0416-01',
    '/jobs/0412/lay-sheets/0412-bonnet',
    '/jobs/0412/lay-sheets/0412-bonnet/rehearsal',
    '/jobs/0412/lay-sheets/0412-bonnet/heat',
    '/jobs/0415/lay-sheets/0415-02/edges',
  ]) {
    await page.goto(shop.url + path)
    await expect(page.locator('h1').first(), path).toBeAttached()
    const view = path.split('/').at(-1) ?? ''
    if (path.includes('lay-sheets')) await expect(page.getByText(workedOut[view] ?? 'To the fit')).toBeVisible()
    await page.waitForTimeout(500)
    await unfold(page)
    // Opened as wide as the last one was left, then made larger and smaller: a drawing that has grown has to shrink again.
    for (const width of [1280, 1024, 820, 390]) {
      await page.setViewportSize({ width, height: 768 })
      for (const what of [...(await tooWide(page)), ...(await squeezed(page))])
        found.push(`${path} at ${width}: ${what}`)
      if (!path.includes('lay-sheets')) continue
      // A drawing follows its place a frame later.
      await page.waitForTimeout(300)
      await expect.poll(() => leftBehind(page), `${path} at ${width}`).toEqual([])
      for (const what of await tooLittle(page)) found.push(`${path} at ${width}: ${what}`)
    }
  }
  expect(found).toEqual([])
})

/** What opens over a screen or in it, each from a page of its own. */
const opened: readonly { readonly what: string; readonly at: string; readonly open: (page: Page) => Promise<void> }[] =
  [
    {
      what: 'labels of a kit',
      at: '/jobs/0412/kit',
      open: (page) =>
        page
          .getByRole('button', { name: /labels/i })
          .first()
          .click(),
    },
    {
      what: 'the customer signs',
      at: '/jobs/0412/walk-round',
      open: (page) => page.getByRole('button', { name: 'Customer reads and signs' }).click(),
    },
    {
      what: 'asked before leaving',
      at: '/forms/pipit-bonnet',
      open: async (page) => {
        await page.getByLabel(/^Form, version/).fill('Bonnet, measured again')
        await page.getByRole('link', { name: 'Jobs' }).click()
        await expect(page.getByRole('button', { name: 'Stay here' })).toBeVisible()
      },
    },
    {
      what: 'a customer is to be forgotten',
      at: '/jobs?customer=Private%20owner',
      open: (page) => page.getByRole('button', { name: 'Remove this customer’s data' }).click(),
    },
    {
      what: 'something was undone',
      at: '/shelf/pieces/pipit-bonnet-piece',
      open: async (page) => {
        await page.getByLabel('Lot').fill('A-1')
        await page.getByLabel('Lot').blur()
        await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
      },
    },
    {
      what: 'a part of a model, opened',
      at: '/models/velmora-pipit',
      open: (page) => page.locator('summary').first().click(),
    },
    {
      what: 'a step of a fit, and what is wrong there',
      at: '/jobs/0412/fit/0412-headlamp-left',
      open: async (page) => {
        await page.getByRole('button', { name: /^Start/ }).click()
        await expect(page.getByText('step 1 of')).toBeVisible()
        await page.getByRole('button', { name: 'Something is wrong' }).click()
        await expect(page.getByRole('dialog')).toBeVisible()
      },
    },
    {
      what: 'what is wrong, where, why and what to do',
      at: '/jobs/0412/fit/0412-headlamp-left',
      open: async (page) => {
        await page.getByRole('button', { name: 'Something is wrong' }).click()
        await page.getByRole('button', { name: /^Air bubble/ }).click()
        await expect(page.getByRole('button', { name: 'In the middle' })).toBeVisible()
        expect(await barriers(page)).toEqual([])
        await page.getByRole('button', { name: 'In the middle' }).click()
        await expect(page.getByRole('region', { name: 'What to do' })).toBeVisible()
      },
    },
  ]

test('what opens over a screen has no barriers either, on a phone and a tablet, in both themes', async ({
  page,
  shop,
}) => {
  test.slow()
  const found: string[] = []
  for (const { what, at, open } of opened) {
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto(shop.url + at)
    await open(page)
    await page.waitForTimeout(500)
    for (const { theme, ...size } of looks) {
      await page.setViewportSize(size)
      await page.evaluate((one) => {
        document.documentElement.dataset.theme = one
      }, theme)
      for (const barrier of await barriers(page)) found.push(`${what} at ${size.width}, ${theme}: ${barrier}`)
    }
  }
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

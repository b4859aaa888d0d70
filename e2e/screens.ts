import type { Page } from '@playwright/test'

/** Addresses of the demo shop’s screens that stand at once, without a lay being worked out. */
export const plainScreens = [
  '/',
  '/jobs',
  '/jobs/new',
  '/jobs/0412',
  '/jobs/0412/walk-round',
  '/jobs/0412/kit',
  '/jobs/0412/cut',
  '/jobs/0412/waits',
  '/jobs/0412/record/0412-bonnet',
  '/jobs/0412/hand-over',
  '/models',
  '/models/velmora-pipit',
  '/models/velmora-pipit/known',
  '/shelf',
  '/shelf/removed',
  '/shelf/films/new',
  '/shelf/films/clearcoat-hull-180',
  '/shelf/pieces/pipit-bonnet-piece',
  '/shelf/import',
  '/shelf/blades',
  '/shelf/rolls',
  '/shelf/rolls/new',
  '/shelf/rolls/r1',
  '/mixing',
  '/practice',
  '/practice/gaps?seed=12&level=2',
  '/practice/mix?seed=4&level=3',
  '/practice/gun?seed=3&level=1',
  '/practice/measure?seed=11&level=1',
  '/practice/lay?seed=5&level=2',
  '/practice/what?seed=5&level=2',
  '/practice/morning?seed=5&level=1',
  '/forms',
  '/forms/pipit-bonnet',
  '/forms/new?photos=1',
  '/shop',
  '/shop/changes',
  '/shop/plotter',
  '/shop/guns/bay-1-gun',
  '/tablet',
]

/** Opens all that is folded away on the page. */
export async function unfold(page: Page) {
  for (let left = 40; left > 0; left--) {
    const folded = page.locator('main details:not([open]) > summary').first()
    if ((await folded.count()) === 0) return
    await folded.click()
  }
}

/** What can be scrolled further down than anything stands in it. */
export const scrollsOverNothing = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('main, main *')].flatMap((element) => {
      const { overflowY, paddingBottom } = getComputedStyle(element)
      if (!/auto|scroll/.test(overflowY) || element.scrollHeight <= element.clientHeight + 1) return []
      const top = element.getBoundingClientRect().top - element.scrollTop
      const ends = [...element.children].map((child) => child.getBoundingClientRect().bottom - top)
      const over = element.scrollHeight - Math.max(element.clientHeight, ...ends) - Number.parseFloat(paddingBottom)
      return over > 1
        ? [`${Math.round(over)} px of nothing to scroll to in ${element.tagName}.${element.className}`]
        : []
    }),
  )

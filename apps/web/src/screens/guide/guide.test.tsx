import { readdirSync } from 'node:fs'
import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, page } from '../../testing/openShop.tsx'
import { guidePageFor, guidePages } from './guidePages.ts'
import { guideHtml, guideTitle } from './guideText.ts'

const folder = 'docs/guide'

describe('the guide', () => {
  test('has a file for each of its pages, and a page for each of its files', () => {
    const files = readdirSync(folder).filter((file) => /^\d/.test(file))
    expect(files.sort()).toEqual(guidePages.map((page, i) => `${String(i + 1).padStart(2, '0')}-${page}.md`))
  })
  test.each(guidePages)('%s: its links lead to pages, its pictures are there', (name) => {
    const html = guideHtml(name)
    expect(guideTitle(name)).toMatch(/\w/)
    for (const [, href = ''] of html.matchAll(/href="([^"]*)"/g))
      expect(guidePages.map((one) => `/guide/${one}`)).toContain(href)
    for (const [, src = ''] of html.matchAll(/src="([^"]*)"/g)) expect(src).toMatch(/\.png/)
  })
  test.each([
    ['/', 'the-day'],
    ['/no-such-page', 'open-the-shop'],
    ['/jobs/0412/fit/0412-bonnet', 'fit'],
    ['/jobs/0412/lay-sheets/0412-bonnet/heat', 'lay-sheet'],
    ['/jobs/0412/kit', 'kits-and-films'],
    ['/jobs/0412/record/0412-bonnet', 'after-the-fit'],
    ['/jobs/0412/walk-round', 'take-a-vehicle-in'],
    ['/forms/new', 'measure-a-part'],
    ['/mixing', 'mix'],
    ['/shop', 'people-and-tablets'],
  ])('%s is helped by the page %s', (path, wanted) => {
    expect(guidePageFor(path)).toBe(wanted)
  })
})

describe('in the app', () => {
  let shop: OpenShop
  beforeAll(async () => {
    shop = await openShop()
  })
  afterAll(() => shop.close())

  test('help opens the page of the screen, and leads back to it', async () => {
    const visit = shop.visit('/mixing')
    await visit.presses('Help')
    await visit.isAt(/^\/guide\/mix/)
    await visit.sees('Alcohol burns')
    await visit.presses('Back to where you were')
    await visit.isAt('/mixing')
  })
  test('a link of a page leads to the other page, and an address of elsewhere is no way back', async () => {
    const visit = shop.visit('/guide/open-the-shop?from=//elsewhere.example')
    await visit.sees('An empty data folder')
    await visit.seesNo('Back to where you were')
    screen.getAllByRole('link', { name: 'Measure a part' }).at(-1)?.click()
    await visit.isAt('/guide/measure-a-part')
    await visit.sees('You need a straightedge')
  })
  test('somebody new is shown round in five stops', async () => {
    const visit = shop.visit('/')
    await visit.presses('Show me round')
    for (const [i, path] of ['/', '/jobs', '/forms', '/mixing', '/shop'].entries()) {
      await visit.isAt(path)
      await visit.sees(`${i + 1} of 5`)
      await visit.presses(i < 4 ? 'Next' : 'That was all')
    }
    await visit.seesNo('5 of 5')
    const again = shop.visit('/', 'the same')
    await again.sees('Velmora Pipit')
    expect(page()).not.toContain('New here?')
  })
  test('the tour is left by going elsewhere, and is not offered again once it was not needed', async () => {
    const visit = shop.visit('/')
    await visit.presses('Show me round')
    await visit.sees('1 of 5')
    visit.goes('/shelf')
    await visit.seesNo('1 of 5')
    const other = shop.visit('/')
    await other.presses('No need')
    await other.seesNo('New here?')
  })
})

import { withDemoShop } from './demoShop.ts'
import type { Section } from './section.ts'
import { openBrowser, sheetOpens } from './sheetOpens.ts'
import { ms } from './timing.ts'

export const laySheetsSection: Section = {
  title: 'A lay sheet from the tap on, ms (first one of a browser that draws in software; three browsers)',
  async measure(say) {
    say('| part | its figures | drawn, pixels read back |')
    say('|---|--:|--:|')
    for (const { part, opened } of await withDemoShop(openings))
      say(
        `| ${part} | ${opened.map((t) => ms(t.figuresMs)).join(', ')} | ${opened.map((t) => ms(t.drawnMs)).join(', ')} |`,
      )
  },
}

/** Lay sheets of the demo shop from the tap on, each for the first time in a browser, once what the shop plans at its start is planned. */
async function openings(url: string) {
  await new Promise((resolve) => setTimeout(resolve, 60_000))
  const browser = await openBrowser()
  try {
    const found: { readonly part: string; readonly opened: Awaited<ReturnType<typeof sheetOpens>>[] }[] = []
    for (const [job, part] of [
      ['0412', 'bonnet'],
      ['0415', 'front bumper'],
    ] as const) {
      const opened = []
      for (let i = 0; i < 3; i++) opened.push(await sheetOpens(browser, url, job))
      found.push({ part, opened })
    }
    return found
  } finally {
    await browser.close()
  }
}

import type { Page } from '@playwright/test'
import { expect } from './shop.ts'

export const bowGap = (page: Page, number: number) =>
  page
    .getByRole('listitem')
    .nth(number - 1)
    .getByRole('textbox', { name: 'gap' })

/** Lays the straightedge where the app says, and reads the gaps of a part of that shape, until enough is known. */
export async function readBow(page: Page, height: (xMm: number, yMm: number) => number): Promise<void> {
  for (let i = 0; i < 12; i++) {
    const enough = page.getByText('Enough is known.')
    const next = page.getByText(/^Next: /)
    await expect(enough.or(next).first()).toBeVisible()
    // What is said may still be of the reading before it was typed: it has to stay.
    if (await enough.isVisible()) {
      await page.waitForTimeout(800)
      if (await enough.isVisible()) break
    }
    const told = (await page.getByText(/gap read in the middle/).textContent()) ?? ''
    await page.getByRole('button', { name: 'Lay it there' }).click()
    // Where it was laid stands at the reading itself: the suggestion may have moved on by then.
    const laid = page
      .getByRole('listitem')
      .nth(i)
      .getByText(/^from .* to /)
    const [fx = 0, fy = 0, tx = 0, ty = 0] = (
      ((await laid.textContent()) ?? '').replaceAll('−', '-').match(/-?\d+, -?\d+/g) ?? []
    ).flatMap((p) => p.split(', ').map(Number))
    const sagitta = height((fx + tx) / 2, (fy + ty) / 2) - (height(fx, fy) + height(tx, ty)) / 2
    await bowGap(page, i + 1).fill(sagitta.toFixed(1))
    await expect(page.getByText(told, { exact: true })).toBeHidden()
  }
}

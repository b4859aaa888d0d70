import type { Page } from '@playwright/test'
import { expect, goOnTo, headline, pedal, startFit, test } from './shop.ts'

/** A Wednesday, so that the days to come are working days. */
const at = (hour: number, minute = 0) => new Date(2030, 4, 8, hour, minute)
test.use({ plansDay: true, begins: at(9).toISOString() })
interface Work {
  readonly id: string
  readonly partId: string | null
  readonly stepIds: readonly string[]
  readonly people: readonly string[]
  readonly startAt: string
  readonly endAt: string
}
interface Day {
  readonly plan: { readonly madeAt: string; readonly works: readonly Work[] }
  readonly making: boolean
}

/** The plan when nothing better is looked for any more. */
async function settled(page: Page, url: string): Promise<Day> {
  let day: Day | null = null
  await expect
    .poll(
      async () => {
        day = await (await page.request.get(`${url}/api/day`)).json()
        return day?.plan != null && !day.making
      },
      { timeout: 120_000, intervals: [500] },
    )
    .toBe(true)
  return day as unknown as Day
}
const turnsOf = ({ plan }: Day, person: string) =>
  [...plan.works]
    .filter(({ people, partId }) => partId !== null && people.includes(person))
    .sort((a, b) => a.startAt.localeCompare(b.startAt))

test('a morning: work runs over, somebody is ill, a vehicle comes later, a piece tears', async ({ page, shop }) => {
  await page.goto(shop.url)
  const board = page.getByRole('region', { name: 'Plan of the day' })
  await expect(board).toBeVisible({ timeout: 120_000 })
  const morning = await settled(page, shop.url)

  // The headlamp is begun, and its first step takes far longer than planned.
  await page.goto(`${shop.url}/jobs/0412/lay-sheets/0412-headlamp-left`)
  await expect(page.getByTestId('worst-edge')).toBeVisible()
  await startFit(page)
  const begun = await settled(page, shop.url)
  const hand = begun.plan.works.find(({ partId }) => partId === '0412-headlamp-left')?.people[0] ?? ''
  expect(hand).not.toBe('')
  const lastOfLamp = ({ plan }: Day) =>
    plan.works
      .filter(({ partId }) => partId === '0412-headlamp-left')
      .reduce((last, { endAt }) => (endAt > last ? endAt : last), '')
  await shop.passTo(at(9, 50))
  await page.goto(shop.url)
  const over = await settled(page, shop.url)
  const inHand = over.plan.works.find(({ partId }) => partId === '0412-headlamp-left')
  expect([inHand?.people, inHand?.startAt]).toEqual([[hand], over.plan.madeAt])
  expect(new Date(over.plan.madeAt) >= at(9, 50)).toBe(true)
  // What is left of it ends later, and nothing else of that hand runs into it, whoever has it now.
  expect(lastOfLamp(over) > lastOfLamp(begun)).toBe(true)
  const turns = turnsOf(over, hand).filter(({ endAt }) => endAt > over.plan.madeAt)
  expect(turns.length).toBeGreaterThan(1)
  turns.slice(1).forEach(({ startAt }, k) => {
    expect(startAt >= (turns[k]?.endAt ?? '')).toBe(true)
  })
  await expect(board).toContainText(/Since 09:00:.*later/)

  // Somebody else goes home ill: nothing is left with them, and one tap brings them back.
  const ill = ['Ines', 'Tarek'].find((name) => name.toLowerCase() !== hand) ?? ''
  await board.getByRole('button', { name: `${ill}: not here?` }).click()
  await board.getByRole('button', { name: 'today', exact: true }).click()
  await expect(board.getByRole('list', { name: 'Said by somebody' })).toContainText(`${ill} is away today.`)
  const without = await settled(page, shop.url)
  const tomorrow = new Date(2030, 4, 9).toISOString()
  expect(turnsOf(without, ill.toLowerCase()).filter(({ startAt }) => startAt < tomorrow)).toEqual([])
  await board.getByRole('button', { name: `Take back: ${ill} is away today.` }).click()
  await expect(board.getByRole('list', { name: 'Said by somebody' })).toHaveCount(0)

  // The van comes two hours later than it was to come.
  const comes = morning.plan.works.find(({ id }) => id === '0414 comes')?.startAt ?? ''
  await page.goto(`${shop.url}/jobs/0414`)
  const field = page.getByLabel('Comes')
  await field.fill('2030-05-09T10:00')
  await field.blur()
  await expect
    .poll(async () => (await settled(page, shop.url)).plan.works.find(({ id }) => id === '0414 comes')?.startAt, {
      timeout: 60_000,
    })
    .toBe(new Date(2030, 4, 9, 10).toISOString())
  expect(comes < new Date(2030, 4, 9, 10).toISOString()).toBe(true)

  // The lens film tears: its steps come again, with the spare.
  await page.goto(`${shop.url}/jobs/0412/fit/0412-headlamp-left`)
  await goOnTo(page, /Peel|Hold it by/)
  await pedal(page)
  const stepsLeft = async () =>
    (await settled(page, shop.url)).plan.works.flatMap(({ partId, stepIds }) =>
      partId === '0412-headlamp-left' ? stepIds : [],
    ).length
  const before = await stepsLeft()
  await page.getByRole('button', { name: 'Something is wrong' }).click()
  await page.getByRole('button', { name: /^Torn piece/ }).click()
  await page.getByRole('button', { name: 'At a corner' }).click()
  await page.getByRole('button', { name: /^Take the spare/ }).click()
  await expect(headline(page)).toHaveText(/Bone dry|Hold the piece up/)
  await expect.poll(stepsLeft).toBeGreaterThan(before)
})

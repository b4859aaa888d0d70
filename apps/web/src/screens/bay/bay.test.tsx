import { screen } from '@testing-library/react'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

test('the bay shows every vehicle that is here', async () => {
  shop.visit('/')
  const title = await screen.findByRole('heading', { level: 1 }, { timeout: 5000 })
  expect(title.textContent).toMatch(/\w+day \d+ \w+/)
  expect(await screen.findByText('Velmora Pipit')).toBeTruthy()
})

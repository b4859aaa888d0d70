import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { startTransition, useLayoutEffect } from 'react'
import { MemoryRouter, useLocation, useNavigate } from 'react-router'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { says } from '../../testing/openShop.tsx'
import { Tour } from './Tour.tsx'

const round = () => screen.queryByRole('complementary', { name: 'Round the app' })
const told = () => {
  const aside = round()
  return aside === null ? '' : says(aside)
}

/** A hand that presses "Next" the moment a page is there, before the page has told so. */
function QuickHand({ at }: { readonly at: string }) {
  const { pathname } = useLocation()
  useLayoutEffect(() => {
    if (pathname === at) screen.getByRole('button', { name: 'Next' }).click()
  }, [pathname, at])
  return null
}
/** Goes elsewhere, as the row of places at the side does. */
function Elsewhere() {
  const navigate = useNavigate()
  return (
    <button type="button" onClick={() => startTransition(() => void navigate('/shelf'))}>
      Elsewhere
    </button>
  )
}
const begins = (quickAt: string | null = null) => {
  render(
    <MemoryRouter>
      <Tour />
      <Elsewhere />
      {quickAt === null ? null : <QuickHand at={quickAt} />}
    </MemoryRouter>,
  )
  press('Show me round')
}
const press = (name: string) => act(() => fireEvent.click(screen.getByRole('button', { name })))

describe('the way round', () => {
  beforeEach(() => localStorage.removeItem('truelay has seen round'))
  afterEach(cleanup)
  test('has five stops and an end', () => {
    begins()
    for (const stop of [1, 2, 3, 4]) {
      expect(told()).toContain(`${stop} of 5`)
      press('Next')
    }
    expect(told()).toContain('5 of 5')
    press('That was all')
    expect(round()).toBeNull()
  })
  test.each(['/jobs', '/forms', '/mixing'])('goes on for a hand that presses "Next" as soon as %s is there', (at) => {
    begins(at)
    while (screen.queryByRole('button', { name: 'Next' }) !== null) press('Next')
    expect(told()).toContain('5 of 5')
  })
  test('ends for whoever goes elsewhere, and for whoever has enough', () => {
    begins()
    press('Next')
    press('Elsewhere')
    expect(round()).toBeNull()
    cleanup()
    localStorage.removeItem('truelay has seen round')
    begins()
    press('Enough')
    expect(round()).toBeNull()
  })
})

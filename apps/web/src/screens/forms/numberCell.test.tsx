import { cleanup, render, screen } from '@testing-library/react'
import { userEvent } from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, expect, test } from 'vitest'
import { NumberCell } from './NumberCell.tsx'

afterEach(cleanup)

function Cell() {
  const [gap, setGap] = useState(12)
  return (
    <>
      <NumberCell label="gap" value={gap} min={0} max={50} onCommit={setGap} />
      <p data-testid="counts">{gap}</p>
      <button type="button" onClick={() => setGap(7)}>
        undo
      </button>
    </>
  )
}
const field = () => screen.getByLabelText<HTMLInputElement>('gap')
const counts = () => screen.getByTestId('counts').textContent
const types = async (text: string) => {
  await userEvent.clear(field())
  await userEvent.type(field(), text)
}

test('the part follows while a number is typed', async () => {
  render(<Cell />)
  await types('13,5')
  expect(counts()).toBe('13.5')
  await userEvent.tab()
  expect(field().value).toBe('13.5')
  expect(screen.queryByRole('alert')).toBeNull()
})

test.each(['90', 'ten', '4 in'])('%s stays to be mended, and says what still counts', async (text) => {
  render(<Cell />)
  await types(text)
  expect(screen.getByRole('alert').textContent).toBe('0 to 50')
  const before = counts()
  await userEvent.tab()
  expect(field().value).toBe(text)
  expect(field().getAttribute('aria-invalid')).toBe('true')
  expect(screen.getByRole('alert').textContent).toBe(`0 to 50; ${before} still counts`)
  await types('20')
  expect(counts()).toBe('20')
  expect(screen.queryByRole('alert')).toBeNull()
})

test('Escape gives it up', async () => {
  render(<Cell />)
  await types('ten')
  await userEvent.keyboard('{Escape}')
  expect(field().value).toBe('12')
  expect(screen.queryByRole('alert')).toBeNull()
})

test('another figure that comes from elsewhere takes its place', async () => {
  render(<Cell />)
  await types('ten')
  await userEvent.click(screen.getByRole('button', { name: 'undo' }))
  expect(field().value).toBe('7')
  expect(screen.queryByRole('alert')).toBeNull()
})

import { act, cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { Targets } from './Targets.tsx'
import { useStepKeys } from './useStepKeys.ts'

afterEach(() => {
  cleanup()
  vi.useRealTimers()
})

/** A step that has been on the screen for a moment, and what the keys do there. */
function step() {
  vi.useFakeTimers({ toFake: ['performance', 'setTimeout', 'clearTimeout'] })
  const [onDone, onBack] = [vi.fn(), vi.fn()]
  const shown = renderHook(({ of }) => useStepKeys(of, onDone, onBack), { initialProps: { of: 'step 1' } })
  const press = (key: string) => act(() => void fireEvent.keyDown(window, { key }))
  const later = (ms: number) => act(() => void vi.advanceTimersByTime(ms))
  return { onDone, onBack, shown, press, later }
}

test('two quick presses of the pedal confirm one step, and the screen says why', () => {
  const { onDone, shown, press, later } = step()
  later(2000)
  press('PageDown')
  expect(onDone).toHaveBeenCalledTimes(1)
  shown.rerender({ of: 'step 2' })
  later(300)
  press('PageDown')
  expect(onDone).toHaveBeenCalledTimes(1)
  expect(shown.result.current.tooSoon).toBe(true)
  later(400)
  press(' ')
  expect(onDone).toHaveBeenCalledTimes(2)
  expect(shown.result.current.tooSoon).toBe(false)
})

test('what was said of a press that did not count goes by itself', () => {
  const { shown, press, later } = step()
  press('PageDown')
  expect(shown.result.current.tooSoon).toBe(true)
  later(3000)
  expect(shown.result.current.tooSoon).toBe(false)
})

test('going back needs no reading', () => {
  const { onBack, press } = step()
  press('PageUp')
  expect(onBack).toHaveBeenCalledTimes(1)
})

test('while somebody signs in in front of the fit, keys belong to them', () => {
  const { onDone, press, later } = step()
  later(2000)
  const behind = document.body.appendChild(document.createElement('div'))
  behind.setAttribute('inert', '')
  press('PageDown')
  expect(onDone).not.toHaveBeenCalled()
  behind.remove()
  press('PageDown')
  expect(onDone).toHaveBeenCalledTimes(1)
})

test('after a step back, space goes on: the way on has the focus', () => {
  const onBack = vi.fn()
  render(
    <Targets text="Done" hint="" disabled={false} canGoBack onDone={() => {}} onWrong={() => {}} onBack={onBack} />,
  )
  fireEvent.click(screen.getByRole('button', { name: 'Back one step' }))
  expect(onBack).toHaveBeenCalledTimes(1)
  expect(document.activeElement).toBe(screen.getByRole('button', { name: /^Done/ }))
})

import { cleanup, renderHook, waitFor } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { useAwake } from './useAwake.ts'

afterEach(() => {
  cleanup()
  Reflect.deleteProperty(navigator, 'wakeLock')
  Reflect.deleteProperty(document, 'hidden')
})

/** A tablet that counts who keeps it awake. */
function tablet() {
  const locks: { released: boolean; release: () => Promise<void> }[] = []
  const request = vi.fn(async () => {
    const lock = {
      released: false,
      release: async () => {
        lock.released = true
      },
    }
    locks.push(lock)
    return lock
  })
  Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true })
  return { request, awake: () => locks.filter((lock) => !lock.released).length, locks }
}
const look = (hidden: boolean) => {
  Object.defineProperty(document, 'hidden', { value: hidden, configurable: true })
  document.dispatchEvent(new Event('visibilitychange'))
}

test('the screen is awake as long as the fit is shown', async () => {
  const { awake } = tablet()
  const { unmount } = renderHook(() => useAwake())
  await waitFor(() => expect(awake()).toBe(1))
  unmount()
  await waitFor(() => expect(awake()).toBe(0))
})

test('what was lost by looking elsewhere is asked for anew, and never held twice', async () => {
  const { awake, locks, request } = tablet()
  renderHook(() => useAwake())
  await waitFor(() => expect(awake()).toBe(1))
  look(false)
  await Promise.resolve()
  expect(request).toHaveBeenCalledTimes(1)
  await locks[0]?.release()
  look(true)
  await Promise.resolve()
  expect(request).toHaveBeenCalledTimes(1)
  look(false)
  await waitFor(() => expect(awake()).toBe(1))
  expect(request).toHaveBeenCalledTimes(2)
})

test('a tablet that may not, or cannot, goes on as it is', async () => {
  expect(() => renderHook(() => useAwake())).not.toThrow()
  const request = vi.fn(() => Promise.reject(new DOMException('not now', 'NotAllowedError')))
  Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true })
  const { unmount } = renderHook(() => useAwake())
  await waitFor(() => expect(request).toHaveBeenCalled())
  expect(unmount).not.toThrow()
})

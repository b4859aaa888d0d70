import { cleanup, renderHook } from '@testing-library/react'
import { addMinutes, addSeconds } from 'date-fns'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { useWaitBell } from './useWaitBell.ts'

const now = new Date('2030-05-01T12:00:00.000Z')
const shaken = vi.fn()
beforeEach(() => {
  localStorage.setItem('truelay waits sound', 'yes')
  Object.defineProperty(navigator, 'vibrate', { value: shaken, configurable: true })
})
afterEach(() => {
  cleanup()
  localStorage.clear()
  shaken.mockClear()
  Reflect.deleteProperty(navigator, 'vibrate')
  Reflect.deleteProperty(document, 'hidden')
  vi.unstubAllGlobals()
})

const wait = { id: 'a', until: addMinutes(now, 5), words: 'Bonnet: trim' }
const watch = () => renderHook(({ waits, at }) => useWaitBell(waits, at), { initialProps: { waits: [wait], at: now } })

test('a wait that ends while it is watched rings once', () => {
  const { rerender } = watch()
  rerender({ waits: [wait], at: addMinutes(now, 4) })
  expect(shaken).not.toHaveBeenCalled()
  rerender({ waits: [wait], at: addMinutes(now, 5) })
  rerender({ waits: [wait], at: addMinutes(now, 6) })
  expect(shaken).toHaveBeenCalledTimes(1)
})

test('one that is gone at its end rings too; one that was ready early does not', () => {
  const ended = watch()
  ended.rerender({ waits: [], at: addSeconds(now, 301) })
  expect(shaken).toHaveBeenCalledTimes(1)
  const early = watch()
  early.rerender({ waits: [], at: addMinutes(now, 2) })
  early.rerender({ waits: [], at: addMinutes(now, 6) })
  expect(shaken).toHaveBeenCalledTimes(1)
})

test('one that was over before anybody looked does not ring', () => {
  renderHook(() => useWaitBell([wait], addMinutes(now, 9)))
  expect(shaken).not.toHaveBeenCalled()
})

test('a tablet that was told to stay quiet, or never asked, does', () => {
  for (const choice of ['no', null]) {
    if (choice === null) localStorage.clear()
    else localStorage.setItem('truelay waits sound', choice)
    const { rerender, unmount } = watch()
    rerender({ waits: [wait], at: addMinutes(now, 6) })
    unmount()
  }
  expect(shaken).not.toHaveBeenCalled()
})

test('while another page is looked at, the tablet tells it', () => {
  const told = vi.fn()
  vi.stubGlobal('Notification', Object.assign(told, { permission: 'granted' }))
  Object.defineProperty(document, 'hidden', { value: true, configurable: true })
  const { rerender } = watch()
  rerender({ waits: [wait], at: addMinutes(now, 6) })
  expect(told).toHaveBeenCalledWith('Bonnet: trim', { tag: 'wait' })
})

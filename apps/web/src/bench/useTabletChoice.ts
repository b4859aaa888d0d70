import { useSyncExternalStore } from 'react'

const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

export type TabletChoice = 'yes' | 'no' | 'not said'

/** A yes or no that belongs to this tablet and to nobody's account: kept in its browser, alike on every screen of it. */
export function useTabletChoice(
  of: 'waits sound' | 'reads aloud' | 'has seen round',
): [TabletChoice, (choice: 'yes' | 'no') => void] {
  const key = `truelay ${of}`
  const choice = useSyncExternalStore(
    subscribe,
    () => {
      const kept = localStorage.getItem(key)
      return kept === 'yes' || kept === 'no' ? kept : 'not said'
    },
    () => 'not said' as const,
  )
  return [
    choice,
    (next) => {
      localStorage.setItem(key, next)
      for (const listener of listeners) listener()
    },
  ]
}

import type { Sentence } from '@truelay/core/say'
import { useSyncExternalStore } from 'react'

/** What was done, and how it is taken back. It stands until something else is done or somebody leaves it so. */
export interface UndoOffer {
  readonly said: Sentence
  readonly back: () => Promise<{ readonly error?: unknown }>
}

let offer: UndoOffer | null = null
const listeners = new Set<() => void>()

/** Offers to take the last change back; null offers nothing any more. */
export function offerUndo(next: UndoOffer | null): void {
  offer = next
  for (const listener of listeners) listener()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

export const useUndoOffer = (): UndoOffer | null => useSyncExternalStore(subscribe, () => offer)

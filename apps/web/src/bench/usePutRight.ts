import { useEffect, useRef } from 'react'

interface Saved {
  readonly error?: unknown
}

/**
 * Puts fields of one document right, each change upon the last, also where the shop has not answered that one yet.
 * `onDone` is told the way back, which touches only what was changed.
 */
export function usePutRight<D extends object>(
  document: D,
  save: (next: D) => PromiseLike<Saved>,
  onDone: (back: () => Promise<Saved>) => void,
): (change: (now: D) => Partial<D>) => Promise<void> {
  const newest = useRef(document)
  const underway = useRef(0)
  useEffect(() => {
    if (underway.current === 0) newest.current = document
  }, [document])
  const send = async (more: Partial<D>) => {
    const before = newest.current
    newest.current = { ...before, ...more }
    underway.current += 1
    const saved = await save(newest.current)
    underway.current -= 1
    if (saved.error !== undefined) newest.current = document
    return saved
  }
  return async (change) => {
    const more = change(newest.current)
    const keys = Object.keys(more) as (keyof D)[]
    const was = Object.fromEntries(keys.map((key) => [key, newest.current[key]])) as Partial<D>
    const saved = await send(more)
    if (saved.error === undefined) onDone(() => send(was))
  }
}

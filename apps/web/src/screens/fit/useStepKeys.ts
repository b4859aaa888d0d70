import { useEffect, useRef, useState } from 'react'

/** A press sooner than this after a step has appeared was for the step before: nobody has read this one. */
const readMs = 600
/** How long the screen says so. */
const saidMs = 2500

/**
 * Space and the foot pedal (Page Down) go on, Page Up goes back; not while a page lies in front. Two quick presses confirm one step: `tooSoon`
 * tells for a moment that the second did not count. `shown` is another value for each step that is shown.
 */
export function useStepKeys(
  shown: string,
  onDone: () => void,
  onBack: () => void,
  where: 'on the screen' | 'in the page in front' = 'on the screen',
): { readonly tooSoon: boolean } {
  const [tooSoon, setTooSoon] = useState(false)
  const since = useRef(Number.NEGATIVE_INFINITY)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another step begins to be read
  useEffect(() => {
    since.current = performance.now()
  }, [shown])
  useEffect(() => {
    if (!tooSoon) return
    const said = setTimeout(() => setTooSoon(false), saidMs)
    return () => clearTimeout(said)
  }, [tooSoon])
  const latest = useRef({ onDone, onBack })
  latest.current = { onDone, onBack }
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const pageInFront = document.querySelector('[role=dialog], [inert]') !== null
      if (event.repeat || pageInFront !== (where === 'in the page in front')) return
      // Space on a button or in a field belongs to that; the foot pedal always goes on.
      const onControl = event.target instanceof HTMLElement && event.target.closest('button, a, input') !== null
      if (event.key === ' ' && onControl) return
      if (event.key === ' ' || event.key === 'PageDown') {
        event.preventDefault()
        if (performance.now() - since.current < readMs) return setTooSoon(true)
        setTooSoon(false)
        latest.current.onDone()
      }
      if (event.key === 'PageUp') {
        event.preventDefault()
        latest.current.onBack()
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [where])
  return { tooSoon }
}

import { useEffect, useRef } from 'react'

/** Space and the foot pedal (Page Down) go on, Page Up goes back; not while a page lies in front. */
export function useStepKeys(onDone: () => void, onBack: () => void): void {
  const latest = useRef({ onDone, onBack })
  latest.current = { onDone, onBack }
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat || document.querySelector('[role=dialog]') !== null) return
      // Space on a button or in a field belongs to that; the foot pedal always goes on.
      const onControl = event.target instanceof HTMLElement && event.target.closest('button, a, input') !== null
      if (event.key === ' ' && onControl) return
      if (event.key === ' ' || event.key === 'PageDown') {
        event.preventDefault()
        latest.current.onDone()
      }
      if (event.key === 'PageUp') {
        event.preventDefault()
        latest.current.onBack()
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}

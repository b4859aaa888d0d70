import { useEffect } from 'react'

/**
 * Keeps the screen awake while it is looked at: hands are wet, and a wait is longer than a tablet's patience. A browser that cannot do it, or may
 * not, leaves the screen as it is.
 */
export function useAwake(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return
    let held: WakeLockSentinel | null = null
    let over = false
    const hold = async () => {
      if (over || document.hidden || (held !== null && !held.released)) return
      const lock = await navigator.wakeLock.request('screen').catch(() => null)
      if (over) void lock?.release()
      else held = lock
    }
    // Whoever looks elsewhere loses it; it is asked for anew when they look again.
    const look = () => void hold()
    void hold()
    document.addEventListener('visibilitychange', look)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', look)
      void held?.release()
    }
  }, [])
}

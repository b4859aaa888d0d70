import { useEffect, useRef } from 'react'
import { useTabletChoice } from './useTabletChoice.ts'
import { ringBell } from './waitBell.ts'

interface RunningWait {
  readonly id: string
  readonly until: Date
  /** What can be done then, as it is read. */
  readonly words: string
}

/** Rings once for each wait that ends while it is watched, where this tablet was told to. */
export function useWaitBell(waits: readonly RunningWait[], now: Date): void {
  const [sound] = useTabletChoice('waits sound')
  const running = useRef(new Map<string, RunningWait>())
  useEffect(() => {
    for (const wait of waits) if (wait.until > now) running.current.set(wait.id, wait)
    for (const [id, wait] of running.current) {
      const still = waits.find((w) => w.id === id)
      // Gone before its end: somebody said that it was ready.
      if (still === undefined && wait.until > now) running.current.delete(id)
      else if ((still ?? wait).until <= now) {
        running.current.delete(id)
        if (sound === 'yes') ringBell(wait.words)
      }
    }
  }, [waits, now, sound])
}

import { useEffect, useRef, useState } from 'react'

/** A press that comes this soon after the step has changed by itself was meant for the step before. */
const holdMs = 1500

export interface Elsewhere {
  /** The step changed on another tablet; until something is pressed here. */
  readonly changed: boolean
  /** It has only just changed under the hand: presses do not count yet. */
  readonly holding: boolean
  /** The next change of the step comes from here. */
  readonly pressed: () => void
}

/** Notices when a fit goes on or back without a press on this tablet. `stepsDone` is where it stands. */
export function useElsewhere(stepsDone: number): Elsewhere {
  const [changed, setChanged] = useState(false)
  const [holding, setHolding] = useState(false)
  const seen = useRef(stepsDone)
  const own = useRef(false)
  useEffect(() => {
    if (seen.current === stepsDone) return
    seen.current = stepsDone
    const here = own.current
    own.current = false
    setChanged(!here)
    setHolding(!here)
    if (here) return
    const release = setTimeout(() => setHolding(false), holdMs)
    return () => clearTimeout(release)
  }, [stepsDone])
  return {
    changed,
    holding,
    pressed: () => {
      own.current = true
    },
  }
}

/** Something that is done by itself now, and comes back later while it is not through. */
export interface AgainAndAgain {
  /** Does it, unless it is being done. */
  readonly now: () => Promise<void>
  /** Does it once after a while, however often that is asked for meanwhile. */
  readonly later: () => void
}

/** Work that is never done twice at a time: what is sent from a queue, again and again until the queue is empty. */
export function onceAtATime(work: () => Promise<void>, retryMs: number): AgainAndAgain {
  let working = false
  let comesBack = false
  const now = async () => {
    if (working) return
    working = true
    try {
      await work()
    } finally {
      working = false
    }
  }
  return {
    now,
    later() {
      if (comesBack) return
      comesBack = true
      setTimeout(() => {
        comesBack = false
        void now()
      }, retryMs)
    },
  }
}

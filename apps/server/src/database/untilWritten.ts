import type { Database } from './openDatabase.ts'

/** An answer that is made anew only after something was written: many tablets ask the same after each event. */
export function untilWritten<T>(
  { writesDone }: Pick<Database, 'writesDone'>,
  make: () => Promise<T>,
): () => Promise<T> {
  let made: { readonly at: number; readonly answer: Promise<T> } | null = null
  return () => {
    // What was written while it is read shows with the next write at the latest, as it would in an answer that was sent a moment earlier.
    const at = writesDone()
    if (made?.at !== at) {
      const answer = make()
      const mine = { at, answer }
      made = mine
      answer.catch(() => {
        if (made === mine) made = null
      })
    }
    return made.answer
  }
}

import type { Practice, PracticeKey } from '../practice/index.ts'

/** The same figures, and which of them anybody has looked at since. */
export function watched(practice: Practice): { readonly practice: Practice; readonly read: ReadonlySet<PracticeKey> } {
  const read = new Set<PracticeKey>()
  const looking = new Proxy(practice, {
    get(figures, key) {
      read.add(key as PracticeKey)
      return figures[key as PracticeKey]
    },
  })
  return { practice: looking, read }
}

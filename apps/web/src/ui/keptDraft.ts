const prefix = 'truelay draft '

/** What was typed and not yet handed in: kept by the browser of this tablet, for a page that is opened anew. */
export interface KeptDraft<T> {
  /** As it was left; null where there is none, or none that can be read. */
  found(): T | null
  keep(value: T): void
  forget(): void
}

/** `read` gives back null for what is none of its kind. A browser without room keeps nothing, and the page works as before. */
export const keptDraft = <T>(of: string, read: (stored: unknown) => T | null): KeptDraft<T> => ({
  found() {
    try {
      const text = localStorage.getItem(prefix + of)
      return text === null ? null : read(JSON.parse(text))
    } catch {
      return null
    }
  },
  keep(value) {
    try {
      localStorage.setItem(prefix + of, JSON.stringify(value))
    } catch {
      // No room: what is on the page stays there.
    }
  },
  forget: () => localStorage.removeItem(prefix + of),
})

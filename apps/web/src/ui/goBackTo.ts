import type { PartProgress } from '@truelay/contract'

/** So long before a greatest wait is over its part is named, and the bell rings. */
const nearMs = 5 * 60_000

export interface GoBack {
  readonly part: PartProgress
  readonly by: Date
  /** From when on it is near. */
  readonly near: Date
}

/** Parts whose greatest wait runs, the tightest first. */
export const goBackTo = (parts: readonly PartProgress[]): GoBack[] =>
  parts
    .flatMap((part) => {
      if (part.mustBy === undefined || part.state !== 'fitting') return []
      const by = new Date(part.mustBy)
      return [{ part, by, near: new Date(by.getTime() - nearMs) }]
    })
    .sort((a, b) => a.by.getTime() - b.by.getTime())

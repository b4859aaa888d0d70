/** The place on the other side of the vehicle; null for one in the middle. */
export function otherSideOf(slot: string): string | null {
  if (slot.endsWith('-left')) return slot.replace(/-left$/, '-right')
  if (slot.endsWith('-right')) return slot.replace(/-right$/, '-left')
  return null
}

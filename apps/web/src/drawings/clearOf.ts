import type { Vec2 } from '@truelay/core/geometry'

/** How far apart the middles of a figure and of an anchor's number have to stand so that both are read, px. */
const clearPx: Vec2 = [38, 27]
/** A little more than that, so that one step leads off a number whatever is rounded. */
const stepPx = clearPx[1] + 0.5

/** Where a figure stands so that it covers no number of an anchor: moved up or down, to the side on which it is already. */
export function clearOf(at: Vec2, anchors: readonly Vec2[]): Vec2 {
  const covered = (p: Vec2) =>
    anchors.find((a) => Math.abs(p[0] - a[0]) < clearPx[0] && Math.abs(p[1] - a[1]) < clearPx[1])
  const first = covered(at)
  if (first === undefined) return at
  const side = at[1] <= first[1] ? -1 : 1
  for (const way of [side, -side]) {
    let moved = at
    // Past one number there may be the next.
    for (let next: Vec2 | undefined = first; next !== undefined; next = covered(moved))
      moved = [at[0], next[1] + way * stepPx]
    if (Math.abs(moved[1] - at[1]) <= 3 * stepPx) return moved
  }
  return at
}
